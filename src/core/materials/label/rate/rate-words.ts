import { amountWords } from '@/core/materials/amount-words';
import { printArea, printLength, printVolume } from '@/core/quantity/print-quantity';
import type { MeasureSystem } from '@/core/quantity/unit-of-measure';
import type { LabelRate } from '@/core/trial/model/label-rate';

/** What was read from a rate, in the garden's own units: `20 ml in 4.5 l of water`, `15 g for each plant, every 7 days`. */
export function rateWords(
  { of, low, high, per, everyDays }: Omit<LabelRate, 'asWritten'>,
  system: MeasureSystem,
): string {
  const amount =
    low === high
      ? amountWords(high, of, system)
      : `${amountWords(low, of, system)} to ${amountWords(high, of, system)}`;
  const often =
    everyDays === undefined
      ? ''
      : everyDays === 1
        ? ', every day'
        : `, every ${Number(everyDays.toPrecision(3))} days`;
  return `${amount} ${perWords(per, system)}${often}`;
}

function perWords(per: LabelRate['per'], system: MeasureSystem): string {
  switch (per.kind) {
    case 'water':
      return `in ${printVolume(per.ml, system)} of water${per.plants === undefined ? '' : ` for ${per.plants} plants`}`;
    case 'plant':
      return 'per plant';
    case 'container':
      return per.m2 === undefined
        ? 'per pot'
        : `per ${printLength(1000 * Math.sqrt((4 * per.m2) / Math.PI), system)} pot`;
    case 'area':
      return per.m2 === 1 && system === 'uk'
        ? 'per square metre'
        : `per ${printArea(per.m2, system)}`;
    case 'mix':
      return `in ${printVolume(per.ml, system)} of mix`;
    case 'row':
      return per.mm === null ? 'per row' : `per ${printLength(per.mm, system)} of row`;
  }
}
