import { binomialChance, bisect } from '@/core/stats/distributions/binomial';
import { normalQuantile } from '@/core/stats/distributions/distributions';

/**
 * Interval for a share k of n > 0 that never leaves [0, 1] and says something of 0 of n, too.
 * Wilson (1927), Journal of the American Statistical Association 22, 209-212.
 */
export function wilsonInterval(k: number, n: number, confidence = 0.95): readonly [number, number] {
  const z = normalQuantile(1 - (1 - confidence) / 2);
  const share = k / n;
  const centre = share + (z * z) / (2 * n);
  const half = z * Math.sqrt((share * (1 - share)) / n + (z * z) / (4 * n * n));
  const scale = 1 + (z * z) / n;
  return [k === 0 ? 0 : (centre - half) / scale, k === n ? 1 : (centre + half) / scale];
}

/** The exact interval of Clopper & Pearson (1934), Biometrika 26, 404-413: each end leaves (1 − confidence)/2 outside. */
export function exactShareInterval(
  k: number,
  n: number,
  confidence = 0.95,
): readonly [number, number] {
  const alpha = (1 - confidence) / 2;
  const upTo = (p: number): number => {
    let sum = 0;
    for (let i = 0; i <= k; i++) sum += binomialChance(i, n, p);
    return sum;
  };
  const from = (p: number): number => {
    let sum = 0;
    for (let i = k; i <= n; i++) sum += binomialChance(i, n, p);
    return sum;
  };
  return [k === 0 ? 0 : bisect(p => from(p) - alpha), k === n ? 1 : bisect(p => alpha - upTo(p))];
}

/** k of n > 0. */
export interface Share {
  readonly k: number;
  readonly n: number;
}

/**
 * Interval for the difference a − b of two shares, from the Wilson interval of each.
 * Newcombe (1998), Statistics in Medicine 17, 873-890, method 10.
 */
export function shareDifferenceInterval(
  a: Share,
  b: Share,
  confidence = 0.95,
): readonly [number, number] {
  const [pa, pb] = [a.k / a.n, b.k / b.n];
  const [la, ua] = wilsonInterval(a.k, a.n, confidence);
  const [lb, ub] = wilsonInterval(b.k, b.n, confidence);
  return [pa - pb - Math.hypot(pa - la, ub - pb), pa - pb + Math.hypot(ua - pa, pb - lb)];
}
