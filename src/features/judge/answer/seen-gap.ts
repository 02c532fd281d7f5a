import type { ShuffleResult } from '@/core/stats/permutation/permutation-test';

/** The largest gap that was really seen, in standard errors. */
export function seenGap(shuffle: ShuffleResult): number {
  return Math.max(...shuffle.comparisons.map(comparison => comparison.observed));
}
