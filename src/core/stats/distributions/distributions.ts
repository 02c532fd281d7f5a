import gammaInc from '@stdlib/math-base-special-gammainc';
import fCdf from '@stdlib/stats-base-dists-f-cdf';
import fInverse from '@stdlib/stats-base-dists-f-quantile';
import stdNormalCdf from '@stdlib/stats-base-dists-normal-cdf';
import stdNormalQuantile from '@stdlib/stats-base-dists-normal-quantile';
import tCdf from '@stdlib/stats-base-dists-t-cdf';
import tInverse from '@stdlib/stats-base-dists-t-quantile';

// The one door to @stdlib's distributions. A bad parameter gives NaN there; here it throws.

/** P(|T| ≥ |t|) for Student's t with `df` > 0 degrees of freedom, from the tail itself so that tiny values survive. */
export function tTwoSidedP(t: number, df: number): number {
  requirePositive('df', df);
  return t === 0 ? 1 : Math.min(1, 2 * tCdf(-Math.abs(t), df));
}

/** The value that Student's t with `df` > 0 stays below with probability `p` in (0, 1). */
export function tQuantile(p: number, df: number): number {
  requirePositive('df', df);
  requireOpenUnit('p', p);
  return tInverse(p, df);
}

/** P(F ≥ f) for f ≥ 0, through the lower tail of 1/F: 1 − cdf would be 0 where the answer is 1e-17. */
export function fUpperTail(f: number, df1: number, df2: number): number {
  requirePositive('df1', df1);
  requirePositive('df2', df2);
  if (f <= 0) return 1;
  return f === Number.POSITIVE_INFINITY ? 0 : fCdf(1 / f, df2, df1);
}

/** The value that F stays below with probability `p` in (0, 1). */
export function fQuantile(p: number, df1: number, df2: number): number {
  requirePositive('df1', df1);
  requirePositive('df2', df2);
  requireOpenUnit('p', p);
  return fInverse(p, df1, df2);
}

/** P(X ≥ x) for chi-square with `df` > 0 degrees of freedom: the upper incomplete gamma, so that tiny values survive. */
export function chiSquareUpperTail(x: number, df: number): number {
  requirePositive('df', df);
  return x <= 0 ? 1 : gammaInc(x / 2, df / 2, true, true);
}

/** P(Z ≤ z) for the standard normal. */
export function normalCdf(z: number): number {
  return stdNormalCdf(z, 0, 1);
}

/** The value that the standard normal stays below with probability `p` in (0, 1). */
export function normalQuantile(p: number): number {
  requireOpenUnit('p', p);
  return stdNormalQuantile(p, 0, 1);
}

function requirePositive(name: string, value: number): void {
  if (!(value > 0)) throw new RangeError(`${name} must be > 0, got ${value}`);
}

function requireOpenUnit(name: string, value: number): void {
  if (!(value > 0 && value < 1)) throw new RangeError(`${name} must lie in (0, 1), got ${value}`);
}
