import { levenbergMarquardt } from 'ml-levenberg-marquardt';
import { inverse, Matrix, solve } from 'ml-matrix';

/** Curves that growth and doses follow. */
export const CURVES = [
  'linear',
  'quadratic',
  'plateau',
  'mitscherlich',
  'logistic',
  'gompertz',
] as const;
export type Curve = (typeof CURVES)[number];

interface CurveShape {
  readonly parameters: readonly string[];
  readonly at: (x: number, p: readonly number[]) => number;
  readonly gradient: (x: number, p: readonly number[]) => readonly number[];
  /** Where to begin looking; the best of them is taken on. */
  readonly starts: (points: readonly CurvePoint[]) => readonly (readonly number[])[];
}

export interface CurvePoint {
  readonly x: number;
  readonly y: number;
}

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
}

const SHAPES: Readonly<Record<Curve, CurveShape>> = {
  linear: {
    parameters: ['a', 'b'],
    at: (x, [a = 0, b = 0]) => a + b * x,
    gradient: x => [1, x],
    starts: points => [straight(points)],
  },
  quadratic: {
    parameters: ['b0', 'b1', 'b2'],
    at: (x, [b0 = 0, b1 = 0, b2 = 0]) => b0 + b1 * x + b2 * x * x,
    gradient: x => [1, x, x * x],
    starts: points => [[...straight(points), 0]],
  },
  // Rises straight to x0 and stays: Cate & Nelson's idea, as Anderson & Nelson (1975), Biometrics 31, 303-318, fit it.
  plateau: {
    parameters: ['a', 'b', 'x0'],
    at: (x, [a = 0, b = 0, x0 = 0]) => a + b * Math.min(x, x0),
    gradient: (x, [, b = 0, x0 = 0]) => [1, Math.min(x, x0), x > x0 ? b : 0],
    starts: plateauStarts,
  },
  // Mitscherlich (1909), Landwirtschaftliche Jahrbücher 38, 537-552.
  mitscherlich: {
    parameters: ['a', 'b', 'c'],
    at: (x, [a = 0, b = 0, c = 0]) => a - b * Math.exp(-c * x),
    gradient: (x, [, b = 0, c = 0]) => [1, -Math.exp(-c * x), b * x * Math.exp(-c * x)],
    starts: points =>
      rates(points).map(c => {
        const [a = 0, slope = 0] = straight(points.map(({ x, y }) => ({ x: Math.exp(-c * x), y })));
        return [a, -slope, c];
      }),
  },
  logistic: {
    parameters: ['asym', 'xmid', 'scal'],
    at: (x, [asym = 0, xmid = 0, scal = 1]) => asym / (1 + Math.exp((xmid - x) / scal)),
    gradient: (x, [asym = 0, xmid = 0, scal = 1]) => {
      const e = Math.exp((xmid - x) / scal);
      const d = (1 + e) ** 2;
      return [1 / (1 + e), (-asym * e) / (scal * d), (asym * e * (xmid - x)) / (scal * scal * d)];
    },
    starts: points => {
      const { lowX, widthX, highY } = extent(points);
      return grid([1, 1.2, 2], [0.2, 0.5, 0.8], [0.05, 0.15, 0.4]).map(([a = 1, m = 0, s = 1]) => [
        a * highY,
        lowX + m * widthX,
        s * widthX,
      ]);
    },
  },
  // Gompertz (1825), Philosophical Transactions 115, 513-583.
  gompertz: {
    parameters: ['asym', 'b2', 'b3'],
    at: (x, [asym = 0, b2 = 0, b3 = 1]) => asym * Math.exp(-b2 * b3 ** x),
    gradient: (x, [asym = 0, b2 = 0, b3 = 1]) => {
      const power = b3 ** x;
      const e = Math.exp(-b2 * power);
      return [e, -asym * e * power, -asym * e * b2 * x * b3 ** (x - 1)];
    },
    starts: points => {
      const { widthX, highY } = extent(points);
      return grid([1, 1.2, 2], [1, 3, 8, 20], [0.5, 2, 6]).map(([a = 1, b = 1, r = 1]) => [
        a * highY,
        b,
        Math.exp(-r / widthX),
      ]);
    },
  },
};

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
  const errors = standardErrors(points, shape, parameters, rss, residualDf);
  return {
    curve,
    parameters: named(shape, parameters),
    se: named(shape, errors),
    rss,
    aicc: aiccOf(points, rss, width + 1),
    residualDf,
    converged,
    at: x => shape.at(x, parameters),
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

function rssOf(
  points: readonly CurvePoint[],
  shape: CurveShape,
  parameters: readonly number[],
): number {
  return points.reduce((sum, { x, y }) => sum + (y - shape.at(x, parameters)) ** 2, 0);
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

const ROUNDS = 200;

/** Gauss-Newton with halved steps, to where the gradient is nothing beside the residuals. */
function polished(
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

function standardErrors(
  points: readonly CurvePoint[],
  shape: CurveShape,
  parameters: readonly number[],
  rss: number,
  residualDf: number,
): readonly (number | null)[] {
  const none = parameters.map(() => null);
  if (residualDf < 1) return none;
  const jacobian = new Matrix(points.map(({ x }) => [...shape.gradient(x, parameters)]));
  try {
    const covariance = inverse(jacobian.transpose().mmul(jacobian));
    return parameters.map((_, i) => {
      const variance = (covariance.get(i, i) * rss) / residualDf;
      return Number.isFinite(variance) && variance >= 0 ? Math.sqrt(variance) : null;
    });
  } catch {
    return none;
  }
}

function straight(points: readonly CurvePoint[]): readonly [number, number] {
  const n = points.length;
  const [mx, my] = [
    points.reduce((sum, { x }) => sum + x, 0) / n,
    points.reduce((sum, { y }) => sum + y, 0) / n,
  ];
  const sxx = points.reduce((sum, { x }) => sum + (x - mx) ** 2, 0);
  const slope = sxx > 0 ? points.reduce((sum, { x, y }) => sum + (x - mx) * (y - my), 0) / sxx : 0;
  return [my - slope * mx, slope];
}

// Of more x than this every so-manieth is tried: between neighbours so close the sum of squares hardly changes.
const MOST_BENDS = 100;

/** The best bend between every two neighbouring x, and at every x: the sum of squares has a valley in each. */
function plateauStarts(points: readonly CurvePoint[]): readonly (readonly number[])[] {
  const all = [...new Set(points.map(point => point.x))].sort((a, b) => a - b);
  const apart = Math.max(1, Math.ceil(all.length / MOST_BENDS));
  const xs = all.filter((_, i) => i % apart === 0 || i === all.length - 1);
  return xs
    .slice(1)
    .flatMap((to, i) => [0.25, 0.5, 0.75, 1].map(share => xs[i]! + share * (to - xs[i]!)))
    .map(x0 => {
      const [a, b] = straight(points.map(({ x, y }) => ({ x: Math.min(x, x0), y })));
      return [a, b, x0];
    });
}

function extent(points: readonly CurvePoint[]) {
  const [xs, ys] = [points.map(point => point.x), points.map(point => point.y)];
  const [lowX, highX, lowY, highY] = [
    Math.min(...xs),
    Math.max(...xs),
    Math.min(...ys),
    Math.max(...ys),
  ];
  return { lowX, widthX: highX - lowX || 1, highY, widthY: highY - lowY };
}

function rates(points: readonly CurvePoint[]): readonly number[] {
  const { widthX } = extent(points);
  return [0.3, 1, 2, 4, 8, 16].map(times => times / widthX);
}

function grid(
  a: readonly number[],
  b: readonly number[],
  c: readonly number[],
): readonly (readonly number[])[] {
  return a.flatMap(x => b.flatMap(y => c.map(z => [x, y, z])));
}

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
