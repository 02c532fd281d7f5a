import type { Result } from '@/core/result';
import { realInstant } from '@/service/garden/clock';
import { dataFileSentence } from '@/service/garden/start';
import { type BackupTrouble, backUpInto, restoreFrom } from '@/store/connection/backup';
import { closeDatabase } from '@/store/connection/database';

/** Copies the garden, with its pictures, into a folder. It may be in use meanwhile. */
export function backUp(folder: string): Promise<Result<'written', BackupTrouble>> {
  return backUpInto(folder);
}

/** Puts a backup in the place of the garden; Turnspit must not be running on it. */
export async function restore(
  folder: string,
  mayReplace: boolean,
): Promise<Result<string | null, BackupTrouble>> {
  await closeDatabase();
  return restoreFrom(
    folder,
    mayReplace,
    realInstant()
      .replace(/[^0-9]/g, '')
      .slice(0, 14),
  );
}

/** What stands in the way of a backup or of its return, in plain words. */
export function backupSentence(trouble: BackupTrouble): string {
  switch (trouble.kind) {
    case 'not-empty':
      return `${trouble.folder} is not empty: name a new folder, so that no earlier backup is written over.`;
    case 'no-backup':
      return `${trouble.folder} holds no backup: turnspit.sqlite is missing in it.`;
    case 'stands-already':
      return `${trouble.file} stands there already. Stop Turnspit and say --replace: what stands there is moved aside, not lost.`;
    case 'not-written':
      return `${trouble.folder} could not be written (${trouble.finding}). Nothing was changed. Is there room on the disk?`;
    default:
      return dataFileSentence(trouble);
  }
}
