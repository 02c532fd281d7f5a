import { solveIncreasing } from '@/core/stats/distributions/solve-increasing';

/**
 * How much faster than Poisson's the variance of counts grows: σ² in μ + σ²μ², at which Pearson's chi-square equals its
 * degrees of freedom. 0 where the counts don't crowd. Breslow (1984), Applied Statistics 33, 38-44.
 *
 * @param means of the same length as the counts, above zero
 */
export function overdispersionOf(
  counts: readonly number[],
  means: readonly number[],
  df: number,
): number {
  const chiSquare = (crowding: number): number =>
    counts.reduce((sum, count, i) => {
      const mean = means[i] ?? 0;
      return sum + (count - mean) ** 2 / (mean + crowding * mean ** 2);
    }, 0);
  return chiSquare(0) <= df ? 0 : solveIncreasing(crowding => -chiSquare(crowding), -df, 0, 0.5);
}
