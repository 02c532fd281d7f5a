import type { BlockOfTwo, OutcomeInput, ReadUnit } from '@/core/judge/question/outcome-input';
import { permutationSumTest } from '@/core/stats/permutation/permutation-sum-test';
import { meanFigure } from './outcome-test';

/** Units dealt again within their blocks, by their figures; null where there is only one deal. */
export function byDeals(
  input: OutcomeInput,
  blocks: readonly BlockOfTwo[],
  scoresOf: (units: readonly ReadUnit[]) => readonly number[],
): number | null {
  const open = blocks.filter(block => block.treated.length > 0 && block.control.length > 0);
  if (open.every(block => block.treated.length + block.control.length < 2)) return null;
  return permutationSumTest(
    open.map(({ treated, control }) => ({
      scores: scoresOf([...treated, ...control]),
      isTreated: [...treated.map(() => true), ...control.map(() => false)],
    })),
    input.seed,
  ).p;
}

/** A block that lost one of the two says nothing. */
export function differencesOf(blocks: readonly BlockOfTwo[]): readonly number[] {
  return blocks
    .filter(block => block.treated.length > 0 && block.control.length > 0)
    .map(block => meanFigure(block.treated) - meanFigure(block.control));
}

/** Mean of differences, one a block, with its standard error; 0 where there is but one. */
export function spreadOfDifferences(differences: readonly number[]): {
  readonly mean: number;
  readonly se: number;
  readonly n: number;
} {
  const n = differences.length;
  const mean = differences.reduce((sum, value) => sum + value, 0) / n;
  return {
    n,
    mean,
    se:
      n > 1
        ? Math.sqrt(differences.reduce((sum, value) => sum + (value - mean) ** 2, 0) / (n - 1) / n)
        : 0,
  };
}
