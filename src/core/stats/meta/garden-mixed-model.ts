import { tQuantile, tTwoSidedP } from '@/core/stats/distributions/distributions';
import { largestT } from '@/core/stats/distributions/multivariate-t';
import { sweepInverse } from '@/core/stats/linear/sweep-inverse';

/** A unit of a trial in several gardens. */
export interface GardenUnit {
  readonly garden: string;
  /** Its block within the garden; the same for all where the garden has none. */
  readonly block: string;
  readonly treatment: string;
  readonly value: number;
}

/** A treatment against the control, in gardens like these. */
export interface MixedContrast {
  readonly treatment: string;
  readonly difference: number;
  readonly se: number;
  readonly ci: readonly [number, number];
  /** All treatments together (Dunnett). */
  readonly ciAdjusted: readonly [number, number];
  readonly p: number;
}

export interface GardenMixedModel {
  readonly contrasts: readonly MixedContrast[];
  readonly df: number;
  /** Standard deviation of units treated alike in one garden, and of what a treatment does from garden to garden. */
  readonly unitSd: number;
  readonly gardenSd: number;
}

/**
 * All units of all gardens in one model: gardens (and blocks in them) and treatments fixed, treatment by garden random, by restricted
 * maximum likelihood. Degrees of freedom are those of treatment by garden (Pinheiro & Bates 2000, Mixed-Effects Models in S and
 * S-PLUS, section 2.4.2).
 *
 * @returns undefined where no treatment by garden is left to judge by
 */
export function fitGardenMixedModel(
  units: readonly GardenUnit[],
  control: string,
  confidence = 0.95,
): GardenMixedModel | undefined {
  const tests = [...new Set(units.map(unit => unit.treatment))].filter(name => name !== control);
  const gardens = byGarden(units, tests);
  const cells = gardens.reduce((sum, garden) => sum + garden.cellSizes.length, 0);
  const df = cells - gardens.length - tests.length;
  const start = profileAt(gardens, tests.length, 0);
  if (tests.length === 0 || df < 1 || !start) return undefined;
  const best = profileAt(gardens, tests.length, bestRatio(gardens, tests.length));
  if (!best) return undefined;
  const covariance = best.inverse.map(row => row.map(value => value * best.sigma2));
  const errors = tests.map((_, i) => Math.sqrt(covariance[i]![i]!));
  const correlations = covariance.map((row, i) =>
    row.map((value, j) => (i === j ? 1 : value / (errors[i]! * errors[j]!))),
  );
  const [plain, joint] = [
    tQuantile(1 - (1 - confidence) / 2, df),
    largestT(correlations, df).quantile(confidence),
  ];
  return {
    contrasts: tests.map((treatment, i) => {
      const [difference, se] = [best.beta[i]!, errors[i]!];
      const within = (critical: number) =>
        [difference - critical * se, difference + critical * se] as const;
      const p = tTwoSidedP(difference / se, df);
      return { treatment, difference, se, ci: within(plain), ciAdjusted: within(joint), p };
    }),
    df,
    unitSd: Math.sqrt(best.sigma2),
    gardenSd: Math.sqrt(best.sigma2 * best.ratio),
  };
}

/** A garden’s units as columns: its blocks, its treatments but the control, what was read. */
interface GardenColumns {
  readonly columns: readonly (readonly number[])[];
  readonly blocks: number;
  /** The number of each unit’s treatment in this garden, and how many units each has. */
  readonly cellOf: readonly number[];
  readonly cellSizes: readonly number[];
}

function byGarden(
  units: readonly GardenUnit[],
  tests: readonly string[],
): readonly GardenColumns[] {
  const names = [...new Set(units.map(unit => unit.garden))];
  return names.map(name => {
    const own = units.filter(unit => unit.garden === name);
    const blocks = [...new Set(own.map(unit => unit.block))];
    const cells = [...new Set(own.map(unit => unit.treatment))];
    const cellOf = own.map(unit => cells.indexOf(unit.treatment));
    return {
      columns: [
        ...blocks.map(block => own.map(unit => +(unit.block === block))),
        ...tests.map(test => own.map(unit => +(unit.treatment === test))),
        own.map(unit => unit.value),
      ],
      blocks: blocks.length,
      cellOf,
      cellSizes: cells.map((_, i) => cellOf.filter(cell => cell === i).length),
    };
  });
}

interface Profile {
  readonly ratio: number;
  readonly beta: readonly number[];
  readonly inverse: readonly (readonly number[])[];
  readonly sigma2: number;
  /** −2 times the restricted log-likelihood, but for a constant. */
  readonly deviance: number;
}

