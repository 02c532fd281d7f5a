import { circleM2 } from '@/core/materials/mix/container-volume';
import { parseQuantity, type QuantityTrouble } from '@/core/quantity/parse-quantity';
import { type MeasureSystem, UNITS_OF_MEASURE } from '@/core/quantity/unit-of-measure';
import { failure, type Result, success } from '@/core/result';
import type { RatePer } from '@/core/trial/model/label-rate';
import { plainNumber, spelledOut } from './number-words';

/** What a rate is for, and for how many of them its amount is: `20 plants`. */
export interface ReadPer {
  readonly per: RatePer;
  readonly count: number;
}

const PLANT =
  'plant|seedling|hole|tuber|set|tree|bush|shrub|vine|rose|clump|crown|bulb|cutting|transplant|sapling|stem';
const POT =
  'pot|container|tub|bag|sack|basket|trough|bucket|tower|planter|growbag|grow-bag|window ?box|unit|cell|module|bed|barrel';
const COUNT = String.raw`(?:(\d+|one|two|three|four|five|six|eight|ten|twelve|a dozen|twenty)\s+)?`;
const ROW = /\b(?:of )?(?:row|drill|trench|hedge)\b/i;
const RUNNING = /\b(?:running|linear|run)\b\s*/i;
const MIX =
  /\b(?:of )?(?:finished )?(?:(?:potting |growing )?mix|compost|medium|media|soil|substrate)\b/i;
const WATER =
  /\b(?:of )?(?:finished |made-up |spray )?(?:water|spray|solution|watering can|can|sprayer|tank|bucket of water)\b/i;
const GROUND = /\s+(?:of )?(?:the )?(?:bed|beds|lawn|turf|garden|ground|soil|border|plot|grass)$/i;

/** `4.5 litres`, `a square metre`, `1000 sq ft`, `20 plants`, `12 in pot`, `10 ft row`, `litre of compost`, `a can (9 l)`, `4 l for 3 plants`. */
export function readPer(
  written: string,
  system: MeasureSystem | undefined,
): Result<ReadPer, QuantityTrouble | { readonly kind: 'unknown' }> {
  const bare = spelledOut(written.replace(/^(?:each|every|the)\s+/i, ''))
    .replace(/[.]$/, '')
    .replace(/(\d),000\b/g, '$1000');
  return (
    readCounted(bare) ?? readPot(bare, system) ?? readShared(bare, system) ?? readSize(bare, system)
  );
}

/** So many plants or pots, of whatever size. */
function readCounted(bare: string): Result<ReadPer, never> | undefined {
  const plants = new RegExp(`^${COUNT}((?:[a-z]+[ -]){0,2})(?:${PLANT})(?:s|es)?$`, 'i').exec(bare);
  if (plants && !namesMeasure(plants[2] ?? ''))
    return success({ per: { kind: 'plant' }, count: countOf(plants[1]) });
  const pots = new RegExp(`^${COUNT}(?:(?:large|small|whole) )?(?:${POT})(?:s|es)?$`, 'i').exec(
    bare,
  );
  if (pots) return success({ per: { kind: 'container' }, count: countOf(pots[1]) });
  const rows = new RegExp(`^${COUNT}(?:row|drill|trench)(?:s|es)?$`, 'i').exec(bare);
  return rows ? success({ per: { kind: 'row', mm: null }, count: countOf(rows[1]) }) : undefined;
}

function namesMeasure(words: string): boolean {
  return words
    .toLowerCase()
    .split(/[ -]/)
    .some(word => word !== '' && UNITS_OF_MEASURE.some(unit => unit.names.includes(word)));
}

function countOf(word: string | undefined): number {
  return word === undefined ? 1 : plainNumber(word);
}

