import type { Treatment } from '@/core/trial/model/treatment';
import type { DealPlan } from './deal';
import type { LayoutMisfit, LayoutRequest } from './layout-definition';
import { LAYOUTS } from './layouts';

/** The deal that a layout asks for. Treatments are taken in their order; index i of the deal is the i-th of them. */
export function dealPlanOf(request: LayoutRequest, treatments: readonly Treatment[]): DealPlan {
  return LAYOUTS[request.kind].dealPlan(request, treatments);
}

/** What keeps a layout from being dealt; undefined where nothing does. */
export function layoutMisfit(
  request: LayoutRequest,
  treatments: readonly Treatment[],
): LayoutMisfit | undefined {
  return LAYOUTS[request.kind].misfit(request, treatments);
}
