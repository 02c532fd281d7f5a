import { orthonormalBasis } from '@/core/stats/linear/orthonormal-basis';
import { projectOut, squareSum } from '@/core/stats/linear/project-out';
import { sweepInverse } from '@/core/stats/linear/sweep-inverse';
import type { PermutationProblem } from './permutation-problem';
import { studentised } from './refitted-max-t';

// Below this share of the spread about the blocks, what is left after the treatments is rounding.
const NOTHING_LEFT = 1e-12;

/** |t| of every treatment against the control. The arrays are used again at the next call; what can't be compared stays NaN. */
export interface GapStatistic {
  readonly of: (labels: Int32Array) => Float64Array;
  /** The same from the sums by treatment of some values, where nothing else of the labels counts. */
  readonly bySums?: {
    readonly values: Float64Array;
    readonly of: (sums: Float64Array) => Float64Array;
  };
}

/** The normal equations are solved once: for deals that leave the count of each treatment in each block as it is. */
export function maxT(problem: PermutationProblem): GapStatistic | undefined {
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
    ? { of: adjustedGaps(response, inverse, z, zSquare) }
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
): GapStatistic {
  const comparisons = treatments - 1;
  const own = new Float64Array(treatments);
  const effects = new Float64Array(comparisons);
  const gaps = new Float64Array(comparisons);
  const ofSums = (sums: Float64Array): Float64Array => {
    const left = total - solveEffects(sums, g, effects);
    const ms = left > NOTHING_LEFT * total ? left / residualDf : 0;
    for (let i = 0; i < comparisons; i++)
      gaps[i] = estimable[i] ? studentised(effects[i]!, g[i * comparisons + i]! * ms) : Number.NaN;
    return gaps;
  };
  return {
    of: labels => {
      sumByTreatment(y, labels, own);
      return ofSums(own);
    },
    bySums: { values: y, of: ofSums },
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
    sumByTreatment(z, labels, sums);
    const zLeft = zSquare - solveEffects(sums, g, slopes);
    sumByTreatment(y, labels, sums);
    const yLeft = total - solveEffects(sums, g, effects);
    let cross = blockFreeCross;
    for (let i = 0; i < comparisons; i++) cross -= slopes[i]! * sums[i + 1]!;
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

function sumByTreatment(values: Float64Array, labels: Int32Array, into: Float64Array): void {
  into.fill(0);
  for (let unit = 0; unit < values.length; unit++) into[labels[unit]!]! += values[unit]!;
}

/**
 * Least squares of the treatments' effects against the control.
 *
 * @param sums by treatment
 * @param into takes the effects
 * @returns the sum of squares they explain
 */
function solveEffects(sums: Float64Array, g: Inverse['g'], into: Float64Array): number {
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
