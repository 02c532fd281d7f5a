import { tQuantile } from '@/core/stats/distributions';
import { powerOfT } from '@/core/stats/power';

/** A plan to be sized: differences and spread as shares of the mean, e.g. 0.25. */
export interface SizePlan {
  /** Standard deviation of units treated alike over their mean, > 0. */
  readonly cv: number;
  /** Two-sided error rate, e.g. 0.05. */
  readonly alpha: number;
  /** Wanted chance of seeing the difference, e.g. 0.8. */
  readonly power: number;
  /** Treatments tested against the control at the same time; 1 is the plain t test. */
  readonly comparisons: number;
}

const MOST_UNITS = 1000;

/**
 * Units of each treatment that see a difference of so large a share of the mean with the wanted power; null above 1000.
 * The unpaired t test's exact power; for several comparisons Šidák's level, a little on the safe side of Dunnett's.
 */
export function unitsForDifference(plan: SizePlan, difference: number): number | null {
  for (let each = 2; each <= MOST_UNITS; each++) if (chanceOfSeeing(plan, each, difference) >= plan.power) return each;
  return null;
}

/** The smallest share of the mean that so many units (≥ 2) of each treatment see with the wanted power. */
export function detectableDifference(plan: SizePlan, unitsEach: number): number {
  let low = 0;
  let high = plan.cv;
  while (chanceOfSeeing(plan, unitsEach, high) < plan.power) high *= 2;
  for (let halving = 0; halving < 50; halving++) {
    const middle = (low + high) / 2;
    if (chanceOfSeeing(plan, unitsEach, middle) < plan.power) low = middle;
    else high = middle;
  }
  return (low + high) / 2;
}

/** The chance, in [0, 1], that so many units of each treatment see the difference. */
export function chanceOfSeeing(plan: SizePlan, unitsEach: number, difference: number): number {
  if (unitsEach < 2) throw new RangeError(`unitsEach must be ≥ 2, got ${unitsEach}: one unit each leaves no spread to judge by`);
  const df = (plan.comparisons + 1) * (unitsEach - 1);
  const level = 1 - (1 - plan.alpha) ** (1 / plan.comparisons);
  return powerOfT(difference / (plan.cv * Math.sqrt(2 / unitsEach)), tQuantile(1 - level / 2, df), df);
}