/** A pot by its size: across, or by what it holds. */
function readPot(
  bare: string,
  system: MeasureSystem | undefined,
): Result<ReadPer, QuantityTrouble> | undefined {
  const found = new RegExp(
    `^([\\d½¼¾].*?)[\\s-]*(?:diameter |dia\\.? |wide |across |round |deep )*(?:${POT})s?$`,
    'i',
  ).exec(bare);
  if (!found?.[1] || /\b(?:x|by)\b|×/i.test(found[1])) return undefined;
  const size = parseQuantity(found[1].replace(/(\d)-(?=[a-z])/i, '$1 '), {
    ...(system ? { system } : {}),
  });
  if (!size.ok) return size.trouble.kind === 'ambiguous-unit' ? size : undefined;
  const { dimension, base } = size.value;
  if (base <= 0) return undefined;
  if (dimension === 'length')
    return success({ per: { kind: 'container', m2: circleM2(base) }, count: 1 });
  if (dimension === 'area') return success({ per: { kind: 'area', m2: base }, count: 1 });
  return dimension === 'volume' ? success({ per: { kind: 'mix', ml: base }, count: 1 }) : undefined;
}

/** A can that is shared: `4 l for 3 plants`. */
function readShared(
  bare: string,
  system: MeasureSystem | undefined,
): Result<ReadPer, QuantityTrouble | { readonly kind: 'unknown' }> | undefined {
  const found = new RegExp(
    `^(.+?),?\\s+(?:for|over|between|among|to)\\s+${COUNT}(?:[a-z]+ ){0,2}(?:${PLANT}|${POT})(?:s|es)?$`,
    'i',
  ).exec(bare);
  if (!found?.[1]) return undefined;
  const water = readSize(found[1], system);
  if (!water.ok) return water;
  const { per } = water.value;
  return per.kind === 'water'
    ? success({ per: { ...per, plants: countOf(found[2]) }, count: 1 })
    : failure({ kind: 'unknown' });
}

/** An area, a length of row, a volume of water or of mix. */
function readSize(
  bare: string,
  system: MeasureSystem | undefined,
): Result<ReadPer, QuantityTrouble | { readonly kind: 'unknown' }> {
  const sides =
    /^([\d.]+)\s*([a-z'"]*)\s*(?:x|by|×)\s*([\d.]+)\s*([a-z'"]+)(?:\s+(?:bed|plot|box|planter|border))?$/i.exec(
      bare,
    );
  if (sides) return readSides(sides, system);
  const bracket = /\(([^)]+)\)/.exec(bare)?.[1];
  const isRow = ROW.test(bare) || RUNNING.test(bare);
  const isMix = MIX.test(bare);
  const size = (bracket ?? bare.replace(RUNNING, ''))
    .replace(isRow ? ROW : isMix ? MIX : WATER, '')
    .replace(GROUND, '')
    .replace(/\s+of\s*$/i, '')
    .replace(/^of\s+/i, '')
    .trim();
  const quantity = parseQuantity(/^[\d½¼¾⅓⅔⅛⅜⅝⅞.,]/.test(size) ? size : `1 ${size}`, {
    ...(system ? { system } : {}),
  });
  if (!quantity.ok)
    return quantity.trouble.kind === 'ambiguous-unit' ? quantity : failure({ kind: 'unknown' });
  const { dimension, base } = quantity.value;
  const per = base > 0 ? perOf(dimension, base, { isRow, isMix }) : undefined;
  return per ? success({ per, count: 1 }) : failure({ kind: 'unknown' });
}

function perOf(
  dimension: string,
  base: number,
  { isRow, isMix }: { readonly isRow: boolean; readonly isMix: boolean },
): RatePer | undefined {
  if (dimension === 'area') return { kind: 'area', m2: base };
  if (dimension === 'length') return isRow ? { kind: 'row', mm: base } : undefined;
  if (dimension !== 'volume') return undefined;
  return isMix ? { kind: 'mix', ml: base } : { kind: 'water', ml: base };
}

/** `4 x 8 ft`, `1 m by 2 m`: the area. */
function readSides(
  sides: RegExpExecArray,
  system: MeasureSystem | undefined,
): Result<ReadPer, QuantityTrouble | { readonly kind: 'unknown' }> {
  const [, a, unitOfA, b, unitOfB] = sides;
  const [length, width] = [`${a} ${unitOfA || unitOfB}`, `${b} ${unitOfB}`].map(side =>
    parseQuantity(side, { dimension: 'length', ...(system ? { system } : {}) }),
  );
  if (!length?.ok || !width?.ok) return failure({ kind: 'unknown' });
  const m2 = (length.value.base * width.value.base) / 1e6;
  return m2 > 0 ? success({ per: { kind: 'area', m2 }, count: 1 }) : failure({ kind: 'unknown' });
}
