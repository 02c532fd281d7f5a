import { type MeasureSystem, unitOfMeasure } from './unit-of-measure';

/** What a crop is sold by: the kilogram, or the pound. */
export interface SoldBy {
  readonly name: string;
  readonly short: string;
  /** Kilograms in one. */
  readonly kg: number;
}

export function soldBy(system: MeasureSystem): SoldBy {
  return system === 'us'
    ? { name: 'pound', short: 'lb', kg: unitOfMeasure('lb').perBase / 1000 }
    : { name: 'kilogram', short: 'kg', kg: 1 };
}
