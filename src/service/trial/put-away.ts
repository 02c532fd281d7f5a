import { failure, type Result, success } from '@/core/result';
import type { TrialTrouble } from '@/core/trial/trial-trouble';
import { backUpNow } from '@/service/files/daily-backups';
import { instantNow } from '@/service/garden/clock';
import { logChange } from '@/store/changes';
import { database, inTransaction } from '@/store/connection/database';
import { removePhotosOf } from '@/store/photo-files';
import { bringBack, deleteTrialRows, putAway, putAwayIds } from '@/store/put-away';
import { changeOneTrial } from './change-trial';

/** Puts a trial away: nothing of it is due or listed any more, and all of it is kept. */
export function putTrialAway(trialId: string): Promise<Result<true, TrialTrouble>> {
  return changeOneTrial(trialId, async db => {
    await putAway(db, trialId, instantNow());
    return { what: 'put away', result: success(true) };
  });
}

/** Takes a trial out again. */
export function bringTrialBack(trialId: string): Promise<Result<true, TrialTrouble>> {
  return changeOneTrial(trialId, async db => {
    await bringBack(db, trialId);
    return { what: 'brought back', result: success(true) };
  });
}

/**
 * Deletes a trial that was put away, with its pictures, after a backup that holds it. Nothing is deleted where that can't be made.
 *
 * @returns the backup's name
 */
export async function deleteTrial(trialId: string): Promise<Result<string, TrialTrouble>> {
  if (!(await putAwayIds(database())).has(trialId)) return failure({ kind: 'changed-meanwhile' });
  const made = await backUpNow('before-delete');
  if (!made.ok) return failure({ kind: 'no-backup' });
  const deleted = await inTransaction(async (db): Promise<Result<string, TrialTrouble>> => {
    if (!(await putAwayIds(db)).has(trialId)) return failure({ kind: 'changed-meanwhile' });
    await deleteTrialRows(db, trialId);
    await logChange(db, {
      at: instantNow(),
      trialId,
      what: 'deleted',
      subjectId: null,
      detail: JSON.stringify({ backup: made.value }),
    });
    return success(made.value);
  });
  if (deleted.ok) await removePhotosOf(trialId);
  return deleted;
}
