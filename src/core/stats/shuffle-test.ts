import { type ModelTerm, orthonormalBasis } from './linear-model';
import { type SeededRandom, seededRandom } from './seeded-random';

/** A trial as the shuffle test sees it. Arrays are one entry a unit. */
export interface ShuffleProblem {
  readonly y: readonly number[];
  /** Index of each unit's treatment; 0 is the control. */
  readonly treatment: readonly number[];
  /** How many treatments there are, the control included. */
  readonly treatments: number;
  /** Index of the group of units within which the layout dealt: all 0 where it dealt over the whole trial. */
  readonly stratum: readonly number[];
  /** What the model holds besides the treatment and stays with the unit: blocks. */
  readonly blocks: readonly ModelTerm[];
  /** Start size or the like; stays with the unit too, and is fitted anew in each deal. */
  readonly covariate: readonly number[] | undefined;
}

/** What a shuffle test found, or has found so far. */
export interface ShuffleResult {
  readonly exact: boolean;
  /** How many deals were looked at. */
  readonly arrangements: number;
  readonly seed: number;
  readonly comparisons: readonly ShuffleComparison[];
  /** How often the largest |t| of a deal fell into each bin of `binWidth`; the last bin holds all beyond. */
  readonly histogram: { readonly binWidth: number; readonly counts: readonly number[] };
}

/** One treatment against the control. */
export interface ShuffleComparison {
  /** Index of the treatment, ≥ 1. */
  readonly treatment: number;
  /** |t| of the deal that was really made. */
  readonly observed: number;
  /** Share of deals whose |t| for this treatment is as large. */
  readonly p: number;
  /** Share of deals whose largest |t| over all treatments is as large: Westfall & Young (1993), single-step max T. */
  readonly pAdjusted: number;
}

/** A shuffle test on its way. It is stepped from outside, so that it can be watched, reported on and stopped. */
export interface ShuffleRun {
  /** How many deals there will be. */
  readonly total: number;
  readonly exact: boolean;
  /** Makes up to so many further deals; false when none are left. */
  readonly step: (deals: number) => boolean;
  readonly done: () => number;
  /** The labels of the latest deal and its largest |t|. */
  readonly latest: () => { readonly treatment: readonly number[]; readonly largestT: number };
  readonly result: () => ShuffleResult;
}

/** Up to so many arrangements are looked at one by one. */
export const MOST_EXACT_ARRANGEMENTS = 200_000;

/**
 * Re-deals the treatments as the layout could have dealt them and compares the studentised gaps. All arrangements where
 * there are at most 200,000 (p = share of them), otherwise `deals` random ones with p = (b + 1)/(m + 1).
 *
 * A deal inside strata leaves the count of each treatment in each block as it is, and with it the normal equations: they
 * are solved once, and a deal costs one pass over the units whatever the blocks.
 *
 * @returns undefined where no spread is left to judge by, or the layout could have dealt only this one arrangement
 */
export function startShuffleTest(problem: ShuffleProblem, deals: number, seed: number): ShuffleRun | undefined {
  const statistic = studentisedGaps(problem);
  const arrangements = countArrangements(problem);
  if (!statistic || arrangements < 2) return undefined;
  const exact = arrangements <= MOST_EXACT_ARRANGEMENTS;
  const total = exact ? arrangements : deals;
  const order = byStratum(problem.stratum);
  const labels = Int32Array.from(problem.treatment);
  const tally = startTally(statistic(labels)); // before the labels move: this is the deal that was really made
  const nextDeal = exact ? everyArrangement(labels, order) : randomDeals(labels, order, seededRandom(seed));
  let done = 0;

  const makeDeals = (wanted: number): boolean => {
    const until = Math.min(total, done + wanted);
    for (; done < until; done++) {
      nextDeal();
      tally.add(statistic(labels));
    }
    return done < total;
  };
  return {
    total,
    exact,
    step: makeDeals,
    done: () => done,
    latest: () => ({ treatment: [...labels], largestT: tally.latest() }),
    result: () => ({ exact, arrangements: done, seed, ...tally.summary(exact, done) }),
  };
}

