import jsQR from 'jsqr';
import sharp from 'sharp';

/** Wide enough for the finest code at arm’s length; more only takes longer. */
const WIDEST = 1600;
const MOST_PIXELS = 60_000_000;

/** What the square code of a picture says; undefined where there is none, or it is no picture. */
export async function readSquareCode(picture: Uint8Array): Promise<string | undefined> {
  try {
    const { data, info } = await sharp(picture, { limitInputPixels: MOST_PIXELS })
      .autoOrient()
      .resize({ width: WIDEST, height: WIDEST, fit: 'inside', withoutEnlargement: true })
      .ensureAlpha()
      .raw()
      .toBuffer({ resolveWithObject: true });
    return jsQR(new Uint8ClampedArray(data), info.width, info.height)?.data || undefined;
  } catch {
    return undefined;
  }
}
