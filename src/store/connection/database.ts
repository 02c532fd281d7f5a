import { mkdirSync } from 'node:fs';
import { dirname } from 'node:path';
import knex, { type Knex } from 'knex';
import { migrationSource } from '@/store/migrations/migration-source';
import { driverCode } from './driver-code';

/** A connection or a transaction: who calls decides what is atomic. */
export type Database = Knex;

interface Connection {
  readonly inTransaction: boolean;
  exec(sql: string): unknown;
  pragma(statement: string): unknown;
  prepare(sql: string): unknown;
}

// FULL, so that an answered write survives a power cut and not only a killed process.
const PRAGMAS = [
  'journal_mode = WAL',
  'synchronous = FULL',
  'foreign_keys = ON',
  // The driver waits on the one thread that answers all pages: the long wait is `patiently`'s.
  'busy_timeout = 100',
];

/** Opens a data file, making its folder where there is none. Columns are snake_case in the file, camelCase here. */
export function openDatabase(filename: string): Database {
  mkdirSync(dirname(filename), { recursive: true });
  return knex({
    client: 'better-sqlite3',
    connection: { filename },
    useNullAsDefault: true,
    pool: {
      min: 1,
      // One that writes at a time (`inTransaction`); pages are read beside it.
      max: 4,
      afterCreate(
        connection: Connection,
        done: (error: Error | null, connection: Connection) => void,
      ) {
        for (const pragma of PRAGMAS) connection.pragma(pragma);
        mindTransactions(connection);
        done(null, connection);
      },
    },
    migrations: { migrationSource },
    wrapIdentifier: (name, original) => original(snakeCase(name)),
    postProcessResponse: (response: unknown) =>
      Array.isArray(response) ? response.map(camelKeys) : camelKeys(response),
  });
}

/**
 * Makes every transaction take the right to write as it begins. One that reads first and writes later is thrown out at once where
 * another program has written meanwhile, however long it would wait (SQLite, “Transaction”, section 2.2).
 *
 * A full disk ends a transaction by itself (section 3), so that taking it back would fail and hide why; one that could not be
 * committed stays open, and the next could not begin.
 */
function mindTransactions(connection: Connection): void {
  const prepare = connection.prepare.bind(connection);
  connection.prepare = sql => {
    if (sql === 'ROLLBACK' && !connection.inTransaction) return prepare('SELECT 1');
    if (sql !== 'BEGIN;') return prepare(sql);
    if (connection.inTransaction) connection.exec('ROLLBACK');
    return prepare('BEGIN IMMEDIATE;');
  };
}

declare global {
  var turnspitDatabase: Database | undefined;
}

/** The application's connections. Held globally: pages, handlers and the start are bundled apart, yet must share it. */
export function database(): Database {
  globalThis.turnspitDatabase ??= openDatabase(dataFile());
  return globalThis.turnspitDatabase;
}

/** Ends the connection; the next question opens a new one. */
export async function closeDatabase(): Promise<void> {
  await globalThis.turnspitDatabase?.destroy();
  globalThis.turnspitDatabase = undefined;
}

/** Where the data lives: `TURNSPIT_DATA`, or `./data/turnspit.sqlite`. */
export function dataFile(): string {
  return process.env.TURNSPIT_DATA ?? 'data/turnspit.sqlite';
}

declare global {
  var turnspitWriting: Promise<unknown> | undefined;
}

/**
 * Does all of a change or none of it, one change after another: two that wanted to write at once would only keep each other waiting.
 * Inside, only the given connection may be used.
 */
export function inTransaction<Answer>(work: (db: Database) => Promise<Answer>): Promise<Answer> {
  const turn = (globalThis.turnspitWriting ?? Promise.resolve()).then(() =>
    patiently(() => database().transaction(work)),
  );
  globalThis.turnspitWriting = turn.catch(() => undefined);
  return turn;
}

const PATIENCE_MS = 15_000; // a backup or another program is through long before
const PAUSE_MS = 25;

/** Tries again while another program writes to the file. What could not begin has done nothing, so it may begin anew. */
export async function patiently<Answer>(attempt: () => Promise<Answer>): Promise<Answer> {
  const until = Date.now() + PATIENCE_MS;
  for (;;) {
    try {
      return await attempt();
    } catch (error) {
      if (driverCode(error) !== 'SQLITE_BUSY' || Date.now() > until) throw error;
      await new Promise(resolve => setTimeout(resolve, PAUSE_MS));
    }
  }
}

/** Whether a row could not be written because of what stands there already, or is missing. */
export function isClash(error: unknown): boolean {
  return driverCode(error).startsWith('SQLITE_CONSTRAINT');
}

/** Whether there was no room left on the disk: then nothing of a change was written. */
export function isDiskFull(error: unknown): boolean {
  const code = driverCode(error);
  return code === 'SQLITE_FULL' || code.startsWith('SQLITE_IOERR_WRITE');
}

function snakeCase(name: string): string {
  // Knex wraps a missing constraint name too.
  return !name || name.startsWith('knex_')
    ? name
    : name.replace(/[A-Z]/g, letter => `_${letter.toLowerCase()}`);
}

function camelKeys(row: unknown): unknown {
  if (typeof row !== 'object' || row === null || row instanceof Date) return row;
  // A plain loop: a morning's list reads thousands of rows.
  const named: Record<string, unknown> = {};
  for (const [key, value] of Object.entries(row)) named[camelCase(key)] = value;
  return named;
}

// The same few names come with every row.
const camelNames = new Map<string, string>();

function camelCase(key: string): string {
  const known = camelNames.get(key);
  if (known !== undefined) return known;
  const named = key.replace(/_([a-z])/g, (_, letter: string) => letter.toUpperCase());
  camelNames.set(key, named);
  return named;
}