/** Runs a test to its end. */
export function runShuffleTest(problem: ShuffleProblem, deals: number, seed: number): ShuffleResult | undefined {
  const run = startShuffleTest(problem, deals, seed);
  run?.step(run.total);
  return run?.result();
}

/** How many different deals the layout could have made; may be Infinity. */
export function countArrangements(problem: Pick<ShuffleProblem, 'stratum' | 'treatment'>): number {
  let product = 1;
  for (const units of byStratum(problem.stratum)) {
    const counts = new Map<number, number>();
    let placed = 0;
    for (const unit of units) {
      const count = (counts.get(problem.treatment[unit]!) ?? 0) + 1;
      counts.set(problem.treatment[unit]!, count);
      placed += 1;
      product = (product * placed) / count; // a multinomial built up one unit at a time
    }
  }
  return Math.round(product);
}

function byStratum(stratum: readonly number[]): readonly (readonly number[])[] {
  const groups = new Map<number, number[]>();
  stratum.forEach((group, unit) => {
    groups.set(group, [...(groups.get(group) ?? []), unit]);
  });
  return [...groups.values()];
}

// One draw of 32 bits serves several cards, as long as 22 bits are left for the next: off by less than n / 2²², which no
// count of shuffles can show.
const SPENT_AT_MOST = 2 ** 10;

/** Fisher & Yates (1938) within each stratum, sparing with random numbers: they are most of the cost of a deal. */
function randomDeals(labels: Int32Array, order: readonly (readonly number[])[], random: SeededRandom): () => void {
  let rest = 0;
  let spent = SPENT_AT_MOST;
  return () => {
    for (const units of order) {
      for (let last = units.length - 1; last > 0; last--) {
        spent *= last + 1;
        if (spent > SPENT_AT_MOST) {
          rest = random.share();
          spent = last + 1;
        }
        const scaled = rest * (last + 1);
        const chosen = Math.floor(scaled);
        rest = scaled - chosen;
        const a = units[last]!;
        const b = units[chosen]!;
        const kept = labels[a]!;
        labels[a] = labels[b]!;
        labels[b] = kept;
      }
    }
  };
}

/** Steps through all arrangements like an odometer: each stratum a wheel of permutations in lexical order. */
function everyArrangement(labels: Int32Array, order: readonly (readonly number[])[]): () => void {
  for (const units of order) sortLabels(labels, units);
  let isFirst = true;
  return () => {
    if (isFirst) {
      isFirst = false;
      return;
    }
    for (const units of order) {
      if (nextPermutation(labels, units)) return;
      sortLabels(labels, units);
    }
  };
}

function sortLabels(labels: Int32Array, units: readonly number[]): void {
  const sorted = units.map(unit => labels[unit]!).sort((a, b) => a - b);
  units.forEach((unit, i) => {
    labels[unit] = sorted[i]!;
  });
}

/** The next arrangement in lexical order (Knuth 2011, TAOCP 4A, §7.2.1.2, algorithm L); false after the last. */
function nextPermutation(labels: Int32Array, units: readonly number[]): boolean {
  let rise = units.length - 2;
  while (rise >= 0 && labels[units[rise]!]! >= labels[units[rise + 1]!]!) rise--;
  if (rise < 0) return false;
  let larger = units.length - 1;
  while (labels[units[larger]!]! <= labels[units[rise]!]!) larger--;
  swap(labels, units[rise]!, units[larger]!);
  for (let left = rise + 1, right = units.length - 1; left < right; left++, right--) swap(labels, units[left]!, units[right]!);
  return true;
}

function swap(labels: Int32Array, a: number, b: number): void {
  const kept = labels[a]!;
  labels[a] = labels[b]!;
  labels[b] = kept;
}

// Two deals that give the same gap on paper differ in the last digits of their sums.
const SAME_T = 1e-9;
const BIN_WIDTH = 0.2;
const BINS = 60;

