import { seededRandom, shuffleInPlace } from '@/core/stats/seeded-random';

/** How treatments are dealt to units. */
export type DealPlan =
  | { readonly kind: 'complete-randomisation'; readonly treatments: readonly string[]; readonly unitsEach: number }
  | { readonly kind: 'complete-blocks'; readonly treatments: readonly string[]; readonly unitsEach: number; readonly blocks: number };

/** The place of one unit in the deal. */
export interface DealtUnit {
  readonly treatment: string;
  /** From 0; always 0 without blocks. */
  readonly block: number;
}

/** Raised whenever the same seed would deal otherwise, so that an old layout can say which method made it. */
export const DEAL_METHOD_VERSION = 1;

/**
 * Deals treatments to units at random: over the whole trial, or within each block. The same plan and seed always give the
 * same deal (xoroshiro128+, Fisher-Yates, block after block).
 *
 * @param plan in blocks, `unitsEach` is a multiple of `blocks`: every block holds every treatment equally often
 * @returns units block after block, in the order of their places
 */
export function deal(plan: DealPlan, seed: number): readonly DealtUnit[] {
  const random = seededRandom(seed);
  const blocks = plan.kind === 'complete-blocks' ? plan.blocks : 1;
  const perBlock = plan.unitsEach / blocks;
  if (!Number.isInteger(perBlock) || perBlock < 1) {
    throw new RangeError(`unitsEach must be a multiple of blocks, got ${plan.unitsEach} in ${blocks}`);
  }
  return Array.from({ length: blocks }, (_, block) => {
    const labels = plan.treatments.flatMap(treatment => new Array<string>(perBlock).fill(treatment));
    shuffleInPlace(labels, random);
    return labels.map(treatment => ({ treatment, block }));
  }).flat();
}

// Letters and digits that wet eyes don't mix up: no I, O, Q, S, Z, no 0, 1, 5.
const CODE_LETTERS = 'ABCDEFGHJKLMNPRTUVWXY';
const CODE_DIGITS = '2346789';

/** Blind codes, one a unit, all different, from the same seed: two letters and a digit, saying nothing of the treatment. */
export function blindCodes(count: number, seed: number): readonly string[] {
  const random = seededRandom((seed ^ 0x5f3759df) >>> 0);
  const codes = new Set<string>();
  const pick = (from: string): string => from.charAt(random.below(from.length));
  while (codes.size < count) codes.add(pick(CODE_LETTERS) + pick(CODE_LETTERS) + pick(CODE_DIGITS));
  return [...codes];
}
