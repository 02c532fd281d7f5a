import { type MeasureSystem, unitOfMeasure } from '@/core/quantity/unit-of-measure';

/** What a measure's figures are in where people read them: its name, and how much of the stored unit one of it is. */
export interface ShownUnit {
  readonly name: string;
  readonly base: number;
}

const G_IN_OZ = unitOfMeasure('oz').perBase;
const KG_IN_LB = unitOfMeasure('lb').perBase / 1000;
const MM_IN_INCH = unitOfMeasure('in').perBase;
const L_IN_GALLON = unitOfMeasure('us-gal').perBase / 1000;
const M2_IN_FT2 = unitOfMeasure('ft2').perBase;

const AMERICAN: Readonly<Record<string, ShownUnit>> = {
  g: { name: 'oz', base: G_IN_OZ },
  kg: { name: 'lb', base: KG_IN_LB },
  mm: { name: 'in', base: MM_IN_INCH },
  l: { name: 'gal', base: L_IN_GALLON },
  'm²': { name: 'sq ft', base: M2_IN_FT2 },
};

/** `g` is ounces in an American garden, `g per m²` ounces per square foot; what is no weight, length, volume or area stays. */
export function shownUnit(unit: string, system: MeasureSystem): ShownUnit {
  if (system === 'uk') return { name: unit, base: 1 };
  const [upper = '', lower] = unit.split(' per ');
  const shown = AMERICAN[upper] ?? { name: upper, base: 1 };
  if (lower === undefined) return shown;
  // Grams over grams is a pure number, whatever they are weighed in.
  if (upper === lower) return { name: `${shown.name} per ${shown.name}`, base: 1 };
  const under = AMERICAN[lower] ?? { name: lower, base: 1 };
  return { name: `${shown.name} per ${under.name}`, base: shown.base / under.base };
}
