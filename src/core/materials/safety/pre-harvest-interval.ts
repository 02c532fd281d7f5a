import { addDays, type CalendarDay, daysBetween } from '@/core/time/garden-day';

/** A harvest that is not allowed yet. */
export interface TooEarly {
  readonly product: string;
  readonly appliedOn: CalendarDay;
  readonly allowedFrom: CalendarDay;
}

/** What was applied to a unit, with the days its label asks for. */
export interface AppliedWithWait {
  readonly product: string;
  readonly appliedOn: CalendarDay;
  readonly waitingDays: number;
}

/** What keeps a harvest from being eaten on a day, the latest first; empty where nothing does. Day of spraying is day 0. */
export function tooEarly(
  applied: readonly AppliedWithWait[],
  on: CalendarDay,
): readonly TooEarly[] {
  return applied
    .filter(each => daysBetween(each.appliedOn, on) >= 0)
    .map(({ product, appliedOn, waitingDays }) => ({
      product,
      appliedOn,
      allowedFrom: addDays(appliedOn, waitingDays),
    }))
    .filter(each => on < each.allowedFrom)
    .sort((a, b) => (a.allowedFrom < b.allowedFrom ? 1 : -1));
}

/** Raw manure: days to a harvest. Source: US 7 CFR 205.203(c)(1), from memory. */
export function rawManureDays(ediblePartTouchesSoil: boolean): number {
  return ediblePartTouchesSoil ? 120 : 90;
}
