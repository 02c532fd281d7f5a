import { existsSync } from 'node:fs';
import { rename, rm } from 'node:fs/promises';
import BetterSqlite from 'better-sqlite3';
import { failure, type Result, success } from '@/core/result';
import { APPLICATION_ID, checkDataFile, type DataFileTrouble } from './check-data-file';
import { type Database, patiently } from './database';

/** Brings a sound file up to date. A file with steps this version does not know was made by a newer one. */
export async function migrate(
  db: Database,
  file: string,
): Promise<Result<'migrated', DataFileTrouble>> {
  try {
    await patiently(() => copyBefore(db, file));
    await patiently(() => latest(db));
    await patiently(() => mark(db));
    return success('migrated');
  } catch (error) {
    if (error instanceof Error && error.message.includes('migration directory is corrupt'))
      return failure({ kind: 'newer', file });
    throw error;
  }
}

/** So that a garden's file is known as one, and another program's is not taken for it. */
async function mark(db: Database): Promise<void> {
  const [found]: readonly { readonly applicationId?: number }[] =
    await db.raw('PRAGMA application_id');
  if (found?.applicationId !== APPLICATION_ID)
    await db.raw(`PRAGMA application_id = ${APPLICATION_ID}`);
}

/** A file that holds something is copied beside itself before its first step forward. A copy that a kill broke is made again. */
async function copyBefore(db: Database, file: string): Promise<void> {
  const [done, waiting]: readonly [readonly unknown[], readonly unknown[]] =
    await db.migrate.list();
  if (done.length === 0 || waiting.length === 0) return;
  const copy = `${file}.before-${nameOf(waiting[0])}`;
  if (!existsSync(copy) || !checkDataFile(copy).ok) await copyWhole(file, copy);
}

const PAGES_AT_ONCE = 200;

/**
 * Writes a copy of the whole file by SQLite itself, some pages at a time, so that other pages of the garden are answered and written
 * meanwhile: beside its place first, looked through, and only then under its name. A disk that runs full leaves nothing that looks
 * like a copy.
 *
 * @throws what the disk says
 */
export async function copyWhole(file: string, copy: string): Promise<void> {
  const coming = `${copy}.coming`;
  await rm(coming, { force: true });
  try {
    await copyPages(file, coming);
    const checked = checkDataFile(coming, 'quickly');
    if (!checked.ok) throw new Error(`a copy must be sound, found ${checked.trouble.kind}`);
    await rename(coming, copy);
  } catch (error) {
    await rm(coming, { force: true });
    throw error;
  }
}

async function copyPages(file: string, coming: string): Promise<void> {
  const source = new BetterSqlite(file, { readonly: true, fileMustExist: true });
  try {
    // One look at the garden for all pages: what is written meanwhile would make the copy begin anew.
    source.exec('BEGIN');
    source.prepare('SELECT count(*) FROM sqlite_master').get();
    await source.backup(coming, { progress: () => PAGES_AT_ONCE });
  } finally {
    source.close();
  }
  const target = new BetterSqlite(coming);
  try {
    // A copy is one file, with no log beside it.
    target.pragma('journal_mode = DELETE');
  } finally {
    target.close();
  }
}

function nameOf(migration: unknown): string {
  if (typeof migration === 'string') return migration;
  return typeof migration === 'object' && migration !== null && 'file' in migration
    ? String(migration.file)
    : 'step';
}

// Longer than any migration of a garden's file: a lock that stands so long was left by a start that was cut off.
const LOCK_WAIT_MS = 3000;

async function latest(db: Database): Promise<void> {
  try {
    await db.migrate.latest();
  } catch (error) {
    if (!(error instanceof Error && error.name === 'MigrationLocked')) throw error;
    await new Promise(resolve => setTimeout(resolve, LOCK_WAIT_MS));
    await db.migrate.forceFreeMigrationsLock();
    await db.migrate.latest();
  }
}
