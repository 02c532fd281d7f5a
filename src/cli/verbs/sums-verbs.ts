import { parseArgs } from 'node:util';
import { z } from 'zod';
import { option } from '@/cli/option';
import { refuse } from '@/cli/refuse';
import { type EfficacyTrouble, efficacy } from '@/core/judge/after/efficacy';
import { germination } from '@/core/judge/after/germination';
import { progressArea } from '@/core/stats/curves/progress-curve';

export const EFFICACY_HELP = `turnspit efficacy --method METHOD --control-after N --treated-after N [--control-before N --treated-before N] [--json]
How much of a pest (or damage) a remedy took away, in %, where the untreated changed, too.
  --method abbott            all began alike: live ones after
  --method henderson-tilton  counted before and after on both
  --method schneider-orelli  mortality corrected: counts before and after, or without “before” the mortalities in % as “after”
  --method sun-shepard       mortality of the treated, change of the untreated: counts before and after
  --json                     {"percent":...}`;

const TROUBLES: Readonly<Record<EfficacyTrouble, string>> = {
  'needs-before': 'This method wants --control-before and --treated-before.',
  'nothing-to-divide-by':
    'There is nothing to divide by: the counts of the untreated must be above 0 (a mortality below 100%).',
  'not-a-percentage':
    'Without counts before, --control-after and --treated-after are mortalities in %, at most 100.',
};

const COUNT = z
  .string()
  .regex(/^\d+(\.\d+)?$/)
  .transform(Number);

/** `turnspit efficacy`. */
export function efficacyVerb(args: readonly string[]): void {
  const { values } = parseArgs({
    args: [...args],
    options: {
      method: { type: 'string' },
      'control-before': { type: 'string' },
      'control-after': { type: 'string' },
      'treated-before': { type: 'string' },
      'treated-after': { type: 'string' },
      json: { type: 'boolean', default: false },
    },
  });
  const method = option(
    z.enum(['abbott', 'henderson-tilton', 'schneider-orelli', 'sun-shepard']),
    values.method ?? '',
    '--method',
    'abbott, henderson-tilton, schneider-orelli or sun-shepard',
  );
  const count = (name: keyof typeof values): number =>
    option(COUNT, String(values[name] ?? ''), `--${name}`, 'a number from 0 up');
  const before = (name: 'control-before' | 'treated-before'): number | undefined =>
    values[name] === undefined ? undefined : count(name);
  const found = efficacy(method, {
    controlBefore: before('control-before'),
    controlAfter: count('control-after'),
    treatedBefore: before('treated-before'),
    treatedAfter: count('treated-after'),
  });
  if (!found.ok) refuse(TROUBLES[found.trouble]);
  print(values.json, { percent: found.value }, `${short(found.value)}%`);
}

export const GERMINATION_HELP = `turnspit germination --days 3,5,7 --counts 2,9,4 --sown 20 [--json]
How many came up, and how fast. Days from sowing; counts of what is new at each look.
  --json  {"percent":...,"t50Days":...,"meanDays":...}; the last two are null where none came up`;

/** `turnspit germination`. */
export function germinationVerb(args: readonly string[]): void {
  const { values } = parseArgs({
    args: [...args],
    options: {
      days: { type: 'string' },
      counts: { type: 'string' },
      sown: { type: 'string' },
      json: { type: 'boolean', default: false },
    },
  });
  const days = rising(values.days, '--days');
  const counts = numbers(values.counts, '--counts');
  if (counts.length !== days.length)
    refuse(`--counts must hold as many numbers as --days: ${days.length}, got ${counts.length}.`);
  if (counts.some(count => !Number.isInteger(count) || count < 0))
    refuse(`--counts must be whole numbers from 0 up, got ${values.counts}.`);
  const sown = option(
    COUNT.pipe(z.int().min(1)),
    values.sown ?? '',
    '--sown',
    'a whole number from 1 up',
  );
  const all = counts.reduce((sum, count) => sum + count, 0);
  if (all > sown) refuse(`${all} came up of ${sown} sown: that can’t be.`);
  const found = germination(
    days.map((day, i) => ({ days: day, count: counts[i] ?? 0 })),
    sown,
  );
  print(
    values.json,
    found,
    `${short(found.percent)}% came up${found.t50Days === null || found.meanDays === null ? '' : `, half of them by day ${short(found.t50Days)}, on average on day ${short(found.meanDays)}`}`,
  );
}

export const CURVE_HELP = `turnspit curve --days 0,7,14,21 --values 0,10,30,50 [--json]
The area under a progress curve, by trapezoids, and the same over the days it took (the mean level).
  --json  {"area":...,"standardised":...}`;

/** `turnspit curve`. */
export function curveVerb(args: readonly string[]): void {
  const { values } = parseArgs({
    args: [...args],
    options: {
      days: { type: 'string' },
      values: { type: 'string' },
      json: { type: 'boolean', default: false },
    },
  });
  const days = rising(values.days, '--days');
  const levels = numbers(values.values, '--values');
  if (days.length < 2) refuse('--days must hold at least two days.');
  if (levels.length !== days.length)
    refuse(`--values must hold as many numbers as --days: ${days.length}, got ${levels.length}.`);
  const found = progressArea(days.map((day, i) => ({ days: day, value: levels[i] ?? 0 })));
  print(values.json, found, `area ${short(found.area)}, mean level ${short(found.standardised)}`);
}

function numbers(written: string | undefined, name: string): readonly number[] {
  if (written === undefined || written.trim() === '')
    return refuse(`${name} is missing: numbers with commas between them.`);
  const read = written
    .split(',')
    .map(each => (/^\s*[-+]?(\d+\.?\d*|\.\d+)\s*$/.test(each) ? Number(each) : Number.NaN));
  return read.some(Number.isNaN)
    ? refuse(`${name} must be numbers with commas between them, got ${written}.`)
    : read;
}

function rising(written: string | undefined, name: string): readonly number[] {
  const read = numbers(written, name);
  return read.every((value, i) => i === 0 || value > (read[i - 1] ?? 0))
    ? read
    : refuse(`${name} must rise, got ${written}.`);
}

function print(isJson: boolean | undefined, found: object, words: string): void {
  process.stdout.write(isJson ? `${JSON.stringify(found)}\n` : `${words}\n`);
}

function short(value: number): string {
  return String(Number(value.toPrecision(4)));
}
