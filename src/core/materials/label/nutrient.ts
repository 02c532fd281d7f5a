import { Nutrient, type NutrientAmounts } from '@/core/trial/model/nutrient';

// Atomic weights of the elements 2007 (IUPAC; Wieser & Berglund, 2009): one value each, from memory.
const ATOM = {
  h: 1.00794,
  n: 14.0067,
  o: 15.9994,
  mg: 24.305,
  p: 30.973762,
  s: 32.065,
  k: 39.0983,
  ca: 40.078,
} as const;

/** Grams of the element in a gram of the oxide (or nitrate, sulphate) that labels print. */
export const ELEMENT_IN = {
  p2o5: (2 * ATOM.p) / (2 * ATOM.p + 5 * ATOM.o),
  k2o: (2 * ATOM.k) / (2 * ATOM.k + ATOM.o),
  mgo: ATOM.mg / (ATOM.mg + ATOM.o),
  cao: ATOM.ca / (ATOM.ca + ATOM.o),
  so3: ATOM.s / (ATOM.s + 3 * ATOM.o),
  /** N in NO3, as water and leaf-sap tests print it. */
  no3: ATOM.n / (ATOM.n + 3 * ATOM.o),
  /** N in NH4, as some laboratories print it. */
  nh4: ATOM.n / (ATOM.n + 4 * ATOM.h),
} as const;

const EPSOM_G = ATOM.mg + ATOM.s + 4 * ATOM.o + 7 * (2 * ATOM.h + ATOM.o);
/** Of magnesium sulphate with seven waters, Epsom salt. */
export const EPSOM_SALT: NutrientAmounts = {
  mg: (100 * ATOM.mg) / EPSOM_G,
  s: (100 * ATOM.s) / EPSOM_G,
};

/** Amounts multiplied; what is not there stays away. */
export function timesNutrients(amounts: NutrientAmounts, factor: number): NutrientAmounts {
  return Object.fromEntries(
    Object.entries(amounts).map(([nutrient, value]) => [nutrient, value * factor]),
  );
}

/** Amounts added up. */
export function sumNutrients(all: readonly NutrientAmounts[]): NutrientAmounts {
  const sum: Partial<Record<Nutrient, number>> = {};
  for (const amounts of all)
    for (const [nutrient, value] of Object.entries(amounts))
      sum[Nutrient.parse(nutrient)] = (sum[Nutrient.parse(nutrient)] ?? 0) + value;
  return sum;
}
