import { type RatioMeaning, ratioMeanings } from '@/core/materials/mix/ratio-words';
import { parseQuantity, type Quantity, type QuantityTrouble } from '@/core/quantity/parse-quantity';
import { quantitySentence } from '@/core/quantity/quantity-sentence';
import type { MeasureSystem } from '@/core/quantity/unit-of-measure';
import { failure, type Result, success } from '@/core/result';
import type { LabelRate, RatePer } from '@/core/trial/model/label-rate';
import type { LooseMeasure } from '@/core/trial/model/product';

/** Why a written rate was not taken. */
export type RateTrouble =
  | { readonly kind: 'empty' }
  | { readonly kind: 'no-per'; readonly read: string }
  | { readonly kind: 'amount'; readonly read: string; readonly trouble: QuantityTrouble }
  | { readonly kind: 'per'; readonly read: string }
  | { readonly kind: 'uncalibrated'; readonly read: string; readonly measure: string }
  | {
      readonly kind: 'ambiguous-ratio';
      readonly read: string;
      readonly meanings: readonly RatioMeaning[];
    }
  | { readonly kind: 'falling-range'; readonly read: string }
  | { readonly kind: 'zero'; readonly read: string };

const LONGEST = 120;
const SEPARATOR =
  /\s*(?:\/|\bper\b|\bto\b|\binto\b|\bin\b|\bfor\b|\bto each\b|\beach\b|\bevery\b|\ba\b)\s*/gi;

/**
 * Reads a rate as labels and neighbours write it: `20 ml to 4.5 litres`, `1/4 tsp per gallon`, `1 part to 16`,
 * `70 g per square metre`, `a cap (15 ml) in 4.5 l`, `5-10 ml per litre of mix`, `2 lb per 1000 sq ft`.
 * A ratio that could mean two things is asked back with what it could mean.
 *
 * @param loose caps and handfuls of this product that were weighed: `a handful per plant`
 */
export function parseLabelRate(
  written: string,
  system?: MeasureSystem,
  loose: readonly Pick<LooseMeasure, 'name' | 'of' | 'mean'>[] = [],
): Result<LabelRate, RateTrouble> {
  const asWritten = written.trim().replace(/\s+/g, ' ').slice(0, LONGEST);
  if (asWritten === '') return failure({ kind: 'empty' });
  const ratio = ratioMeanings(asWritten);
  if (ratio.length > 1)
    return failure({ kind: 'ambiguous-ratio', read: asWritten, meanings: ratio });
  if (ratio[0]?.kind === 'parts') {
    const { product, water } = ratio[0];
    return success({
      of: 'volume',
      low: product,
      high: product,
      per: { kind: 'water', ml: water },
      asWritten,
    });
  }
  return readAround(asWritten, system, loose);
}

/** The rate is cut at each word that could part amount and “per”; the last one that reads wins: “5 to 10 ml to the litre”. */
type Loose = Parameters<typeof parseLabelRate>[2];

function readAround(
  asWritten: string,
  system: MeasureSystem | undefined,
  loose: Loose,
): Result<LabelRate, RateTrouble> {
  let worst: RateTrouble = { kind: 'no-per', read: asWritten };
  for (const cut of [...asWritten.matchAll(SEPARATOR)].reverse()) {
    const [left, right] = [
      asWritten.slice(0, cut.index).trim(),
      asWritten.slice(cut.index + cut[0].length).trim(),
    ];
    if (left === '' || right === '') continue;
    const per = readPer(right, system);
    if (!per) {
      worst = worst.kind === 'no-per' ? { kind: 'per', read: right } : worst;
      continue;
    }
    const amount = readLoose(left, loose) ?? readAmount(left, system);
    if (amount.ok) return success({ ...amount.value, per, asWritten });
    worst = amount.trouble;
  }
  return failure(worst);
}

type Amount = Pick<LabelRate, 'of' | 'low' | 'high'>;

const LOOSE_MEASURES =
  /\b(cap(?:ful)?|handful|pinch|squirt|glug|scoop|splash|dash|cupped hand|trowel(?:ful)?|spade(?:ful)?|shovel(?:ful)?)s?\b/i;

/** `2 handfuls`, `half a cap`: by what was weighed of it; undefined where it is none of those. */
function readLoose(written: string, loose: Loose = []): Result<Amount, RateTrouble> | undefined {
  const found = /^([\d.,/½¼¾⅓⅔⅛]+(?:\s*(?:-|–|to)\s*[\d.,/½¼¾⅓⅔⅛]+)?)?\s*(.+?)$/.exec(
    spelled(written),
  );
  const name = singular(found?.[2] ?? '');
  const measure = loose.find(each => singular(each.name) === name);
  if (!found || !measure) return undefined;
  const [low = Number.NaN, high = low] = (found[1] ?? '1').split(/-|–|to/).map(countOf);
  if (!(low > 0)) return failure({ kind: 'zero', read: written });
  return low > high
    ? failure({ kind: 'falling-range', read: written })
    : success({ of: measure.of, low: low * measure.mean, high: high * measure.mean });
}

function singular(name: string): string {
  return name.trim().toLowerCase().replace(/s$/, '');
}

/** A count of tablespoons is read like any number: `2`, `1/2`, `1,5`. */
function countOf(written: string): number {
  const read = parseQuantity(`${written.trim()} ml`);
  return read.ok ? read.value.base : Number.NaN;
}

