import { inverse, Matrix, solve } from 'ml-matrix';
import { type CurvePoint, type CurveShape, extent, SHAPES } from './curve-shapes';

const ROUNDS = 200;

/** Gauss-Newton with halved steps, to where the gradient is nothing beside the residuals. */
export function polished(
  points: readonly CurvePoint[],
  shape: CurveShape,
  from: readonly number[],
): { readonly parameters: readonly number[]; readonly converged: boolean } {
  let parameters = from;
  let rss = rssOf(points, shape, parameters);
  const level = points.reduce((sum, { y }) => sum + y * y, 0);
  for (let round = 0; round < ROUNDS; round++) {
    if (rss <= 1e-24 * level) return { parameters, converged: true };
    const jacobian = new Matrix(points.map(({ x }) => [...shape.gradient(x, parameters)]));
    const residuals = Matrix.columnVector(points.map(({ x, y }) => y - shape.at(x, parameters)));
    const step = solve(jacobian, residuals, true).to1DArray();
    // How much of the residuals lies in the curve's own directions: R's nls calls its square root the convergence criterion.
    const along = jacobian
      .mmul(Matrix.columnVector(step))
      .to1DArray()
      .reduce((sum, value) => sum + value * value, 0);
    if (along <= 1e-18 * rss) return { parameters, converged: isInside(points, shape, parameters) };
    const next = halved(points, shape, { parameters, step, rss });
    if (!next)
      return { parameters, converged: along <= 1e-8 * rss && isInside(points, shape, parameters) };
    parameters = next;
    rss = rssOf(points, shape, parameters);
  }
  return { parameters, converged: false };
}

function halved(
  points: readonly CurvePoint[],
  shape: CurveShape,
  {
    parameters,
    step,
    rss,
  }: {
    readonly parameters: readonly number[];
    readonly step: readonly number[];
    readonly rss: number;
  },
): readonly number[] | undefined {
  for (let share = 1; share > 1e-10; share /= 2) {
    const next = parameters.map((value, i) => value + share * step[i]!);
    if (rssOf(points, shape, next) < rss) return next;
  }
  return undefined;
}

/** A growth curve whose level runs off beyond all that was seen is no curve that was found. */
function isInside(
  points: readonly CurvePoint[],
  shape: CurveShape,
  parameters: readonly number[],
): boolean {
  const { lowX, widthX, highY, widthY } = extent(points);
  if (shape === SHAPES.plateau)
    return (parameters[2] ?? 0) < lowX + widthX && (parameters[2] ?? 0) > lowX;
  if (shape === SHAPES.linear || shape === SHAPES.quadratic) return true;
  return Math.abs(parameters[0] ?? 0) < 1e4 * (Math.abs(highY) + widthY);
}

/** How far what is laid through the points can be trusted. */
export interface CurveErrors {
  /** Of each parameter. */
  readonly se: readonly (number | null)[];
  /** Of the curve’s height at a place: the delta method, g′ C g. null where the points leave no error. */
  readonly at: (x: number) => number | null;
}

export function curveErrors(
  points: readonly CurvePoint[],
  shape: CurveShape,
  parameters: readonly number[],
  rss: number,
  residualDf: number,
): CurveErrors {
  const none: CurveErrors = { se: parameters.map(() => null), at: () => null };
  if (residualDf < 1) return none;
  const jacobian = new Matrix(points.map(({ x }) => [...shape.gradient(x, parameters)]));
  try {
    const covariance = inverse(jacobian.transpose().mmul(jacobian)).mul(rss / residualDf);
    return {
      se: parameters.map((_, i) => root(covariance.get(i, i))),
      at: x => {
        const slope = Matrix.columnVector([...shape.gradient(x, parameters)]);
        return root(slope.transpose().mmul(covariance).mmul(slope).get(0, 0));
      },
    };
  } catch {
    return none;
  }
}

function root(variance: number): number | null {
  return Number.isFinite(variance) && variance >= 0 ? Math.sqrt(variance) : null;
}

export function rssOf(
  points: readonly CurvePoint[],
  shape: CurveShape,
  parameters: readonly number[],
): number {
  return points.reduce((sum, { x, y }) => sum + (y - shape.at(x, parameters)) ** 2, 0);
}
