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

export interface CurveShape {
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

export const SHAPES: Readonly<Record<Curve, CurveShape>> = {
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

export function extent(points: readonly CurvePoint[]) {
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
