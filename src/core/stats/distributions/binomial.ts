import { normalQuantile } from './distributions';

const factorials: number[] = [0];

/** ln n! for a whole n ≥ 0, summed once. */
export function logFactorial(n: number): number {
  for (let i = factorials.length; i <= n; i++) factorials.push(factorials[i - 1]! + Math.log(i));
  return factorials[n]!;
}

/** ln of the ways to choose k of n. */
export function logChoose(n: number, k: number): number {
  return logFactorial(n) - logFactorial(k) - logFactorial(n - k);
}

/** Chance of exactly k of n, each with chance p in [0, 1]. */
export function binomialChance(k: number, n: number, p: number): number {
  if (p === 0 || p === 1) return Number(k === (p === 0 ? 0 : n));
  return Math.exp(logChoose(n, k) + k * Math.log(p) + (n - k) * Math.log(1 - p));
}

/** Two-sided exact p of k of n against chance p: all that is as rare as this, or rarer. The sign test is p = 1/2. */
export function binomialTwoSidedP(k: number, n: number, p = 0.5): number {
  const seen = binomialChance(k, n, p);
  let sum = 0;
  for (let i = 0; i <= n; i++) {
    const chance = binomialChance(i, n, p);
    if (chance <= seen * (1 + 1e-7)) sum += chance;
  }
  return Math.min(1, sum);
}

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

/** The share that 0 of n still leaves possible: 1 − (1 − confidence)^(1/n), one-sided. */
export function upperBoundOfNone(n: number, confidence = 0.95): number {
  return 1 - (1 - confidence) ** (1 / n);
}

function bisect(increasing: (p: number) => number): number {
  let [low, high] = [0, 1];
  for (let round = 0; round < 60; round++) {
    const middle = (low + high) / 2;
    if (increasing(middle) < 0) low = middle;
    else high = middle;
  }
  return (low + high) / 2;
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
