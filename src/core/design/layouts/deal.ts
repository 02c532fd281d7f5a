import {
  inRandomOrder,
  type SeededRandom,
  seededRandom,
} from '@/core/stats/distributions/seeded-random';
import { randomLatinSquares } from '@/core/stats/permutation/latin-squares';
import { isBalanced, startImbalance } from '@/core/stats/permutation/re-randomisation';
import { incompleteBlockSets } from './incomplete-block-sets';

/** How treatments are dealt to units. Treatments are named by index, 0 … k − 1. */
export type DealPlan =
  | { readonly kind: 'complete-randomisation'; readonly copies: readonly number[] }
  /** `copies` of each treatment in every block. Pairs are blocks of two; gardens with one protocol are blocks, too. */
  | {
      readonly kind: 'complete-blocks';
      readonly copies: readonly number[];
      readonly blocks: number;
    }
  | { readonly kind: 'latin-square'; readonly treatments: number }
  /** In each block every whole level on one whole plot, and on each of those every sub-level once. */
  | {
      readonly kind: 'split-plot';
      readonly blocks: number;
      readonly treatmentOf: readonly (readonly number[])[];
    }
  /** Blocks of fewer units than there are treatments. */
  | {
      readonly kind: 'incomplete-blocks';
      readonly treatments: number;
      readonly blocks: number;
      readonly perBlock: number;
    };

/** The place of one unit in the deal; indices from 0, and 0 where the layout has no such thing. */
export interface DealtUnit {
  readonly treatment: number;
  readonly block: number;
  readonly column: number;
  /** Whole plots are counted over the whole trial. */
  readonly wholePlot: number;
}

/** Raised whenever the same seed would deal otherwise, so that an old layout can say which method made it. */
export const DEAL_METHOD_VERSION = 1;

/**
 * Deals treatments to units at random, as the layout allows. The same plan and seed always give the same deal
 * (xoroshiro128+; Fisher-Yates; Jacobson & Matthews for squares).
 *
 * @returns units block after block, in the order of their places; within a square, row after row
 */
export function deal(plan: DealPlan, seed: number): readonly DealtUnit[] {
  return dealOnce(plan, seededRandom(seed));
}

/** A deal that was chosen for its even start. */
export interface BalancedDeal {
  readonly dealt: readonly DealtUnit[];
  /** The largest imbalance that was let through: later shuffles are held to it. */
  readonly mostImbalance: number;
}

const TRIAL_DEALS = 1000;
const MOST_TRIES = 20_000;

/**
 * Deals again and again until start sizes are spread over the treatments as evenly as in the best of so many deals: a
 * rule set before the deal that counts, so that the shuffle test can hold its own deals to it (Morgan & Rubin 2012).
 *
 * @param startSize one entry a unit, in the order of their places
 * @param bestShare in (0, 1]: 0.05 lets one deal in twenty through
 */
export function dealBalanced(
  plan: DealPlan,
  seed: number,
  startSize: readonly number[],
  bestShare: number,
): BalancedDeal {
  const random = seededRandom(seed);
  const imbalanceOf = (dealt: readonly DealtUnit[]): number => {
    const labels = dealt.map(unit => unit.treatment);
    return startImbalance(startSize, labels, Math.max(...labels) + 1);
  };
  const sample = Array.from({ length: TRIAL_DEALS }, () =>
    imbalanceOf(dealOnce(plan, random)),
  ).sort((a, b) => a - b);
  const most = sample[Math.max(0, Math.ceil(bestShare * TRIAL_DEALS) - 1)] ?? 0;
  for (let tries = 0; tries < MOST_TRIES; tries++) {
    const dealt = dealOnce(plan, random);
    const labels = dealt.map(unit => unit.treatment);
    if (isBalanced({ startSize, most }, labels, Math.max(...labels) + 1))
      return { dealt, mostImbalance: most };
  }
  throw new RangeError(
    `a deal as even as the best ${bestShare} of ${TRIAL_DEALS} must turn up in ${MOST_TRIES}`,
  );
}

function dealOnce(plan: DealPlan, random: SeededRandom): readonly DealtUnit[] {
  switch (plan.kind) {
    case 'complete-randomisation':
      return dealBlock(cards(plan.copies), 0, random);
    case 'complete-blocks':
      return Array.from({ length: plan.blocks }, (_, block) =>
        dealBlock(cards(plan.copies), block, random),
      ).flat();
    case 'latin-square':
      return dealSquare(plan.treatments, random);
    case 'split-plot':
      return dealSplitPlot(plan, random);
    case 'incomplete-blocks': {
      const symbols = inRandomOrder(
        Array.from({ length: plan.treatments }, (_, t) => t),
        random,
      );
      const sets = inRandomOrder(
        incompleteBlockSets(plan.treatments, plan.blocks, plan.perBlock),
        random,
      );
      return sets.flatMap((set, block) =>
        dealBlock(
          set.map(symbol => symbols[symbol]!),
          block,
          random,
        ),
      );
    }
  }
}

function cards(copies: readonly number[]): readonly number[] {
  if (!copies.every(count => Number.isInteger(count) && count >= 1))
    throw new RangeError(`copies must be whole numbers ≥ 1, got ${copies.join(', ')}`);
  return copies.flatMap((count, treatment) => new Array<number>(count).fill(treatment));
}

function dealBlock(
  treatments: readonly number[],
  block: number,
  random: SeededRandom,
): readonly DealtUnit[] {
  return inRandomOrder(treatments, random).map(treatment => ({
    treatment,
    block,
    column: 0,
    wholePlot: 0,
  }));
}

function dealSquare(order: number, random: SeededRandom): readonly DealtUnit[] {
  const square = Int32Array.from(
    { length: order * order },
    (_, cell) => (Math.floor(cell / order) + cell) % order,
  );
  randomLatinSquares(square, order, random, order ** 3)(); // far enough from the cyclic square for all kinds to be reached
  return [...square].map((treatment, cell) => ({
    treatment,
    block: Math.floor(cell / order),
    column: cell % order,
    wholePlot: 0,
  }));
}

function dealSplitPlot(
  plan: DealPlan & { readonly kind: 'split-plot' },
  random: SeededRandom,
): readonly DealtUnit[] {
  const wholes = plan.treatmentOf.length;
  return Array.from({ length: plan.blocks }, (_, block) =>
    inRandomOrder(plan.treatmentOf, random).flatMap((subs, i) =>
      inRandomOrder(subs, random).map(treatment => ({
        treatment,
        block,
        column: 0,
        wholePlot: block * wholes + i,
      })),
    ),
  ).flat();
}
