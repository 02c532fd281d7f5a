import {
  chiSquareUpperTail,
  normalCdf,
  normalQuantile,
  tQuantile,
  tTwoSidedP,
} from '@/core/stats/distributions/distributions';

/** What one site, garden or season found. */
export interface SiteEstimate {
  readonly estimate: number;
  readonly se: number;
}

export type CombineMethod = 'dl' | 'reml' | 'hk';

/** Several sites together. */
export interface Combined {
  readonly estimate: number;
  readonly se: number;
  readonly ci: readonly [number, number];
  /** Variance between sites. */
  readonly tau2: number;
  /** How much of all variation lies between sites, in %. */
  readonly i2: number;
  /** Cochran's Q: whether sites differ more than their own errors let them. */
  readonly q: number;
  readonly qP: number;
  /** Two-sided, of the combined estimate. */
  readonly p: number;
}

/**
 * A mean over sites that need not have the same true effect. `dl`: DerSimonian & Laird (1986), Controlled Clinical Trials 7,
 * 177-188; `reml`: restricted maximum likelihood (Viechtbauer 2005, Journal of Educational and Behavioral Statistics 30, 261-293),
 * both with the normal; `hk`: REML with the interval of Hartung & Knapp (2001), Statistics in Medicine 20, 3875-3889, by t with k − 1.
 *
 * @param sites at least two; each se > 0
 */
export function combineSites(
  sites: readonly SiteEstimate[],
  method: CombineMethod,
  confidence = 0.95,
): Combined {
  if (sites.length < 2) throw new RangeError(`at least two sites are needed, got ${sites.length}`);
  const fixed = weighted(sites, 0);
  const df = sites.length - 1;
  const q = fixed.q;
  const tau2 = method === 'dl' ? Math.max(0, (q - df) / fixed.c) : remlTau2(sites);
  const { estimate, sum } = weighted(sites, tau2);
  const spread = weighted(sites, tau2).q / df;
  const se = method === 'hk' ? Math.sqrt(spread / sum) : Math.sqrt(1 / sum);
  const critical =
    method === 'hk'
      ? tQuantile(1 - (1 - confidence) / 2, df)
      : normalQuantile(1 - (1 - confidence) / 2);
  const typical =
    (df * fixed.sum) / (fixed.sum ** 2 - sites.reduce((total, site) => total + site.se ** -4, 0));
  return {
    estimate,
    se,
    ci: [estimate - critical * se, estimate + critical * se],
    tau2,
    i2: (100 * tau2) / (tau2 + typical),
    q,
    qP: chiSquareUpperTail(q, df),
    p:
      method === 'hk'
        ? tTwoSidedP(estimate / se, df)
        : Math.min(1, 2 * normalCdf(-Math.abs(estimate / se))),
  };
}

/** Weighted mean with weights 1/(se² + tau2); Q about it; and the constant of the moment estimator. */
function weighted(sites: readonly SiteEstimate[], tau2: number) {
  const weights = sites.map(site => 1 / (site.se ** 2 + tau2));
  const sum = weights.reduce((total, weight) => total + weight, 0);
  const estimate =
    weights.reduce((total, weight, i) => total + weight * sites[i]!.estimate, 0) / sum;
  const q = weights.reduce(
    (total, weight, i) => total + weight * (sites[i]!.estimate - estimate) ** 2,
    0,
  );
  return {
    weights,
    sum,
    estimate,
    q,
    c: sum - weights.reduce((total, weight) => total + weight ** 2, 0) / sum,
  };
}

/** Fisher scoring of the restricted likelihood, held at 0 from below. */
function remlTau2(sites: readonly SiteEstimate[]): number {
  let tau2 = Math.max(0, (weighted(sites, 0).q - (sites.length - 1)) / weighted(sites, 0).c);
  for (let round = 0; round < 500; round++) {
    const { weights, sum, estimate } = weighted(sites, tau2);
    const [w2, w3] = [2, 3].map(power =>
      weights.reduce((total, weight) => total + weight ** power, 0),
    ) as [number, number];
    const score =
      weights.reduce(
        (total, weight, i) => total + weight ** 2 * (sites[i]!.estimate - estimate) ** 2,
        0,
      ) -
      (sum - w2 / sum);
    const information = w2 - (2 * w3) / sum + (w2 / sum) ** 2;
    let step = score / information;
    while (tau2 + step < 0) step /= 2;
    if (Math.abs(step) < 1e-13 * Math.max(tau2, 1e-6)) break;
    tau2 += step;
    if (tau2 < 1e-14) return 0;
  }
  return tau2;
}
