/** What stayed on one sieve, the coarsest first; the pan has opening 0. */
export interface SieveFraction {
  readonly openingMm: number;
  readonly massG: number;
}

/** A fraction in % of all, and the share of all that fell through its sieve. */
export interface GradedFraction extends SieveFraction {
  readonly percent: number;
  readonly passingPercent: number;
}

/** Shares of a sieving, coarsest first. @param fractions at least one with a mass above 0 */
export function gradeFractions(fractions: readonly SieveFraction[]): readonly GradedFraction[] {
  const sorted = [...fractions].sort((a, b) => b.openingMm - a.openingMm);
  const total = sorted.reduce((sum, each) => sum + each.massG, 0);
  let kept = 0;
  return sorted.map(each => {
    kept += each.massG;
    return {
      ...each,
      percent: (100 * each.massG) / total,
      passingPercent: (100 * (total - kept)) / total,
    };
  });
}

/** Most that can be put together again with all fractions alike: as much of each as there is of the scarcest. */
export function equalShares(fractions: readonly SieveFraction[]): {
  readonly eachG: number;
  readonly totalG: number;
} {
  const eachG = Math.min(...fractions.map(each => each.massG));
  return { eachG, totalG: eachG * fractions.length };
}
