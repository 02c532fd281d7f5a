import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import BetterSqlite from 'better-sqlite3';
import { logChange } from '@/store/changes';
import { closeDatabase, database, dataFile, inTransaction, patiently } from './database';
import { migrate } from './open-safely';

let folder = '';

beforeEach(async () => {
  folder = mkdtempSync(join(tmpdir(), 'turnspit-'));
  process.env.TURNSPIT_DATA = join(folder, 'garden.sqlite');
  await migrate(database(), dataFile());
});

afterEach(async () => {
  await closeDatabase();
  rmSync(folder, { recursive: true, force: true });
});

const now = () => new Date().toISOString();
const change = (what: string) => ({
  at: now(),
  trialId: null,
  what,
  subjectId: null,
  detail: '{}',
});

/** Another program that has begun to write, and is through after a while. */
function writer(forMs: number): { readonly done: Promise<void> } {
  const other = new BetterSqlite(dataFile());
  other.exec('BEGIN IMMEDIATE');
  other
    .prepare('INSERT INTO changes (at, what, detail) VALUES (?, ?, ?)')
    .run(now(), 'theirs', '{}');
  return {
    done: new Promise(resolve =>
      setTimeout(() => {
        other.exec('COMMIT');
        other.close();
        resolve();
      }, forMs),
    ),
  };
}

const changes = (): readonly string[] => {
  const file = new BetterSqlite(dataFile(), { readonly: true });
  const rows = file.prepare('SELECT what FROM changes ORDER BY sequence').pluck().all();
  file.close();
  return rows.map(String).filter(what => what === 'theirs' || what === 'ours');
};

test('a change waits for another program that writes, and then is made; meanwhile pages are read', async () => {
  const other = writer(700);
  const ours = inTransaction(db => logChange(db, change('ours')));
  expect(await database()('gardens').select('id')).toEqual([]);
  await other.done;
  await ours;
  expect(changes()).toEqual(['theirs', 'ours']);
});

test('a change that reads first is not thrown out by another that wrote meanwhile', async () => {
  await inTransaction(async db => {
    await db('gardens').first();
    const other = new BetterSqlite(dataFile(), { timeout: 0 });
    // Whoever comes second waits: the right to write was taken at the beginning.
    expect(() => other.exec('BEGIN IMMEDIATE')).toThrow('database is locked');
    other.close();
    await logChange(db, change('ours'));
  });
  expect(changes()).toEqual(['ours']);
});

test('what fails for another reason is told at once, and is tried once', async () => {
  let tries = 0;
  await expect(
    patiently(() => {
      tries += 1;
      return Promise.reject(new RangeError('a defect'));
    }),
  ).rejects.toThrow('a defect');
  expect(tries).toBe(1);
});
