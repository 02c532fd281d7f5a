import type { PermutationResult } from '@/core/stats/permutation/permutation-test';

/** The largest gap that was really seen, in standard errors. */
export function observedGap(shuffle: PermutationResult): number {
  return Math.max(...shuffle.comparisons.map(comparison => comparison.observed));
}
