import { midRanks } from './rank-tests';

/**
 * How far two rows of figures go in the same order: the correlation of their ranks, ties sharing a middle one (Spearman 1904, American
 * Journal of Psychology 15, 72-101).
 *
 * @returns from −1 to 1; undefined where all of one row are alike, or fewer than three
 */
export function rankCorrelation(
  pairs: readonly (readonly [first: number, second: number])[],
): number | undefined {
  const n = pairs.length;
  if (n < 3) return undefined;
  const [first, second] = [0, 1].map(i => {
    const ranks = midRanks(pairs.map(pair => pair[i] ?? 0));
    return ranks.map(rank => rank - (n + 1) / 2);
  });
  if (!first || !second) return undefined;
  const product = (a: readonly number[], b: readonly number[]): number =>
    a.reduce((sum, each, i) => sum + each * (b[i] ?? 0), 0);
  const spread = product(first, first) * product(second, second);
  return spread === 0 ? undefined : product(first, second) / Math.sqrt(spread);
}
