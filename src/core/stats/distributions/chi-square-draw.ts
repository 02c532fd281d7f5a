import { normalDraw } from './normal-draw';
import type { SeededRandom } from './seeded-random';

/**
 * One draw from chi-square with `df` degrees of freedom, a whole number ≥ 1: twice a gamma of df/2.
 * Marsaglia & Tsang (2000), ACM Transactions on Mathematical Software 26, 363-372; below shape 1, their section 6.
 */
export function chiSquareDraw(df: number, random: SeededRandom): number {
  if (df < 2) return normalDraw(random) ** 2;
  const d = df / 2 - 1 / 3;
  const c = 1 / Math.sqrt(9 * d);
  for (;;) {
    const x = normalDraw(random);
    const v = (1 + c * x) ** 3;
    if (v > 0 && Math.log(1 - random.share()) < 0.5 * x * x + d - d * v + d * Math.log(v))
      return 2 * d * v;
  }
}
