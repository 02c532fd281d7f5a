import { existsSync } from 'node:fs';
import { copyFile, cp, link, mkdir, readdir, rename, rm, stat } from 'node:fs/promises';
import { basename, dirname, join } from 'node:path';
import { failure, type Result, success } from '@/core/result';
import { checkDataFile, checkWritable, type DataFileTrouble } from './check-data-file';
import { holdDataFile } from './data-lock';
import { dataFile } from './database';
import { driverCode } from './driver-code';
import { copyWhole } from './open-safely';

/** What a backup is: one folder with a copy of the data file, and the pictures. */
const COPY = 'turnspit.sqlite';
const PICTURES = 'photos';

export type BackupTrouble =
  | DataFileTrouble
  | { readonly kind: 'not-empty'; readonly folder: string }
  | { readonly kind: 'no-backup'; readonly folder: string }
  | { readonly kind: 'not-written'; readonly folder: string; readonly finding: string }
  | { readonly kind: 'stands-already'; readonly file: string };

/** Writes a copy of everything into a new or empty folder, whole or not at all. The garden may be in use meanwhile. */
export async function backUpInto(folder: string): Promise<Result<'written', BackupTrouble>> {
  const isThere = existsSync(folder);
  if (isThere && (!(await stat(folder)).isDirectory() || (await readdir(folder)).length > 0))
    return failure({ kind: 'not-empty', folder });
  const coming = `${folder}.coming`;
  try {
    await rm(coming, { recursive: true, force: true });
    await mkdir(coming, { recursive: true });
    // The rows first: a picture that comes meanwhile is more than they know of, never less.
    await copyWhole(dataFile(), join(coming, COPY));
    const pictures = join(dirname(dataFile()), PICTURES);
    if (existsSync(pictures)) await linkAll(pictures, join(coming, PICTURES));
    if (isThere) await rm(folder, { recursive: true });
    await rename(coming, folder);
    return success('written');
  } catch (error) {
    // What can't be written can't always be taken away either.
    await rm(coming, { recursive: true, force: true }).catch(() => undefined);
    if (driverCode(error) === '') throw error;
    return failure({ kind: 'not-written', folder, finding: saysOf(error) });
  }
}

/** Pictures never change: on one disk a second name for the same bytes is a copy that costs nothing. */
async function linkAll(from: string, to: string): Promise<void> {
  await mkdir(to, { recursive: true });
  for (const entry of await readdir(from, { withFileTypes: true })) {
    const [here, there] = [join(from, entry.name), join(to, entry.name)];
    if (entry.isDirectory()) await linkAll(here, there);
    else if (entry.isFile() && !entry.name.endsWith('.part'))
      await link(here, there).catch(() => copyFile(here, there));
  }
}

/**
 * Puts a backup in the place of the data file, which no server may have open. What stood there is moved aside, not lost.
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
  // A database without a garden in it is no backup of one.
  if (checked.value === 'new') return failure({ kind: 'no-backup', folder });
  const writable = checkWritable(file);
  if (!writable.ok) return writable;
  const home = dirname(file);
  if (existsSync(file) && !mayReplace) return failure({ kind: 'stands-already', file });
  if (!holdDataFile(file)) return failure({ kind: 'in-use', file });
  try {
    // Written beside it first: a disk that runs full leaves what stood as it stood.
    await cp(copy, `${file}.coming`);
    if (existsSync(join(folder, PICTURES)))
      await cp(join(folder, PICTURES), join(home, `${PICTURES}.coming`), { recursive: true });
  } catch (error) {
    await rm(`${file}.coming`, { force: true });
    await rm(join(home, `${PICTURES}.coming`), { recursive: true, force: true });
    return failure({ kind: 'not-written', folder: home, finding: saysOf(error) });
  }
  const aside = await moveAside(home, file, stamp);
  await rename(`${file}.coming`, file);
  if (existsSync(join(home, `${PICTURES}.coming`)))
    await rename(join(home, `${PICTURES}.coming`), join(home, PICTURES));
  return success(aside);
}

/** Everything that stands there, pictures without a data file too. */
async function moveAside(home: string, file: string, stamp: string): Promise<string | null> {
  const name = basename(file);
  const ours = new Set([name, `${name}-wal`, `${name}-shm`, PICTURES]);
  const standing = (await readdir(home)).filter(each => ours.has(each));
  if (standing.length === 0) return null;
  const aside = join(home, `before-restore-${stamp}`);
  await mkdir(aside, { recursive: true });
  for (const each of standing) await rename(join(home, each), join(aside, each));
  return aside;
}

function saysOf(error: unknown): string {
  return error instanceof Error ? error.message : String(error);
}
