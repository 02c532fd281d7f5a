import { type TrackRecord, trackRecords } from '@/core/judge/after/prediction-scores';
import type { Judgement } from '@/core/judge/outcomes/judgement';
import type { KindJudgement } from '@/core/judge/outcomes/outcome-judgement';
import { inShort } from '@/core/judge/verdict/planned-verdict';
import type { Prediction } from '@/core/trial/model/plan-record';
import type { TrialData } from '@/core/trial/model/trial-data';
import { database } from '@/store/connection/database';
import { guessesByTrial } from '@/store/plan-records';
import { frozenTrials } from '@/store/verdicts';

/** What was guessed, opened. */
export interface OpenedGuesses {
  readonly predictions: readonly Prediction[];
  /** How those who guessed here have guessed over all closed trials. */
  readonly records: readonly TrackRecord[];
}

/** While a trial runs nobody's guess is told. */
export async function openedGuesses(data: TrialData): Promise<OpenedGuesses> {
  if (data.trial.state !== 'closed' || data.predictions.length === 0)
    return { predictions: [], records: [] };
  const guesses = await guessesByTrial(database());
  const here = new Set(
    (guesses.get(data.trial.id) ?? []).map(guess => guess.by.trim().toLowerCase()),
  );
  const trials = (await frozenTrials(database())).flatMap(({ trialId, judgement }) => {
    const frozen: Judgement | KindJudgement = JSON.parse(judgement);
    const { best, call } = inShort(frozen);
    return [
      { predictions: guesses.get(trialId) ?? [], best, call, treatments: frozen.groups.length },
    ];
  });
  return {
    predictions: data.predictions,
    records: trackRecords(trials).filter(record => here.has(record.by.toLowerCase())),
  };
}
