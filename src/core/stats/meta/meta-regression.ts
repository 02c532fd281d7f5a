import { Matrix } from 'ml-matrix';
import { fUpperTail, tQuantile } from '@/core/stats/distributions/distributions';
import { sweepInverse } from '@/core/stats/linear/sweep-inverse';
import type { SiteEstimate } from './random-effects';

/** What sites of each kind found, under one variance between sites. */
export interface MetaRegression {
  /** One a kind, in the order of the kinds. */
  readonly levels: readonly {
    readonly estimate: number;
    readonly se: number;
    readonly ci: readonly [number, number];
  }[];
  readonly df: number;
  readonly tau2: number;
  /** That all kinds are alike. */
  readonly f: number;
  readonly p: number;
}

/**
 * A mean for each kind of site (soil, exposure), by restricted maximum likelihood with the spread of Knapp & Hartung (2003),
 * Statistics in Medicine 22, 2693-2710; Fisher scoring as Viechtbauer (2005), Journal of Educational and Behavioral Statistics 30,
 * 261-293.
 *
 * @param kinds the number of each site's kind, from 0; two kinds and more, every one at least once, and more sites than kinds
 */
export function compareKinds(
  sites: readonly SiteEstimate[],
  kinds: readonly number[],
  confidence = 0.95,
): MetaRegression {
  const count = Math.max(...kinds) + 1;
  const df = sites.length - count;
  if (df < 1) throw new RangeError(`more sites than kinds are needed, got ${sites.length}`);
  const design = new Matrix(
    kinds.map(kind => Array.from({ length: count }, (_, i) => +(i === kind))),
  );
  const y = Matrix.columnVector(sites.map(site => site.estimate));
  const tau2 = remlTau2(sites, design, y);
  const fit = weightedFit(sites, design, y, tau2);
  const spread = fit.residual / df;
  const critical = tQuantile(1 - (1 - confidence) / 2, df);
  const levels = Array.from({ length: count }, (_, i) => {
    const estimate = fit.beta.get(i, 0);
    const se = Math.sqrt(spread * fit.inverse.get(i, i));
    return { estimate, se, ci: [estimate - critical * se, estimate + critical * se] as const };
  });
  const f = differenceF(fit, spread, count);
  return { levels, df, tau2, f, p: fUpperTail(f, count - 1, df) };
}

function weightedFit(sites: readonly SiteEstimate[], design: Matrix, y: Matrix, tau2: number) {
  const weights = Matrix.diag(sites.map(site => 1 / (site.se ** 2 + tau2)));
  const crossed = design.transpose().mmul(weights);
  const inverse = inverseOf(crossed.mmul(design));
  const projection = Matrix.sub(weights, crossed.transpose().mmul(inverse).mmul(crossed));
  const residual = y.transpose().mmul(projection).mmul(y).get(0, 0);
  return { beta: inverse.mmul(crossed).mmul(y), inverse, projection, residual };
}

function inverseOf(matrix: Matrix): Matrix {
  return new Matrix(sweepInverse(matrix.to2DArray()).inverse.map(row => [...row]));
}

function remlTau2(sites: readonly SiteEstimate[], design: Matrix, y: Matrix): number {
  let tau2 = 0;
  for (let round = 0; round < 500; round++) {
    const { projection } = weightedFit(sites, design, y, tau2);
    const squared = projection.mmul(projection);
    const score = y.transpose().mmul(squared).mmul(y).get(0, 0) - projection.trace();
    let step = score / squared.trace();
    while (tau2 + step < 0 && Math.abs(step) > 1e-300) step /= 2;
    if (Math.abs(step) < 1e-13 * Math.max(tau2, 1e-6)) break;
    tau2 += step;
    if (tau2 < 1e-14 && score < 0) return 0;
  }
  return tau2;
}

/** Every kind against the first, together. */
function differenceF(
  { beta, inverse }: ReturnType<typeof weightedFit>,
  spread: number,
  count: number,
): number {
  const contrasts = new Matrix(
    Array.from({ length: count - 1 }, (_, i) =>
      Array.from({ length: count }, (_each, j) => (j === 0 ? -1 : +(j === i + 1))),
    ),
  );
  const gaps = contrasts.mmul(beta);
  const covariance = contrasts.mmul(inverse).mmul(contrasts.transpose());
  return gaps.transpose().mmul(inverseOf(covariance)).mmul(gaps).get(0, 0) / (spread * (count - 1));
}
