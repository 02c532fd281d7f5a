import { join } from 'node:path';

/** The demo season with its pictures, made once for all workers; each begins with a copy of it. */
export const DEMO_FOLDER = join('test-results', 'demo');

/** The data file within such a folder. */
export const DATA_FILE = 'garden.sqlite';