function startTally(first: Float64Array) {
  const observed = Float64Array.from(first);
  const thresholds = observed.map(t => t - SAME_T * Math.max(1, t));
  const asLarge = new Int32Array(observed.length);
  const largestAsLarge = new Int32Array(observed.length);
  const counts = new Int32Array(BINS);
  let latest = largestOf(observed);

  return {
    add: (gaps: Float64Array): void => {
      latest = largestOf(gaps);
      for (let c = 0; c < gaps.length; c++) {
        if (gaps[c]! >= thresholds[c]!) asLarge[c]!++;
        if (latest >= thresholds[c]!) largestAsLarge[c]!++;
      }
      counts[Math.min(BINS - 1, Math.floor(latest / BIN_WIDTH))]!++;
    },
    latest: () => latest,
    summary: (exact: boolean, done: number): Pick<ShuffleResult, 'comparisons' | 'histogram'> => {
      // The deal that was made counts as one of the random ones, so that p is never 0.
      const share = (count: number): number => (exact ? count / Math.max(1, done) : (count + 1) / (done + 1));
      const comparisons = [...observed].flatMap((t, c): ShuffleComparison[] =>
        Number.isNaN(t) ? [] : [{ treatment: c + 1, observed: t, p: share(asLarge[c]!), pAdjusted: share(largestAsLarge[c]!) }]);
      return { comparisons, histogram: { binWidth: BIN_WIDTH, counts: [...counts] } };
    },
  };
}

function largestOf(gaps: Float64Array): number {
  let largest = 0;
  for (let c = 0; c < gaps.length; c++) if (gaps[c]! > largest) largest = gaps[c]!;
  return largest;
}

// Below this share of the spread about the blocks, what is left after the treatments is rounding.
const NOTHING_LEFT = 1e-12;

/**
 * |t| of every treatment against the control as a function of the labels. The array it returns is used again at the next
 * call. A comparison that the layout can't make stays NaN.
 */
function studentisedGaps(problem: ShuffleProblem): ((labels: Int32Array) => Float64Array) | undefined {
  const units = problem.y.length;
  const basis = orthonormalBasis(units, problem.blocks.flatMap(term => term.columns)).vectors;
  const y = withoutBlocks(problem.y, basis);
  const z = problem.covariate && withoutBlocks(problem.covariate, basis);
  const zSquare = z ? squareSum(z) : 0;
  const usesCovariate = z !== undefined && zSquare > NOTHING_LEFT * squareSum(Float64Array.from(problem.covariate ?? []));
  const inverse = invertAdjustedCounts(problem, basis);
  const residualDf = units - basis.length - inverse.rank - Number(usesCovariate);
  const total = squareSum(y);
  if (residualDf < 1 || total <= NOTHING_LEFT * squareSum(Float64Array.from(problem.y))) return undefined;

  const comparisons = problem.treatments - 1;
  const sums = new Float64Array(problem.treatments);
  const effects = new Float64Array(comparisons);
  const slopes = new Float64Array(comparisons);
  const gaps = new Float64Array(comparisons);
  const { g, estimable } = inverse;

  const solve = (values: Float64Array, labels: Int32Array, into: Float64Array): number => {
    sums.fill(0);
    for (let unit = 0; unit < units; unit++) sums[labels[unit]!]! += values[unit]!;
    let explained = 0;
    for (let i = 0; i < comparisons; i++) {
      let effect = 0;
      for (let j = 0; j < comparisons; j++) effect += g[i * comparisons + j]! * sums[j + 1]!;
      into[i] = effect;
      explained += effect * sums[i + 1]!;
    }
    return explained;
  };

  if (!usesCovariate || !z) {
    return labels => {
      const left = total - solve(y, labels, effects);
      const ms = left > NOTHING_LEFT * total ? left / residualDf : 0;
      for (let i = 0; i < comparisons; i++) gaps[i] = estimable[i] ? studentised(effects[i]!, g[i * comparisons + i]! * ms) : Number.NaN;
      return gaps;
    };
  }
  let blockFreeCross = 0;
  for (let unit = 0; unit < units; unit++) blockFreeCross += y[unit]! * z[unit]!;
  return labels => {
    const zLeft = zSquare - solve(z, labels, slopes);
    const yLeft = total - solve(y, labels, effects);
    let cross = blockFreeCross;
    for (let i = 0; i < comparisons; i++) cross -= slopes[i]! * sums[i + 1]!; // sums still hold y
    const usable = zLeft > NOTHING_LEFT * zSquare;
    const slope = usable ? cross / zLeft : 0;
    const left = yLeft - slope * cross;
    const ms = left > NOTHING_LEFT * total ? left / residualDf : 0;
    for (let i = 0; i < comparisons; i++) {
      const variance = g[i * comparisons + i]! + (usable ? slopes[i]! ** 2 / zLeft : 0);
      gaps[i] = estimable[i] ? studentised(effects[i]! - slope * slopes[i]!, variance * ms) : Number.NaN;
    }
    return gaps;
  };
}

