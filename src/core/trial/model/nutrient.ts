import { z } from 'zod';

/** What a label counts. N, P and K always as the element here; a label may print P and K as oxides. */
export const Nutrient = z.enum(['n', 'p', 'k', 'mg', 'ca', 's', 'fe', 'mn', 'b', 'zn', 'cu', 'mo']);
export type Nutrient = z.infer<typeof Nutrient>;

/** Grams, or grams in 100, of each nutrient that is there. */
export type NutrientAmounts = Readonly<Partial<Record<Nutrient, number>>>;

export const NUTRIENT_WORDS: Readonly<Record<Nutrient, string>> = {
  n: 'nitrogen',
  p: 'phosphorus',
  k: 'potassium',
  mg: 'magnesium',
  ca: 'calcium',
  s: 'sulphur',
  fe: 'iron',
  mn: 'manganese',
  b: 'boron',
  zn: 'zinc',
  cu: 'copper',
  mo: 'molybdenum',
};
