import { dayIn, endOfDay } from '@/core/time/time-zone';
import type { CareAct } from '@/core/trial/model/care-plan';
import type { CareRule } from '@/core/trial/model/care-rule';
import type { Product } from '@/core/trial/model/product';

/** A bed that nobody may go into yet, by a label's re-entry time. */
export interface ReEntry {
  readonly product: string;
  readonly ruleId: string;
  /** An instant. */
  readonly until: string;
}

const HOUR = 3_600_000;

/**
 * Re-entry times that still run. A step ticked off on a later day is counted from the end of its own.
 *
 * @param now an instant
 * @param zone the garden's, which its days are of
 */
export function reEntryOf(
  rules: readonly CareRule[],
  acts: readonly CareAct[],
  products: readonly Product[],
  now: string,
  zone: string,
): readonly ReEntry[] {
  return acts
    .filter(act => !act.isSkipped)
    .flatMap((act): ReEntry[] => {
      const rule = rules.find(each => each.id === act.ruleId);
      const product = products.find(each => each.id === rule?.material?.productId);
      if (!rule || !product?.reentryHours) return [];
      const from =
        dayIn(act.takenAt, zone) === act.doneOn ? act.takenAt : endOfDay(act.doneOn, zone);
      const until = new Date(new Date(from).getTime() + product.reentryHours * HOUR).toISOString();
      return until > now ? [{ product: product.name, ruleId: rule.id, until }] : [];
    });
}
