// Every file that docs/ and the README name stands in the project: by its path from the root or from src, or by its name alone.
import { spawnSync } from 'node:child_process';
import { existsSync, readdirSync, readFileSync } from 'node:fs';
import { basename, join } from 'node:path';

const NAMED = /[\w[\]./-]+\.(?:tsx?|mjs|cjs|jsx?|R|md|png|css|json)\b/g;
// Names of what is made elsewhere, and of products.
const NOT_OURS = /^(?:Node\.js|Next\.js|ical\.js|domain\.md|[\w-]+\.json)$/;

/** What the documents name and the project does not have, as `document: name`. */
export function missingFiles() {
  const tracked = spawnSync('git', ['ls-files', '--cached', '--others', '--exclude-standard'], {
    encoding: 'utf8',
  }).stdout.split('\n');
  const names = new Set(tracked.map(file => basename(file)));
  const documents = ['README.md', ...readdirSync('docs').map(name => join('docs', name))];
  return documents
    .filter(document => document.endsWith('.md'))
    .flatMap(document =>
      (readFileSync(document, 'utf8').match(NAMED) ?? [])
        .filter(name => !NOT_OURS.test(name) && !isThere(name, names))
        .map(name => `${document}: ${name}`),
    );
}

function isThere(name, names) {
  if (name.startsWith('.') && !name.includes('/')) return names.has(name);
  return name.includes('/') ? existsSync(name) || existsSync(join('src', name)) : names.has(name);
}
