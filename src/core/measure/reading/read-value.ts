import { parseQuantity } from '@/core/quantity/parse-quantity';
import { quantitySentence } from '@/core/quantity/quantity-sentence';
import type { Dimension, MeasureSystem } from '@/core/quantity/unit-of-measure';
import { failure, type Result, success } from '@/core/result';
import { daysApart } from '@/core/time/days-apart';
import type { FieldTroubles } from '@/core/trial/forms/field-troubles';
import type { Measure } from '@/core/trial/model/measure';
import type { Reading } from '@/core/trial/model/reading';
import type { Scale } from '@/core/trial/model/scale';
import { LOOK_WORDS } from './looks';

// No Zod here: a phone in the garden loads this page over a thin line.

type Value = Pick<Reading, 'value' | 'outOf'>;

/** What a value is read against. */
export interface ValueContext {
  readonly measure: Pick<Measure, 'unit'>;
  readonly system: MeasureSystem;
  readonly startsOn: string;
  readonly today: string;
}

const DIMENSION_OF: Readonly<Record<string, Dimension>> = { g: 'mass', mm: 'length', l: 'volume' };

/** What is written, on the measure's scale. Halves are taken between steps; `+` and `-` mean beyond either end. */
export function readValue(
  written: string,
  outOf: string,
  scale: Scale,
  { measure, system, startsOn, today }: ValueContext,
): Result<Value, FieldTroubles> {
  const said = written.trim();
  if (said === '') return failure({ value: 'Write a value, or say why there is none.' });
  const one = (value: number | undefined, sentence: string): Result<Value, FieldTroubles> =>
    value === undefined ? failure({ value: sentence }) : success({ value, outOf: null });
  switch (scale.kind) {
    case 'continuous':
      return amountIn(said, scale, measure.unit, system);
    case 'count':
      return one(wholeIn(said, 0, 1_000_000), `“${said}” is not a whole count.`);
    case 'rank':
      return one(wholeIn(said, 1, 1000), `“${said}” is not a rank: 1 is the best.`);
    case 'percent':
      return one(
        numberIn(said.replace(/\s*%$/, ''), 0, 100),
        `“${said}” is not a percentage from 0 to 100.`,
      );
    case 'yes-no':
      return one(
        /^(y|yes|1|true|alive)$/i.test(said) ? 1 : /^(n|no|0|false)$/i.test(said) ? 0 : undefined,
        'Yes or no.',
      );
    case 'proportion':
      return shareIn(said, outOf, scale.outOf);
    case 'ordinal':
      return one(
        stepIn(said, scale),
        `“${said}” is no step of this scale: ${scale.from} to ${scale.from + scale.steps.length - 1}, halves too${scale.hasBeyond ? ', + or − for beyond it' : ''}.`,
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
  system: MeasureSystem,
): Result<Value, FieldTroubles> {
  const dimension = DIMENSION_OF[unit];
  let value = numberIn(said, Number.NEGATIVE_INFINITY, Number.POSITIVE_INFINITY);
  if (value === undefined && dimension !== undefined) {
    const read = parseQuantity(said, { system, dimension });
    if (!read.ok) return failure({ value: quantitySentence(read.trouble) });
    value = unit === 'l' ? read.value.base / 1000 : read.value.base;
  }
  if (value === undefined) return failure({ value: `“${said}” is not a number.` });
  return value < least || value > most
    ? failure({ value: `From ${least} to ${most} ${unit}.` })
    : success({ value, outOf: null });
}

function shareIn(said: string, outOf: string, usual: number | null): Result<Value, FieldTroubles> {
  const both = /^(\d{1,6})\s*(?:\/|of|out of)\s*(\d{1,6})$/i.exec(said);
  const k = wholeIn(both?.[1] ?? said, 0, 1_000_000);
  const n = both
    ? wholeIn(both[2] ?? '', 1, 1_000_000)
    : outOf.trim() === ''
      ? (usual ?? undefined)
      : wholeIn(outOf, 1, 1_000_000);
  if (k === undefined) return failure({ value: `“${said}” is not so many of so many: write 5/6.` });
  if (n === undefined) return failure({ outOf: 'Of how many? Write 5/6.' });
  return k > n
    ? failure({ value: `${k} of ${n} is more than all.` })
    : success({ value: k, outOf: n });
}

function stepIn(
  said: string,
  { from, steps, hasBeyond }: Extract<Scale, { kind: 'ordinal' }>,
): number | undefined {
  const last = from + steps.length - 1;
  const named = steps.findIndex(step => step.toLowerCase() === said.toLowerCase());
  if (named >= 0) return from + named;
  if (hasBeyond && /^(\+|>)/.test(said)) return last + 1;
  if (hasBeyond && /^(<|[-−]$)/.test(said)) return from - 1;
  const value = numberIn(said.replace('½', '.5'), from, last);
  return value !== undefined && Number.isInteger(2 * value) ? value : undefined;
}

function wholeIn(said: string, least: number, most: number): number | undefined {
  return /^\d{1,7}$/.test(said.trim()) && Number(said) >= least && Number(said) <= most
    ? Number(said)
    : undefined;
}

function numberIn(said: string, least: number, most: number): number | undefined {
  const plain = said.trim().replace('−', '-').replace(',', '.');
  if (!/^-?(\d+(\.\d*)?|\.\d+)$/.test(plain)) return undefined;
  const value = Number(plain);
  return value >= least && value <= most ? value : undefined;
}

/** A value as it is shown: `213 mm`, `5 of 6`, `3 firm`, `yes`. */
export function valueWords(
  { scale, unit }: Pick<Measure, 'scale' | 'unit'>,
  { value, outOf, outcome }: Pick<Reading, 'value' | 'outOf' | 'outcome'>,
): string {
  if (outcome !== 'picked') return LOOK_WORDS[outcome];
  if (value === null) return LOOK_WORDS['nothing-there'];
  const figure = String(Number(value.toPrecision(6)));
  switch (scale?.kind) {
    case 'proportion':
      return `${figure} of ${outOf ?? '?'}`;
    case 'yes-no':
      return value === 1 ? 'yes' : 'no';
    case 'class':
      return scale.classes[value] ?? figure;
    case 'date':
      return `day ${figure}`;
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
    case undefined:
      return `${figure}${unit === '' ? '' : unit === '%' ? '%' : ` ${unit}`}`;
  }
}
