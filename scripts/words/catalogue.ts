import { readdirSync, readFileSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { saidIn } from './said-in';

/** Where the words of each feature are kept together. */
export const WORDS_FOLDER = 'docs/words';

const PLACES = ['app', 'cli', 'core', 'features', 'print', 'service', 'ui'] as const;
const SPLIT = new Set(['core', 'features']);

/** All that is said, by the name of the file it is kept in: `features-weigh.txt`. */
export function wordCatalogue(src: string): ReadonlyMap<string, string> {
  const pages = new Map<string, string>();
  for (const file of PLACES.flatMap(place => sourcesIn(join(src, place), place))) {
    const said = saidIn(readFileSync(join(src, file), 'utf8'), file.endsWith('x'));
    if (said.length === 0) continue;
    const name = pageOf(file);
    pages.set(name, `${pages.get(name) ?? ''}## ${file}\n\n${said.join('\n')}\n\n`);
  }
  return pages;
}

function pageOf(file: string): string {
  const [place = '', part = ''] = dirname(file).split('/');
  return SPLIT.has(place) && part !== '' ? `${place}-${part}.txt` : `${place}.txt`;
}

function sourcesIn(folder: string, named: string): readonly string[] {
  return readdirSync(folder, { withFileTypes: true })
    .toSorted((a, b) => (a.name < b.name ? -1 : 1))
    .flatMap(entry => {
      const name = `${named}/${entry.name}`;
      if (entry.isDirectory())
        return entry.name === 'fixtures' ? [] : sourcesIn(join(folder, entry.name), name);
      return /\.tsx?$/.test(entry.name) && !/[.-](test|d|fixture)\./.test(entry.name) ? [name] : [];
    });
}
