import type { Interval } from '@/core/judge/outcomes/judgement';
import type { BlockOfTwo, OutcomeInput } from '@/core/judge/question/outcome-input';
import { tQuantile } from '@/core/stats/distributions/distributions';
import { signFlipP } from '@/core/stats/permutation/permutation-sum-test';
import { differencesOf, spreadOfDifferences } from './outcome-differences';
import { both, type OutcomeTest } from './outcome-test';
import { isYesNo, shareOf, singlesInterval } from './test-shares';

/** Differences of pairs, their signs tossed again. A pair that lost one of its two says nothing. */
export function testPairs(
  input: OutcomeInput,
  blocks: readonly BlockOfTwo[],
): OutcomeTest | undefined {
  const differences = differencesOf(blocks);
  if (differences.length === 0) return undefined;
  const test = signFlipP(differences, input.seed);
  const { mean, se, n } = spreadOfDifferences(differences);
  const { treated, control } = both(
    blocks.filter(block => block.treated.length > 0 && block.control.length > 0),
  );
  // Of yes and no a few pairs often give one and the same difference: the interval is that of the two shares, as if they were no pairs.
  const around = (confidence: number): Interval | null => {
    if (isYesNo(input)) return singlesInterval(shareOf(treated), shareOf(control), confidence);
    if (!(se > 0)) return null;
    const half = tQuantile(1 - (1 - confidence) / 2, n - 1) * se;
    return [mean - half, mean + half];
  };
  return {
    method: 'sign-flip',
    p: test.p,
    shuffleP: test.p,
    unitP: test.p,
    difference: mean,
    intervalAt: around,
    effectAt: () => null,
  };
}
