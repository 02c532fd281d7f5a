import { tQuantile, tTwoSidedP } from './distributions';
import { normalWeightedRule, spreadQuadrature } from './quadrature';
import { quickNormalCdf, quickNormalQuantile } from './quick-normal';
import { solveIncreasing } from './solve-increasing';

/** The largest |t| of several correlated comparisons that share one estimate of spread. */
export interface LargestT {
  /** P(max |Tᵢ| ≥ t): the single-step adjusted p of a comparison with that t. */
  readonly upperTail: (t: number) => number;
  /** The t that the largest exceeds with probability 1 − p. */
  readonly quantile: (p: number) => number;
}

/**
 * Two-sided multivariate t. Dunnett (1955), Journal of the American Statistical Association 50, 1096-1121, where the
 * correlations are products λᵢλⱼ (every layout without blocks, every balanced one): then two integrals serve. Otherwise
 * Genz & Bretz (2009), Computation of Multivariate Normal and t Probabilities, ch. 4: separation of variables on a
 * fixed lattice, so that the same data give the same digits.
 *
 * @param allCorrelation k × k, ones on the diagonal, positive semidefinite
 * @param df residual degrees of freedom, > 0
 */
export function largestT(allCorrelation: readonly (readonly number[])[], df: number): LargestT {
  // Rounded, so that the same layout is the same question whatever was measured on it, and the answer that of the question.
  const asked = allCorrelation.map(row => row.map(r => Number(r.toFixed(DIGITS))));
  const key = `${df} ${asked.join(';')}`;
  const known = KEPT.get(key);
  if (known) return known;
  if (KEPT.size >= MOST_KEPT) KEPT.clear();
  const made = quantilesKept(makeLargestT(asked, df));
  KEPT.set(key, made);
  return made;
}

// Twelve measures of one trial, and thousands of its made-up seasons, ask the same of the same layout.
const MOST_KEPT = 64;
const KEPT = new Map<string, LargestT>();
const DIGITS = 12;

function quantilesKept({ upperTail, quantile }: LargestT): LargestT {
  const found = new Map<number, number>();
  return {
    upperTail,
    quantile: p => {
      const known = found.get(p) ?? quantile(p);
      found.set(p, known);
      return known;
    },
  };
}

function makeLargestT(allCorrelation: readonly (readonly number[])[], df: number): LargestT {
  const correlation = withoutRepeats(allCorrelation);
  const k = correlation.length;
  if (k === 0) throw new RangeError('there must be at least one comparison');
  if (k === 1)
    return { upperTail: t => tTwoSidedP(t, df), quantile: p => tQuantile((1 + p) / 2, df) };
  const loadings = productLoadings(correlation);
  const lowest = (p: number): number => tQuantile((1 + p) / 2, df) * 0.999;
  if (loadings) {
    const cdf = productCdf(loadings, df);
    return { upperTail: upperTailOf(cdf), quantile: p => solveIncreasing(cdf, p, lowest(p), 1) };
  }
  const cdf = latticeCdf(correlation, df);
  const alike = productCdf(nearestLoadings(correlation), df);
  return {
    upperTail: upperTailOf(cdf),
    quantile: p => {
      // A lattice is slow to ask: the answer for the nearest products lies next to the true one.
      const guess = solveIncreasing(alike, p, lowest(p), 1) - NEAR;
      return cdf(guess) <= p
        ? solveIncreasing(cdf, p, guess, 2 * NEAR, LATTICE_DIGITS)
        : solveIncreasing(cdf, p, lowest(p), 1, LATTICE_DIGITS);
    },
  };
}

const NEAR = 0.01;
// The lattice itself is good to some 1e-6.
const LATTICE_DIGITS = 1e-7;

function upperTailOf(cdf: (t: number) => number): (t: number) => number {
  return t => Math.min(1, Math.max(0, 1 - cdf(Math.abs(t))));
}

function meanCorrelation(correlation: readonly (readonly number[])[]): number {
  const k = correlation.length;
  const sum = correlation
    .flatMap((row, i) => row.filter((_, j) => i !== j))
    .reduce((total, r) => total + Math.abs(r), 0);
  return Math.min(0.99, sum / (k * (k - 1)));
}

