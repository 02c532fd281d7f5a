import { judgeWithoutShuffle } from '@/core/judge/outcomes/judge';
import { askedComparisonsOf } from '@/core/judge/question/asked-comparisons';
import { seededRandom } from '@/core/stats/distributions/seeded-random';
import { type PlannedTrial, plannedInput } from './planned-input';
import { guessedTruth, plannedGain } from './planning-guess';
import { madeUpSeason } from './simulate-seasons';

/** What a planned trial would say in one made-up season. */
export interface DryRun {
  readonly story: string;
  readonly headline: string;
  readonly detail: string;
}

/** What is weighed, where no share of it matters. */
const USUAL_LEVEL = 100;

/**
 * Fills the plan with made-up readings and judges them as the real ones will be: nothing works, what is asked about gives
 * twice what is worth having, or does as much harm. Shows whether the answer would fit the question.
 *
 * @param cv spread of units treated alike, as a share of the mean; of steps the starting guess is taken
 */
export function dryRuns(plan: PlannedTrial, cv: number, seed: number): readonly DryRun[] {
  const { reading, margin, better } = plan;
  const guessed = guessedTruth(reading, margin, better);
  const level = guessed.level === 1 ? USUAL_LEVEL : guessed.level;
  const spread = reading.outcome === 'ordinal' ? guessed.cv / 2 : cv;
  const gain = 2 * plannedGain(reading, margin, level);
  const planned = plannedInput(plan, seed);
  const asked = askedComparisonsOf(planned)[0];
  return [
    { story: 'If nothing works', effect: 0 },
    { story: `If ${asked?.name} gives twice what is worth having`, effect: gain },
    { story: `If ${asked?.name} does harm`, effect: -gain },
  ].map(({ story, effect }, i): DryRun => {
    const truth = { cv: spread, level, effect, raised: asked?.raised ?? {} };
    const season = madeUpSeason(planned, reading, truth, seededRandom(seed + i));
    const { verdict } = judgeWithoutShuffle(season);
    return { story, headline: verdict.headline, detail: verdict.detail };
  });
}
