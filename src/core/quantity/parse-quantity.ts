import { failure, type Result, success } from '@/core/result';
import {
  type Dimension,
  type MeasureSystem,
  UNITS_OF_MEASURE,
  type UnitOfMeasure,
} from './unit-of-measure';

/** An amount in the base unit of its dimension (g, ml, mm, m²), with the words it was written in. */
export interface Quantity {
  readonly dimension: Dimension;
  readonly base: number;
  readonly asWritten: string;
}

/** Why a written amount was not taken: what was read, and what would have been understood. */
export type QuantityTrouble =
  | { readonly kind: 'empty' }
  | { readonly kind: 'too-long'; readonly length: number; readonly longest: number }
  | { readonly kind: 'not-a-number'; readonly read: string }
  | {
      readonly kind: 'ambiguous-comma';
      readonly read: string;
      readonly asDecimal: string;
      readonly asThousands: string;
    }
  | { readonly kind: 'missing-unit'; readonly read: string; readonly expected: readonly string[] }
  | { readonly kind: 'unknown-unit'; readonly read: string; readonly expected: readonly string[] }
  | { readonly kind: 'ambiguous-unit'; readonly read: string; readonly meanings: readonly string[] }
  | {
      readonly kind: 'wrong-dimension';
      readonly read: string;
      readonly found: Dimension;
      readonly expected: Dimension;
    }
  | {
      readonly kind: 'parts-do-not-fit';
      readonly read: string;
      readonly larger: string;
      readonly smaller: string;
    }
  | { readonly kind: 'negative'; readonly read: string };

/** What the reader of an amount needs to know beforehand. */
export interface QuantityContext {
  /** The garden's setting; without it, names that differ across the water are asked back. */
  readonly system?: MeasureSystem;
  /** What is wanted here. */
  readonly dimension?: Dimension;
  /** Key of the unit that a bare number is in. Without it a bare number is asked back. */
  readonly bareUnit?: string;
}

const LONGEST = 60;

/**
 * Reads an amount as people write it: `5 lb 12.7 oz`, `1½ lb`, `1 1/2 tbsp`, `0,75 kg`, `12"`, `2 imp gal`.
 * Nothing is guessed: what could mean two things is asked back.
 *
 * @returns the amount in g, ml, mm or m², always ≥ 0
 */
export function parseQuantity(
  written: string,
  context: QuantityContext = {},
): Result<Quantity, QuantityTrouble> {
  const asWritten = written.trim();
  if (asWritten === '') return failure({ kind: 'empty' });
  if (asWritten.length > LONGEST)
    return failure({ kind: 'too-long', length: asWritten.length, longest: LONGEST });
  if (/^[-−–]\s*[\d.,½¼¾⅓⅔⅛⅜⅝⅞]/.test(asWritten))
    return failure({ kind: 'negative', read: asWritten });

  const parts = readParts(asWritten, context);
  if (!parts.ok) return parts;
  const misfit = misfitOf(parts.value);
  if (misfit) return failure(misfit);

  const dimension = firstOf(parts.value).unit.dimension;
  if (context.dimension && dimension !== context.dimension) {
    return failure({
      kind: 'wrong-dimension',
      read: asWritten,
      found: dimension,
      expected: context.dimension,
    });
  }
  const base = parts.value.reduce((sum, part) => sum + part.count * part.unit.perBase, 0);
  return success({ dimension, base, asWritten });
}

interface Part {
  readonly count: number;
  readonly unit: UnitOfMeasure;
  readonly read: string;
}

function firstOf(parts: readonly Part[]): Part {
  const first = parts[0];
  if (!first) throw new RangeError('a written amount must have at least one part');
  return first;
}

const FRACTIONS: Readonly<Record<string, number>> = {
  '½': 1 / 2,
  '¼': 1 / 4,
  '¾': 3 / 4,
  '⅓': 1 / 3,
  '⅔': 2 / 3,
  '⅛': 1 / 8,
  '⅜': 3 / 8,
  '⅝': 5 / 8,
  '⅞': 7 / 8,
};
const FRACTION_SIGNS = Object.keys(FRACTIONS).join('');

// Whole and fraction ("1 1/2", "1½"), fraction alone, or a decimal with a point or a comma.
const NUMBER = new RegExp(
  `^(?:(?<whole>\\d+)\\s+(?<num>\\d+)\\s*[/⁄]\\s*(?<den>\\d+)|(?<onlyNum>\\d+)\\s*[/⁄]\\s*(?<onlyDen>\\d+)` +
    `|(?<signWhole>\\d*)\\s*(?<sign>[${FRACTION_SIGNS}])|(?<decimal>\\d+(?:[.,]\\d+)?|[.,]\\d+))`,
);
// A unit runs until the next digit; its first letter may be one of the marks for feet, inches and pounds.
const UNIT = new RegExp(`^\\s*(?<unit>(?:ft|m|yd|in)[23](?!\\d)|[^\\d${FRACTION_SIGNS}.,]*)`);

function readParts(
  written: string,
  context: QuantityContext,
): Result<readonly Part[], QuantityTrouble> {
  const parts: Part[] = [];
  let rest = written;
  while (rest !== '') {
    const number = readNumber(rest);
    if (!number.ok) return number;
    rest = rest.slice(number.value.length);

    const word = readUnitWord(rest);
    rest = rest.slice(word.length).replace(/^[\s,]+/, '');
    const isBare = word.unit === '' && parts.length === 0 && rest === '';
    const unit =
      isBare && context.bareUnit
        ? success(unitByKey(context.bareUnit))
        : findUnit(word.unit, `${number.value.read} ${word.unit}`.trim(), context);
    if (!unit.ok) return unit;
    parts.push({
      count: number.value.count,
      unit: unit.value,
      read: `${number.value.read} ${word.unit}`.trim(),
    });
  }
  return success(parts);
}

