import { gzipSync } from 'node:zlib';

const sizes = new Map<string, number>();

/** What a page's own scripts take over a slow line before it can be pressed: bytes as compressed by gzip. */
export async function scriptBytes(url: string): Promise<number> {
  const html = await (await fetch(url)).text();
  const tags = [...html.matchAll(/<script[^>]+src="([^"]+)"[^>]*>/g)];
  const sources = new Set(
    tags.filter(([tag]) => !/nomodule/i.test(tag)).map(([, source]) => source ?? ''),
  );
  const each = await Promise.all([...sources].map(source => bytesOf(new URL(source, url).href)));
  return each.reduce((sum, bytes) => sum + bytes, 0);
}

async function bytesOf(url: string): Promise<number> {
  const known = sizes.get(url);
  if (known !== undefined) return known;
  const bytes = gzipSync(await (await fetch(url)).text()).length;
  sizes.set(url, bytes);
  return bytes;
}
