import { parseQuantity, type Quantity } from '@/core/quantity/parse-quantity';
import { type MeasureSystem, UNITS_OF_MEASURE } from '@/core/quantity/unit-of-measure';
import { failure, type Result, success } from '@/core/result';
import type { LabelRate } from '@/core/trial/model/label-rate';
import type { LooseMeasure } from '@/core/trial/model/product';
import { plainNumber, spelledOut } from './number-words';
import type { RateTrouble } from './rate-trouble';

/** How much a rate gives: g or ml, from so much to so much. */
export type RateAmount = Pick<LabelRate, 'of' | 'low' | 'high'>;

/** Caps and handfuls of a product that were weighed. */
export type Loose = readonly Pick<LooseMeasure, 'name' | 'of' | 'mean'>[];

const LOOSE_MEASURES =
  /\b(cap(?:ful)?|handful|pinch|squirt|glug|scoop|splash|dash|cupped hand|trowel(?:ful)?|spade(?:ful)?|shovel(?:ful)?|(?:heaped|heaping|rounded) (?:teaspoon|tablespoon|tsp|tbsp)(?:ful)?)s?\b/i;

const APPROXIMATELY = /^(?:about|approx(?:imately|\.)?|roughly|around|circa|ca\.?|~|some)\s*/i;
const ORDERED =
  /^(?:use|apply|mix|dilute|add|give|spread|sprinkle|put|scatter|dissolve|work in)\s+/i;

/** `20 ml`, `5 to 10 ml`, `a cap (15 ml)`, `half a teaspoon`, `2 handfuls` by what was weighed of one, `1 tbsp of salt`. */
export function readRateAmount(
  written: string,
  system: MeasureSystem | undefined,
  loose: Loose,
): Result<RateAmount, RateTrouble> {
  const plain = spelledOut(written.replace(ORDERED, '').replace(APPROXIMATELY, ''));
  return readLoose(plain, loose) ?? readBracket(plain, system) ?? readPlain(plain, written, system);
}

/** `2 handfuls`, `half a cap`: by what was weighed of it; undefined where it is none of those. */
function readLoose(plain: string, loose: Loose): Result<RateAmount, RateTrouble> | undefined {
  const found = /^([\d.,/½¼¾⅓⅔⅛]+(?:\s*(?:-|–|to)\s*[\d.,/½¼¾⅓⅔⅛]+)?)?\s*(.+?)$/.exec(plain);
  const name = singular(found?.[2] ?? '');
  const measure = loose.find(each => singular(each.name) === name);
  if (!found || !measure) return undefined;
  const [low = Number.NaN, high = low] = (found[1] ?? '1').split(/-|–|to/).map(plainNumber);
  if (!(low > 0)) return failure({ kind: 'zero', read: plain });
  return low > high
    ? falling(plain, `${high} to ${low} ${found[2]}`)
    : success({ of: measure.of, low: low * measure.mean, high: high * measure.mean });
}

/** A capful or handful that holds less than this, or a set of them that holds more, is not what the brackets mean. Common practice, no source. */
const PLAUSIBLE_EACH = { least: 2, most: 200 } as const;

/** `a cap (15 ml)`: the brackets say how much it is. `2 caps (15 ml)` can be each or all; `4.5 handfuls (30 g)` can only be each. */
function readBracket(
  plain: string,
  system: MeasureSystem | undefined,
): Result<RateAmount, RateTrouble> | undefined {
  const found = /^(.*?)\s*\(([^)]+)\)\s*$/.exec(plain);
  const loose = LOOSE_MEASURES.exec(plain);
  if (!found) {
    return loose
      ? failure({ kind: 'uncalibrated', read: plain, measure: loose[1] ?? loose[0] })
      : undefined;
  }
  const [, before = '', bracket = ''] = found;
  const said = /\b(each|apiece|in all|together|in total|altogether)$/i.exec(bracket.trim())?.[1];
  const inside = said ? bracket.slice(0, bracket.lastIndexOf(said)).trim() : bracket;
  const amount = readPlain(spelledOut(inside), inside, system);
  const count = loose ? plainNumber(/^[\d.,/½¼¾⅓⅔⅛ ]+/.exec(before)?.[0] ?? '1') : 1;
  if (!amount.ok || !(count > 1)) return amount;
  if (said) return success(/each|apiece/i.test(said) ? times(amount.value, count) : amount.value);
  const { least, most } = PLAUSIBLE_EACH;
  const perOne = amount.value.high / count;
  const canBeAll = perOne >= (loose?.[1]?.startsWith('handful') ? 10 : least);
  const canBeEach = amount.value.high <= most;
  if (canBeEach && !canBeAll) return success(times(amount.value, count));
  if (canBeAll && !canBeEach) return amount;
  return failure({
    kind: 'bracket',
    read: plain,
    choices: [`${before} (${inside} each)`, `${before} (${inside} in all)`],
  });
}

