import { fQuantile, fUpperTail, tQuantile } from '@/core/stats/distributions/distributions';
import { largestT } from '@/core/stats/distributions/multivariate-t';
import { powerOfT } from '@/core/stats/distributions/power-of-t';
import { solveIncreasing } from '@/core/stats/distributions/solve-increasing';

/** A comparison that is planned: groups of n units each, one of them the control. */
export interface PlannedComparison {
  /**
   * `t`: two groups, unpaired, equal spread. `anova`: whether the groups differ at all, two of them `delta` apart and the
   * rest midway, the hardest case to see. `dunnett`: one treatment `delta` from the control, tested beside all others.
   */
  readonly kind: 't' | 'anova' | 'dunnett';
  /** The control included, ≥ 2; `t` has two. */
  readonly groups: number;
  /** True difference, in the unit of `sd`. */
  readonly delta: number;
  /** Of units treated alike, > 0. */
  readonly sd: number;
  /** Two-sided error rate in (0, 1). */
  readonly alpha: number;
}

/**
 * The chance, in [0, 1], that n units in each group see the difference. Both tails count.
 *
 * @param n units of each group, ≥ 2
 * @param control units of the control, where it gets more of them; `t` and `dunnett` only
 */
export function closedPower(plan: PlannedComparison, n: number, control = n): number {
  if (!(n >= 2 && control >= 2))
    throw new RangeError(
      `n must be ≥ 2, got ${Math.min(n, control)}: one unit each leaves no spread to judge by`,
    );
  const groups = plan.kind === 't' ? 2 : plan.groups;
  const df = (groups - 1) * (n - 1) + control - 1;
  if (plan.kind === 'anova') return anovaPower(plan, n, groups, df);
  return powerOfT(
    shiftOf(plan.delta, plan.sd, n, control),
    dunnettCritical(groups - 1, n, control, df, plan.alpha),
    df,
  );
}

/** A difference over its standard error. */
function shiftOf(delta: number, sd: number, n: number, control: number): number {
  return delta / (sd * Math.sqrt(1 / n + 1 / control));
}

/** The |t| that covers so many comparisons with one control together (Dunnett 1955); one comparison has Student's. */
function dunnettCritical(
  comparisons: number,
  n: number,
  control: number,
  df: number,
  alpha: number,
): number {
  if (comparisons === 1) return tQuantile(1 - alpha / 2, df);
  const shared = n / (n + control);
  const correlation = Array.from({ length: comparisons }, (_, i) =>
    Array.from({ length: comparisons }, (_other, j) => (i === j ? 1 : shared)),
  );
  return largestT(correlation, df).quantile(1 - alpha);
}

/** Units of each group that see the difference with the wanted chance; null above 1000. */
export function unitsForPower(
  plan: PlannedComparison,
  power: number,
): { readonly n: number; readonly power: number } | null {
  let low = 2;
  if (closedPower(plan, low) >= power) return { n: low, power: closedPower(plan, low) };
  let high = 4;
  while (high < MOST_UNITS && closedPower(plan, high) < power) {
    low = high;
    high *= 2;
  }
  high = Math.min(high, MOST_UNITS);
  if (closedPower(plan, high) < power) return null;
  while (high - low > 1) {
    // power rises with n
    const middle = Math.floor((low + high) / 2);
    if (closedPower(plan, middle) >= power) high = middle;
    else low = middle;
  }
  return { n: high, power: closedPower(plan, high) };
}

const MOST_UNITS = 1000;

/** The smallest difference that n units each see with the wanted chance; `t` and `dunnett` only. */
export function differenceSeen(
  plan: Omit<PlannedComparison, 'delta' | 'kind'> & { readonly kind: 't' | 'dunnett' },
  n: number,
  power: number,
  control = n,
): number {
  const groups = plan.kind === 't' ? 2 : plan.groups;
  const df = (groups - 1) * (n - 1) + control - 1;
  const critical = dunnettCritical(groups - 1, n, control, df, plan.alpha); // the dear part, the same for every difference
  const shift = solveIncreasing(each => powerOfT(each, critical, df), power, 0, critical);
  return shift / shiftOf(1, plan.sd, n, control);
}

/**
 * P(F′ > critical) for the noncentral F with λ = n δ² / (2σ²), as Poisson-weighted central tails
 * (Johnson, Kotz & Balakrishnan 1995, Continuous Univariate Distributions 2, ch. 30).
 */
function anovaPower(
  { delta, sd, alpha }: PlannedComparison,
  n: number,
  groups: number,
  df: number,
): number {
  const df1 = groups - 1;
  const critical = fQuantile(1 - alpha, df1, df);
  const half = (n * (delta / sd) ** 2) / 4;
  let power = 0;
  let logWeight = -half;
  const most = Math.ceil(half + 12 * Math.sqrt(half) + 40);
  for (let j = 0; j <= most; j++) {
    if (j > 0) logWeight += Math.log(half / j);
    const weight = Math.exp(logWeight);
    if (weight > 1e-12)
      power += weight * fUpperTail((critical * df1) / (df1 + 2 * j), df1 + 2 * j, df);
  }
  return Math.min(1, power);
}