/** A comparison that is another one over again, or its mirror image, has the same |t|: it counts once. */
function withoutRepeats(
  correlation: readonly (readonly number[])[],
): readonly (readonly number[])[] {
  const kept = correlation
    .map((_, i) => i)
    .filter(
      i => !correlation.slice(0, i).some(earlier => Math.abs(earlier[i]!) > 1 - SAME_CORRELATION),
    );
  return kept.map(i => kept.map(j => correlation[i]![j]!));
}

const SAME_CORRELATION = 1e-9; // correlations come from solved equations: sixteen digits, less a few

/** λ with correlation[i][j] = λᵢλⱼ for all i ≠ j, each below 1 in size; undefined where there is none. */
function productLoadings(
  correlation: readonly (readonly number[])[],
): readonly number[] | undefined {
  const k = correlation.length;
  const r = (i: number, j: number): number => correlation[i]![j]!;
  if (k === 2) {
    const size = Math.sqrt(Math.abs(r(0, 1)));
    return size < 1 - SAME_CORRELATION ? [size, Math.sign(r(0, 1)) * size] : undefined;
  }
  const squares = correlation.map((_, i) => {
    const [j, l] = [0, 1, 2].filter(other => other !== i);
    return (r(i, j!) * r(i, l!)) / r(j!, l!);
  });
  if (squares.some(square => !(square >= 0 && square < 1 - SAME_CORRELATION))) return undefined;
  const loadings = squares.map(
    (square, i) => Math.sqrt(square) * (i === 0 ? 1 : Math.sign(r(0, i)) || 1),
  );
  const fits = loadings.every((a, i) =>
    loadings.every((b, j) => i === j || Math.abs(a * b - r(i, j)) < SAME_CORRELATION),
  );
  return fits ? loadings : undefined;
}

const INNER = normalWeightedRule(64);

function productCdf(loadings: readonly number[], df: number): (t: number) => number {
  const spread = spreadQuadrature(df);
  const inner = INNER;
  const rests = loadings.map(loading => Math.sqrt(1 - loading * loading));
  return t => {
    let total = 0;
    for (let i = 0; i < spread.points.length; i++) {
      const weight = spread.weights[i]!;
      const bound = t * spread.points[i]!;
      let sum = 0;
      for (let j = 0; j < inner.points.length; j++) {
        const z = inner.points[j]!;
        let factor = 1;
        let product = inner.weights[j]!;
        for (let c = 0; c < loadings.length && product > 1e-18; c++) {
          // Equal loadings, the balanced case, need their factor only once.
          const isRepeat = c > 0 && loadings[c] === loadings[c - 1];
          factor = isRepeat ? factor : within(bound, loadings[c]! * z, rests[c]!);
          product *= factor;
        }
        sum += product;
      }
      total += weight * sum;
    }
    return total;
  };
}

function within(bound: number, centre: number, scale: number): number {
  return quickNormalCdf((bound - centre) / scale) - quickNormalCdf((-bound - centre) / scale);
}

// With the nearest product correlations as control variate, 2^11 lattice points bring the error of a p to some 3e-5, below
// the fourth decimal.
const LATTICE_POINTS = 2048;
const PRIMES = [2, 3, 5, 7, 11, 13, 17, 19];

/** The two exact integrals for the nearest product correlations, plus what a lattice finds the true ones to differ by. */
function latticeCdf(
  correlation: readonly (readonly number[])[],
  df: number,
): (t: number) => number {
  const k = correlation.length;
  const points = latticePoints(k, df);
  const loadings = nearestLoadings(correlation);
  const near = productCdf(loadings, df);
  const trueLower = choleskyLower(correlation);
  const nearLower = choleskyLower(
    loadings.map((a, i) => loadings.map((b, j) => (i === j ? 1 : a * b))),
  );
  return t =>
    near(t) +
    (latticeSum(trueLower, points, t) - latticeSum(nearLower, points, t)) / LATTICE_POINTS;
}

/** λ whose products come closest to the correlations: each in turn the least-squares answer given the others. */
function nearestLoadings(correlation: readonly (readonly number[])[]): readonly number[] {
  const k = correlation.length;
  const start = Math.sqrt(meanCorrelation(correlation));
  const loadings = correlation.map((row, i) => start * (i === 0 ? 1 : Math.sign(row[0]!) || 1));
  for (let round = 0; round < 30; round++) {
    for (let i = 0; i < k; i++) {
      let across = 0;
      let square = 0;
      for (let j = 0; j < k; j++) {
        if (j === i) continue;
        across += correlation[i]![j]! * loadings[j]!;
        square += loadings[j]! ** 2;
      }
      loadings[i] = square > 0 ? Math.max(-0.98, Math.min(0.98, across / square)) : 0;
    }
  }
  return loadings;
}

