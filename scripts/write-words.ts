// npm run words: writes all that is said on screens, sheets and the command line into docs/words, a file for each feature.
import { mkdirSync, rmSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { WORDS_FOLDER, wordCatalogue } from './words/catalogue';

rmSync(WORDS_FOLDER, { recursive: true, force: true });
mkdirSync(WORDS_FOLDER, { recursive: true });
for (const [name, page] of wordCatalogue('src')) writeFileSync(join(WORDS_FOLDER, name), page);
