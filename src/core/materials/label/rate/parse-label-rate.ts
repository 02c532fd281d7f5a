import type { Nutritive } from '@/core/materials/label/analysis';
import { type RatioMeaning, ratioMeanings } from '@/core/materials/mix/ratio-words';
import { parseQuantity } from '@/core/quantity/parse-quantity';
import type { MeasureSystem } from '@/core/quantity/unit-of-measure';
import { failure, type Result, success } from '@/core/result';
import type { LabelRate } from '@/core/trial/model/label-rate';
import { type Loose, type RateAmount, readRateAmount } from './rate-amount';
import { takeFrequency } from './rate-frequency';
import { oxideOrElement, productAmount, takeNutrient } from './rate-nutrient';
import { type ReadPer, readPer } from './rate-per';
import type { RateTrouble } from './rate-trouble';

/** What a rate is read against. */
export interface RateContext {
  /** Without it, gallons, pints and spoons are asked back. */
  readonly system?: MeasureSystem | undefined;
  /** Caps and handfuls of this product that were weighed: `a handful per plant`. */
  readonly loose?: Loose | undefined;
  /** Its numbers, for rates that count a nutrient: `1 lb N per 1000 sq ft`. */
  readonly product?: Nutritive | undefined;
  /** Of a liquid a bare ounce is asked back: by weight, or fluid. */
  readonly isLiquid?: boolean | undefined;
}

const LONGEST = 120;
const SEPARATOR =
  /\s*(?:\/|\b(?:is |to be )?(?:added to|(?:made up|dissolved|diluted|mixed|stirred) (?:to|in|into|with)|to each|per|to|into|in|for|each|every|over|on|a)\b)\s*/gi;
const ADDED = /added to|\binto\b/i;

/**
 * Reads a rate as labels and neighbours write it: `20 ml to 4.5 litres`, `1/4 tsp per gallon`, `1 part to 16`,
 * `70 g per square metre`, `a cap (15 ml) in 4.5 l`, `5-10 ml per litre of mix`, `2 lb per 1000 sq ft`, `3 tbsp per 12 in pot`,
 * `4.5 handfuls (30 g) per 20 plants`, `20 ml in 4 l for 3 plants`, `1 lb N per 1000 sq ft`, `1 tbsp per gallon, weekly`,
 * `2 in of compost`. What could mean two things is asked back with both, filled in.
 */
export function parseLabelRate(
  written: string,
  context: RateContext = {},
): Result<LabelRate, RateTrouble> {
  const asWritten = written.trim().replace(/\s+/g, ' ').slice(0, LONGEST);
  if (asWritten === '') return failure({ kind: 'empty' });
  const said = takeFrequency(asWritten);
  if (!said.ok) return said;
  const { rest, everyDays } = said.value;
  const rate = readRest(rest, context);
  if (!rate.ok) return failure(wholeAgain(rate.trouble, asWritten.slice(rest.length)));
  return success({ ...rate.value, asWritten, ...(everyDays === null ? {} : { everyDays }) });
}

type Rest = Omit<LabelRate, 'asWritten' | 'everyDays'>;

/** The choices get their “, weekly” back. */
function wholeAgain(trouble: RateTrouble, tail: string): RateTrouble {
  return 'choices' in trouble
    ? { ...trouble, choices: trouble.choices.map(choice => `${choice}${tail}`) }
    : trouble;
}

function readRest(rest: string, context: RateContext): Result<Rest, RateTrouble> {
  const ratio = ratioMeanings(rest.replace(/^(?:dilute|diluted|mix|mixed)\s+/i, ''));
  if (ratio.length > 1)
    return failure({
      kind: 'ambiguous-ratio',
      read: rest,
      meanings: ratio,
      choices: ratio.flatMap(ratioChoice),
    });
  if (ratio[0]?.kind === 'parts') return success(partsRate(ratio[0].product, ratio[0].water));
  const percent =
    /^(\d+(?:[.,]\d+)?)\s*%(?: (?:solution|dilution|strength|v\/v|by volume))?$/i.exec(rest);
  if (percent?.[1]) return percentRate(Number(percent[1].replace(',', '.')), rest);
  return readDepth(rest, context) ?? readAround(rest, context);
}

function ratioChoice(meaning: RatioMeaning): readonly string[] {
  return meaning.kind === 'parts'
    ? [
        `${meaning.product} part${meaning.product === 1 ? '' : 's'} added to ${meaning.water} parts of water`,
      ]
    : [];
}

/** One part added to sixteen of water makes seventeen. */
function partsRate(product: number, water: number): Rest {
  return {
    of: 'volume',
    low: product,
    high: product,
    per: { kind: 'water', ml: product + water },
  };
}

function percentRate(percent: number, read: string): Result<Rest, RateTrouble> {
  if (percent === 0 || percent > 100) return failure({ kind: 'zero', read });
  return success({ of: 'volume', low: percent, high: percent, per: { kind: 'water', ml: 100 } });
}

