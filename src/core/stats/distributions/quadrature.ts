/** Points and weights of a rule that turns an integral into a sum. */
export interface Quadrature {
  readonly points: Float64Array;
  readonly weights: Float64Array;
}

/**
 * Gauss-Legendre rule on [from, to]: exact for polynomials up to degree 2n − 1.
 * Roots by Newton's method from Abramowitz & Stegun (1964), eq. 25.4.29 and 22.16.6.
 *
 * @param n number of points, ≥ 1
 */
export function gaussLegendre(n: number, from: number, to: number): Quadrature {
  const standard = standardRule(n);
  const centre = (from + to) / 2;
  const half = (to - from) / 2;
  return {
    points: standard.points.map(point => centre + half * point),
    weights: standard.weights.map(weight => half * weight),
  };
}

const STANDARD_RULES = new Map<number, Quadrature>();

/** The rule on [−1, 1]. Finding its roots takes far longer than using them, and a handful of sizes is asked for again and again. */
function standardRule(n: number): Quadrature {
  const known = STANDARD_RULES.get(n);
  if (known) return known;
  const roots = Array.from({ length: n }, (_, i) => legendreRoot(n, i));
  const rule = {
    points: Float64Array.from(roots, ({ root }) => -root),
    weights: Float64Array.from(roots, ({ root, slope }) => 2 / ((1 - root * root) * slope * slope)),
  };
  STANDARD_RULES.set(n, rule);
  return rule;
}

function legendreRoot(n: number, index: number): { readonly root: number; readonly slope: number } {
  let root = Math.cos((Math.PI * (index + 0.75)) / (n + 0.5));
  let slope = 1;
  for (let step = 0; step < 50; step++) {
    let previous = 1;
    let value = root;
    for (let degree = 2; degree <= n; degree++) {
      [previous, value] = [
        value,
        ((2 * degree - 1) * root * value - (degree - 1) * previous) / degree,
      ];
    }
    slope = n === 1 ? 1 : (n * (root * value - previous)) / (root * root - 1);
    const change = value / slope;
    root -= change;
    if (Math.abs(change) < 1e-15) break;
  }
  return { root, slope };
}

/** A rule for the expectation over a standard normal: Gauss-Legendre on ±8.5, with the density in the weights. */
export function normalWeightedRule(n: number): Quadrature {
  const rule = gaussLegendre(n, -8.5, 8.5);
  return withoutNegligible({
    points: rule.points,
    weights: rule.weights.map(
      (weight, i) => (weight * Math.exp(-(rule.points[i]! ** 2) / 2)) / Math.sqrt(2 * Math.PI),
    ),
  });
}

// All that is left out adds less than 1e-13 to a probability.
const NEGLIGIBLE = 1e-15;

function withoutNegligible({ points, weights }: Quadrature): Quadrature {
  return {
    points: points.filter((_, i) => weights[i]! > NEGLIGIBLE),
    weights: weights.filter(weight => weight > NEGLIGIBLE),
  };
}

/**
 * A rule for the expectation over S = √(χ²/df), the estimated over the true standard deviation.
 * Weights add to 1: they carry the density, scaled by their own sum, so that no gamma function is needed.
 */
export function spreadQuadrature(df: number): Quadrature {
  if (!(df > 0)) throw new RangeError(`df must be > 0, got ${df}`);
  const mode = Math.sqrt(Math.max(0, df - 1) / df);
  // 8.5 standard deviations: beyond them the density is below 1e-16 of its peak.
  const reach = 8.5 / Math.sqrt(df);
  const rule = gaussLegendre(64, Math.max(0, mode - reach), mode + reach);
  const logDensity = (s: number): number => (df - 1) * Math.log(s) - (df * s * s) / 2;
  const peak = mode > 0 ? logDensity(mode) : 0;
  const weights = rule.weights.map(
    (weight, i) => weight * Math.exp(logDensity(rule.points[i]!) - peak),
  );
  const total = weights.reduce((sum, weight) => sum + weight, 0);
  return withoutNegligible({ points: rule.points, weights: weights.map(weight => weight / total) });
}
