import { levenbergMarquardt } from 'ml-levenberg-marquardt';
import { type Curve, type CurvePoint, type CurveShape, SHAPES } from './curve-shapes';
import { curveErrors, polished, rssOf } from './gauss-newton';

/** A curve laid through points by least squares. */
export interface FittedCurve {
  readonly curve: Curve;
  readonly parameters: Readonly<Record<string, number>>;
  /** null where the points leave none: as many parameters as points, or two that can't be told apart. */
  readonly se: Readonly<Record<string, number | null>>;
  readonly rss: number;
  /** Of the whole likelihood, the residual variance counted as a parameter; null where the points are too few or lie on it. */
  readonly aicc: number | null;
  readonly residualDf: number;
  /** false where no minimum was found: then the figures are only where the search stopped. */
  readonly converged: boolean;
  readonly at: (x: number) => number;
  /** Standard error of the curve’s height; null where the points leave none. */
  readonly errorAt: (x: number) => number | null;
}

/**
 * Lays a curve through points by least squares: from several starts (Levenberg-Marquardt), then on to the bottom (Gauss-Newton).
 * Linear curves get there in one step.
 *
 * @param points at least as many, at as many different x, as the curve has parameters; all finite
 * @returns undefined where there are fewer
 */
export function fitCurve(points: readonly CurvePoint[], curve: Curve): FittedCurve | undefined {
  const shape = SHAPES[curve];
  const width = shape.parameters.length;
  if (points.length < width || new Set(points.map(point => point.x)).size < width) return undefined;
  const starts = lowest(points, shape, shape.starts(points)).slice(0, MOST_STARTS);
  // A curve that is linear in its parameters needs no search: the first Gauss-Newton step is the answer.
  const isLinear = shape === SHAPES.linear || shape === SHAPES.quadratic;
  const few = thinned(points);
  const best = isLinear
    ? starts[0]
    : lowest(
        points,
        shape,
        starts.map(start => refined(few, shape, start)),
      )[0];
  if (!best) return undefined;
  const { parameters, converged } = polished(points, shape, best);
  const rss = rssOf(points, shape, parameters);
  const residualDf = points.length - width;
  const errors = curveErrors(points, shape, parameters, rss, residualDf);
  return {
    curve,
    parameters: named(shape, parameters),
    se: named(shape, errors.se),
    rss,
    aicc: aiccOf(points, rss, width + 1),
    residualDf,
    converged,
    at: x => shape.at(x, parameters),
    errorAt: errors.at,
  };
}

const MOST_STARTS = 12;
const ENOUGH_TO_SEARCH = 300;

/** Every so-manieth point along x, where there are very many: enough to find the valley; its bottom is looked for with all. */
function thinned(points: readonly CurvePoint[]): readonly CurvePoint[] {
  const apart = Math.ceil(points.length / ENOUGH_TO_SEARCH);
  return apart === 1
    ? points
    : [...points].sort((a, b) => a.x - b.x).filter((_, i) => i % apart === 0);
}

/** Parameters with the least sum of squares first; what is not finite is left out. */
function lowest(
  points: readonly CurvePoint[],
  shape: CurveShape,
  sets: readonly (readonly number[])[],
): readonly (readonly number[])[] {
  return sets
    .filter(set => set.every(Number.isFinite))
    .map(set => ({ set, rss: rssOf(points, shape, set) }))
    .sort((a, b) => a.rss - b.rss)
    .map(each => each.set);
}

function named<Value>(
  { parameters }: CurveShape,
  values: readonly Value[],
): Readonly<Record<string, Value>> {
  return Object.fromEntries(parameters.map((name, i) => [name, values[i]!]));
}

/** −2 ln L + 2k + 2k(k + 1)/(n − k − 1). Hurvich & Tsai (1989), Biometrika 76, 297-307. */
function aiccOf(points: readonly CurvePoint[], rss: number, k: number): number | null {
  const n = points.length;
  if (n - k - 1 <= 0 || !(rss > 0)) return null;
  return (
    n * (Math.log(2 * Math.PI) + Math.log(rss / n) + 1) + 2 * k + (2 * k * (k + 1)) / (n - k - 1)
  );
}

function refined(
  points: readonly CurvePoint[],
  shape: CurveShape,
  start: readonly number[],
): readonly number[] {
  try {
    const found = levenbergMarquardt(
      { x: points.map(point => point.x), y: points.map(point => point.y) },
      parameters => x => shape.at(x, parameters),
      {
        initialValues: [...start],
        damping: 1e-2,
        maxIterations: 200,
        errorTolerance: 1e-12,
        gradientDifference: start.map(value => Math.max(1e-7, Math.abs(value) * 1e-6)),
        centralDifference: true,
      },
    );
    return rssOf(points, shape, found.parameterValues) <= rssOf(points, shape, start)
      ? found.parameterValues
      : start;
  } catch {
    return start; // a singular step: the start itself may still be polished
  }
}

// Of more x than this every so-manieth is tried: between neighbours so close the sum of squares hardly changes.

/** The curves that found their bottom, the one that the points speak for most first. */
export function bestCurves(
  points: readonly CurvePoint[],
  curves: readonly Curve[],
): readonly FittedCurve[] {
  return curves
    .flatMap(curve => {
      const fitted = fitCurve(points, curve);
      return fitted?.converged && fitted.aicc !== null ? [fitted] : [];
    })
    .sort((a, b) => (a.aicc ?? 0) - (b.aicc ?? 0));
}
