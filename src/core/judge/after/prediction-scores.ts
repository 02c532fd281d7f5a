import type { Call } from '@/core/judge/outcomes/judgement';
import { isWorse } from '@/core/judge/verdict/call';
import type { Prediction } from '@/core/trial/model/plan-record';

/** What became of a guess. A verdict that can't tell makes nobody wrong. */
export type PredictionOutcome = 'came' | 'otherwise' | 'open';

export function outcomeOf(
  expects: string | null,
  best: string | null,
  call: Call,
): PredictionOutcome {
  if (best !== null) return expects === best ? 'came' : 'otherwise';
  if (isWorse(call) && expects === null) return 'otherwise';
  if (call === 'no-difference-that-matters') return expects === null ? 'came' : 'otherwise';
  return 'open';
}

/** A closed trial, as far as guesses go. */
export interface PredictedTrial {
  readonly predictions: readonly Prediction[];
  readonly best: string | null;
  readonly call: Call;
  readonly treatments: number;
}

/** How somebody's guesses did over all closed trials. */
export interface PredictionScore {
  readonly by: string;
  /** Guesses that a verdict settled, and how many of those came. */
  readonly settled: number;
  readonly came: number;
  readonly open: number;
  /** How many of the settled ones would come by the toss of a die with a face for each treatment and one for “no difference”. */
  readonly byChance: number;
}

/** Names are taken as written, big and small letters alike. In the order of the first guess. */
export function predictionScores(trials: readonly PredictedTrial[]): readonly PredictionScore[] {
  const records = new Map<string, PredictionScore>();
  for (const { predictions, best, call, treatments } of trials)
    for (const { by, expects, about } of predictions) {
      if (about !== '') continue;
      const key = by.trim().toLowerCase();
      const record = records.get(key) ?? {
        by: by.trim(),
        settled: 0,
        came: 0,
        open: 0,
        byChance: 0,
      };
      const outcome = outcomeOf(expects, best, call);
      records.set(
        key,
        outcome === 'open'
          ? { ...record, open: record.open + 1 }
          : {
              ...record,
              settled: record.settled + 1,
              came: record.came + Number(outcome === 'came'),
              byChance: record.byChance + 1 / (treatments + 1),
            },
      );
    }
  return [...records.values()];
}
