import type { TrialModel } from '@/core/design/linear/trial-model';
import { ruleOfLayout } from '@/core/judge/outcomes/re-randomisation-of';
import { type JudgeInput, testsOf } from '@/core/judge/question/judge-input';
import { countReRandomisations } from '@/core/stats/permutation/re-randomisation';

/**
 * The smallest p that the largest gap of all comparisons can reach by this layout's deals, however the units turn out. Deals
 * that only swap whole treatments put the same units side by side again, and are as good: treatments that stand equally often
 * among each other, and for the control, where all stand as often as it does.
 *
 * @param trial the input's units that were read, or that are planned
 */
export function smallestDealP(input: JudgeInput, trial: TrialModel): number {
  const arrangements = countReRandomisations(ruleOfLayout(input, trial));
  return Math.min(1, alikeDeals(input, trial) / arrangements);
}

function alikeDeals(input: JudgeInput, trial: TrialModel): number {
  // The factors of a split plot are dealt each at its own level: their swaps are fewer.
  if (trial.wholePlot) return 1;
  const placesOf = (name: string): string =>
    JSON.stringify(
      trial.units
        .filter(unit => unit.treatment === name)
        .map(unit => unit.blocks)
        .sort(),
    );
  const tests = testsOf(input).map(placesOf);
  const control = placesOf(input.control);
  const swaps = [...new Set(tests)].reduce(
    (product, places) => product * factorial(tests.filter(each => each === places).length),
    1,
  );
  return tests.every(places => places === control) ? 2 * swaps : swaps;
}

function factorial(n: number): number {
  return n < 2 ? 1 : n * factorial(n - 1);
}
