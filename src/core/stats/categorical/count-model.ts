import { inverse, Matrix } from 'ml-matrix';
import { overdispersionOf } from './overdispersion';

/** Counts of two or more groups, blocks allowed for, on the scale of ratios. */
export interface CountModel {
  readonly residualDf: number;
  /** Pearson's chi-square over its degrees of freedom: 1 where counts spread as Poisson's do, more where they crowd. */
  readonly dispersion: number;
  /** Natural logarithm of a column's ratio, and its standard error, the spread of the units in it. */
  readonly logRatio: (column: number) => { readonly estimate: number; readonly se: number };
  /** The same error where the variance grows faster than the mean, as of counts that crowd; 0 where they don't. */
  readonly seOfCrowding: (column: number) => number;
}

/** Units treated alike that all counted the same show no spread at all: then it is taken to be Poisson's, which no count falls below. */
export function dispersionSpread(dispersion: number): number {
  return dispersion > 1e-12 ? dispersion : 1;
}

const ROUNDS = 60;
const SAME = 1e-14;

/**
 * A log-linear model of counts whose variance is so many times their mean: iteratively reweighted least squares.
 * Nelder & Wedderburn (1972), Journal of the Royal Statistical Society A 135, 370-384; Wedderburn (1974), Biometrika 61, 439-447.
 *
 * @param counts whole, ≥ 0
 * @param columns full rank together with the intercept
 * @returns undefined where no unit is left to spread, or a group counts nothing at all, which has no logarithm
 */
export function fitCounts(
  counts: readonly number[],
  columns: readonly (readonly number[])[],
): CountModel | undefined {
  const width = columns.length + 1;
  const residualDf = counts.length - width;
  if (residualDf < 1) return undefined;
  const x = new Matrix(counts.map((_, i) => [1, ...columns.map(column => column[i]!)]));
  let mu = counts.map(count => count + 0.1);
  let beta = Matrix.zeros(width, 1);
  let covariance = Matrix.zeros(width, width);
  let deviance = Number.POSITIVE_INFINITY;
  let isSettled = false;
  for (let round = 0; round < ROUNDS; round++) {
    const weighted = x.clone();
    for (let i = 0; i < counts.length; i++) weighted.mulRow(i, mu[i]!);
    try {
      covariance = inverse(x.transpose().mmul(weighted));
    } catch {
      return undefined;
    }
    const working = Matrix.columnVector(
      counts.map((count, i) => Math.log(mu[i]!) + (count - mu[i]!) / mu[i]!),
    );
    beta = covariance.mmul(weighted.transpose().mmul(working));
    mu = x
      .mmul(beta)
      .to1DArray()
      .map(eta => Math.exp(Math.min(50, eta)));
    const next =
      2 *
      counts.reduce(
        (sum, count, i) =>
          sum + (count > 0 ? count * Math.log(count / mu[i]!) : 0) - (count - mu[i]!),
        0,
      );
    // One round more than the deviance asks for, so that the errors belong to the last means.
    if (isSettled) break;
    isSettled = Math.abs(next - deviance) < SAME * (Math.abs(next) + 0.1);
    deviance = next;
  }
  // A group without a single count runs off to minus infinity.
  if (beta.to1DArray().some(value => !Number.isFinite(value) || Math.abs(value) > 20))
    return undefined;
  const dispersion =
    counts.reduce((sum, count, i) => sum + (count - mu[i]!) ** 2 / mu[i]!, 0) / residualDf;
  const crowding = overdispersionOf(counts, mu, residualDf);
  const seOfCrowding = (column: number): number => {
    if (crowding === 0) return 0;
    const weighted = x.clone();
    for (const [i, mean] of mu.entries()) weighted.mulRow(i, mean / (1 + crowding * mean));
    return Math.sqrt(inverse(x.transpose().mmul(weighted)).get(column + 1, column + 1));
  };
  return {
    residualDf,
    dispersion,
    seOfCrowding,
    logRatio: column => ({
      estimate: beta.get(column + 1, 0),
      se: Math.sqrt(dispersionSpread(dispersion) * covariance.get(column + 1, column + 1)),
    }),
  };
}
