import { type JudgeInput, testsOf } from '@/core/judge/question/judge-input';
import type { PermutationProblem } from '@/core/stats/permutation/permutation-problem';
import { runPermutationTest } from '@/core/stats/permutation/permutation-test';
import type { Contrast } from './judgement';

/** Enough for a call at five in a hundred. */
const DEALS = 4000;

/**
 * All slugs on one side and none on the other: units treated alike don't differ at all, so there is no spread to judge by, but
 * how rarely the deal alone parts them so cleanly is known.
 */
export function calledByDeals(
  input: JudgeInput,
  contrasts: readonly Contrast[],
  problem: PermutationProblem | undefined,
): readonly Contrast[] {
  const found = problem && runPermutationTest(problem, DEALS, input.seed);
  const tests = testsOf(input);
  return contrasts.map(contrast => {
    const own = found?.comparisons.find(
      comparison => tests[comparison.treatment - 1] === contrast.treatment,
    );
    if (!contrast.estimable || !own) return contrast;
    const isSure = own.pAdjusted < 1 - input.confidence && contrast.difference !== 0;
    const isGood = contrast.difference > 0 === (input.better === 'higher');
    return {
      ...contrast,
      p: own.p,
      pAdjusted: own.pAdjusted,
      call: isSure ? (isGood ? 'better' : 'worse') : 'cant-tell',
    };
  });
}
