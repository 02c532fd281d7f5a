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

export function bisect(increasing: (p: number) => number): number {
  let [low, high] = [0, 1];
  for (let round = 0; round < 60; round++) {
    const middle = (low + high) / 2;
    if (increasing(middle) < 0) low = middle;
    else high = middle;
  }
  return (low + high) / 2;
}
