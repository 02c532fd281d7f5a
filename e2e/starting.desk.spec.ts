import { mkdtempSync, readFileSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { expect, freePort, keepDemo, startServer, test } from './garden-server';

test('a damaged data file is refused with its name, and not touched', async () => {
  const file = join(mkdtempSync(join(tmpdir(), 'turnspit-')), 'damaged.sqlite');
  keepDemo(file);
  const bytes = readFileSync(file);
  bytes.fill(0x5a, 4096, 12_288);
  writeFileSync(file, bytes);
  const server = startServer(file, await freePort());
  let said = '';
  server.stderr?.on('data', chunk => {
    said += String(chunk);
  });
  const status = await new Promise<number | null>(resolve => server.on('exit', resolve));
  expect(status).toBe(1);
  expect(said).toContain(`The data file ${file} is damaged`);
  expect(readFileSync(file).equals(bytes)).toBe(true);
});

test('a second demo start adds nothing to what is there', async ({ garden }) => {
  expect(keepDemo(garden.dataFile)).toContain('holds trials already: nothing was added');
});
