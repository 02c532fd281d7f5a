import type { TrialModel } from '@/core/design/linear/trial-model';
import type { JudgeInput } from '@/core/judge/question/judge-input';
import { tQuantile, tTwoSidedP } from '@/core/stats/distributions/distributions';
import { studentizedRange } from '@/core/stats/distributions/studentized-range';
import type { LinearModel } from '@/core/stats/linear/linear-model';
import { replicatedIn } from './comparisons';
import type { EffectError } from './error-strata';
import type { Pair } from './judgement';

/**
 * Every pair of treatments by Tukey-Kramer. Kramer (1956), Biometrics 12, 307-310.
 *
 * @returns pairs with the later treatment first, as `a` minus `b`
 */
export function compareEveryPair(
  input: JudgeInput,
  trial: TrialModel,
  model: LinearModel,
  spread: EffectError | undefined,
): readonly Pair[] {
  const rangeOf = rangesOf(input);
  const isReplicated = replicatedIn(input, trial);
  const levels = [input.control, ...input.treatments.filter(name => name !== input.control)];
  return levels.flatMap((b, j) =>
    levels.slice(j + 1).map((a): Pair => {
      const difference = trial.differenceOf(model, a, b);
      if (!difference) return { estimable: false, a, b };
      if (!spread?.judges(difference) || !isReplicated(a) || !isReplicated(b))
        return {
          estimable: true,
          a,
          b,
          difference: difference.estimate,
          p: null,
          ci: null,
          ciAdjusted: null,
          pAdjusted: null,
        };
      const df = spread.dfOf(difference);
      const { range, critical } = rangeOf(df);
      const plain = tQuantile((1 + input.confidence) / 2, df);
      const se = Math.sqrt(spread.covariance(difference, difference));
      const pAdjusted = range.upperTail((Math.abs(difference.estimate) / se) * Math.SQRT2);
      return {
        estimable: true,
        a,
        b,
        difference: difference.estimate,
        pAdjusted,
        p: tTwoSidedP(difference.estimate / se, df),
        ci: [difference.estimate - plain * se, difference.estimate + plain * se],
        ciAdjusted: [difference.estimate - critical * se, difference.estimate + critical * se],
      };
    }),
  );
}

function rangesOf(input: JudgeInput) {
  const make = (df: number) => {
    const range = studentizedRange(input.treatments.length, df);
    return { range, critical: range.quantile(input.confidence) / Math.SQRT2 };
  };
  const made = new Map<string, ReturnType<typeof make>>();
  return (df: number) => {
    const key = df.toPrecision(9);
    const found = made.get(key) ?? make(df);
    made.set(key, found);
    return found;
  };
}
