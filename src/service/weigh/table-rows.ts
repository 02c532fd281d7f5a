import { Readable } from 'node:stream';
import papaparse from 'papaparse';

const CHARACTERS_AT_ONCE = 100_000;

/**
 * The rows of a CSV text, empty ones left out, heads and all; read piece by piece.
 *
 * @param pause waited for between the pieces
 * @param most after so many rows no more is read
 */
export function tableRows(
  csv: string,
  pause: () => Promise<void>,
  most = Number.POSITIVE_INFINITY,
): Promise<readonly (readonly string[])[]> {
  return new Promise((resolve, reject) => {
    const rows: string[][] = [];
    papaparse.parse<string[]>(Readable.from(piecesOf(csv)), {
      skipEmptyLines: 'greedy',
      chunk: ({ data }, parser) => {
        for (const row of data) rows.push(row);
        if (rows.length > most) {
          parser.abort();
          return;
        }
        parser.pause();
        pause().then(() => parser.resume(), reject);
      },
      complete: () => resolve(rows),
      error: reject,
    });
  });
}

function* piecesOf(text: string): Generator<string> {
  for (let from = 0; from < text.length; from += CHARACTERS_AT_ONCE)
    yield text.slice(from, from + CHARACTERS_AT_ONCE);
}
