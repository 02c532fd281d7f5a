import type { Combination } from './linear-model';

/** Estimated covariance of two combinations; of one with itself, its variance. */
export type Covariance = (a: Combination, b: Combination) => number;

/** An interval of a ratio; null where the denominator could be zero and the interval has no ends. */
export type RatioInterval = readonly [number, number] | null;

/**
 * Interval for numerator / denominator. Fieller (1954), Journal of the Royal Statistical Society B 16, 175-185:
 * all θ with (a − θb)² ≤ t² Var(a − θb).
 *
 * @param t critical value, > 0: plain or adjusted, whichever the interval is to be
 */
export function fiellerInterval(
  numerator: Combination,
  denominator: Combination,
  covariance: Covariance,
  t: number,
): RatioInterval {
  const a = numerator.estimate;
  const b = denominator.estimate;
  const scale = t * t;
  const u = covariance(numerator, numerator) * scale;
  const v = covariance(denominator, denominator) * scale;
  const uv = covariance(numerator, denominator) * scale;
  const square = b * b - v;
  if (!(square > 1e-12 * b * b)) return null;
  const middle = (a * b - uv) / square;
  const root = Math.sqrt(Math.max(0, middle * middle - (a * a - u) / square));
  return [middle - root, middle + root];
}