/** Genz's transformed integrand summed over the lattice. */
function latticeSum(
  lower: readonly (readonly number[])[],
  points: LatticePoints,
  t: number,
): number {
  const k = lower.length;
  const draws = new Float64Array(k);
  let total = 0;
  for (let p = 0; p < LATTICE_POINTS; p++) {
    const bound = t * points.spread[p]!;
    let product = 1;
    for (let i = 0; i < k && product > 0; i++) {
      let centre = 0;
      for (let j = 0; j < i; j++) centre += lower[i]![j]! * draws[j]!;
      const scale = lower[i]![i]!;
      const below = scale > 0 ? quickNormalCdf((-bound - centre) / scale) : Number(-bound > centre);
      const above = scale > 0 ? quickNormalCdf((bound - centre) / scale) : Number(bound >= centre);
      product *= Math.max(0, above - below);
      if (i < k - 1)
        draws[i] = quickNormalQuantile(below + points.uniform[p * k + i]! * (above - below));
    }
    total += product;
  }
  return total;
}

interface LatticePoints {
  /** Row by row, one row a point. */
  readonly uniform: Float64Array;
  /** One a point. */
  readonly spread: Float64Array;
}

/** Richtmyer lattice folded by the baker's map; its last axis is turned into S by the quantile of √(χ²/df). */
function latticePoints(k: number, df: number): LatticePoints {
  const uniform = new Float64Array(LATTICE_POINTS * k);
  const spread = new Float64Array(LATTICE_POINTS);
  const quantile = spreadQuantile(df);
  for (let p = 0; p < LATTICE_POINTS; p++) {
    for (let i = 0; i < k; i++) {
      const x = ((p + 1) * Math.sqrt(PRIMES[i % PRIMES.length]!)) % 1;
      uniform[p * k + i] = Math.abs(2 * x - 1);
    }
    // Plain midpoints for the spread: it is the axis that matters most, and one axis of a lattice may be ordered.
    spread[p] = quantile((p + 0.5) / LATTICE_POINTS);
  }
  return { uniform, spread };
}

/** Quantile of S = √(χ²/df) by the cumulated density on a fine grid, linear between grid points. */
function spreadQuantile(df: number): (p: number) => number {
  const mode = Math.sqrt(Math.max(0, df - 1) / df);
  const reach = 8.5 / Math.sqrt(df);
  const from = Math.max(0, mode - reach);
  const steps = 8000;
  const width = (mode + reach - from) / steps;
  const logDensity = (s: number): number => (df - 1) * Math.log(s) - (df * s * s) / 2;
  const peak = mode > 0 ? logDensity(mode) : 0;
  const cumulated = new Float64Array(steps + 1);
  for (let i = 0; i < steps; i++)
    cumulated[i + 1] = cumulated[i]! + Math.exp(logDensity(from + (i + 0.5) * width) - peak);
  const total = cumulated[steps]!;
  let at = 0;
  return p => {
    const target = p * total;
    if (cumulated[at]! > target) at = 0;
    while (at < steps - 1 && cumulated[at + 1]! < target) at++;
    const share = (target - cumulated[at]!) / (cumulated[at + 1]! - cumulated[at]!);
    return from + (at + share) * width;
  };
}

function choleskyLower(matrix: readonly (readonly number[])[]): readonly (readonly number[])[] {
  const k = matrix.length;
  const lower: number[][] = Array.from({ length: k }, () => new Array<number>(k).fill(0));
  for (let i = 0; i < k; i++) {
    for (let j = 0; j <= i; j++) {
      let sum = matrix[i]![j]!;
      for (let l = 0; l < j; l++) sum -= lower[i]![l]! * lower[j]![l]!;
      // A comparison that follows from the others has no spread of its own.
      if (i === j) lower[i]![i] = sum > SAME_CORRELATION ? Math.sqrt(sum) : 0;
      else lower[i]![j] = lower[j]![j]! > 0 ? sum / lower[j]![j]! : 0;
    }
  }
  return lower;
}
