import { createReadStream, existsSync } from 'node:fs';
import { readdir, rm, stat } from 'node:fs/promises';
import { dirname, join, relative } from 'node:path';
import type { Result } from '@/core/result';
import { type BackupTrouble, backUpInto } from './backup';
import { dataFile } from './database';

/** A backup that lies beside the data file. Its name says why and when it was made: `daily-2026-11-29`. */
export interface KeptBackup {
  readonly name: string;
  readonly madeAt: string;
  /** Of the data file's copy. */
  readonly bytes: number;
}

const NAME = /^[a-z-]+-\d{4}-\d{2}-\d{2}(?:-\d{9})?$/;

/** Where the garden's own backups lie. */
export function backupsFolder(): string {
  return join(dirname(dataFile()), 'backups');
}

export function isBackupName(name: string): boolean {
  return NAME.test(name);
}

/** Every backup that lies there whole, the newest first. */
export async function keptBackups(): Promise<readonly KeptBackup[]> {
  const folder = backupsFolder();
  if (!existsSync(folder)) return [];
  const found: KeptBackup[] = [];
  for (const name of await readdir(folder)) {
    const copy = join(folder, name, 'turnspit.sqlite');
    if (!isBackupName(name) || !existsSync(copy)) continue;
    const { mtime, size } = await stat(copy);
    found.push({ name, madeAt: mtime.toISOString(), bytes: size });
  }
  return found.sort((a, b) => (a.madeAt < b.madeAt ? 1 : -1));
}

export function keepBackup(name: string): Promise<Result<'written', BackupTrouble>> {
  return backUpInto(join(backupsFolder(), name));
}

export async function dropBackup(name: string): Promise<void> {
  if (isBackupName(name)) await rm(join(backupsFolder(), name), { recursive: true, force: true });
}

/** The files of a backup, by their way within it; none where there is no such backup. */
export async function backupFiles(name: string): Promise<readonly string[]> {
  const folder = join(backupsFolder(), name);
  if (!isBackupName(name) || !existsSync(join(folder, 'turnspit.sqlite'))) return [];
  const entries = await readdir(folder, { recursive: true, withFileTypes: true });
  return entries
    .filter(entry => entry.isFile())
    .map(entry => relative(folder, join(entry.parentPath, entry.name)))
    .sort();
}

/** One of `backupFiles`, piece by piece. */
export async function* readBackupFile(name: string, file: string): AsyncIterable<Uint8Array> {
  for await (const piece of createReadStream(join(backupsFolder(), name, file)))
    yield new Uint8Array(piece);
}
