import type { LabelRate, RatePer } from '@/core/trial/model/label-rate';

/** Where in a label's range one goes. A record of it says which was taken, and keeps “full” from meaning 8 of 5 to 10. */
export type RateChoice = 'low' | 'middle' | 'high';

/** The one amount, in g or ml, that is taken from a label's range. */
export function chosenAmount(rate: LabelRate, choice: RateChoice): number {
  return choice === 'low' ? rate.low : choice === 'high' ? rate.high : (rate.low + rate.high) / 2;
}

/** What a dose is for, as far as its rate needs it. */
export interface DoseTarget {
  /** Of water that the unit gets, with the product in it. */
  readonly waterMl?: number | undefined;
  readonly plants?: number | undefined;
  /** The open top of a pot, or a bed. */
  readonly areaM2?: number | undefined;
  readonly mixMl?: number | undefined;
  readonly rowMm?: number | undefined;
  /** Whole rows, where a label gives an amount for a row of any length. */
  readonly rows?: number | undefined;
}

/**
 * How much product goes to one unit, in the label's own g or ml.
 *
 * @param strength a share of the label's rate: 0.5 for half strength
 * @returns undefined where the target lacks what the rate counts by
 */
export function doseFor(
  rate: LabelRate,
  choice: RateChoice,
  strength: number,
  target: DoseTarget,
): number | undefined {
  const times = timesPer(rate.per, target);
  return times === undefined ? undefined : chosenAmount(rate, choice) * strength * times;
}

function timesPer(
  per: RatePer,
  { waterMl, plants, areaM2, mixMl, rowMm, rows }: DoseTarget,
): number | undefined {
  switch (per.kind) {
    case 'water':
      if (waterMl !== undefined) return waterMl / per.ml;
      return per.plants === undefined ? undefined : (plants ?? 1) / per.plants;
    case 'plant':
      return plants ?? 1;
    case 'container':
      return per.m2 === undefined ? 1 : areaM2 === undefined ? undefined : areaM2 / per.m2;
    case 'area':
      return areaM2 === undefined ? undefined : areaM2 / per.m2;
    case 'mix':
      return mixMl === undefined ? undefined : mixMl / per.ml;
    case 'row':
      if (per.mm === null) return rows ?? 1;
      return rowMm === undefined ? undefined : rowMm / per.mm;
  }
}

/**
 * What a plant gets, as a share of what the label would give it: half strength in half a litre, where the label's can is
 * meant for 1.33 l a plant, is 19%.
 *
 * @param labelMlPerPlant how much of the can's water the label means for one plant
 */
export function shareOfLabel(strength: number, waterMl: number, labelMlPerPlant: number): number {
  return (strength * waterMl) / labelMlPerPlant;
}

/** The reverse question: so much made up, so much to each. How many units, and how strong it is. */
export function fromMadeUp(
  madeUpMl: number,
  perUnitMl: number,
  productAmount: number,
  rate: LabelRate,
): { readonly units: number; readonly leftMl: number; readonly strength: number | undefined } {
  const units = Math.floor(madeUpMl / perUnitMl + 1e-9);
  const { per } = rate;
  return {
    units,
    leftMl: madeUpMl - units * perUnitMl,
    strength: per.kind === 'water' ? productAmount / madeUpMl / (rate.high / per.ml) : undefined,
  };
}
