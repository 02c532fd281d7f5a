import { z } from 'zod';
import { type Result, success } from '@/core/result';
import { fieldTroublesOf } from '@/core/trial/forms/field-troubles';
import type { Regret } from '@/core/trial/model/plan-record';
import type { TrialTrouble } from '@/core/trial/trial-trouble';
import { instantNow } from '@/service/garden/clock';
import { newId } from '@/service/garden/new-id';
import { addRegret } from '@/store/plan-records';
import { changeOneTrial, invalid, refused } from './change-trial';

const RegretForm = z.object({
  text: z
    .string()
    .trim()
    .min(3, 'Write what you would do otherwise.')
    .max(600, 'At most 600 characters.'),
  by: z.string().trim().max(80, 'At most 80 characters.').default(''),
});

/** Keeps what somebody would do otherwise, for the next trial. Of a closed one, too: that is when one knows. */
export function recordRegret(
  trialId: string,
  input: unknown,
): Promise<Result<Regret, TrialTrouble>> {
  return changeOneTrial(trialId, async (db, data) => {
    const what = 'regret noted';
    if (data.trial.state === 'planned') return refused(what, { kind: 'not-locked' });
    const parsed = RegretForm.safeParse(input);
    if (!parsed.success) return invalid(what, fieldTroublesOf(parsed.error));
    const noted: Regret = { id: newId(), at: instantNow(), ...parsed.data };
    await addRegret(db, trialId, noted);
    return { what, subjectId: noted.id, result: success(noted) };
  });
}
