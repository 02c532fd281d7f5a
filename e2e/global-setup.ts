import { mkdirSync, rmSync } from 'node:fs';
import { dirname } from 'node:path';
import { DEMO_FILE } from './demo-file';
import { keepDemo } from './garden-server';

/** Makes the demo season once, for all workers to copy. */
export default function makeDemo(): void {
  mkdirSync(dirname(DEMO_FILE), { recursive: true });
  rmSync(DEMO_FILE, { force: true });
  keepDemo(DEMO_FILE);
}
