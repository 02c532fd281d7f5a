import type { Picture } from '@/core/image/canopy-cover';
import { HEAD_BYTES, pictureKind } from '@/core/image/picture-kind';
import { failure, type Result, success } from '@/core/result';

const MOST_PIXELS = 60_000_000;
const LARGEST_FILE = 40_000_000;

/** Opens a picture from a file by what is in it, not by what it is called. @returns its pixels, or a sentence that says why not */
export async function openPicture(file: File): Promise<Result<Picture, string>> {
  if (file.size > LARGEST_FILE)
    return failure('That file is over 40 MB. Take the picture smaller.');
  const kind = pictureKind(new Uint8Array(await file.slice(0, HEAD_BYTES).arrayBuffer()));
  if (kind === null)
    return failure(`${file.name} is no picture this can read: a JPEG, PNG or WebP from a camera.`);
  let bitmap: ImageBitmap;
  try {
    bitmap = await createImageBitmap(file);
  } catch {
    return failure(
      `${file.name} is damaged: it begins as a ${kind}, and can’t be read to its end.`,
    );
  }
  if (bitmap.width * bitmap.height > MOST_PIXELS) {
    bitmap.close();
    return failure('That picture has more than 60 megapixels. Take it smaller.');
  }
  const canvas = new OffscreenCanvas(bitmap.width, bitmap.height);
  const context = canvas.getContext('2d', { willReadFrequently: true });
  if (!context) return failure('This browser can’t look into pictures.');
  context.drawImage(bitmap, 0, 0);
  bitmap.close();
  const { data } = context.getImageData(0, 0, canvas.width, canvas.height);
  return success({ width: canvas.width, height: canvas.height, rgba: data });
}
