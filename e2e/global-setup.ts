import { mkdirSync, rmSync } from 'node:fs';
import { join } from 'node:path';
import { DATA_FILE, DEMO_FOLDER } from './demo-file';
import { keepDemo } from './garden-server';

/** Makes the demo season once, for all workers to copy. */
export default function makeDemo(): void {
  rmSync(DEMO_FOLDER, { recursive: true, force: true });
  mkdirSync(DEMO_FOLDER, { recursive: true });
  keepDemo(join(DEMO_FOLDER, DATA_FILE));
}
