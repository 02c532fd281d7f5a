import type { Contrast, Judgement, Verdict } from '@/core/judge/outcomes/judgement';
import { isFound, isWorse } from '@/core/judge/verdict/call';
import type { Foretold, GuessedComparison, Prediction } from '@/core/trial/model/plan-record';
import { listed } from '@/core/words/listed';

/** What became of a guess. A verdict that can't tell makes nobody wrong. */
export type PredictionOutcome = 'came' | 'otherwise' | 'open';

/** What a judgement says, as far as guesses go; of verdicts of earlier versions some parts are missing. */
export interface GuessedJudgement
  extends Partial<Pick<Judgement, 'contrasts' | 'effects' | 'agreed' | 'trend'>> {
  readonly groups: readonly { readonly treatment: string }[];
  readonly verdict: Pick<Verdict, 'best' | 'call'>;
}

/** @param judgement of the measure that the guess is about; null where there is none any more */
export function outcomeOf(
  { expects, foretold }: Pick<Prediction, 'expects' | 'foretold'>,
  judgement: GuessedJudgement | null,
): PredictionOutcome {
  if (!judgement) return 'open';
  return foretold
    ? foretoldOutcome(foretold, judgement)
    : bestOutcome(expects, judgement.verdict, judgement.groups);
}

function bestOutcome(
  expects: string | null,
  { best, call }: GuessedJudgement['verdict'],
  groups: GuessedJudgement['groups'],
): PredictionOutcome {
  if (expects !== null && !groups.some(group => group.treatment === expects)) return 'open';
  if (best !== null) return expects === best ? 'came' : 'otherwise';
  if (isWorse(call) && expects === null) return 'otherwise';
  if (call === 'no-difference-that-matters') return expects === null ? 'came' : 'otherwise';
  return 'open';
}

function foretoldOutcome(
  { comparison, way }: Foretold,
  judgement: GuessedJudgement,
): PredictionOutcome {
  const found = contrastOf(comparison, judgement);
  if (!found?.estimable) return 'open';
  if (isFound(found))
    return way === (found.difference > 0 ? 'more' : 'less') ? 'came' : 'otherwise';
  if (found.call === 'no-difference-that-matters') return way === 'same' ? 'came' : 'otherwise';
  return 'open';
}

function contrastOf(
  comparison: GuessedComparison,
  { contrasts = [], effects = [], agreed = null, trend = null }: GuessedJudgement,
): Contrast | undefined {
  switch (comparison.kind) {
    case 'control':
      return contrasts.find(
        each => each.treatment === comparison.treatment && each.control === comparison.control,
      );
    case 'level':
      return effects.find(
        each =>
          each.factor === comparison.factor &&
          each.level === comparison.level &&
          each.against === comparison.against &&
          isSamePlace(each.within, comparison.within),
      );
    case 'trend':
      return trend?.treatment === comparison.most && trend.control === comparison.least
        ? trend
        : undefined;
    case 'agreed':
      return agreed?.treatment === listed(comparison.one) &&
        agreed.control === listed(comparison.other)
        ? agreed
        : undefined;
  }
}

type Within = Readonly<Record<string, string>> | null;

function isSamePlace(a: Within, b: Within): boolean {
  if (a === null || b === null) return a === b;
  const factors = Object.keys(a);
  return (
    factors.length === Object.keys(b).length && factors.every(factor => a[factor] === b[factor])
  );
}

/** A guess and what became of it. */
export interface SettledGuess {
  readonly prediction: Prediction;
  readonly outcome: PredictionOutcome;
  /** How likely it would come by the toss of a die with a face for each answer that there was. */
  readonly byChance: number;
}

export function settledGuess(
  prediction: Prediction,
  judgement: GuessedJudgement | null,
): SettledGuess {
  const answers = prediction.foretold ? 3 : (judgement?.groups.length ?? 0) + 1;
  return { prediction, outcome: outcomeOf(prediction, judgement), byChance: 1 / answers };
}

/** How somebody's guesses did over all closed trials. */
export interface PredictionScore {
  readonly by: string;
  /** Guesses that a verdict settled, and how many of those came. */
  readonly settled: number;
  readonly came: number;
  readonly open: number;
  /** How many of the settled ones a die would have got right. */
  readonly byChance: number;
}

/** Names are taken as written, big and small letters alike. In the order of the first guess. What is foretold of the end inspection is none. */
export function predictionScores(guesses: readonly SettledGuess[]): readonly PredictionScore[] {
  const records = new Map<string, PredictionScore>();
  for (const { prediction, outcome, byChance } of guesses) {
    if (prediction.about !== '') continue;
    const by = prediction.by.trim();
    const key = by.toLowerCase();
    const record = records.get(key) ?? { by, settled: 0, came: 0, open: 0, byChance: 0 };
    records.set(
      key,
      outcome === 'open'
        ? { ...record, open: record.open + 1 }
        : {
            ...record,
            settled: record.settled + 1,
            came: record.came + Number(outcome === 'came'),
            byChance: record.byChance + byChance,
          },
    );
  }
  return [...records.values()];
}
