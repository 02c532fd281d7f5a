import { mkdirSync } from 'node:fs';
import { dirname } from 'node:path';
import BetterSqlite from 'better-sqlite3';
import { driverCode } from './driver-code';

declare global {
  var turnspitHold: BetterSqlite.Database | undefined;
}

/**
 * Takes a data file for one server, or for a restore: whoever comes second is told so instead of writing into what the other has
 * open. Held by a lock of the system on a small file beside it, which goes with the process, however that ends.
 *
 * @returns whether it is ours now
 */
export function holdDataFile(file: string): boolean {
  if (globalThis.turnspitHold) return true;
  mkdirSync(dirname(file), { recursive: true });
  const lock = new BetterSqlite(`${file}.in-use`, { timeout: 0 });
  try {
    lock.exec('BEGIN EXCLUSIVE');
  } catch (error) {
    lock.close();
    if (driverCode(error).startsWith('SQLITE_BUSY')) return false;
    throw error;
  }
  globalThis.turnspitHold = lock;
  return true;
}

/** Gives it back before the process ends. */
export function releaseDataFile(): void {
  globalThis.turnspitHold?.close();
  globalThis.turnspitHold = undefined;
}
