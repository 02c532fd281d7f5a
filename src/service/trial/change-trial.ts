import { failure, type Result } from '@/core/result';
import type { FieldTroubles } from '@/core/trial/forms/field-troubles';
import type { Trial } from '@/core/trial/model/trial';
import type { TrialData } from '@/core/trial/model/trial-data';
import type { TrialTrouble } from '@/core/trial/trial-trouble';
import { instantNow } from '@/service/garden/clock';
import { logChange } from '@/store/changes';
import { type Database, inTransaction, isDiskFull } from '@/store/connection/database';
import { findTrialData } from '@/store/trials';

/** What a change did, for the log. */
export interface Done<Value> {
  readonly result: Result<Value, TrialTrouble>;
  readonly what: string;
  readonly subjectId?: string;
  readonly detail?: Readonly<Record<string, unknown>>;
}

/** A change that was not made, and why. */
export function refused(what: string, trouble: TrialTrouble): Done<never> {
  return { what, result: failure(trouble) };
}

/** A change that was not made for what stands in its form: one sentence a field. */
export function invalid(what: string, fields: FieldTroubles): Done<never> {
  return refused(what, { kind: 'invalid', fields });
}

/** Makes one change to a trial, whole or not at all, and puts it in the log. */
export function changeOneTrial<Value>(
  trialId: string,
  change: (db: Database, data: TrialData) => Promise<Done<Value>>,
): Promise<Result<Value, TrialTrouble>> {
  return whileThereIsRoom(async db => {
    const data = await findTrialData(db, trialId);
    if (!data) return failure({ kind: 'no-such-trial' });
    const { result, what, subjectId, detail } = await change(db, data);
    if (result.ok)
      await logChange(db, {
        at: instantNow(),
        trialId,
        what,
        subjectId: subjectId ?? null,
        detail: JSON.stringify(detail ?? {}),
      });
    return result;
  });
}

/** A change whole or not at all; a disk without room is said, not thrown. */
export function whileThereIsRoom<Value>(
  work: (db: Database) => Promise<Result<Value, TrialTrouble>>,
): Promise<Result<Value, TrialTrouble>> {
  return orNoRoom({ kind: 'disk-full' }, () => inTransaction(work));
}

/** What the work answers, or `noRoom` where the disk was full: then nothing of it was written. */
export async function orNoRoom<Value, Trouble>(
  noRoom: Trouble,
  work: () => Promise<Result<Value, Trouble>>,
): Promise<Result<Value, Trouble>> {
  try {
    return await work();
  } catch (error) {
    if (isDiskFull(error)) return failure(noRoom);
    throw error;
  }
}

/** What keeps a trial in this state from being weighed or judged further; undefined where nothing does. */
export function entryTrouble(trial: Trial): TrialTrouble | undefined {
  if (trial.state === 'planned') return { kind: 'not-locked' };
  return trial.state === 'closed' ? { kind: 'closed' } : undefined;
}