/** `2 in of compost`, `a 5 cm layer`, `1 inch deep`: litres a square metre. Undefined where no depth is spoken of. */
function readDepth(rest: string, { system }: RateContext): Result<Rest, RateTrouble> | undefined {
  const found =
    /^(?:an?\s+|about\s+|spread\s+|apply\s+)?([\d½¼¾./ ]+\s*(?:-\s*)?(?:mm|cm|in|inch|inches|"))[\s-]+(?:(?:deep|thick|depth|layer|mulch)\b.*|of (?:[a-z-]+ ){0,2}(?:compost|mulch|manure|bark|straw|leaf[- ]?mould|leaf[- ]?mold|chips|grit|soil|mix|clippings))$/i.exec(
      rest,
    );
  if (!found?.[1]) return undefined;
  const depth = parseQuantity(found[1].replace('-', ' '), {
    dimension: 'length',
    ...(system ? { system } : {}),
  });
  if (!depth.ok || depth.value.base <= 0) return undefined;
  const ml = depth.value.base * 1000; // a millimetre on a square metre is a litre
  return success({ of: 'volume', low: ml, high: ml, per: { kind: 'area', m2: 1 } });
}

/** The rate is cut at each word that could part amount and “per”; the last one that reads wins: “5 to 10 ml to the litre”. */
function readAround(rest: string, context: RateContext): Result<Rest, RateTrouble> {
  let worst: RateTrouble | undefined;
  for (const cut of [...rest.matchAll(SEPARATOR)].reverse()) {
    const left = rest.slice(0, cut.index).trim();
    const right = rest.slice(cut.index + cut[0].length).trim();
    if (left === '' || right === '') continue;
    const per = readPer(right, context.system);
    const amount = readAmountOf(left, rest, context);
    if (per.ok && amount.ok) return success(rateOf(amount.value, per.value, ADDED.test(cut[0])));
    worst = worseOf(worst, troubleAt(rest, left, right, amount, per));
  }
  return failure(worst ?? unparted(rest, context));
}

type Amount = ReturnType<typeof readAmountOf>;

function readAmountOf(
  left: string,
  rest: string,
  { system, loose = [], product, isLiquid = false }: RateContext,
): Result<RateAmount, RateTrouble> {
  const unclear = oxideOrElement(rest, left);
  if (unclear && readRateAmount(left.replace(/\s*\S+$/, ''), system, loose).ok)
    return failure(unclear);
  const nutrient = takeNutrient(left);
  const amount = readRateAmount(nutrient?.amount ?? left, system, loose);
  if (!amount.ok) return failure(withTheRest(amount.trouble, left, rest));
  if (nutrient) return productAmount(amount.value, nutrient.named, product, rest);
  if (isLiquid && amount.value.of === 'mass' && /\b(?:oz|ounces?)\b/i.test(left))
    return failure({
      kind: 'which-ounces',
      read: left,
      choices: [
        rest.replace(/\b(?:oz|ounces?)\b/i, 'fl oz'),
        rest.replace(left, `${Number(amount.value.high.toPrecision(3))} g`),
      ],
    });
  return amount;
}

/** Choices for the amount alone become whole rates. */
function withTheRest(trouble: RateTrouble, left: string, rest: string): RateTrouble {
  return 'choices' in trouble
    ? { ...trouble, choices: trouble.choices.map(choice => rest.replace(left, choice)) }
    : trouble;
}

function troubleAt(
  rest: string,
  left: string,
  right: string,
  amount: Amount,
  per: ReturnType<typeof readPer>,
): RateTrouble {
  const isWhose =
    (!amount.ok &&
      amount.trouble.kind === 'amount' &&
      amount.trouble.trouble.kind === 'ambiguous-unit') ||
    (!per.ok && per.trouble.kind === 'ambiguous-unit');
  if (isWhose && (per.ok || per.trouble.kind === 'ambiguous-unit'))
    return { kind: 'whose-measures', read: rest, choices: bothSides(rest) };
  if (!per.ok && amount.ok)
    return {
      kind: 'per',
      read: right.replace(/^(?:each|every|an?|the)\s+/i, ''),
      choices: [`${left} per plant`, `${left} per pot`],
    };
  return amount.ok ? { kind: 'per', read: right, choices: [] } : amount.trouble;
}

/** What tells more: whatever has a choice to offer, then what was wrong with the amount. */
function worseOf(known: RateTrouble | undefined, found: RateTrouble): RateTrouble {
  if (known === undefined || known.kind === 'amount') return found;
  return known;
}

const EITHER_SIDE =
  /(?<!\b(?:us|uk|imperial|imp|british|american) )\b(tsps?|teaspoons?|tbsps?|tbs|tablespoons?|cups?|pints?|pts?|quarts?|qts?|fl oz|fluid ounces?|gallons?|gals?)\b/gi;

function bothSides(rest: string): readonly string[] {
  return ['US', 'UK'].map(side => rest.replace(EITHER_SIDE, `${side} $1`));
}

/** Nothing parts amount and “per”. */
function unparted(rest: string, context: RateContext): RateTrouble {
  const amount = readAmountOf(rest, rest, context);
  if (!amount.ok) {
    const { trouble } = amount;
    return trouble.kind === 'amount' && trouble.trouble.kind !== 'ambiguous-unit'
      ? { kind: 'no-per', read: rest, choices: wholeExamples(context) }
      : trouble.kind === 'amount'
        ? { kind: 'whose-measures', read: rest, choices: bothSides(`${rest} per plant`) }
        : trouble;
  }
  return {
    kind: 'no-per',
    read: rest,
    choices: [`${rest} per plant`, `${rest} in ${context.system === 'us' ? '1 gal' : '4.5 l'}`],
  };
}

function wholeExamples({ system }: RateContext): readonly string[] {
  return system === 'us'
    ? ['1 tbsp in 1 gal', '3 lb per 100 sq ft']
    : ['20 ml in 4.5 l', '70 g per square metre'];
}

function rateOf({ of, low, high }: RateAmount, { per, count }: ReadPer, isAdded: boolean): Rest {
  if (!isAdded || of !== 'volume' || per.kind !== 'water')
    return { of, low: low / count, high: high / count, per };
  // Added to the water it makes the whole more; each end of a range in its own share.
  const ml = per.ml + high;
  return { of, low: (low * ml) / (per.ml + low), high, per: { ...per, ml } };
}