function times({ of, low, high }: RateAmount, count: number): RateAmount {
  return { of, low: low * count, high: high * count };
}

function singular(name: string): string {
  return name.trim().toLowerCase().replace(/s$/, '');
}

const RANGE = /^(?:between |from )?(.+?)\s*(?:-|–|—|\bto\b|\bor\b|\band\b)\s*(.+)$/i;

function readPlain(
  plain: string,
  written: string,
  system: MeasureSystem | undefined,
): Result<RateAmount, RateTrouble> {
  const context = system ? { system } : {};
  const named = withoutName(plain);
  const ends = RANGE.exec(named);
  if (ends) {
    const high = parseQuantity(ends[2] ?? '', context);
    const bare = high.ok ? unitWords(ends[2] ?? '') : '';
    const low = parseQuantity(
      /[a-z]/i.test(ends[1] ?? '') ? (ends[1] ?? '') : `${ends[1]} ${bare}`,
      context,
    );
    if (low.ok && high.ok) return range(low.value, high.value, written);
  }
  const one = parseQuantity(named, context);
  return one.ok
    ? range(one.value, one.value, written)
    : failure({ kind: 'amount', read: written, trouble: one.trouble });
}

const STUFF =
  /^(?:product|feed|powder|granules|concentrate|fertili[sz]er|meal|lime|salts?|sugar|soap|vinegar|peroxide|oil|bait|stock)$/i;

/** `1 tbsp of Epsom salt` is a tablespoon; so is `20 ml tomato feed`. What follows the measure names what is measured. */
function withoutName(plain: string): string {
  const words = plain
    .replace(/^(.*\d[^\d]*?)\s+of\s+(?:the\s+)?[a-z][a-z ’'-]*$/i, '$1')
    .split(' ');
  if (!STUFF.test(words.at(-1) ?? '')) return words.join(' ');
  const without = words.slice(0, -1);
  return (isMeasure(without.at(-1)) ? without : without.slice(0, -1)).join(' ');
}

function isMeasure(word: string | undefined): boolean {
  const name = (word ?? '').toLowerCase().replace(/^[\d.,/]+/, '');
  return UNITS_OF_MEASURE.some(unit =>
    unit.names.some(each => each === name || each.endsWith(` ${name}`)),
  );
}

function range(low: Quantity, high: Quantity, read: string): Result<RateAmount, RateTrouble> {
  const of = low.dimension;
  if ((of !== 'mass' && of !== 'volume') || high.dimension !== of)
    return failure({
      kind: 'amount',
      read,
      trouble: { kind: 'wrong-dimension', read, found: of, expected: 'mass' },
    });
  if (low.base === 0) return failure({ kind: 'zero', read });
  if (low.base <= high.base) return success({ of, low: low.base, high: high.base });
  const number = unitless(low.asWritten);
  return falling(
    read,
    `${high.asWritten.replace(/\s.*$/, '')} to ${number}${unitTail(high.asWritten)}`,
  );
}

function falling(read: string, turned: string): Result<never, RateTrouble> {
  return failure({ kind: 'falling-range', read, choices: [turned] });
}

function unitless(written: string): string {
  return /^[\d\s.,/½¼¾⅓⅔⅛⅜⅝⅞]+/.exec(written)?.[0].trim() ?? written;
}

function unitTail(written: string): string {
  const unit = unitWords(written);
  return unit === '' ? '' : ` ${unit}`;
}

/** What follows the number: `ml` of `10 ml`. */
function unitWords(written: string): string {
  return written.replace(/^[\d\s.,/½¼¾⅓⅔⅛⅜⅝⅞]+/, '').trim();
}
