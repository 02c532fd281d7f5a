import { inverse, Matrix } from 'ml-matrix';
import { overdispersionOf } from './overdispersion';

/** Counts of two or more groups, blocks allowed for, on the scale of ratios. */
export interface CountModel {
  readonly residualDf: number;
  /** Pearson's chi-square over its degrees of freedom: 1 where counts spread as Poisson's do, more where they crowd. */
  readonly dispersion: number;
  /** Of a variance that grows faster than the mean, μ + φμ²; 0 where counts don't crowd. */
  readonly overdispersion: number;
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
 * @param efforts how much of each unit was looked at, > 0: the model's offset is its logarithm
 * @returns undefined where no unit is left to spread, or a group counts nothing at all, which has no logarithm
 */
export function fitCounts(
  counts: readonly number[],
  columns: readonly (readonly number[])[],
  efforts: readonly number[] = counts.map(() => 1),
): CountModel | undefined {
  const residualDf = counts.length - columns.length - 1;
  if (residualDf < 1) return undefined;
  const x = new Matrix(counts.map((_, i) => [1, ...columns.map(column => column[i]!)]));
  const fitted = reweightedLeastSquares(counts, x, efforts);
  if (!fitted) return undefined;
  const { mu, beta, covariance } = fitted;
  // A group without a single count runs off to minus infinity.
  if (beta.some(value => !Number.isFinite(value) || Math.abs(value) > 20)) return undefined;
  const pearson = counts.reduce((sum, count, i) => sum + (count - mu[i]!) ** 2 / mu[i]!, 0);
  const dispersion = pearson / residualDf;
  const overdispersion = overdispersionOf(counts, mu, residualDf);
  return {
    residualDf,
    dispersion,
    overdispersion,
    seOfCrowding: column => {
      if (overdispersion === 0) return 0;
      const weights = mu.map(mean => mean / (1 + overdispersion * mean));
      return Math.sqrt(inverse(information(x, weights)).get(column + 1, column + 1));
    },
    logRatio: column => ({
      estimate: beta[column + 1]!,
      se: Math.sqrt(dispersionSpread(dispersion) * covariance.get(column + 1, column + 1)),
    }),
  };
}

interface FittedCounts {
  readonly mu: readonly number[];
  readonly beta: readonly number[];
  readonly covariance: Matrix;
}

/** @returns undefined where the columns can't be told apart */
function reweightedLeastSquares(
  counts: readonly number[],
  x: Matrix,
  efforts: readonly number[],
): FittedCounts | undefined {
  let mu = counts.map(count => count + 0.1);
  let beta: readonly number[] = [];
  let covariance = Matrix.zeros(x.columns, x.columns);
  let deviance = Number.POSITIVE_INFINITY;
  let isSettled = false;
  for (let round = 0; round < ROUNDS; round++) {
    try {
      covariance = inverse(information(x, mu));
    } catch {
      return undefined;
    }
    const working = counts.map(
      (count, i) => Math.log(mu[i]! / efforts[i]!) + (count - mu[i]!) / mu[i]!,
    );
    const score = rowsTimes(x, mu).transpose().mmul(Matrix.columnVector(working));
    const solved = covariance.mmul(score);
    beta = solved.to1DArray();
    mu = x
      .mmul(solved)
      .to1DArray()
      .map((eta, i) => efforts[i]! * Math.exp(Math.min(50, eta)));
    // One round more than the deviance asks for, so that the errors belong to the last means.
    if (isSettled) break;
    const next = poissonDeviance(counts, mu);
    isSettled = Math.abs(next - deviance) < SAME * (Math.abs(next) + 0.1);
    deviance = next;
  }
  return { mu, beta, covariance };
}

/** X′WX. */
function information(x: Matrix, weights: readonly number[]): Matrix {
  return x.transpose().mmul(rowsTimes(x, weights));
}

function rowsTimes(x: Matrix, weights: readonly number[]): Matrix {
  const weighted = x.clone();
  for (const [i, weight] of weights.entries()) weighted.mulRow(i, weight);
  return weighted;
}

function poissonDeviance(counts: readonly number[], mu: readonly number[]): number {
  const half = counts.reduce(
    (sum, count, i) => sum + (count > 0 ? count * Math.log(count / mu[i]!) : 0) - (count - mu[i]!),
    0,
  );
  return 2 * half;
}
