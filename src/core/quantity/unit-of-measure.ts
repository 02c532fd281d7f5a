/** What a quantity measures. Mass is never taken for volume: that needs a density. */
export type Dimension = 'mass' | 'volume' | 'length' | 'area';

/** Whose pints, gallons, fluid ounces and spoons are meant. */
export type MeasureSystem = 'us' | 'uk';

/** A unit of measure and its size in the base unit of its dimension: g, ml, mm or m². */
export interface UnitOfMeasure {
  readonly key: string;
  readonly dimension: Dimension;
  readonly perBase: number;
  /** How people write it, lower case, without dots. The first is how it is printed. */
  readonly names: readonly string[];
  /** Present where the same name means another size across the water. */
  readonly system?: MeasureSystem;
}

// Exact definitions: NIST SP 811 (Thompson & Taylor, 2008), appendix B.8.
const OUNCE_G = 28.349523125;
const POUND_G = 453.59237;
const INCH_MM = 25.4;
const US_GALLON_ML = 3785.411784;
const IMPERIAL_GALLON_ML = 4546.09;

/** Every unit of measure that may be typed or printed. */
export const UNITS_OF_MEASURE: readonly UnitOfMeasure[] = [
  {
    key: 'g',
    dimension: 'mass',
    perBase: 1,
    names: ['g', 'gm', 'gram', 'grams', 'gramme', 'grammes'],
  },
  { key: 'mg', dimension: 'mass', perBase: 0.001, names: ['mg', 'milligram', 'milligrams'] },
  {
    key: 'kg',
    dimension: 'mass',
    perBase: 1000,
    names: ['kg', 'kgs', 'kilo', 'kilos', 'kilogram', 'kilograms'],
  },
  { key: 'oz', dimension: 'mass', perBase: OUNCE_G, names: ['oz', 'ozs', 'ounce', 'ounces'] },
  { key: 'lb', dimension: 'mass', perBase: POUND_G, names: ['lb', 'lbs', 'pound', 'pounds', '#'] },

  {
    key: 'ml',
    dimension: 'volume',
    perBase: 1,
    names: ['ml', 'cc', 'millilitre', 'millilitres', 'milliliter', 'milliliters'],
  },
  {
    key: 'cl',
    dimension: 'volume',
    perBase: 10,
    names: ['cl', 'centilitre', 'centilitres', 'centiliter', 'centiliters'],
  },
  {
    key: 'l',
    dimension: 'volume',
    perBase: 1000,
    names: ['l', 'litre', 'litres', 'liter', 'liters', 'ltr'],
  },
  {
    key: 'ft3',
    dimension: 'volume',
    perBase: (12 * INCH_MM) ** 3 / 1000,
    names: ['ft³', 'ft3', 'cu ft', 'cubic foot', 'cubic feet'],
  },
  {
    key: 'm3',
    dimension: 'volume',
    perBase: 1e6,
    names: ['m³', 'm3', 'cu m', 'cubic metre', 'cubic metres', 'cubic meter', 'cubic meters'],
  },
  {
    key: 'yd3',
    dimension: 'volume',
    perBase: (36 * INCH_MM) ** 3 / 1000,
    names: ['yd³', 'yd3', 'cu yd', 'cubic yard', 'cubic yards'],
  },
  {
    key: 'in3',
    dimension: 'volume',
    perBase: INCH_MM ** 3 / 1000,
    names: ['in³', 'in3', 'cu in', 'cubic inch', 'cubic inches'],
  },
  {
    key: 'us-tsp',
    dimension: 'volume',
    perBase: US_GALLON_ML / 768,
    names: ['tsp', 'tsps', 'teaspoon', 'teaspoons'],
    system: 'us',
  },
  {
    key: 'us-tbsp',
    dimension: 'volume',
    perBase: US_GALLON_ML / 256,
    names: ['tbsp', 'tbsps', 'tbs', 'tablespoon', 'tablespoons'],
    system: 'us',
  },
  {
    key: 'us-floz',
    dimension: 'volume',
    perBase: US_GALLON_ML / 128,
    names: ['fl oz', 'floz', 'fluid ounce', 'fluid ounces', 'fluid oz'],
    system: 'us',
  },
  {
    key: 'us-cup',
    dimension: 'volume',
    perBase: US_GALLON_ML / 16,
    names: ['cup', 'cups'],
    system: 'us',
  },
  {
    key: 'us-pt',
    dimension: 'volume',
    perBase: US_GALLON_ML / 8,
    names: ['pt', 'pts', 'pint', 'pints'],
    system: 'us',
  },
  {
    key: 'us-qt',
    dimension: 'volume',
    perBase: US_GALLON_ML / 4,
    names: ['qt', 'qts', 'quart', 'quarts'],
    system: 'us',
  },
  {
    key: 'us-gal',
    dimension: 'volume',
    perBase: US_GALLON_ML,
    names: ['gal', 'gals', 'gallon', 'gallons'],
    system: 'us',
  },
  // Spoons as sold in Britain today, 5 and 15 ml: common practice, no source.
  {
    key: 'uk-tsp',
    dimension: 'volume',
    perBase: 5,
    names: ['tsp', 'tsps', 'teaspoon', 'teaspoons'],
    system: 'uk',
  },
  {
    key: 'uk-tbsp',
    dimension: 'volume',
    perBase: 15,
    names: ['tbsp', 'tbsps', 'tbs', 'tablespoon', 'tablespoons'],
    system: 'uk',
  },
  {
    key: 'uk-floz',
    dimension: 'volume',
    perBase: IMPERIAL_GALLON_ML / 160,
    names: ['fl oz', 'floz', 'fluid ounce', 'fluid ounces', 'fluid oz'],
    system: 'uk',
  },
  {
    key: 'uk-pt',
    dimension: 'volume',
    perBase: IMPERIAL_GALLON_ML / 8,
    names: ['pt', 'pts', 'pint', 'pints'],
    system: 'uk',
  },
  {
    key: 'uk-qt',
    dimension: 'volume',
    perBase: IMPERIAL_GALLON_ML / 4,
    names: ['qt', 'qts', 'quart', 'quarts'],
    system: 'uk',
  },
  {
    key: 'uk-gal',
    dimension: 'volume',
    perBase: IMPERIAL_GALLON_ML,
    names: ['gal', 'gals', 'gallon', 'gallons'],
    system: 'uk',
  },

  {
    key: 'mm',
    dimension: 'length',
    perBase: 1,
    names: ['mm', 'millimetre', 'millimetres', 'millimeter', 'millimeters'],
  },
  {
    key: 'cm',
    dimension: 'length',
    perBase: 10,
    names: ['cm', 'centimetre', 'centimetres', 'centimeter', 'centimeters'],
  },
  {
    key: 'm',
    dimension: 'length',
    perBase: 1000,
    names: ['m', 'metre', 'metres', 'meter', 'meters'],
  },
  {
    key: 'in',
    dimension: 'length',
    perBase: INCH_MM,
    names: ['in', '"', '″', '”', 'inch', 'inches'],
  },
  {
    key: 'ft',
    dimension: 'length',
    perBase: 12 * INCH_MM,
    names: ['ft', "'", '′', '’', 'foot', 'feet'],
  },
  { key: 'yd', dimension: 'length', perBase: 36 * INCH_MM, names: ['yd', 'yds', 'yard', 'yards'] },

  {
    key: 'm2',
    dimension: 'area',
    perBase: 1,
    names: ['m²', 'm2', 'sq m', 'square metre', 'square metres', 'square meter', 'square meters'],
  },
  {
    key: 'ft2',
    dimension: 'area',
    perBase: (12 * INCH_MM) ** 2 / 1e6,
    names: ['ft²', 'ft2', 'sq ft', 'square foot', 'square feet'],
  },
  {
    key: 'yd2',
    dimension: 'area',
    perBase: (36 * INCH_MM) ** 2 / 1e6,
    names: ['yd²', 'yd2', 'sq yd', 'square yard', 'square yards'],
  },
  { key: 'ha', dimension: 'area', perBase: 10_000, names: ['ha', 'hectare', 'hectares'] },
  {
    key: 'acre',
    dimension: 'area',
    perBase: (43_560 * (12 * INCH_MM) ** 2) / 1e6,
    names: ['acre', 'acres'],
  },
];

/** The unit with this key, for code that knows which it wants. */
export function unitOfMeasure(key: string): UnitOfMeasure {
  const found = UNITS_OF_MEASURE.find(unit => unit.key === key);
  if (!found) throw new RangeError(`unit of measure must be a known key, got ${key}`);
  return found;
}
