import { failure, type Result, success } from '@/core/result';
import type { RateTrouble } from './rate-trouble';

/** A rate without its “weekly”, and how many days apart that is; null where it says nothing of it. */
export interface WithoutFrequency {
  readonly rest: string;
  readonly everyDays: number | null;
}

const COUNT = String.raw`(\d{1,3}|two|three|four|five|six|seven|eight|ten|other|second|third)`;

const SAID: readonly (readonly [pattern: string, days: number])[] = [
  ['daily|every day|once a day|each day', 1],
  ['every other day|every second day', 2],
  ['weekly|every week|once a week|each week|once weekly|per week', 7],
  [
    'fortnightly|every fortnight|once a fortnight|every other week|every second week|once every two weeks',
    14,
  ],
  ['monthly|every month|once a month|once monthly|each month|per month', 30],
];
const UNIT_DAYS: Readonly<Record<string, number>> = { day: 1, week: 7, month: 30 };
const COUNTS: Readonly<Record<string, number>> = {
  other: 2,
  second: 2,
  third: 3,
  two: 2,
  three: 3,
  four: 4,
  five: 5,
  six: 6,
  seven: 7,
  eight: 8,
  ten: 10,
};

/** Takes off how often a rate is given: `, weekly`, ` every 10 days`, ` once a fortnight`. A month counts 30 days. */
export function takeFrequency(written: string): Result<WithoutFrequency, RateTrouble> {
  const range =
    /[\s,;]+(?:once )?every\s+(\d{1,3})\s*(?:-|–|to|or)\s*(\d{1,3})\s+(day|week|month)s?\.?$/i.exec(
      written,
    );
  if (range) {
    const rest = written.slice(0, range.index);
    return asked(
      written,
      [range[1], range[2]].map(count => `${rest}, every ${count} ${range[3]}s`),
    );
  }
  const twice = /[\s,;]+(?:twice (?:a|per|each) week|twice weekly|biweekly|bi-weekly)\.?$/i.exec(
    written,
  );
  if (twice) {
    const rest = written.slice(0, twice.index);
    return asked(
      written,
      /bi/i.test(twice[0])
        ? [`${rest}, every 3 days`, `${rest}, every 2 weeks`]
        : [`${rest}, every 3 days`, `${rest}, every 4 days`],
    );
  }
  return success(once(written));
}

function asked(read: string, choices: readonly string[]): Result<never, RateTrouble> {
  return failure({ kind: 'how-often', read, choices });
}

function once(written: string): WithoutFrequency {
  for (const [pattern, days] of SAID) {
    const found = new RegExp(`[\\s,;]+(?:${pattern})\\.?$`, 'i').exec(written);
    if (found) return { rest: written.slice(0, found.index), everyDays: days };
  }
  const counted = new RegExp(
    `[\\s,;]+(?:once )?every\\s+${COUNT}\\s+(day|week|month)s?\\.?$`,
    'i',
  ).exec(written);
  if (!counted) return { rest: written, everyDays: null };
  const count = COUNTS[(counted[1] ?? '').toLowerCase()] ?? Number(counted[1]);
  const everyDays = count * (UNIT_DAYS[(counted[2] ?? '').toLowerCase()] ?? Number.NaN);
  return everyDays >= 1 && everyDays <= 366
    ? { rest: written.slice(0, counted.index), everyDays }
    : { rest: written, everyDays: null };
}
