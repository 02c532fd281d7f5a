import type { Layout } from '@/core/trial/model/layout';
import type { Treatment } from '@/core/trial/model/treatment';
import type { DealPlan } from './deal';

/** What a layout asks to be dealt, its numbers as a person counts them. */
export interface LayoutRequest
  extends Pick<
    Layout,
    | 'kind'
    | 'blockWord'
    | 'columnWord'
    | 'wholeWord'
    | 'wholeFactor'
    | 'perBlock'
    | 'controlEach'
    | 'isTurned'
    | 'benches'
  > {
  /** Of each treatment: over the whole trial, or in every block, garden or pair. */
  readonly each: number;
  readonly blockCount: number;
}

/** The deal that a layout asks for. Treatments are taken in their order; index i of the deal is the i-th of them. */
export function dealPlanOf(wish: LayoutRequest, treatments: readonly Treatment[]): DealPlan {
  const copies = treatments.map(treatment =>
    treatment.role === 'control' ? (wish.controlEach ?? wish.each) : wish.each,
  );
  switch (wish.kind) {
    case 'complete-randomisation':
      return { kind: 'complete-randomisation', copies };
    case 'complete-blocks':
    case 'several-gardens':
      return { kind: 'complete-blocks', copies, blocks: wish.blockCount };
    case 'pairs':
      return { kind: 'complete-blocks', copies: treatments.map(() => 1), blocks: wish.blockCount };
    case 'latin-square':
      return { kind: 'latin-square', treatments: treatments.length };
    case 'incomplete-blocks':
      return {
        kind: 'incomplete-blocks',
        treatments: treatments.length,
        blocks: wish.blockCount,
        perBlock: wish.perBlock ?? 2,
      };
    case 'split-plot':
      return {
        kind: 'split-plot',
        blocks: wish.blockCount,
        treatmentOf: splitTable(treatments, wish.wholeFactor ?? ''),
      };
  }
}

/** Treatments by the level of the factor dealt to whole plots, each row with the levels within; indices of treatments. */
export function splitTable(
  treatments: readonly Treatment[],
  wholeFactor: string,
): readonly (readonly number[])[] {
  const levels = [...new Set(treatments.map(treatment => treatment.levels[wholeFactor] ?? ''))];
  return levels.map(level =>
    treatments.flatMap((treatment, i) =>
      (treatment.levels[wholeFactor] ?? '') === level ? [i] : [],
    ),
  );
}

/** Why a layout can't be dealt to these treatments. */
export type LayoutMisfit =
  | { readonly kind: 'pairs-need-two'; readonly treatments: number }
  | { readonly kind: 'square-too-big'; readonly treatments: number; readonly most: number }
  | { readonly kind: 'needs-whole-factor'; readonly factors: readonly string[] }
  | { readonly kind: 'not-crossed'; readonly factor: string }
  | { readonly kind: 'block-holds-all'; readonly treatments: number }
  | { readonly kind: 'too-few-places'; readonly places: number; readonly treatments: number };

const LARGEST_SQUARE = 8;

/** What keeps a layout from being dealt; undefined where nothing does. */
export function layoutMisfit(
  wish: LayoutRequest,
  treatments: readonly Treatment[],
): LayoutMisfit | undefined {
  const count = treatments.length;
  if (wish.kind === 'pairs' && count !== 2) return { kind: 'pairs-need-two', treatments: count };
  if (wish.kind === 'latin-square' && count > LARGEST_SQUARE)
    return { kind: 'square-too-big', treatments: count, most: LARGEST_SQUARE };
  if (wish.kind === 'split-plot') {
    const factors = Object.keys(treatments[0]?.levels ?? {});
    if (factors.length < 2 || !factors.includes(wish.wholeFactor ?? ''))
      return { kind: 'needs-whole-factor', factors };
    const sizes = new Set(splitTable(treatments, wish.wholeFactor ?? '').map(row => row.length));
    if (sizes.size > 1) return { kind: 'not-crossed', factor: wish.wholeFactor ?? '' };
  }
  if (wish.kind === 'incomplete-blocks') {
    if ((wish.perBlock ?? 2) >= count) return { kind: 'block-holds-all', treatments: count };
    if (wish.blockCount * (wish.perBlock ?? 2) < count)
      return {
        kind: 'too-few-places',
        places: wish.blockCount * (wish.perBlock ?? 2),
        treatments: count,
      };
  }
  return undefined;
}
