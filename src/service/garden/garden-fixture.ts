import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { closeStore, startStore } from './start';

/** A data file of its own for every test of a file; call it once at the top. */
export function freshGardenForEachTest(): void {
  let folder = '';
  beforeEach(async () => {
    folder = mkdtempSync(join(tmpdir(), 'turnspit-'));
    process.env.TURNSPIT_DATA = join(folder, 'garden.sqlite');
    const started = await startStore();
    if (!started.ok) throw new Error(started.trouble.kind);
  });
  afterEach(async () => {
    await closeStore();
    rmSync(folder, { recursive: true, force: true });
  });
}
