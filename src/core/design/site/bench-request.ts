import type { RaisedPlant } from '@/core/design/layouts/choose-plants';
import type { LayoutRequest } from '@/core/design/layouts/layout-definition';
import type { Place } from '@/core/trial/model/place';
import type { Treatment } from '@/core/trial/model/treatment';

/** What is to be laid out, and how big a unit is. */
export interface BenchPlan extends LayoutRequest {
  /** In their order. */
  readonly treatments: readonly Treatment[];
  readonly unitWord: string;
  readonly unitShape: Place['shape'];
  /** Across and front to back, > 0. */
  readonly unitWidthMm: number;
  readonly unitDepthMm: number;
  readonly seed: number;
  /** How often this plan has been dealt, this time included. */
  readonly deals: number;
  /** One entry a unit, in the order of their places, where the deal is to be balanced by their sizes. */
  readonly plants?: readonly RaisedPlant[] | undefined;
  /** Of all that were raised, in their order. */
  readonly raisedSizes?: readonly number[] | undefined;
}
