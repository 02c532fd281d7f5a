import type { RateChoice } from '@/core/materials/label/label-rate';
import type { MeasureSystem } from '@/core/quantity/unit-of-measure';
import type { LabelRate } from '@/core/trial/model/label-rate';

export interface DoseSheetValues {
  readonly at: string;
  readonly choice: RateChoice;
  readonly strength: string;
  readonly size: string;
  readonly pots: string;
}
export const NEEDS: Readonly<Partial<Record<Per, string>>> = {
  water: 'Water to each',
  area: 'Each is across, or its area',
  mix: 'Mix in each',
  row: 'Row of each',
};
export const EXAMPLES: Readonly<Record<MeasureSystem, Readonly<Partial<Record<Per, string>>>>> = {
  uk: { water: '1.5 l', area: '30 cm', mix: '10 l', row: '2 m' },
  us: { water: '1 qt', area: '12 in', mix: '2.5 gal', row: '6 ft' },
};

export type Per = LabelRate['per']['kind'];
