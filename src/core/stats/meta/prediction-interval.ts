import { chiSquareDraw } from '@/core/stats/distributions/chi-square-draw';
import { normalDraw } from '@/core/stats/distributions/normal-draw';
import { seededRandom } from '@/core/stats/distributions/seeded-random';
import type { SiteEstimate } from './random-effects';

/** Variances drawn, and sites drawn under each: the variance takes long to find, a site under it does not. */
const VARIANCES = 600;
const SITES_EACH = 6;
const SEED = 20261130;

/**
 * Where the true effect in one more site like these would lie. The variance between sites is itself drawn, from its confidence
 * distribution by the generalised Q, so that a variance that came out as nothing by luck is not taken for nothing: Nagashima, Noma
 * & Furukawa (2019), Statistical Methods in Medical Research 28, 1689-1702. Always the same draws.
 *
 * @param sites at least three; each se > 0
 */
export function predictionInterval(
  sites: readonly SiteEstimate[],
  confidence = 0.95,
): readonly [number, number] {
  const df = sites.length - 1;
  const random = seededRandom(SEED);
  const drawn: number[] = [];
  for (let i = 0; i < VARIANCES; i++) {
    const tau2 = tau2At(sites, chiSquareDraw(df, random));
    const { mean, sum, q } = weighted(sites, tau2);
    const se = Math.sqrt(q / df / sum);
    for (let j = 0; j < SITES_EACH; j++) {
      const t = normalDraw(random) / Math.sqrt(chiSquareDraw(df, random) / df);
      drawn.push(mean + Math.sqrt(tau2) * normalDraw(random) - t * se);
    }
  }
  drawn.sort((a, b) => a - b);
  const at = (share: number): number => drawn[Math.round(share * (drawn.length - 1))]!;
  const tail = (1 - confidence) / 2;
  return [at(tail), at(1 - tail)];
}

function weighted(sites: readonly SiteEstimate[], tau2: number) {
  let [sum, total] = [0, 0];
  for (const { estimate, se } of sites) {
    const weight = 1 / (se ** 2 + tau2);
    sum += weight;
    total += weight * estimate;
  }
  const mean = total / sum;
  let q = 0;
  for (const { estimate, se } of sites) q += (estimate - mean) ** 2 / (se ** 2 + tau2);
  return { mean, sum, q };
}

/** The variance at which the generalised Q, which falls in it, comes to `q`; 0 where it is less from the start. */
function tau2At(sites: readonly SiteEstimate[], q: number): number {
  if (weighted(sites, 0).q <= q) return 0;
  let [low, high] = [0, Math.max(...sites.map(site => site.se ** 2))];
  while (weighted(sites, high).q > q) high *= 4;
  for (let i = 0; i < 40 && high - low > 1e-4 * high; i++) {
    const middle = (low + high) / 2;
    if (weighted(sites, middle).q > q) low = middle;
    else high = middle;
  }
  return (low + high) / 2;
}
