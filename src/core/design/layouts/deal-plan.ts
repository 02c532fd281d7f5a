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
export function dealPlanOf(request: LayoutRequest, treatments: readonly Treatment[]): DealPlan {
  const copies = treatments.map(treatment =>
    treatment.role === 'control' ? (request.controlEach ?? request.each) : request.each,
  );
  switch (request.kind) {
    case 'complete-randomisation':
      return { kind: 'complete-randomisation', copies };
    case 'complete-blocks':
    case 'several-gardens':
      return { kind: 'complete-blocks', copies, blocks: request.blockCount };
    case 'pairs':
      return {
        kind: 'complete-blocks',
        copies: treatments.map(() => 1),
        blocks: request.blockCount,
      };
    case 'latin-square':
      return { kind: 'latin-square', treatments: treatments.length };
    case 'incomplete-blocks':
      return {
        kind: 'incomplete-blocks',
        treatments: treatments.length,
        blocks: request.blockCount,
        perBlock: request.perBlock ?? 2,
      };
    case 'split-plot':
      return {
        kind: 'split-plot',
        blocks: request.blockCount,
        treatmentOf: splitTable(treatments, request.wholeFactor ?? ''),
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
  request: LayoutRequest,
  treatments: readonly Treatment[],
): LayoutMisfit | undefined {
  const count = treatments.length;
  if (request.kind === 'pairs' && count !== 2) return { kind: 'pairs-need-two', treatments: count };
  if (request.kind === 'latin-square' && count > LARGEST_SQUARE)
    return { kind: 'square-too-big', treatments: count, most: LARGEST_SQUARE };
  if (request.kind === 'split-plot') {
    const factors = Object.keys(treatments[0]?.levels ?? {});
    if (factors.length < 2 || !factors.includes(request.wholeFactor ?? ''))
      return { kind: 'needs-whole-factor', factors };
    const sizes = new Set(splitTable(treatments, request.wholeFactor ?? '').map(row => row.length));
    if (sizes.size > 1) return { kind: 'not-crossed', factor: request.wholeFactor ?? '' };
  }
  if (request.kind === 'incomplete-blocks') {
    if ((request.perBlock ?? 2) >= count) return { kind: 'block-holds-all', treatments: count };
    if (request.blockCount * (request.perBlock ?? 2) < count)
      return {
        kind: 'too-few-places',
        places: request.blockCount * (request.perBlock ?? 2),
        treatments: count,
      };
  }
  return undefined;
}
