import type { Measured } from '@/core/materials/label/analysis';
import { parseQuantity } from '@/core/quantity/parse-quantity';
import { quantitySentence } from '@/core/quantity/quantity-sentence';
import type { Dimension, MeasureSystem } from '@/core/quantity/unit-of-measure';
import { refuse } from './refuse';

/** Reads an amount of an option in g, ml, mm or m², or refuses it by the option's name. */
export function amount(
  written: string | undefined,
  name: string,
  dimension: Dimension,
  system?: MeasureSystem,
): number {
  const read = parseQuantity(written ?? '', { dimension, ...(system ? { system } : {}) });
  return read.ok
    ? read.value.base
    : refuse(`${name}: ${quantitySentence(read.trouble, { system, wanted: dimension })}`);
}

/**
 * Reads a mass or a volume of product. A spoon without a system is taken as the US one, and that is said: the two differ by
 * 1.4%. Gallons, pints and fluid ounces differ by a fifth and are refused.
 */
export function measured(
  written: string | undefined,
  name: string,
  system?: MeasureSystem,
): Measured {
  const read = parseQuantity(written ?? '', system ? { system } : {});
  if (
    !read.ok &&
    read.trouble.kind === 'ambiguous-unit' &&
    /\b(?:tsp|tbsp|tbs|tea ?spoon|table ?spoon)s?\b/i.test(written ?? '')
  ) {
    process.stderr.write(
      `${name}: spoons read as US ones (a tablespoon is 14.787 ml); --system uk takes 15 ml.\n`,
    );
    return measured(written, name, 'us');
  }
  if (!read.ok) refuse(`${name}: ${quantitySentence(read.trouble, { system })}`);
  const { dimension, base } = read.value;
  if (dimension === 'mass') return { kind: 'mass', g: base };
  return dimension === 'volume'
    ? { kind: 'volume', ml: base }
    : refuse(`${name}: “${written}” is a ${dimension}; a mass or a volume is wanted.`);
}

/** Reads `--system`. */
export function systemOf(written: string | undefined): MeasureSystem | undefined {
  if (written === undefined || written === 'us' || written === 'uk') return written;
  return refuse(`--system must be us or uk, got ${written}.`);
}
