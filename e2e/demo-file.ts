import { join } from 'node:path';

/** The demo season, made once for all workers; each begins with a copy of it. */
export const DEMO_FILE = join('test-results', 'demo.sqlite');
