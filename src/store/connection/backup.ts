import { existsSync } from 'node:fs';
import { cp, mkdir, readdir, rename, rm } from 'node:fs/promises';
import { basename, dirname, join } from 'node:path';
import { failure, type Result, success } from '@/core/result';
import { type Database, dataFile } from './database';
import { checkDataFile, type DataFileTrouble } from './open-safely';

/** What a backup is: one folder with a copy of the data file, and the pictures. */
const COPY = 'turnspit.sqlite';
const PICTURES = 'photos';

export type BackupTrouble =
  | DataFileTrouble
  | { readonly kind: 'not-empty'; readonly folder: string }
  | { readonly kind: 'no-backup'; readonly folder: string }
  | { readonly kind: 'stands-already'; readonly file: string };

/** Writes a copy of everything into a new or empty folder, by SQLite itself, so that it may go on being written to meanwhile. */
export async function backUpInto(
  db: Database,
  folder: string,
): Promise<Result<'written', BackupTrouble>> {
  if (existsSync(folder) && (await readdir(folder)).length > 0)
    return failure({ kind: 'not-empty', folder });
  await mkdir(folder, { recursive: true });
  await db.raw('VACUUM INTO ?', [join(folder, COPY)]);
  const pictures = join(dirname(dataFile()), PICTURES);
  if (existsSync(pictures)) await cp(pictures, join(folder, PICTURES), { recursive: true });
  return success('written');
}

/**
 * Puts a backup in the place of the data file, which nobody may have open. What stood there is moved aside, not lost.
 *
 * @param mayReplace whether a data file may stand there already
 * @returns where what stood there lies now; null where nothing stood
 */
export async function restoreFrom(
  folder: string,
  mayReplace: boolean,
  stamp: string,
): Promise<Result<string | null, BackupTrouble>> {
  const [copy, file] = [join(folder, COPY), dataFile()];
  if (!existsSync(copy)) return failure({ kind: 'no-backup', folder });
  const checked = checkDataFile(copy);
  if (!checked.ok) return checked;
  const home = dirname(file);
  const stands = existsSync(file);
  if (stands && !mayReplace) return failure({ kind: 'stands-already', file });
  await mkdir(home, { recursive: true });
  // Written beside it first: a disk that runs full leaves what stood as it stood.
  await cp(copy, `${file}.coming`);
  if (existsSync(join(folder, PICTURES)))
    await cp(join(folder, PICTURES), join(home, `${PICTURES}.coming`), { recursive: true });
  const aside = stands ? join(home, `before-restore-${stamp}`) : null;
  if (aside !== null) {
    await mkdir(aside, { recursive: true });
    for (const name of [basename(file), `${basename(file)}-wal`, `${basename(file)}-shm`, PICTURES])
      if (existsSync(join(home, name))) await rename(join(home, name), join(aside, name));
  }
  await rename(`${file}.coming`, file);
  await rm(join(home, PICTURES), { recursive: true, force: true });
  if (existsSync(join(home, `${PICTURES}.coming`)))
    await rename(join(home, `${PICTURES}.coming`), join(home, PICTURES));
  return success(aside);
}
