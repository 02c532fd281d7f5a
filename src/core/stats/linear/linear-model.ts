import { fUpperTail } from '@/core/stats/distributions/distributions';
import { dot, type OrthonormalBasis, orthonormalBasis } from './orthonormal-basis';

/** The columns of one term (a set of blocks, a treatment, a covariate), each as long as the units. */
export interface ModelTerm {
  readonly name: string;
  readonly columns: readonly (readonly number[])[];
}

/** One row of a sequential analysis of variance. The last row, `residual`, has no F. */
export interface AnovaRow {
  readonly term: string;
  readonly df: number;
  readonly ss: number;
  readonly ms: number;
  readonly f: number | null;
  readonly p: number | null;
}

/** A linear combination of the coefficients: its estimate, and the direction that carries its variance. */
export interface Combination {
  readonly estimate: number;
  /** Variance is σ² · |direction|²; the covariance of two combinations is σ² times their scalar product. */
  readonly direction: readonly number[];
}

/** A fitted linear model with an intercept. */
export interface LinearModel {
  readonly anova: readonly AnovaRow[];
  readonly residualDf: number;
  readonly residualSs: number;
  /** Where units have weights, times the root of theirs. */
  readonly residuals: readonly number[];
  readonly fitted: readonly number[];
  /** Orthonormal vectors that span what the model can fit; where units have weights, times the roots of theirs. */
  readonly basis: readonly (readonly number[])[];
  /** Diagonal of the hat matrix, each in [0, 1]. */
  readonly leverages: readonly number[];
  /**
   * A combination of coefficients: `intercept`, then one number a column in the order of the terms. Undefined where
   * the layout can't estimate it.
   */
  readonly combine: (intercept: number, coefficients: readonly number[]) => Combination | undefined;
  /** The weight that a combination gives to each unit's response. */
  readonly weightsOf: (combination: Combination) => readonly number[];
  /** Coordinates of a column of one entry a unit in the model's columns, and so how much of it they explain. */
  readonly coordinatesOf: (column: readonly number[]) => readonly number[];
}

/**
 * Least squares by orthonormal columns taken in order (Gram-Schmidt, twice), so that each term's sum of squares is the
 * one it adds to the terms before it. Columns that bring nothing new are set aside, which ml-matrix's QR does not do:
 * it takes R's npk with N:P:K for full rank.
 *
 * @param y responses, one a unit, finite
 * @param terms in the order of the analysis; the intercept is added
 * @param weights one a unit, > 0: the variance of a unit is σ² over its weight; all alike where none are given
 */
export function fitLinearModel(
  y: readonly number[],
  terms: readonly ModelTerm[],
  weights?: readonly number[],
): LinearModel {
  const roots = weights?.map(Math.sqrt);
  const scaled = (column: readonly number[]): readonly number[] =>
    roots ? column.map((value, unit) => value * roots[unit]!) : column;
  const basis = orthonormalBasis(
    y.length,
    terms.flatMap(term => term.columns.map(scaled)),
    roots,
  );
  const mean = weights ? dot(y, weights) / sumOf(weights) : sumOf(y) / y.length;
  // About the mean: a kitchen scale gives a large level with a small spread.
  const centred = scaled(y.map(value => value - mean));
  const projections = basis.vectors.map(vector => dot(vector, centred));

  const fittedCentred = centred.map((_, unit) =>
    basis.vectors.reduce((sum, vector, j) => sum + vector[unit]! * projections[j]!, 0),
  );
  const residuals = centred.map((value, unit) => value - fittedCentred[unit]!);
  const residualSs = dot(residuals, residuals);
  const residualDf = y.length - basis.vectors.length;

  return {
    anova: anovaRows(terms, basis, projections, residualDf, residualSs),
    residualDf,
    residualSs,
    residuals,
    fitted: fittedCentred.map((value, unit) => value / (roots?.[unit] ?? 1) + mean),
    basis: basis.vectors,
    leverages: y.map((_, unit) =>
      basis.vectors.reduce((sum, vector) => sum + vector[unit]! ** 2, 0),
    ),
    combine: (intercept, coefficients) => {
      const direction = solveDirection(basis, [intercept, ...coefficients]);
      return direction && { estimate: dot(direction, projections) + intercept * mean, direction };
    },
    weightsOf: ({ direction }) =>
      scaled(
        y.map((_, unit) =>
          basis.vectors.reduce((sum, vector, j) => sum + vector[unit]! * direction[j]!, 0),
        ),
      ),
    coordinatesOf: column => basis.vectors.map(vector => dot(vector, scaled(column))),
  };
}

function sumOf(values: readonly number[]): number {
  return values.reduce((sum, value) => sum + value, 0);
}

function anovaRows(
  terms: readonly ModelTerm[],
  basis: OrthonormalBasis,
  projections: readonly number[],
  residualDf: number,
  residualSs: number,
): readonly AnovaRow[] {
  const residualMs = residualDf > 0 ? residualSs / residualDf : 0;
  let next = 1; // column 0 is the intercept
  const rows = terms.flatMap((term): AnovaRow[] => {
    const kept = basis.columns
      .slice(next, next + term.columns.length)
      .filter(column => column.vector >= 0);
    next += term.columns.length;
    if (kept.length === 0) return [];
    const df = kept.length;
    const ss = kept.reduce((sum, column) => sum + projections[column.vector]! ** 2, 0);
    const f = residualDf > 0 && residualMs > 0 ? ss / df / residualMs : null;
    return [
      {
        term: term.name,
        df,
        ss,
        ms: ss / df,
        f,
        p: f === null ? null : fUpperTail(f, df, residualDf),
      },
    ];
  });
  return [
    ...rows,
    { term: 'residual', df: residualDf, ss: residualSs, ms: residualMs, f: null, p: null },
  ];
}

const ESTIMABLE_TOLERANCE = 1e-6; // above the rank tolerance: what was set aside as nothing must not count as something

/**
 * With X = QR over the kept columns, c'b = u·Q'y for R'u = c. A column that was set aside must agree with what the kept
 * ones say of it (Searle 1971, Linear Models, §5.4), or c can't be estimated.
 */
function solveDirection(
  basis: OrthonormalBasis,
  coefficients: readonly number[],
): readonly number[] | undefined {
  const direction: number[] = [];
  for (const [index, column] of basis.columns.entries()) {
    const wanted = coefficients[index] ?? 0;
    const known = direction.reduce(
      (sum, value, j) => sum + value * (column.coordinates[j] ?? 0),
      0,
    );
    if (column.vector >= 0) direction.push((wanted - known) / column.coordinates[column.vector]!);
    else if (Math.abs(wanted - known) > ESTIMABLE_TOLERANCE) return undefined;
  }
  return direction;
}

/**
 * Indicator columns of a grouping: one for every level but the first, which the intercept carries.
 *
 * @param labels one a unit
 * @param levels in their order
 */
export function indicatorColumns(
  labels: readonly string[],
  levels: readonly string[],
): readonly (readonly number[])[] {
  return levels.slice(1).map(level => labels.map(label => Number(label === level)));
}
