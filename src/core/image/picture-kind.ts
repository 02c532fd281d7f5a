/** What cameras write. Everything else is refused, whatever it calls itself: a drawing in text may carry script. */
export type PictureKind = 'JPEG' | 'PNG' | 'WebP';

/** How many of a file's first bytes tell what it is. */
export const HEAD_BYTES = 16;

/** A picture's kind by the first bytes of the file; null where it is none of those that are read. */
export function pictureKind(head: Uint8Array): PictureKind | null {
  const text = String.fromCharCode(...head.subarray(0, HEAD_BYTES));
  if (text.startsWith('\xff\xd8\xff')) return 'JPEG';
  if (text.startsWith('\x89PNG\r\n\x1a\n')) return 'PNG';
  return text.startsWith('RIFF') && text.slice(8, 12) === 'WEBP' ? 'WebP' : null;
}
