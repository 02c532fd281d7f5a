import { tQuantile, tTwoSidedP } from '@/core/stats/distributions/distributions';

/** Two samples compared, each with its own spread. */
export interface WelchTest {
  /** Mean of the first less mean of the second. */
  readonly difference: number;
  readonly se: number;
  /** Satterthwaite's. */
  readonly df: number;
  readonly t: number;
  readonly p: number;
  readonly intervalAt: (confidence: number) => readonly [number, number];
}

/**
 * Compares two means without taking their spreads for equal. Welch (1947), Biometrika 34, 28-35.
 *
 * @returns undefined where a sample has fewer than two values, or neither spreads
 */
export function welchTest(a: readonly number[], b: readonly number[]): WelchTest | undefined {
  if (a.length < 2 || b.length < 2) return undefined;
  const [first, second] = [momentsOf(a), momentsOf(b)];
  const [va, vb] = [first.variance / a.length, second.variance / b.length];
  const se = Math.sqrt(va + vb);
  if (!(se > 0)) return undefined;
  const share = va / (va + vb); // squares of tiny variances would be lost
  const df = 1 / (share ** 2 / (a.length - 1) + (1 - share) ** 2 / (b.length - 1));
  const difference = first.mean - second.mean;
  return {
    difference,
    se,
    df,
    t: difference / se,
    p: tTwoSidedP(difference / se, df),
    intervalAt: confidence => {
      const half = tQuantile((1 + confidence) / 2, df) * se;
      return [difference - half, difference + half];
    },
  };
}

function momentsOf(values: readonly number[]): {
  readonly mean: number;
  readonly variance: number;
} {
  const mean = values.reduce((sum, value) => sum + value, 0) / values.length;
  return {
    mean,
    variance: values.reduce((sum, value) => sum + (value - mean) ** 2, 0) / (values.length - 1),
  };
}
