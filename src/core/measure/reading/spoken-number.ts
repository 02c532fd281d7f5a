import type { QuantityTrouble } from '@/core/quantity/parse-quantity';
import { parseQuantity } from '@/core/quantity/parse-quantity';
import { failure, type Result, success } from '@/core/result';

const NONE = /^(none|no|nil|zero|nothing)$/i;

/** A number as it is said: `12.5`, `12,5`, `2½`, `3 1/2`, `half`, `none`. What could be two numbers is asked back: `1,250`. */
export function spokenNumber(written: string): Result<number, QuantityTrouble> {
  const said = written.trim().replace('−', '-');
  if (NONE.test(said)) return success(0);
  if (/^(?:a )?half$/i.test(said)) return success(0.5);
  const sign = said.startsWith('-') ? -1 : 1;
  const size = said.replace(/^[-+]/, '').trim();
  if (/^\d+\.$/.test(size)) return success(sign * Number(size));
  // The size is read like any amount, in a unit that changes nothing.
  const read = /[a-z]/i.test(size) ? undefined : parseQuantity(`${size} ml`);
  if (read?.ok) return success(sign * read.value.base);
  return failure(
    read && !read.ok && read.trouble.kind === 'ambiguous-comma'
      ? read.trouble
      : { kind: 'not-a-number', read: written },
  );
}

/** A number from so much to so much; undefined where it is none, or could be two. */
export function numberIn(said: string, least: number, most: number): number | undefined {
  const read = spokenNumber(said);
  return read.ok && read.value >= least && read.value <= most ? read.value : undefined;
}

const WHOLE_WORDS = [
  'none',
  'one',
  'two',
  'three',
  'four',
  'five',
  'six',
  'seven',
  'eight',
  'nine',
  'ten',
  'eleven',
  'twelve',
];

/** A whole count: `7`, `seven`, `none`, `a dozen`. */
export function wholeIn(said: string, least: number, most: number): number | undefined {
  const plain = said.trim().toLowerCase();
  const named = NONE.test(plain) ? 0 : plain === 'a dozen' ? 12 : WHOLE_WORDS.indexOf(plain);
  const count = named >= 0 ? named : /^\d{1,7}$/.test(plain) ? Number(plain) : Number.NaN;
  return count >= least && count <= most ? count : undefined;
}

const MINUTES: Readonly<Record<string, number>> = {
  h: 60,
  hr: 60,
  hrs: 60,
  hour: 60,
  hours: 60,
  min: 1,
  mins: 1,
  minute: 1,
  minutes: 1,
  m: 1,
};

/** Minutes, as one says them: `25`, `25 min`, `1 h 10 min`, `1:10`, `1.5 hours`, `half an hour`; undefined where it is none. */
export function minutesIn(written: string): number | undefined {
  const said = written
    .trim()
    .toLowerCase()
    .replace(/^(?:a )?half (?:an )?hour$/, '30')
    .replace(/^(?:a )?quarter of an hour$/, '15')
    .replace(/^(?:an|one) hour$/, '60')
    .replace(/^(?:an|one) hour and a half$|^one and a half hours?$/, '90');
  const clock = /^(\d{1,2}):([0-5]\d)(?:\s*h)?$/.exec(said);
  if (clock) return Number(clock[1]) * 60 + Number(clock[2]);
  const parts = [
    ...said.matchAll(
      /([\d.,½¼¾/ ]+?)\s*(h|hrs?|hours?|m|mins?|minutes?)(?![a-z])\.?(?:\s*and\s*|[\s,]*)/g,
    ),
  ];
  if (parts.map(part => part[0]).join('') === said && parts.length > 0) {
    const minutes = parts.map(part => numberIn(part[1] ?? '', 0, 1e6));
    return minutes.includes(undefined)
      ? undefined
      : minutes.reduce<number>(
          (sum, count, i) => sum + (count ?? 0) * (MINUTES[parts[i]?.[2] ?? ''] ?? 1),
          0,
        );
  }
  return numberIn(said, 0, 1e6);
}

/** Days, as one says them: `12`, `12 days`, `2 weeks`, `a week`; undefined where it is none. */
export function daysIn(written: string): number | undefined {
  const said = written.trim().toLowerCase().replace(/^an? /, '1 ');
  const found = /^(.+?)\s*(d|days?|w|wks?|weeks?)$/.exec(said);
  const count = numberIn(found?.[1] ?? said, 0, 10_000);
  return count === undefined ? undefined : count * (found?.[2]?.startsWith('w') ? 7 : 1);
}
