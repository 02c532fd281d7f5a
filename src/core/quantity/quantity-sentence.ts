import type { QuantityTrouble } from './parse-quantity';
import type { Dimension } from './unit-of-measure';

const EXAMPLES: Readonly<Record<Dimension, string>> = {
  mass: '1.25 kg or 2 lb 12 oz',
  volume: '250 ml or 0.5 l',
  length: '30 cm or 1 ft 2 in',
  area: '1.5 m2 or 16 sq ft',
};

/**
 * What an amount that was not taken looked like, and what would be: one plain sentence or two.
 *
 * @param wanted of what the example is: it must be one that the field takes
 */
export function quantitySentence(trouble: QuantityTrouble, wanted: Dimension = 'mass'): string {
  switch (trouble.kind) {
    case 'empty':
      return `Nothing was written. Write a number with its unit, for example ${EXAMPLES[wanted]}.`;
    case 'too-long':
      return `That is ${trouble.length} characters long; an amount has at most ${trouble.longest}.`;
    case 'not-a-number':
      return `“${shortened(trouble.read)}” does not begin with a number. Write for example ${EXAMPLES[wanted]}.`;
    case 'ambiguous-comma':
      return `“${trouble.read}” could be ${trouble.asDecimal} or ${trouble.asThousands}. Write it without the comma.`;
    case 'missing-unit':
      return `“${shortened(trouble.read)}” has no unit. Add one of ${listed(trouble.expected)}.`;
    case 'unknown-unit':
      return `“${shortened(trouble.read)}”: that unit is not known here. Use one of ${listed(trouble.expected)}.`;
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

function listed(names: readonly string[]): string {
  return names.slice(0, 12).join(', ');
}

function alternatives(meanings: readonly string[]): string {
  return `${meanings.slice(0, -1).join(', ')} or ${meanings.at(-1)}`;
}

function hint(trouble: Extract<QuantityTrouble, { kind: 'wrong-dimension' }>): string {
  return trouble.found === 'mass' && trouble.expected === 'volume' && /oz|ounce/i.test(trouble.read)
    ? ' For a fluid ounce write fl oz.'
    : '';
}
