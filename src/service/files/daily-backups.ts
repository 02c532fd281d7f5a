import { failure, type Result, success } from '@/core/result';
import { keptDays } from '@/core/time/kept-days';
import { realInstant, realToday } from '@/service/garden/clock';
import { currentGarden } from '@/service/garden/garden';
import type { BackupTrouble } from '@/store/connection/backup';
import { database } from '@/store/connection/database';
import {
  dropBackup,
  type KeptBackup,
  keepBackup,
  keptBackups,
} from '@/store/connection/kept-backups';
import { trialsOf } from '@/store/trials';

const HOUR_MS = 3_600_000;
const DAILY = /^daily-(\d{4}-\d{2}-\d{2})$/;

/** Looks every hour, from the start on, whether the day has its backup. */
export function keepBackups(): void {
  const look = (): void => {
    backUpToday().catch((error: unknown) => {
      process.stderr.write(`No backup could be made: ${String(error)}\n`);
    });
  };
  look();
  setInterval(look, HOUR_MS).unref();
}

/** Makes the day's backup unless it is there or there is nothing to keep, and lets go of what the rotation no longer keeps. */
export async function backUpToday(): Promise<Result<'written' | 'nothing to do', BackupTrouble>> {
  const all = await keptBackups();
  const name = `daily-${realToday()}`;
  const isMade = all.some(each => each.name === name);
  if (isMade || (await trialsOf(database(), (await currentGarden()).id)).length === 0)
    return success('nothing to do');
  const made = await keepBackup(name);
  if (!made.ok) {
    process.stderr.write(`No backup could be made (${made.trouble.kind}).\n`);
    return made;
  }
  const days = [...all.map(each => each.name), name].flatMap(each => DAILY.exec(each)?.[1] ?? []);
  const kept = keptDays(days, realToday());
  for (const day of days) if (!kept.has(day)) await dropBackup(`daily-${day}`);
  return made;
}

/** Makes one at once. @param why stands in its name: letters and hyphens */
export async function backUpNow(
  why: 'by-hand' | 'before-delete',
): Promise<Result<string, BackupTrouble>> {
  const [day = '', time = ''] = realInstant().split('T');
  const name = `${why}-${day}-${time.replace(/\D/g, '').slice(0, 9)}`;
  const made = await keepBackup(name);
  return made.ok ? success(name) : failure(made.trouble);
}

/** The backups that lie beside the data file, the newest first. */
export function listBackups(): Promise<readonly KeptBackup[]> {
  return keptBackups();
}
