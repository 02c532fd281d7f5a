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

/** Why a layout can't be dealt to these treatments. */
export type LayoutMisfit =
  | { readonly kind: 'pairs-need-two'; readonly treatments: number }
  | { readonly kind: 'square-too-big'; readonly treatments: number; readonly most: number }
  | { readonly kind: 'needs-whole-factor'; readonly factors: readonly string[] }
  | { readonly kind: 'not-crossed'; readonly factor: string }
  | { readonly kind: 'block-holds-all'; readonly treatments: number }
  | { readonly kind: 'too-few-places'; readonly places: number; readonly treatments: number };

/** Something that is asked about a layout. `controlEach` may be left empty: then the control has as many as the others. */
export interface LayoutField {
  readonly key:
    | 'blockCount'
    | 'blockWord'
    | 'columnWord'
    | 'wholeFactor'
    | 'wholeWord'
    | 'perBlock'
    | 'unitsEach'
    | 'controlEach';
  readonly label: string;
}

/** All that is to be known of one way of laying out a trial. A new one is a file with one of these and a line in `LAYOUTS`. */
export interface LayoutDefinition {
  /** What it is called where one chooses, and when it is for. */
  readonly label: string;
  readonly hint: string;
  /** Whether it is offered to so many treatments, made of so many factors. */
  readonly fits: (treatments: number, factors: number) => boolean;
  /** What it asks, in the order of the screen. */
  readonly fields: readonly LayoutField[];
  /** What keeps it from being dealt; undefined where nothing does. */
  readonly misfit: (
    request: LayoutRequest,
    treatments: readonly Treatment[],
  ) => LayoutMisfit | undefined;
  /** What is dealt. Treatments are taken in their order; index i of the deal is the i-th of them. */
  readonly dealPlan: (request: LayoutRequest, treatments: readonly Treatment[]) => DealPlan;
  /** Units are dealt within blocks of some kind. */
  readonly hasBlocks: boolean;
  /** Blocks are pairs, dealt by a coin. */
  readonly isPaired: boolean;
  /** Columns are blocks, too: none may change its place. */
  readonly hasColumns: boolean;
  /** One factor is dealt to larger units than the other. */
  readonly hasWholePlots: boolean;
  /** A treatment may stand more than once in a block. */
  readonly takesCopies: boolean;
  /** Blocks can be shared out to several benches. */
  readonly goesOnBenches: boolean;
  /** What a larger trial of it has more of; `nothing` where the treatments set its size. */
  readonly growsBy: 'each' | 'blocks' | 'nothing';
  /** At which level of the places what was dealt, for the locked plan. */
  readonly dealtWords: (layout: Omit<Layout, 'seed'>) => string;
  /** What whoever sets it up must keep to; empty where there is nothing. */
  readonly standWords: (layout: Layout) => string;
}

/** What most layouts in blocks have in common. */
export const IN_BLOCKS = {
  misfit: () => undefined,
  hasBlocks: true,
  isPaired: false,
  hasColumns: false,
  hasWholePlots: false,
  takesCopies: false,
  goesOnBenches: true,
  growsBy: 'blocks',
  standWords: (layout: Layout) => `What belongs to one ${layout.blockWord} stays in it.`,
} as const satisfies Partial<LayoutDefinition>;

/** Units of each treatment: the control may have more or fewer than the others. */
export function copiesOf(
  { each, controlEach }: LayoutRequest,
  treatments: readonly Treatment[],
): readonly number[] {
  return treatments.map(treatment => (treatment.role === 'control' ? (controlEach ?? each) : each));
}
