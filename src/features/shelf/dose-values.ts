import type { RateChoice } from '@/core/materials/label/label-rate';
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
export const EXAMPLES: Readonly<Partial<Record<Per, string>>> = {
  water: '1.5 l',
  area: '30 cm',
  mix: '10 l',
  row: '2 m',
};

export type Per = LabelRate['per']['kind'];