/** The best fit where treatment by garden varies `ratio` times as much as units. */
function profileAt(
  gardens: readonly GardenColumns[],
  tests: number,
  ratio: number,
): Profile | undefined {
  const size = tests + 1;
  const total = Array.from({ length: size }, () => new Array<number>(size).fill(0));
  let [units, fixed, logDet] = [0, tests, 0];
  for (const garden of gardens) {
    const { reduced, rank, logBlocks } = withoutBlocks(garden, ratio);
    for (const [i, row] of reduced.entries())
      for (const [j, value] of row.entries()) total[i]![j]! += value;
    units += garden.cellOf.length;
    fixed += rank;
    logDet += logBlocks;
    for (const n of garden.cellSizes) logDet += Math.log1p(ratio * n);
  }
  const treated = total.slice(0, tests).map(row => row.slice(0, tests));
  const { inverse, rank } = sweepInverse(treated);
  if (rank < tests || units <= fixed) return undefined;
  const crossed = total.slice(0, tests).map(row => row[tests]!);
  const beta = inverse.map(row => row.reduce((sum, value, j) => sum + value * crossed[j]!, 0));
  const rest = total[tests]![tests]! - beta.reduce((sum, b, i) => sum + b * crossed[i]!, 0);
  const sigma2 = rest / (units - fixed);
  const deviance = (units - fixed) * Math.log(sigma2) + logDet + logDeterminant(treated);
  return { ratio, beta, inverse, sigma2, deviance };
}

/** A garden’s sums of squares and products of treatments and response, its blocks taken out, under V⁻¹ = I − Z diag(r/(1 + r n)) Z′. */
function withoutBlocks({ columns, blocks, cellOf, cellSizes }: GardenColumns, ratio: number) {
  const cellSums = columns.map(column =>
    cellSizes.map((_, cell) =>
      column.reduce((sum, value, unit) => sum + (cellOf[unit] === cell ? value : 0), 0),
    ),
  );
  const shrink = cellSizes.map(n => ratio / (1 + ratio * n));
  const products = columns.map((a, i) =>
    columns.map(
      (b, j) =>
        a.reduce((sum, value, unit) => sum + value * b[unit]!, 0) -
        shrink.reduce((sum, s, cell) => sum + s * cellSums[i]![cell]! * cellSums[j]![cell]!, 0),
    ),
  );
  const ofBlocks = products.slice(0, blocks).map(row => row.slice(0, blocks));
  const { inverse, rank } = sweepInverse(ofBlocks);
  const reduced = products.slice(blocks).map((row, i) =>
    row.slice(blocks).map((value, j) => {
      const [left, right] = [products[blocks + i]!, products[blocks + j]!];
      let taken = 0;
      for (let k = 0; k < blocks; k++)
        for (let l = 0; l < blocks; l++) taken += left[k]! * inverse[k]![l]! * right[l]!;
      return value - taken;
    }),
  );
  return { reduced, rank, logBlocks: logDeterminant(ofBlocks) };
}

/** Of a symmetric positive matrix, by Cholesky. */
function logDeterminant(matrix: readonly (readonly number[])[]): number {
  const lower: number[][] = [];
  let sum = 0;
  for (const [i, row] of matrix.entries()) {
    const own: number[] = [];
    for (let j = 0; j <= i; j++) {
      const rest = row[j]! - own.reduce((s, value, k) => s + value * (lower[j]?.[k] ?? own[k]!), 0);
      if (j < i) own.push(rest / lower[j]![j]!);
      else own.push(Math.sqrt(rest));
    }
    lower.push(own);
    sum += 2 * Math.log(own[i]!);
  }
  return sum;
}

const LOWEST = -16;
const HIGHEST = 14;
const GOLDEN = (Math.sqrt(5) - 1) / 2;

/** The ratio of the least deviance: none, or by golden section on its logarithm. */
function bestRatio(gardens: readonly GardenColumns[], tests: number): number {
  const devianceOf = (logRatio: number): number =>
    profileAt(gardens, tests, Math.exp(logRatio))?.deviance ?? Number.POSITIVE_INFINITY;
  let [low, high] = [LOWEST, HIGHEST];
  let [left, right] = [high - GOLDEN * (high - low), low + GOLDEN * (high - low)];
  let [atLeft, atRight] = [devianceOf(left), devianceOf(right)];
  while (high - low > 1e-9) {
    if (atLeft <= atRight) {
      [high, right, atRight] = [right, left, atLeft];
      left = high - GOLDEN * (high - low);
      atLeft = devianceOf(left);
    } else {
      [low, left, atLeft] = [left, right, atRight];
      right = low + GOLDEN * (high - low);
      atRight = devianceOf(right);
    }
  }
  const found = (low + high) / 2;
  const atNone = profileAt(gardens, tests, 0)?.deviance ?? Number.POSITIVE_INFINITY;
  return devianceOf(found) < atNone ? Math.exp(found) : 0;
}
