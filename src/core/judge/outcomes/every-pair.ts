import type { JudgeInput } from '@/core/judge/question/judge-input';
import { tQuantile, tTwoSidedP } from '@/core/stats/distributions/distributions';
import { studentizedRange } from '@/core/stats/distributions/studentized-range';
import { replicatedIn } from './comparisons';
import type { Interval, Pair } from './judgement';
import type { EffectError } from './spread/error-strata';
import type { Compared } from './working/natural-scale';
import type { WorkingTrial } from './working/working-trial';

/** Of more there are too many pairs for anybody to look through. */
const MOST_TREATMENTS = 40;

/**
 * Every pair of treatments by Tukey-Kramer. Kramer (1956), Biometrics 12, 307-310.
 *
 * @returns pairs with the later treatment first, as `a` minus `b`
 */
export function compareEveryPair(
  input: JudgeInput,
  { trial, model, scale }: WorkingTrial,
  spread: EffectError | undefined,
): readonly Pair[] {
  if (input.treatments.length > MOST_TREATMENTS) return [];
  const means = new Map(input.treatments.map(name => [name, trial.meanOf(model, name)]));
  const rangeOf = rangesOf(input);
  const isReplicated = replicatedIn(input, trial);
  const levels = [input.control, ...input.treatments.filter(name => name !== input.control)];
  return levels.flatMap((b, j) =>
    levels.slice(j + 1).map((a): Pair => {
      const difference = trial.differenceOf(model, a, b);
      if (!difference) return { estimable: false, a, b };
      const compared: Compared = {
        input,
        trial,
        model,
        treated: [a],
        controls: [b],
        difference,
        mean: means.get(a),
        control: means.get(b),
      };
      const pair = { estimable: true, a, b, difference: scale.difference(compared) } as const;
      if (!spread?.judges(difference) || !isReplicated(a) || !isReplicated(b))
        return { ...pair, p: null, ci: null, ciAdjusted: null, pAdjusted: null };
      const df = spread.dfOf(difference);
      const { range, critical } = rangeOf(df);
      const plain = tQuantile((1 + input.confidence) / 2, df);
      const se = Math.sqrt(spread.covariance(difference, difference));
      const pAdjusted = range.upperTail((Math.abs(difference.estimate) / se) * Math.SQRT2);
      const around = (reach: number): Interval | null =>
        // The ranks' own interval is found by trial: too slow for every pair.
        input.outcome === 'ordinal'
          ? null
          : scale.interval(compared, { covariance: spread.covariance, critical: reach, df });
      return {
        ...pair,
        pAdjusted,
        p: tTwoSidedP(difference.estimate / se, df),
        ci: around(plain),
        ciAdjusted: around(critical),
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
