import { z } from 'zod';
import {
  comparisonsToGuess,
  guessedComparisonWords,
} from '@/core/judge/question/comparisons-to-guess';
import { questionOf } from '@/core/judge/units/trial-analysis';
import { isInspected } from '@/core/measure/library/end-inspection';
import { type Result, success } from '@/core/result';
import { fieldTroublesOf } from '@/core/trial/forms/field-troubles';
import type { Foretold, Prediction } from '@/core/trial/model/plan-record';
import type { TrialData } from '@/core/trial/model/trial-data';
import type { TrialTrouble } from '@/core/trial/trial-trouble';
import { instantNow } from '@/service/garden/clock';
import { newId } from '@/service/garden/new-id';
import { addPrediction } from '@/store/plan-records';
import { changeOneTrial, invalid, refused } from './change-trial';

const PredictionForm = z.object({
  by: z.string().trim().min(1, 'Who says so?').max(80, 'At most 80 characters.'),
  /** A treatment's name, or of one comparison `more` or `less`; empty for “no difference that matters”. */
  expects: z.string().max(120),
  /** Another measure than the main one; empty for that. */
  measureId: z.union([z.literal(''), z.uuid()]).default(''),
  /** What is compared, by its words; empty for which treatment does best. */
  comparison: z.string().max(1000).default(''),
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
    const { by, why, about } = parsed.data;
    const isTooLate =
      about === '' ? data.picks.length > 0 || data.readings.length > 0 : isInspected(data);
    if (isTooLate) return refused(what, { kind: 'too-late-to-guess' });
    const guess = guessOf(data, parsed.data);
    if (!guess) return refused(what, { kind: 'changed-meanwhile' });
    const prediction: Prediction = {
      id: newId(),
      by,
      why,
      about,
      ...guess,
      sealedAt: instantNow(),
    };
    await addPrediction(db, trialId, prediction);
    return { what, detail: { by }, result: success({ by, sealedAt: prediction.sealedAt }) };
  });
}

/** @returns undefined where what it is about is not in the trial any more */
function guessOf(
  data: TrialData,
  { expects, measureId, comparison }: z.infer<typeof PredictionForm>,
): Pick<Prediction, 'expects' | 'measureId' | 'foretold'> | undefined {
  const measure = data.measures.find(each => each.id === measureId);
  if (measureId !== '' && !measure) return undefined;
  const ofMeasure = { measureId: measure && !measure.isMain ? measure.id : null };
  if (comparison === '') {
    const isKnown = expects === '' || data.treatments.some(treatment => treatment.name === expects);
    return isKnown
      ? { ...ofMeasure, expects: expects === '' ? null : expects, foretold: null }
      : undefined;
  }
  const compared = comparisonsToGuess(questionOf(data)).find(
    each => guessedComparisonWords(each) === comparison,
  );
  const way = WAYS[expects];
  return compared && way
    ? { ...ofMeasure, expects: null, foretold: { comparison: compared, way } }
    : undefined;
}

const WAYS: Readonly<Record<string, Foretold['way']>> = { more: 'more', less: 'less', '': 'same' };
