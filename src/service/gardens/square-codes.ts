import { toString as toSvg } from 'qrcode';

/** Texts as square codes, each an SVG drawing as an address that an image takes. */
export function squareCodes(texts: readonly string[]): Promise<readonly string[]> {
  return Promise.all(
    texts.map(async text => {
      const svg = await toSvg(text, { type: 'svg', errorCorrectionLevel: 'L', margin: 4 });
      return `data:image/svg+xml,${encodeURIComponent(svg)}`;
    }),
  );
}
