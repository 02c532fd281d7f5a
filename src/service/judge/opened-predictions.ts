import {
  type GuessedJudgement,
  type PredictionScore,
  predictionScores,
  type SettledGuess,
  settledGuess,
} from '@/core/judge/after/prediction-scores';
import { type FrozenJudgement, inShort } from '@/core/judge/verdict/in-short';
import type { Prediction } from '@/core/trial/model/plan-record';
import type { TrialData } from '@/core/trial/model/trial-data';
import { findTrial } from '@/service/trial/trials';
import { database } from '@/store/connection/database';
import { guessesByTrial } from '@/store/plan-records';
import { frozenTrials } from '@/store/verdicts';
import { analysisSpecOf, verdictUnder } from './verdict';

/** What was guessed, opened. */
export interface OpenedPredictions {
  /** Each beside what came of it by the frozen verdict; of another measure by the look that was planned. */
  readonly guesses: readonly SettledGuess[];
  /** How those who guessed here have guessed over all closed trials. */
  readonly records: readonly PredictionScore[];
}

/** While a trial runs nobody's guess is told. */
export async function openedPredictions(data: TrialData): Promise<OpenedPredictions> {
  if (data.trial.state !== 'closed' || data.predictions.length === 0)
    return { guesses: [], records: [] };
  const byTrial = await guessesByTrial(database());
  const settled: SettledGuess[] = [];
  let here: readonly SettledGuess[] = [];
  for (const { trialId, judgement } of await frozenTrials(database())) {
    const isHere = trialId === data.trial.id;
    const predictions = isHere ? data.predictions : (byTrial.get(trialId) ?? []);
    const guesses = await settledGuesses(trialId, predictions, judgedOf(judgement));
    settled.push(...guesses);
    if (isHere) here = guesses;
  }
  const guessers = new Set(here.map(guess => guess.prediction.by.trim().toLowerCase()));
  return {
    guesses: here,
    records: predictionScores(settled).filter(record => guessers.has(record.by.toLowerCase())),
  };
}

/** @param main the frozen judgement, of the main measure */
async function settledGuesses(
  trialId: string,
  predictions: readonly Prediction[],
  main: GuessedJudgement,
): Promise<readonly SettledGuess[]> {
  const isOfOther = predictions.some(prediction => prediction.measureId !== null);
  const data = isOfOther ? await findTrial(trialId) : undefined;
  const guesses: SettledGuess[] = [];
  for (const prediction of predictions) {
    const measure = data?.measures.find(each => each.id === prediction.measureId);
    const judgement =
      prediction.measureId === null || measure?.isMain
        ? main
        : data && measure
          ? verdictUnder(data, await analysisSpecOf(data, measure.id)).judgement
          : null;
    guesses.push(settledGuess(prediction, judgement));
  }
  return guesses;
}

function judgedOf(frozen: string): GuessedJudgement {
  const judgement: FrozenJudgement = JSON.parse(frozen);
  return { ...judgement, verdict: inShort(judgement) };
}
