import { type PredictionScore, predictionScores } from '@/core/judge/after/prediction-scores';
import { type FrozenJudgement, inShort } from '@/core/judge/verdict/in-short';
import type { Prediction } from '@/core/trial/model/plan-record';
import type { TrialData } from '@/core/trial/model/trial-data';
import { database } from '@/store/connection/database';
import { guessesByTrial } from '@/store/plan-records';
import { frozenTrials } from '@/store/verdicts';

/** What was guessed, opened. */
export interface OpenedPredictions {
  readonly predictions: readonly Prediction[];
  /** How those who guessed here have guessed over all closed trials. */
  readonly records: readonly PredictionScore[];
}

/** While a trial runs nobody's guess is told. */
export async function openedPredictions(data: TrialData): Promise<OpenedPredictions> {
  if (data.trial.state !== 'closed' || data.predictions.length === 0)
    return { predictions: [], records: [] };
  const guesses = await guessesByTrial(database());
  const here = new Set(
    (guesses.get(data.trial.id) ?? []).map(guess => guess.by.trim().toLowerCase()),
  );
  const trials = (await frozenTrials(database())).flatMap(({ trialId, judgement }) => {
    const frozen: FrozenJudgement = JSON.parse(judgement);
    const { best, call } = inShort(frozen);
    return [
      { predictions: guesses.get(trialId) ?? [], best, call, treatments: frozen.groups.length },
    ];
  });
  return {
    predictions: data.predictions,
    records: predictionScores(trials).filter(record => here.has(record.by.toLowerCase())),
  };
}
