import { z } from 'zod';
import { isInspected } from '@/core/measure/library/end-inspection';
import { type Result, success } from '@/core/result';
import { fieldTroublesOf } from '@/core/trial/forms/field-troubles';
import type { Prediction } from '@/core/trial/model/plan-record';
import type { TrialTrouble } from '@/core/trial/trial-trouble';
import { instantNow } from '@/service/garden/clock';
import { newId } from '@/service/garden/new-id';
import { addPrediction } from '@/store/plan-records';
import { changeOneTrial, invalid, refused } from './change-trial';

const PredictionForm = z.object({
  by: z.string().trim().min(1, 'Who says so?').max(80, 'At most 80 characters.'),
  /** A treatment's name; empty for “no difference that matters”. */
  expects: z.string().max(120),
  /** Of the end inspection: what is to be found. Empty: which treatment does best. */
  about: z.string().trim().max(120, 'At most 120 characters.').default(''),
  why: z
    .string()
    .trim()
    .min(3, 'Say why: that is what the trial can teach.')
    .max(600, 'At most 600 characters.'),
});

/**
 * Seals what somebody expects. It can't be changed, and opens with the verdict. Before the first entry only: later it is no
 * guess. What is foretold of the end inspection may come until its first finding.
 */
export function predict(
  trialId: string,
  input: unknown,
): Promise<Result<Pick<Prediction, 'by' | 'sealedAt'>, TrialTrouble>> {
  return changeOneTrial(trialId, async (db, data) => {
    const what = 'prediction sealed';
    if (data.trial.state === 'closed') return refused(what, { kind: 'closed' });
    const parsed = PredictionForm.safeParse(input);
    if (!parsed.success) return invalid(what, fieldTroublesOf(parsed.error));
    const { by, expects, why, about } = parsed.data;
    const isTooLate =
      about === '' ? data.picks.length > 0 || data.readings.length > 0 : isInspected(data);
    if (isTooLate) return refused(what, { kind: 'too-late-to-guess' });
    if (expects !== '' && !data.treatments.some(treatment => treatment.name === expects))
      return refused(what, { kind: 'changed-meanwhile' });
    const prediction: Prediction = {
      id: newId(),
      by,
      expects: expects === '' ? null : expects,
      why,
      about,
      sealedAt: instantNow(),
    };
    await addPrediction(db, trialId, prediction);
    return { what, detail: { by }, result: success({ by, sealedAt: prediction.sealedAt }) };
  });
}
