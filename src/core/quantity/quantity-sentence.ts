import type { QuantityTrouble } from './parse-quantity';
import type { Dimension, MeasureSystem } from './unit-of-measure';

type OfDimension<Value> = Readonly<Record<Dimension, Value>>;

const EXAMPLES: Readonly<Record<MeasureSystem, OfDimension<readonly [string, string]>>> = {
  uk: {
    mass: ['50 g', '1.25 kg'],
    volume: ['250 ml', '1.5 l'],
    length: ['30 cm', '2 m'],
    area: ['1.5 m2', '0.25 sq m'],
  },
  us: {
    mass: ['8 oz', '2 lb 12 oz'],
    volume: ['2 cups', '1.5 gal'],
    length: ['12 in', '6 ft'],
    area: ['16 sq ft', '2 sq yd'],
  },
};

/** The units that people of a garden have at hand: a metric one is not offered ounces, an American one no grams. */
const AT_HAND: Readonly<Record<MeasureSystem, OfDimension<readonly string[]>>> = {
  uk: {
    mass: ['g', 'kg', 'mg'],
    volume: ['ml', 'l', 'tsp', 'tbsp'],
    length: ['mm', 'cm', 'm'],
    area: ['m²', 'ha'],
  },
  us: {
    mass: ['oz', 'lb'],
    volume: ['tsp', 'tbsp', 'fl oz', 'cup', 'pt', 'qt', 'gal', 'ft³', 'yd³'],
    length: ['in', 'ft', 'yd'],
    area: ['ft²', 'yd²', 'acre'],
  },
};

/** For whom a sentence is. */
export interface SentenceFor {
  /** Whose examples it gives; without it those of both sides of the water. */
  readonly system?: MeasureSystem | undefined;
  /** Of what its examples are: they must be ones that the field takes. Without it those of a weight. */
  readonly wanted?: Dimension;
}

/** Two filled-in amounts as the garden writes them: `50 g or 1.25 kg`. */
export function exampleAmounts(wanted: Dimension, system: MeasureSystem | undefined): string {
  const [small, large] = EXAMPLES[system ?? 'uk'][wanted];
  return `${small} or ${system ? large : EXAMPLES.us[wanted][1]}`;
}

/** What an amount that was not taken looked like, and what would be: one plain sentence or two. */
export function quantitySentence(
  trouble: QuantityTrouble,
  { system, wanted = 'mass' }: SentenceFor,
): string {
  const examples = exampleAmounts(wanted, system);
  switch (trouble.kind) {
    case 'empty':
      return `Nothing was written. Write a number with its unit, for example ${examples}.`;
    case 'too-long':
      return `That is ${trouble.length} characters long; an amount has at most ${trouble.longest}.`;
    case 'not-a-number':
      return `“${shortened(trouble.read)}” does not begin with a number. Write for example ${examples}.`;
    case 'ambiguous-comma':
      return `“${trouble.read}” could be ${trouble.asDecimal} or ${trouble.asThousands}. Write it without the comma.`;
    case 'missing-unit':
      return `“${shortened(trouble.read)}” has no unit. Add one of ${atHand(trouble.expected, system)}.`;
    case 'unknown-unit':
      return `“${shortened(trouble.read)}”: that unit is not known here. Use one of ${atHand(trouble.expected, system)}.`;
    case 'ambiguous-unit':
      return `“${shortened(trouble.read)}” could be ${alternatives(trouble.meanings)}. Say which.`;
    case 'wrong-dimension':
      return `“${shortened(trouble.read)}” is a ${trouble.found}; a ${trouble.expected} is wanted here.${hint(trouble)}`;
    case 'parts-do-not-fit':
      return `“${shortened(trouble.read)}”: ${trouble.smaller} cannot follow ${trouble.larger}. Write the whole pounds or feet first, then less than one more.`;
    case 'negative':
      return `“${shortened(trouble.read)}” is below zero; an amount here cannot be.`;
  }
}

function shortened(read: string): string {
  return read.length > 40 ? `${read.slice(0, 39)}…` : read;
}

function atHand(names: readonly string[], system: MeasureSystem | undefined): string {
  const usual = system ? Object.values(AT_HAND[system]).flat() : names;
  return usual
    .filter(name => names.includes(name))
    .slice(0, 12)
    .join(', ');
}

function alternatives(meanings: readonly string[]): string {
  return `${meanings.slice(0, -1).join(', ')} or ${meanings.at(-1)}`;
}

function hint(trouble: Extract<QuantityTrouble, { kind: 'wrong-dimension' }>): string {
  return trouble.found === 'mass' && trouble.expected === 'volume' && /oz|ounce/i.test(trouble.read)
    ? ' For a fluid ounce write fl oz.'
    : '';
}
