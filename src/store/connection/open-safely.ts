import { existsSync, statSync } from 'node:fs';
import BetterSqlite from 'better-sqlite3';
import { failure, type Result, success } from '@/core/result';
import { type Database, patiently } from './database';
import { driverCode } from './driver-code';

/** Why a data file was not opened. It is left exactly as it was found. */
export type DataFileTrouble =
  | { readonly kind: 'damaged'; readonly file: string; readonly finding: string }
  | { readonly kind: 'newer'; readonly file: string }
  | { readonly kind: 'unreadable'; readonly file: string; readonly finding: string };

/** Looks through a data file, read-only, before anything may write to it. A file that is not there yet is sound. */
export function checkDataFile(file: string): Result<'new' | 'sound', DataFileTrouble> {
  if (!existsSync(file)) return success('new');
  if (!statSync(file).isFile())
    return failure({ kind: 'unreadable', file, finding: 'it is not a file' });
  try {
    const connection = new BetterSqlite(file, { readonly: true, fileMustExist: true });
    const finding = String(connection.pragma('integrity_check(1)', { simple: true }));
    connection.close();
    return finding === 'ok' ? success('sound') : failure({ kind: 'damaged', file, finding });
  } catch (error) {
    return failure({
      kind: driverCode(error) === 'SQLITE_CANTOPEN' ? 'unreadable' : 'damaged',
      file,
      finding: error instanceof Error ? error.message : String(error),
    });
  }
}

/** Brings a sound file up to date. A file with steps this version does not know was made by a newer one. */
export async function migrate(
  db: Database,
  file: string,
): Promise<Result<'migrated', DataFileTrouble>> {
  try {
    await patiently(() => copyBefore(db, file));
    await patiently(() => latest(db));
    return success('migrated');
  } catch (error) {
    if (error instanceof Error && error.message.includes('migration directory is corrupt'))
      return failure({ kind: 'newer', file });
    throw error;
  }
}

/** A file that holds something is copied beside itself before its first step forward, whole and by SQLite itself. */
async function copyBefore(db: Database, file: string): Promise<void> {
  const [done, waiting]: readonly [readonly unknown[], readonly unknown[]] =
    await db.migrate.list();
  const copy = `${file}.before-${String(waiting.length > 0 ? nameOf(waiting[0]) : '')}`;
  if (done.length === 0 || waiting.length === 0 || existsSync(copy)) return;
  await db.raw('VACUUM INTO ?', [copy]);
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