function readNumber(
  rest: string,
): Result<
  { readonly count: number; readonly length: number; readonly read: string },
  QuantityTrouble
> {
  const match = NUMBER.exec(rest);
  const groups = match?.groups;
  if (!match || !groups) return failure({ kind: 'not-a-number', read: rest });
  const read = match[0];
  const after = rest.slice(read.length);
  // "1.2.3", "2,50,0", "20-25", "3/0": one number is wanted, and nothing is repaired in silence.
  if (/^\s*[.,/⁄\-–−]\s*[\w]/.test(after) || /^[\d]/.test(after))
    return failure({ kind: 'not-a-number', read: rest });
  if (/^\d{1,3},\d{3}$/.test(read) && !read.startsWith('0')) {
    return failure({
      kind: 'ambiguous-comma',
      read,
      asDecimal: read.replace(',', '.'),
      asThousands: read.replace(',', ''),
    });
  }
  const count = countOf(groups);
  return Number.isFinite(count)
    ? success({ count, length: read.length, read })
    : failure({ kind: 'not-a-number', read: rest });
}

function countOf(groups: Readonly<Record<string, string | undefined>>): number {
  if (groups.den !== undefined)
    return Number(groups.whole) + Number(groups.num) / Number(groups.den);
  if (groups.onlyDen !== undefined) return Number(groups.onlyNum) / Number(groups.onlyDen);
  if (groups.sign !== undefined)
    return Number(groups.signWhole) + (FRACTIONS[groups.sign] ?? Number.NaN);
  return Number(groups.decimal?.replace(',', '.'));
}

function readUnitWord(rest: string): { readonly unit: string; readonly length: number } {
  const match = UNIT.exec(rest);
  const unit = match?.groups?.unit ?? '';
  // "fl. oz." and "lb." are written with dots: those belong to the unit, not to a number.
  const dotted = /^\s*[a-z]+\.(?:\s*[a-z]+\.?)?(?=\s|$|,|\d)/i.exec(rest);
  if (dotted && dotted[0].length > unit.length)
    return { unit: dotted[0].trim(), length: dotted[0].length };
  return { unit: unit.trim(), length: match?.[0].length ?? 0 };
}

const SYSTEM_WORDS: Readonly<Record<string, MeasureSystem>> = {
  us: 'us',
  'u s': 'us',
  american: 'us',
  uk: 'uk',
  imp: 'uk',
  imperial: 'uk',
  british: 'uk',
};

function findUnit(
  word: string,
  read: string,
  context: QuantityContext,
): Result<UnitOfMeasure, QuantityTrouble> {
  const spoken = word.toLowerCase().replace(/\./g, ' ').replace(/\s+/g, ' ').trim();
  const { name, system } = takeSystem(spoken);
  if (name === '')
    return failure({ kind: 'missing-unit', read, expected: expectedNames(context.dimension) });
  if (name === 't')
    return failure({ kind: 'ambiguous-unit', read, meanings: ['tsp', 'tbsp', '1000 kg'] });

  const named = UNITS_OF_MEASURE.filter(unit => unit.names.includes(name));
  const wanted = system ?? context.system;
  const fitting = named.filter(unit => !unit.system || unit.system === wanted);
  const found = fitting[0];
  if (found) return success(found);
  if (named.length === 0)
    return failure({ kind: 'unknown-unit', read, expected: expectedNames(context.dimension) });
  return failure({ kind: 'ambiguous-unit', read, meanings: named.map(meaningOf) });
}

function takeSystem(spoken: string): {
  readonly name: string;
  readonly system: MeasureSystem | undefined;
} {
  for (const [word, system] of Object.entries(SYSTEM_WORDS)) {
    if (spoken.startsWith(`${word} `)) return { name: spoken.slice(word.length + 1), system };
    if (spoken.endsWith(` ${word}`)) return { name: spoken.slice(0, -word.length - 1), system };
  }
  return { name: spoken, system: undefined };
}

function meaningOf(unit: UnitOfMeasure): string {
  const owner = unit.system === 'us' ? 'US' : 'UK';
  return `${owner} ${unit.names[0]} (${Number(unit.perBase.toPrecision(5))} ml)`;
}

function expectedNames(dimension: Dimension | undefined): readonly string[] {
  return UNITS_OF_MEASURE.filter(unit => !dimension || unit.dimension === dimension)
    .map(unit => unit.names[0] ?? unit.key)
    .filter((name, index, all) => all.indexOf(name) === index);
}

function unitByKey(key: string): UnitOfMeasure {
  const unit = UNITS_OF_MEASURE.find(candidate => candidate.key === key);
  if (!unit) throw new RangeError(`bareUnit must be a known unit, got ${key}`);
  return unit;
}

/** "5 lb 12 oz" falls from larger to smaller, one dimension, and no smaller part fills a larger one. */
function misfitOf(parts: readonly Part[]): QuantityTrouble | undefined {
  for (let i = 1; i < parts.length; i++) {
    const larger = parts[i - 1]!;
    const smaller = parts[i]!;
    const fits =
      smaller.unit.dimension === larger.unit.dimension &&
      smaller.unit.perBase < larger.unit.perBase &&
      Number.isInteger(larger.count) &&
      smaller.count * smaller.unit.perBase < larger.unit.perBase;
    if (!fits)
      return {
        kind: 'parts-do-not-fit',
        read: `${larger.read} ${smaller.read}`,
        larger: larger.read,
        smaller: smaller.read,
      };
  }
  return undefined;
}
