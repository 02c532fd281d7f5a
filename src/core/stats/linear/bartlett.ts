import { chiSquareUpperTail } from '@/core/stats/distributions/distributions';

/** A group's variance, and the degrees of freedom it rests on. */
export interface GroupVariance {
  readonly variance: number;
  readonly df: number;
}

/**
 * p of groups spreading alike, where readings are about normal. Bartlett (1937), Proceedings of the Royal Society A 160,
 * 268-282. 0 where some spread and others don't at all.
 */
export function bartlettP(groups: readonly GroupVariance[]): number {
  const df = groups.reduce((sum, group) => sum + group.df, 0);
  const pooled = groups.reduce((sum, group) => sum + group.df * group.variance, 0) / df;
  if (groups.length < 2 || !(pooled > 0)) return 1;
  if (groups.some(group => !(group.variance > 0))) return 0;
  const spread =
    df * Math.log(pooled) -
    groups.reduce((sum, group) => sum + group.df * Math.log(group.variance), 0);
  const correction =
    1 + (groups.reduce((sum, group) => sum + 1 / group.df, 0) - 1 / df) / (3 * (groups.length - 1));
  return chiSquareUpperTail(Math.max(0, spread / correction), groups.length - 1);
}
