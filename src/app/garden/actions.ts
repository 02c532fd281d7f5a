'use server';

import { revalidatePath } from 'next/cache';
import { isKeeper, KEEPER_ONLY } from '@/app/role';
import { failure, type Result, success } from '@/core/result';
import { backupSentence } from '@/service/files/backup';
import { backUpNow } from '@/service/files/daily-backups';
import { leaveDemoDay, saveGarden } from '@/service/garden/garden';

/** A public door. @returns the troubles by field; undefined when it was saved */
export async function saveGardenAction(input: unknown) {
  if (!(await isKeeper())) return { form: KEEPER_ONLY };
  const saved = await saveGarden(input);
  if (!saved.ok) return saved.trouble;
  revalidatePath('/', 'layout');
  return undefined;
}

/** A public door: the keeper's alone. */
export async function leaveDemoDayAction(): Promise<Result<'left', string>> {
  if (!(await isKeeper())) return failure(KEEPER_ONLY);
  await leaveDemoDay();
  revalidatePath('/', 'layout');
  return success('left');
}

/** A public door. @returns the backup's name, or what stood in its way */
export async function makeBackupAction(): Promise<Result<string, string>> {
  if (!(await isKeeper())) return failure(KEEPER_ONLY);
  const made = await backUpNow('by-hand');
  if (!made.ok) return failure(backupSentence(made.trouble));
  revalidatePath('/garden');
  return made;
}
