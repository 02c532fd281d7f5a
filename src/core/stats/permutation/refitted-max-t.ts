import { dot, orthonormalBasis } from '@/core/stats/linear/orthonormal-basis';
import { projectOut, squareSum } from '@/core/stats/linear/project-out';
import { sweepInverse } from '@/core/stats/linear/sweep-inverse';
import type { PermutationProblem } from './permutation-problem';

// Below this share of the spread about the blocks, what is left after the treatments is rounding.
const NOTHING_LEFT = 1e-12;

/**
 * |t| of every treatment against the control, with the model fitted anew to each deal: for layouts whose deals change how
 * often a treatment stands in a block (a square with lost units), and for split plots, whose comparisons carry the spread
 * of whole plots and of the units within them, each in its share. The array it returns is used again at the next call.
 * A comparison that the layout can't make stays NaN.
 */
export function refittedMaxT(
  problem: PermutationProblem,
): ((labels: Int32Array) => Float64Array) | undefined {
  const units = problem.y.length;
  const held = [
    ...problem.blocks.flatMap(term => term.columns),
    ...(problem.covariate ? [problem.covariate] : []),
    ...(problem.placeColumns ?? []),
  ];
  const plain = frameOf(problem, held);
  const total = squareSum(plain.y);
  if (total <= NOTHING_LEFT * squareSum(problem.y)) return undefined;
  const wholes = problem.wholePlot && wholePlotsOf(problem.wholePlot, plain);
  const within = wholes && frameOf(problem, [...held, ...wholes.map(whole => whole.column)]);
  const comparisons = problem.treatments - 1;
  const gaps = new Float64Array(comparisons);

  return labels => {
    const fit = solve(plain, labels, problem.treatments);
    const left = Math.max(0, total - fit.explained);
    const df = units - plain.basis.length - fit.rank;
    if (!within || !wholes) {
      const ms = df > 0 && left > NOTHING_LEFT * total ? left / df : 0;
      for (let i = 0; i < comparisons; i++)
        gaps[i] = fit.estimable[i]
          ? studentised(fit.effects[i]!, fit.inverse[i]![i]! * ms)
          : Number.NaN;
      return gaps;
    }
    const inner = solve(within, labels, problem.treatments);
    const innerLeft = Math.max(0, squareSum(within.y) - inner.explained);
    const innerDf = units - within.basis.length - inner.rank;
    const wholeDf = df - innerDf;
    const innerMs = innerDf > 0 ? innerLeft / innerDf : 0;
    const wholeMs = wholeDf > 0 ? Math.max(0, left - innerLeft) / wholeDf : Number.NaN;
    const share = wholePlotShares(labels, wholes, fit, wholeDf);
    for (let i = 0; i < comparisons; i++) {
      const whole = share[i]!;
      const variance =
        whole > WHOLE_SHARE * fit.inverse[i]![i]!
          ? whole * wholeMs + (fit.inverse[i]![i]! - whole) * innerMs
          : fit.inverse[i]![i]! * innerMs;
      gaps[i] =
        fit.estimable[i] && !Number.isNaN(variance)
          ? studentised(fit.effects[i]!, variance)
          : Number.NaN;
    }
    return gaps;
  };
}

// A comparison within whole plots carries none of their spread; what is computed of it then is rounding.
const WHOLE_SHARE = 1e-9;

/** What stays with the units, projected out once. */
interface Frame {
  readonly basis: readonly (readonly number[])[];
  readonly y: Float64Array;
}

interface Fit {
  readonly effects: readonly number[];
  readonly inverse: readonly (readonly number[])[];
  /** Basis coordinates of each treatment's column, the control's left out. */
  readonly along: readonly (readonly number[])[];
  readonly explained: number;
  readonly rank: number;
  readonly estimable: readonly boolean[];
}

function frameOf(problem: PermutationProblem, columns: readonly (readonly number[])[]): Frame {
  const basis = orthonormalBasis(problem.y.length, columns).vectors;
  return { basis, y: projectOut(problem.y, basis) };
}

/** Normal equations of the treatments adjusted for what is held: diag(n) − A'A, without the control. */
function solve({ basis, y }: Frame, labels: Int32Array, treatments: number): Fit {
  const size = treatments - 1;
  const sums = new Array<number>(size).fill(0);
  const counts = new Array<number>(size).fill(0);
  const along = Array.from({ length: size }, () => new Array<number>(basis.length).fill(0));
  for (let unit = 0; unit < labels.length; unit++) {
    const t = labels[unit]! - 1;
    if (t < 0) continue;
    sums[t]! += y[unit]!;
    counts[t]! += 1;
    const own = along[t]!;
    for (let j = 0; j < own.length; j++) own[j]! += basis[j]![unit]!;
  }
  const matrix = along.map((a, i) =>
    along.map((b, j) => {
      let product = i === j ? counts[i]! : 0;
      for (let l = 0; l < a.length; l++) product -= a[l]! * b[l]!;
      return product;
    }),
  );
  const { inverse, rank, solvable } = sweepInverse(matrix);
  const effects = inverse.map(row => row.reduce((sum, value, j) => sum + value * sums[j]!, 0));
  return {
    effects,
    inverse,
    along,
    explained: effects.reduce((sum, effect, i) => sum + effect * sums[i]!, 0),
    rank,
    estimable: solvable,
  };
}

/**
 * The part of each comparison's variance that whole plots carry: Σ over whole plots of (sum of its units' weights)², over
 * the whole-plot variance's factor in the expected whole-plot mean square (Henderson 1953, Biometrics 9, method 3).
 */
function wholePlotShares(
  labels: Int32Array,
  wholes: readonly WholePlot[],
  fit: Fit,
  wholeDf: number,
): readonly number[] {
  const size = fit.effects.length;
  const squares = new Array<number>(size).fill(0);
  let factor = 0;
  for (const whole of wholes) {
    const onTreatments = new Array<number>(size).fill(0);
    for (const unit of whole.units) if (labels[unit]! > 0) onTreatments[labels[unit]! - 1]! += 1;
    const adjusted = onTreatments.map((value, t) => value - dot(fit.along[t]!, whole.onBasis));
    const weights = fit.inverse.map(row => dot(row, adjusted));
    weights.forEach((weight, i) => {
      squares[i]! += weight * weight;
    });
    factor += whole.units.length - dot(whole.onBasis, whole.onBasis) - dot(adjusted, weights);
  }
  return squares.map(square => (factor > 0 ? (square * wholeDf) / factor : 0));
}

interface WholePlot {
  readonly units: readonly number[];
  readonly column: readonly number[];
  /** Coordinates of its column in what is held. */
  readonly onBasis: readonly number[];
}

function wholePlotsOf(wholePlot: readonly number[], { basis }: Frame): readonly WholePlot[] {
  return [...new Set(wholePlot)].map(whole => {
    const column = wholePlot.map(each => Number(each === whole));
    return {
      column,
      units: wholePlot.flatMap((each, unit) => (each === whole ? [unit] : [])),
      onBasis: basis.map(vector => dot(vector, column)),
    };
  });
}

/** A gap over its standard error; a gap without any spread outdoes every other. */
export function studentised(gap: number, variance: number): number {
  const size = Math.abs(gap);
  if (variance > 0) return size / Math.sqrt(variance);
  return size > NOTHING_LEFT ? Number.MAX_VALUE : 0;
}
