import { moistureOfDry } from '@/core/materials/soil-and-water/moisture';
import { shownUnit } from '@/core/measure/library/shown-unit';
import { parseQuantity } from '@/core/quantity/parse-quantity';
import { quantitySentence } from '@/core/quantity/quantity-sentence';
import type { Dimension, MeasureSystem } from '@/core/quantity/unit-of-measure';
import { failure, type Result, success } from '@/core/result';
import { daysApart } from '@/core/time/days-apart';
import type { FieldTroubles } from '@/core/trial/forms/field-troubles';
import type { Measure } from '@/core/trial/model/measure';
import type { Reading } from '@/core/trial/model/reading';
import type { Scale } from '@/core/trial/model/scale';
import { LOOK_WORDS, type ValuelessLook, waitedDays } from './looks';
import { readStep } from './read-step';
import { daysIn, minutesIn, numberIn, spokenNumber, wholeIn } from './spoken-number';

// No Zod here: a phone in the garden loads this page over a thin line.

type Value = Pick<Reading, 'value' | 'outOf'>;

/** What a value is read against. */
export interface ValueContext {
  readonly measure: Pick<Measure, 'unit'>;
  readonly system: MeasureSystem;
  readonly startsOn: string;
  readonly today: string;
  /** A bare number is in the unit that people see, unless it comes from a file, which keeps to the stored one. */
  readonly isFromFile?: boolean | undefined;
}

const DIMENSION_OF: Readonly<Record<string, Dimension>> = { g: 'mass', mm: 'length', l: 'volume' };

/** What is written, on the measure's scale. Halves are taken between steps; `+` and `-` mean beyond either end. */
export function readValue(
  written: string,
  outOf: string,
  scale: Scale,
  { measure, system, startsOn, today, isFromFile = false }: ValueContext,
): Result<Value, FieldTroubles> {
  const said = written.trim();
  if (said === '') return failure({ value: 'Write a value, or say why there is none.' });
  const one = (value: number | undefined, sentence: string): Result<Value, FieldTroubles> =>
    value === undefined ? failure({ value: sentence }) : success({ value, outOf: null });
  switch (scale.kind) {
    case 'continuous':
      return amountIn(said, scale, measure.unit, { system, isFromFile });
    case 'count':
      return one(wholeIn(said, 0, 1_000_000), `“${said}” is not a whole count.`);
    case 'rank':
      return one(wholeIn(said, 1, 1000), `“${said}” is not a rank: 1 is the best.`);
    case 'percent':
      return one(
        numberIn(said.replace(/\s*%$/, ''), 0, 100),
        `“${said}” is not a percentage from 0 to 100.`,
      );
    case 'derived':
      return failure({ value: 'This is worked out of two others: read those.' });
    case 'days':
      return one(
        daysWithin(said, scale.most),
        `“${said}” is not a number of days up to ${scale.most}. Still waiting after 28 days? Write >28.`,
      );
    case 'yes-no':
      return one(
        /^(y|yes|1|true|alive)$/i.test(said)
          ? 1
          : /^(n|no|none|0|false)$/i.test(said)
            ? 0
            : undefined,
        'Yes or no.',
      );
    case 'proportion':
      return shareIn(said, outOf, scale.outOf);
    case 'ordinal':
      return one(
        readStep(said, scale),
        `“${said}” is no step of this scale: ${stepsWords(scale)}.`,
      );
    case 'class': {
      const at = scale.classes.findIndex(
        (name, i) => name.toLowerCase() === said.toLowerCase() || String(i + 1) === said,
      );
      return one(at < 0 ? undefined : at, `“${said}” is none of: ${scale.classes.join(', ')}.`);
    }
    case 'date': {
      const days = wholeIn(said, 0, 4000) ?? daysApart(startsOn, said);
      if (days === undefined)
        return failure({
          value: 'Write a day, as 2026-06-21, how many days it took, or “not yet”.',
        });
      const past = daysApart(startsOn, today) ?? 0;
      return days > past ? failure({ value: `${said} is still to come.` }) : one(days, '');
    }
  }
}

function amountIn(
  said: string,
  { least, most }: Extract<Scale, { kind: 'continuous' }>,
  unit: string,
  { system, isFromFile }: { readonly system: MeasureSystem; readonly isFromFile: boolean },
): Result<Value, FieldTroubles> {
  const shown = shownUnit(unit, isFromFile ? 'uk' : system);
  const bare = withoutUnit(said, unit);
  const plain =
    unit === 'min'
      ? minutesRead(said)
      : unit === '%'
        ? moistureRead(said, bare)
        : spokenNumber(bare);
  const dimension = DIMENSION_OF[unit];
  let value = plain.ok ? plain.value * shown.base : undefined;
  if (!plain.ok && plain.trouble.kind === 'ambiguous-comma')
    return failure({ value: quantitySentence(plain.trouble, { system }) });
  if (value === undefined && dimension !== undefined) {
    const read = parseQuantity(said, { system, dimension });
    if (!read.ok)
      return failure({ value: quantitySentence(read.trouble, { system, wanted: dimension }) });
    value = unit === 'l' ? read.value.base / 1000 : read.value.base;
  }
  if (value === undefined)
    return failure({
      value: `“${said}” is not a number${unit === 'min' ? ' of minutes: write 25 min or 1 h 10 min' : ''}.`,
    });
  return value < least || value > most
    ? failure({
        value: `From ${figureOf(least / shown.base)} to ${figureOf(most / shown.base)} ${shown.name}.`,
      })
    : success({ value, outOf: null });
}

