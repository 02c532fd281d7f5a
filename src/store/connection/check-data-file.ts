import { accessSync, constants, existsSync, mkdirSync, statSync } from 'node:fs';
import { dirname } from 'node:path';
import BetterSqlite from 'better-sqlite3';
import { failure, type Result, success } from '@/core/result';
import { driverCode } from './driver-code';

/** Why a data file was not opened. It is left exactly as it was found. */
export type DataFileTrouble =
  | { readonly kind: 'damaged'; readonly file: string; readonly finding: string }
  | { readonly kind: 'newer'; readonly file: string }
  /** No byte in it: what a disk that ran full leaves. */
  | { readonly kind: 'empty'; readonly file: string }
  /** Another program's. */
  | { readonly kind: 'foreign'; readonly file: string }
  /** A restore moved the old one aside and did not come to its end. */
  | { readonly kind: 'half-restored'; readonly file: string }
  | { readonly kind: 'in-use'; readonly file: string }
  | { readonly kind: 'unwritable'; readonly file: string; readonly finding: string }
  | { readonly kind: 'unreadable'; readonly file: string; readonly finding: string };

/** Marks a file as a garden's (PRAGMA application_id): “TURN”. */
export const APPLICATION_ID = 0x5455524e;

/**
 * Looks through a data file, read-only, before anything may write to it. A file that is not there yet is sound.
 *
 * @param how quickly: each page and row, but not whether every index agrees, which takes five times as long and holds up all else
 */
export function checkDataFile(
  file: string,
  how: 'thoroughly' | 'quickly' = 'thoroughly',
): Result<'new' | 'sound', DataFileTrouble> {
  if (!existsSync(file))
    return existsSync(`${file}.coming`) ? failure({ kind: 'half-restored', file }) : success('new');
  const stat = statSync(file);
  if (!stat.isFile()) return failure({ kind: 'unreadable', file, finding: 'it is not a file' });
  if (stat.size === 0) return failure({ kind: 'empty', file });
  try {
    const connection = new BetterSqlite(file, { readonly: true, fileMustExist: true });
    try {
      return found(connection, file, how);
    } finally {
      connection.close();
    }
  } catch (error) {
    return failure({
      kind: driverCode(error) === 'SQLITE_CANTOPEN' ? 'unreadable' : 'damaged',
      file,
      finding: saysOf(error),
    });
  }
}

function found(
  connection: BetterSqlite.Database,
  file: string,
  how: 'thoroughly' | 'quickly',
): Result<'new' | 'sound', DataFileTrouble> {
  const check = how === 'quickly' ? 'quick_check(1)' : 'integrity_check(1)';
  const finding = String(connection.pragma(check, { simple: true }));
  if (finding !== 'ok') return failure({ kind: 'damaged', file, finding });
  const tables = new Set(
    connection.prepare("SELECT name FROM sqlite_master WHERE type = 'table'").pluck().all(),
  );
  const mark = connection.pragma('application_id', { simple: true });
  const isOurs =
    mark === APPLICATION_ID || (mark === 0 && tables.has('gardens') && tables.has('changes'));
  if (!isOurs && (tables.size > 0 || mark !== 0)) return failure({ kind: 'foreign', file });
  const lost = connection.pragma('foreign_key_check') as readonly { readonly table: string }[];
  const [first] = lost;
  return first
    ? failure({
        kind: 'damaged',
        file,
        finding: `rows of ${first.table} belong to something that is gone, ${lost.length} in all`,
      })
    : success(tables.size === 0 ? 'new' : 'sound');
}

/** Whether a data file can be written where it is to lie; makes its folder where there is none. */
export function checkWritable(file: string): Result<true, DataFileTrouble> {
  try {
    mkdirSync(dirname(file), { recursive: true });
    accessSync(dirname(file), constants.W_OK);
    if (existsSync(file)) accessSync(file, constants.W_OK);
    return success(true);
  } catch (error) {
    return failure({ kind: 'unwritable', file, finding: saysOf(error) });
  }
}

function saysOf(error: unknown): string {
  return error instanceof Error ? error.message : String(error);
}