function studentised(gap: number, variance: number): number {
  const size = Math.abs(gap);
  if (variance > 0) return size / Math.sqrt(variance);
  return size > NOTHING_LEFT ? Number.MAX_VALUE : 0; // a gap without any spread outdoes every other
}

function withoutBlocks(values: readonly number[], basis: readonly (readonly number[])[]): Float64Array {
  const rest = Float64Array.from(values);
  for (let pass = 0; pass < 2; pass++) {
    for (const vector of basis) {
      let along = 0;
      for (let unit = 0; unit < rest.length; unit++) along += vector[unit]! * rest[unit]!;
      for (let unit = 0; unit < rest.length; unit++) rest[unit]! -= along * vector[unit]!;
    }
  }
  return rest;
}

function squareSum(values: Float64Array): number {
  let sum = 0;
  for (const value of values) sum += value * value;
  return sum;
}

interface AdjustedInverse {
  /** Row-major inverse over the treatments but the control; rows of those that can't be solved for are zero. */
  readonly g: Float64Array;
  readonly rank: number;
  /** Whether each treatment can be compared with the control. */
  readonly estimable: readonly boolean[];
}

/**
 * Inverse of the treatment counts adjusted for blocks, T'(I − P)T without the control's row and column
 * (John & Williams 1995, Cyclic and Computer Generated Designs, §1.4). Treatments that the ones before them already
 * determine are set aside; a treatment is comparable with the control when the inverse gives its unit vector back.
 */
function invertAdjustedCounts(problem: ShuffleProblem, basis: readonly (readonly number[])[]): AdjustedInverse {
  const k = problem.treatments - 1;
  const indicators = Array.from({ length: k }, (_, i) => problem.treatment.map(t => Number(t === i + 1)));
  const adjusted = indicators.map(column => withoutBlocks(column, basis));
  const counts = adjusted.map(a => adjusted.map(b => a.reduce((sum, value, unit) => sum + value * b[unit]!, 0)));
  const { inverse, rank } = sweepInverse(counts);
  const estimable = inverse.map((row, i) => counts.every((_, j) => {
    const given = row.reduce((sum, value, l) => sum + value * counts[l]![j]!, 0);
    return Math.abs(given - Number(i === j)) < 1e-6;
  }));
  return { g: Float64Array.from(inverse.flat()), rank, estimable };
}

/** Generalised inverse of a symmetric nonnegative matrix by the sweep operator (Goodnight 1979, The American Statistician 33). */
function sweepInverse(matrix: readonly (readonly number[])[]): { readonly inverse: number[][]; readonly rank: number } {
  const a = matrix.map(row => [...row]);
  const size = a.length;
  const swept: boolean[] = [];
  for (let pivot = 0; pivot < size; pivot++) {
    const d = a[pivot]![pivot]!;
    swept[pivot] = d > 1e-9 * Math.max(1e-300, matrix[pivot]![pivot]!);
    if (!swept[pivot]) continue;
    for (let i = 0; i < size; i++) {
      if (i === pivot) continue;
      const b = a[i]![pivot]! / d;
      for (let j = 0; j < size; j++) if (j !== pivot) a[i]![j]! -= b * a[pivot]![j]!;
      a[i]![pivot] = -b;
    }
    for (let j = 0; j < size; j++) if (j !== pivot) a[pivot]![j]! /= d;
    a[pivot]![pivot] = 1 / d;
  }
  const inverse = a.map((row, i) => row.map((value, j) => (swept[i] && swept[j] ? value : 0)));
  return { inverse, rank: swept.filter(Boolean).length };
}
