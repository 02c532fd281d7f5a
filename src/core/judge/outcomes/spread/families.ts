import { tQuantile, tTwoSidedP } from '@/core/stats/distributions/distributions';
import { type LargestT, largestT } from '@/core/stats/distributions/multivariate-t';
import type { Combination } from '@/core/stats/linear/linear-model';
import type { EffectError } from './error-strata';

export interface Family {
  readonly largest: LargestT;
  readonly criticalT: number;
  /** Of the interval at 1 − 2α, all comparisons together: two one-sided tests of each. */
  readonly equivalenceT: number;
}

/**
 * The joint distribution of all comparisons: a multivariate t, where one spread judges them all. In a split plot some rest on
 * other degrees of freedom, and no one t covers them together: there each is held to its equal share (Bonferroni). Where each
 * treatment has its own spread, the joint t of each comparison is on its own degrees of freedom (Hasler & Hothorn 2008).
 */
export function familiesOf(
  combinations: readonly (Combination | undefined)[],
  spread: EffectError,
  confidence: number,
): (combination: Combination) => Family {
  const known = combinations.filter(combination => combination !== undefined);
  const sizes = known.map(each => Math.sqrt(spread.covariance(each, each)));
  const correlations = known.map((a, i) =>
    known.map((b, j) => (i === j ? 1 : spread.covariance(a, b) / (sizes[i]! * sizes[j]!))),
  );
  const isMixed = new Set(known.map(each => spread.dfOf(each).toPrecision(9))).size > 1;
  const least = Math.min(...known.map(each => spread.dfOf(each)));
  const ofLeast = isMixed && spread.isOwn ? largestT(correlations, least) : undefined;
  const jointOf = (df: number): LargestT => {
    if (ofLeast) return atOtherDf(ofLeast, least, df);
    return isMixed ? equalShares(known.length, df) : largestT(correlations, df);
  };
  const made = new Map<string, Family>();
  return combination => {
    const df = spread.dfOf(combination);
    const key = df.toPrecision(9);
    const standing = made.get(key);
    if (standing) return standing;
    const largest = jointOf(df);
    const family = {
      largest,
      criticalT: largest.quantile(confidence),
      equivalenceT: largest.quantile(2 * confidence - 1),
    };
    made.set(key, family);
    return family;
  };
}

/** The same joint distribution on other degrees of freedom: a t stands for the one that is as rare by itself. */
function atOtherDf(largest: LargestT, from: number, to: number): LargestT {
  // By the lower tail: what is as rare as 1e-20 would be lost beside 1.
  const asRare = (t: number, own: number, other: number): number => {
    const tail = tTwoSidedP(t, own) / 2;
    return tail > Number.MIN_VALUE ? -tQuantile(tail, other) : Math.abs(t);
  };
  return {
    upperTail: t => largest.upperTail(asRare(t, to, from)),
    quantile: p => asRare(largest.quantile(p), from, to),
  };
}

/** As if the largest of so many t were covered by their sum: never too little. */
export function equalShares(count: number, df: number): LargestT {
  return {
    upperTail: t => Math.min(1, count * tTwoSidedP(t, df)),
    quantile: p => tQuantile(1 - (1 - p) / (2 * count), df),
  };
}
