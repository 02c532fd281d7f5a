import { timesNutrients } from '@/core/materials/label/nutrient';
import type { NutrientAmounts } from '@/core/trial/model/nutrient';
import type { Product } from '@/core/trial/model/product';

const DAYS_A_MONTH = 30.4;

/**
 * Share of a slow feed's nutrients that has come free: evenly over the months on its pack. Real grains give more in warmth and
 * less in cold; common practice, no source.
 *
 * @param releaseMonths null: all at once, as what is dissolved
 * @returns from 0 on the day it is given to 1
 */
export function releasedShare(releaseMonths: Product['releaseMonths'], daysSince: number): number {
  if (daysSince < 0) return 0;
  return releaseMonths === null ? 1 : Math.min(1, daysSince / (releaseMonths * DAYS_A_MONTH));
}

/** What of doses has come free by a day, each given so many days before it. */
export function releasedBy(
  doseNutrients: NutrientAmounts,
  releaseMonths: Product['releaseMonths'],
  daysSince: number,
): NutrientAmounts {
  return timesNutrients(doseNutrients, releasedShare(releaseMonths, daysSince));
}