/** `20 ml`, `5 to 10 ml`, `a cap (15 ml)`, `half a teaspoon`. */
function readAmount(
  written: string,
  system: MeasureSystem | undefined,
): Result<Amount, RateTrouble> {
  const bracket = /\(([^)]+)\)/.exec(written)?.[1];
  const loose = LOOSE_MEASURES.exec(written);
  if (loose && bracket === undefined)
    return failure({ kind: 'uncalibrated', read: written, measure: loose[1] ?? loose[0] });
  const plain = spelled(bracket ?? written);
  const ends = /^(?:between )?(.+?)\s*(?:-|–|—|\bto\b|\bor\b|\band\b)\s*(.+)$/i.exec(plain);
  if (ends) {
    const high = parseQuantity(ends[2] ?? '', context(system));
    const bare = high.ok ? unitWords(ends[2] ?? '') : '';
    const low = parseQuantity(
      /[a-z]/i.test(ends[1] ?? '') ? (ends[1] ?? '') : `${ends[1]} ${bare}`,
      context(system),
    );
    if (low.ok && high.ok) return range(low.value, high.value, written);
  }
  const one = parseQuantity(plain, context(system));
  return one.ok
    ? range(one.value, one.value, written)
    : failure({ kind: 'amount', read: written, trouble: one.trouble });
}

function range(low: Quantity, high: Quantity, read: string): Result<Amount, RateTrouble> {
  const of = low.dimension;
  if ((of !== 'mass' && of !== 'volume') || high.dimension !== of)
    return failure({
      kind: 'amount',
      read,
      trouble: { kind: 'wrong-dimension', read, found: of, expected: 'mass' },
    });
  if (low.base === 0) return failure({ kind: 'zero', read });
  return low.base > high.base
    ? failure({ kind: 'falling-range', read })
    : success({ of, low: low.base, high: high.base });
}

function context(system: MeasureSystem | undefined): { readonly system?: MeasureSystem } {
  return system ? { system } : {};
}

/** What follows the number: `ml` of `10 ml`. */
function unitWords(written: string): string {
  return written.replace(/^[\d\s.,/½¼¾⅓⅔⅛⅜⅝⅞]+/, '').trim();
}

/** Words for numbers, as people write them before a unit. */
function spelled(written: string): string {
  return written
    .trim()
    .replace(/^(?:a |one )?half (?:of )?(?:an? )?/i, '1/2 ')
    .replace(/^(?:a |one )?quarter (?:of )?(?:an? )?/i, '1/4 ')
    .replace(/^(?:an?|one) /i, '1 ')
    .replace(/^two /i, '2 ')
    .replace(/^three /i, '3 ')
    .replace(/\b(?:level|heaped|rounded|full) /i, '')
    .replace(/ of (?:product|feed|powder|granules|concentrate)$/i, '');
}

const ROW = /\b(?:of )?(?:row|drill|trench|hedge)\b/i;
const MIX = /\b(?:of )?(?:(?:potting |growing )?mix|compost|medium|media|soil|substrate)\b/i;
const WATER = /\b(?:of )?water\b/i;

/** `4.5 litres`, `gallon`, `square metre`, `1000 sq ft`, `plant`, `30 cm pot`, `10 ft row`, `litre of compost`, `a can (9 l)`. */
function readPer(written: string, system: MeasureSystem | undefined): RatePer | undefined {
  const bare = written
    .replace(/^(?:each|every|an?|the|one)\s+/i, '')
    .replace(/[.]$/, '')
    .trim();
  if (/^(?:plant|seedling|hole|planting hole|tuber|set|tree|bush)s?$/i.test(bare))
    return { kind: 'plant' };
  if (/^(?:pot|container|tub|bag|sack|basket|trough|bucket|tower)s?$/i.test(bare))
    return { kind: 'container' };
  const bracket = /\(([^)]+)\)/.exec(bare)?.[1];
  const isRow = ROW.test(bare);
  const isMix = MIX.test(bare);
  const size = (bracket ?? bare)
    .replace(isRow ? ROW : isMix ? MIX : WATER, '')
    .replace(/\s+of\s*$/i, '')
    .trim();
  const quantity = parseQuantity(
    /^[\d½¼¾⅓⅔⅛⅜⅝⅞.,]/.test(size) ? size : `1 ${size}`,
    context(system),
  );
  if (!quantity.ok || quantity.value.base <= 0) return undefined;
  const { dimension, base } = quantity.value;
  if (dimension === 'area') return { kind: 'area', m2: base };
  if (dimension === 'length') return isRow ? { kind: 'row', mm: base } : undefined;
  return dimension === 'volume'
    ? isMix
      ? { kind: 'mix', ml: base }
      : { kind: 'water', ml: base }
    : undefined;
}

/** A rate that was not taken: what was read, and what would be. */
export function rateSentence(trouble: RateTrouble): string {
  switch (trouble.kind) {
    case 'empty':
      return 'Write the rate as on the label: 20 ml in 4.5 l, 70 g per square metre.';
    case 'no-per':
      return `“${trouble.read}” says how much, but not for what: in how much water, per plant, per square metre?`;
    case 'amount':
      return quantitySentence(trouble.trouble);
    case 'per':
      return `“${trouble.read}” is not something a rate is for. Write a volume of water, plant, pot, an area, litres of mix, or a length of row.${/\b(?:gal|gallon|pint|pt|cup|quart)/i.test(trouble.read) ? ' US and UK gallons and pints differ: say which.' : ''}`;
    case 'uncalibrated':
      return `How much is a ${trouble.measure.toLowerCase()}? Weigh or measure five of it below, once it is on the shelf, or write it in brackets: a ${trouble.measure.toLowerCase()} (15 ml) in 4.5 l.`;
    case 'ambiguous-ratio':
      return `“${trouble.read}” can mean ${trouble.meanings.map(meaning => meaning.words).join(', or ')}. Say which.`;
    case 'falling-range':
      return `“${trouble.read}” goes from more to less. Write the smaller number first.`;
    case 'zero':
      return 'A rate of nothing is no rate.';
  }
}
