import { orthonormalBasis } from '@/core/stats/linear/linear-model';
import { projectOut, squareSum } from '@/core/stats/linear/project-out';
import { sweepInverse } from '@/core/stats/linear/sweep-inverse';
import type { PermutationProblem } from './permutation-problem';
import { studentised } from './refitted-max-t';

// Below this share of the spread about the blocks, what is left after the treatments is rounding.
const NOTHING_LEFT = 1e-12;

/**
 * |t| of every treatment against the control as a function of the labels. The array it returns is used again at the next
 * call. A comparison that the layout can't make stays NaN.
 */
export function maxT(
  problem: PermutationProblem,
): ((labels: Int32Array) => Float64Array) | undefined {
  const units = problem.y.length;
  const blockColumns = problem.blocks.flatMap(term => term.columns);
  const basis = orthonormalBasis(units, blockColumns).vectors;
  const y = projectOut(problem.y, basis);
  const z = problem.covariate && projectOut(problem.covariate, basis);
  const zSquare = z ? squareSum(z) : 0;
  const usesCovariate =
    z !== undefined && zSquare > NOTHING_LEFT * squareSum(problem.covariate ?? []);
  const inverse = invertAdjustedCounts(problem, basis);
  const residualDf = units - basis.length - inverse.rank - Number(usesCovariate);
  const total = squareSum(y);
  if (residualDf < 1 || total <= NOTHING_LEFT * squareSum(problem.y)) return undefined;
  const response = { y, total, residualDf, treatments: problem.treatments };
  return usesCovariate && z
    ? adjustedGaps(response, inverse, z, zSquare)
    : plainGaps(response, inverse);
}

type Inverse = ReturnType<typeof invertAdjustedCounts>;

/** The response about its blocks. */
interface Response {
  readonly y: Float64Array;
  /** Its sum of squares. */
  readonly total: number;
  readonly residualDf: number;
  readonly treatments: number;
}

function plainGaps(
  { y, total, residualDf, treatments }: Response,
  { g, estimable }: Inverse,
): (labels: Int32Array) => Float64Array {
  const comparisons = treatments - 1;
  const sums = new Float64Array(treatments);
  const effects = new Float64Array(comparisons);
  const gaps = new Float64Array(comparisons);
  return labels => {
    const left = total - solveEffects(y, labels, g, sums, effects);
    const ms = left > NOTHING_LEFT * total ? left / residualDf : 0;
    for (let i = 0; i < comparisons; i++)
      gaps[i] = estimable[i] ? studentised(effects[i]!, g[i * comparisons + i]! * ms) : Number.NaN;
    return gaps;
  };
}

/** The same with a covariate, about its blocks too. */
function adjustedGaps(
  { y, total, residualDf, treatments }: Response,
  { g, estimable }: Inverse,
  z: Float64Array,
  zSquare: number,
): (labels: Int32Array) => Float64Array {
  const comparisons = treatments - 1;
  const sums = new Float64Array(treatments);
  const effects = new Float64Array(comparisons);
  const slopes = new Float64Array(comparisons);
  const gaps = new Float64Array(comparisons);
  let blockFreeCross = 0;
  for (let unit = 0; unit < y.length; unit++) blockFreeCross += y[unit]! * z[unit]!;
  return labels => {
    const zLeft = zSquare - solveEffects(z, labels, g, sums, slopes);
    const yLeft = total - solveEffects(y, labels, g, sums, effects);
    let cross = blockFreeCross;
    for (let i = 0; i < comparisons; i++) cross -= slopes[i]! * sums[i + 1]!; // sums still hold y
    const usable = zLeft > NOTHING_LEFT * zSquare;
    const slope = usable ? cross / zLeft : 0;
    const left = yLeft - slope * cross;
    const ms = left > NOTHING_LEFT * total ? left / residualDf : 0;
    for (let i = 0; i < comparisons; i++) {
      const variance = g[i * comparisons + i]! + (usable ? slopes[i]! ** 2 / zLeft : 0);
      gaps[i] = estimable[i]
        ? studentised(effects[i]! - slope * slopes[i]!, variance * ms)
        : Number.NaN;
    }
    return gaps;
  };
}

/**
 * Least squares of the treatments' effects against the control.
 *
 * @param sums room for the sums by treatment; holds them afterwards
 * @param into takes the effects
 * @returns the sum of squares they explain
 */
function solveEffects(
  values: Float64Array,
  labels: Int32Array,
  g: Inverse['g'],
  sums: Float64Array,
  into: Float64Array,
): number {
  sums.fill(0);
  for (let unit = 0; unit < values.length; unit++) sums[labels[unit]!]! += values[unit]!;
  const comparisons = into.length;
  let explained = 0;
  for (let i = 0; i < comparisons; i++) {
    let effect = 0;
    for (let j = 0; j < comparisons; j++) effect += g[i * comparisons + j]! * sums[j + 1]!;
    into[i] = effect;
    explained += effect * sums[i + 1]!;
  }
  return explained;
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
function invertAdjustedCounts(
  problem: PermutationProblem,
  basis: readonly (readonly number[])[],
): AdjustedInverse {
  const k = problem.treatments - 1;
  const indicators = Array.from({ length: k }, (_, i) =>
    problem.treatment.map(t => Number(t === i + 1)),
  );
  const adjusted = indicators.map(column => projectOut(column, basis));
  const counts = adjusted.map(a =>
    adjusted.map(b => a.reduce((sum, value, unit) => sum + value * b[unit]!, 0)),
  );
  const { inverse, rank, solvable } = sweepInverse(counts);
  return { g: Float64Array.from(inverse.flat()), rank, estimable: solvable };
}
