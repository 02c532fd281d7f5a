import { normalWeightedRule, type Quadrature, spreadQuadrature } from './quadrature';
import { quickNormalCdf } from './quick-normal';
import { solveIncreasing } from './solve-increasing';

/** The studentized range of k means on df degrees of freedom, ready for many questions. */
export interface StudentizedRange {
  /** P(Q ≥ q). */
  readonly upperTail: (q: number) => number;
  /** The q that is exceeded with probability 1 − p. */
  readonly quantile: (p: number) => number;
}

const INNER = normalWeightedRule(96);
const UPPER_CDF = INNER.points.map(quickNormalCdf);

/**
 * P(Q ≤ q) = E over S of k ∫ φ(z) [Φ(z) − Φ(z − qS)]^(k−1) dz. Tukey (1953); the double integral as in
 * Copenhaver & Holland (1988), Journal of Statistical Computation and Simulation 30, 1-15. Gauss-Legendre on both axes:
 * @stdlib's own routine takes milliseconds a value, too long for every pair of eight treatments.
 *
 * @param k number of means, ≥ 2
 */
export function studentizedRange(k: number, df: number): StudentizedRange {
  if (!(k >= 2)) throw new RangeError(`k must be ≥ 2, got ${k}`);
  const key = `${k} ${df}`;
  const known = KEPT.get(key);
  if (known) return known;
  if (KEPT.size >= MOST_KEPT) KEPT.clear();
  const made = makeStudentizedRange(k, df);
  KEPT.set(key, made);
  return made;
}

// Every measure of a trial, and every trial of a simulation, asks for the same few.
const MOST_KEPT = 64;
const KEPT = new Map<string, StudentizedRange>();

function makeStudentizedRange(k: number, df: number): StudentizedRange {
  const spread = spreadQuadrature(df);
  const quantiles = new Map<number, number>();
  const cdf = (q: number): number => (q <= 0 ? 0 : expectation(q, k, spread, INNER, UPPER_CDF));
  return {
    upperTail: q => Math.min(1, Math.max(0, 1 - cdf(q))),
    quantile: p => {
      const known = quantiles.get(p) ?? solveIncreasing(cdf, p, 0, 4);
      quantiles.set(p, known);
      return known;
    },
  };
}

function expectation(
  q: number,
  k: number,
  spread: Quadrature,
  inner: Quadrature,
  upperCdf: Float64Array,
): number {
  let total = 0;
  for (let i = 0; i < spread.points.length; i++) {
    total += spread.weights[i]! * rangeCdf(q * spread.points[i]!, k, inner, upperCdf);
  }
  return total;
}

function rangeCdf(width: number, k: number, inner: Quadrature, upperCdf: Float64Array): number {
  let sum = 0;
  for (let j = 0; j < inner.points.length; j++) {
    const share = upperCdf[j]! - quickNormalCdf(inner.points[j]! - width);
    let power = inner.weights[j]!;
    for (let times = 1; times < k; times++) power *= share;
    sum += power;
  }
  return k * sum;
}
