import { type JudgeInput, testsOf } from '@/core/judge/question/judge-input';
import { callOf, marginAmount } from '@/core/judge/verdict/call';
import type { PermutationProblem } from '@/core/stats/permutation/permutation-problem';
import { runPermutationTest } from '@/core/stats/permutation/permutation-test';
import type { Contrast, EstimableContrast, Interval } from './judgement';

/** Enough for a call at five in a hundred. */
const DEALS = 4000;

/**
 * Calls that rest on the deals. All slugs on one side and none on the other: units treated alike don't differ at all, so there
 * is no spread to judge by, but how rarely the deal alone parts them so cleanly is known. And of one yes or no a unit the deals
 * of all treatments within their blocks are the exact test.
 *
 * @param level the control's, which a margin in percent is a percentage of
 */
export function calledByDeals(
  input: JudgeInput,
  contrasts: readonly Contrast[],
  problem: PermutationProblem | undefined,
  level: number,
): readonly Contrast[] {
  const found = problem && runPermutationTest(problem, DEALS, input.seed);
  const tests = testsOf(input);
  return contrasts.map(contrast => {
    const own = found?.comparisons.find(
      comparison => tests[comparison.treatment - 1] === contrast.treatment,
    );
    if (!contrast.estimable || !own || isAlone(input, contrast)) return contrast;
    const isSure = own.pAdjusted < 1 - input.confidence && contrast.difference !== 0;
    const { p, pAdjusted } = own;
    const ciAdjusted = onItsSide(contrast.ciAdjusted, contrast.difference, isSure);
    const ends = ciAdjusted ?? (isSure ? pointOf(contrast.difference) : null);
    return {
      ...contrast,
      p,
      pAdjusted,
      ciAdjusted,
      call: ends
        ? callOf(
            {
              adjusted: ends,
              equivalence: contrast.ciEquivalence ?? ends,
              margin: ciAdjusted ? marginAmount(input.margin, level) : 0,
            },
            input.better,
          )
        : 'cant-tell',
    };
  });
}

/** One unit has no test, whatever the deals of the others say. */
function isAlone(input: JudgeInput, { treatment, control }: EstimableContrast): boolean {
  return [treatment, control].some(
    name => input.units.filter(unit => unit.treatment === name && unit.value !== null).length < 2,
  );
}

const BARELY = 1e-9;

/** Where the deals are sure of a side the interval ends short of nothing; where they aren't, it holds it. */
function onItsSide(
  interval: Interval | null,
  difference: number,
  isSure: boolean,
): Interval | null {
  if (!interval) return null;
  const [low, high] = interval;
  if (!isSure) return [Math.min(0, low), Math.max(0, high)];
  return difference > 0 ? [Math.max(BARELY, low), high] : [low, Math.min(-BARELY, high)];
}

function pointOf(difference: number): Interval {
  return [difference, difference];
}