/** `6.5 pH`, `12%`: its own unit behind it says nothing new, where that is no unit of measure. */
function withoutUnit(said: string, unit: string): string {
  const isPlain = unit !== '' && DIMENSION_OF[unit] === undefined;
  return isPlain && said.toLowerCase().endsWith(unit.toLowerCase())
    ? said.slice(0, -unit.length).trim()
    : said;
}

/** Of soil that was weighed wet and dry: `tin 20, wet 145, dry 120` is 25% of the dry soil. */
function moistureRead(said: string, bare: string): ReturnType<typeof spokenNumber> {
  const grams = (what: string): number | undefined => {
    const found = new RegExp(`\\b(?:${what})\\s*:?\\s*(\\d+(?:[.,]\\d+)?)\\s*g?`, 'i').exec(
      said,
    )?.[1];
    return found === undefined ? undefined : numberIn(found, 0, 1e6);
  };
  const [tin = 0, wet, dry] = [grams('tin|tare|pan'), grams('wet'), grams('dry')];
  if (wet === undefined || dry === undefined) return spokenNumber(bare);
  return dry > tin && wet >= dry ? success(moistureOfDry(tin, wet, dry)) : spokenNumber(said);
}

function minutesRead(said: string): ReturnType<typeof spokenNumber> {
  const minutes = minutesIn(said);
  return minutes === undefined ? spokenNumber(said) : success(minutes);
}

function daysWithin(said: string, most: number): number | undefined {
  const days = daysIn(said);
  return days !== undefined && days <= most ? days : undefined;
}

function stepsWords({ from, steps, hasBeyond }: Extract<Scale, { kind: 'ordinal' }>): string {
  const last = from + steps.length - 1;
  return `${from} to ${last}, its words, or halves such as ${from}½${hasBeyond ? `; ${last}+ for beyond the last` : ''}`;
}

function shareIn(said: string, outOf: string, usual: number | null): Result<Value, FieldTroubles> {
  const both = /^(\w{1,6})\s*(?:\/|of|out of|in)\s*(\w{1,6})$/i.exec(said);
  const n = both
    ? wholeIn(both[2] ?? '', 1, 1_000_000)
    : outOf.trim() === ''
      ? (usual ?? undefined)
      : wholeIn(outOf, 1, 1_000_000);
  const isAll = /^all$/i.test(both?.[1] ?? said);
  const k = isAll ? n : wholeIn(both?.[1] ?? said, 0, 1_000_000);
  if (isAll && n === undefined) return failure({ outOf: 'All of how many? Write 6/6.' });
  if (k === undefined) return failure({ value: `“${said}” is not so many of so many: write 5/6.` });
  if (n === undefined) return failure({ outOf: 'Of how many? Write 5/6.' });
  return k > n
    ? failure({ value: `${k} of ${n} is more than all.` })
    : success({ value: k, outOf: n });
}

/** A look without a value: of days that were counted it keeps how many, of k of n how many were looked through. */
export function readLook(
  outcome: ValuelessLook,
  written: string,
  outOf: string,
  scale: Scale | null,
): Result<Value, FieldTroubles> {
  if (scale?.kind === 'days' && outcome === 'not-yet') {
    const value = waitedDays(written) ?? daysIn(written);
    return value === undefined || value > scale.most
      ? failure({ value: `Not yet after how many days? Write >28, at most ${scale.most}.` })
      : success({ value, outOf: null });
  }
  const isOfSome = scale?.kind === 'proportion' && outcome === 'nothing-there';
  const n = isOfSome ? wholeIn(outOf, 1, 1_000_000) : undefined;
  return isOfSome && outOf.trim() !== '' && n === undefined
    ? failure({ outOf: `“${outOf}” is not a whole count.` })
    : success({ value: null, outOf: n ?? null });
}

/** A value as it is shown: `213 mm`, `5 of 6`, `3 firm`, `yes`. */
export function valueWords(
  { scale, unit }: Pick<Measure, 'scale' | 'unit'>,
  { value, outOf, outcome }: Pick<Reading, 'value' | 'outOf' | 'outcome'>,
  system: MeasureSystem = 'uk',
): string {
  if (outcome === 'not-yet' && scale?.kind === 'days' && value !== null)
    return `not yet after ${Number(value.toPrecision(6))} days`;
  if (outcome === 'nothing-there' && outOf !== null) return `0 of ${outOf}`;
  if (outcome !== 'picked') return LOOK_WORDS[outcome];
  if (value === null) return LOOK_WORDS['nothing-there'];
  const figure = figureOf(value);
  switch (scale?.kind) {
    case 'proportion':
      return `${figure} of ${outOf ?? '?'}`;
    case 'yes-no':
      return value === 1 ? 'yes' : 'no';
    case 'class':
      return scale.classes[value] ?? figure;
    case 'date':
      return `day ${figure}`;
    case 'days':
      return `${figure} ${value === 1 ? 'day' : 'days'}`;
    case 'ordinal': {
      const at = value - scale.from;
      if (at < 0 || at >= scale.steps.length)
        return at < 0 ? 'below the scale' : 'beyond the scale';
      const word = scale.steps[at];
      return word === undefined || word === figure ? figure : `${figure} ${word}`;
    }
    case 'continuous':
    case 'count':
    case 'rank':
    case 'percent':
    case 'derived':
    case undefined:
      return measuredWords(value, unit, system);
  }
}

function measuredWords(value: number, unit: string, system: MeasureSystem): string {
  const { name, base } = shownUnit(unit, system);
  return `${figureOf(value / base)}${name === '' ? '' : name === '%' ? '%' : ` ${name}`}`;
}

function figureOf(value: number): string {
  return String(Number(value.toPrecision(6)));
}
