import { z } from 'zod';
import { HARVEST_MEASURES } from '@/core/measure/library/harvest-measures';
import { measureFromLibrary } from '@/core/measure/library/own-measure';
import { READING_KINDS, type ReadingKind } from '@/core/measure/library/reading-library';
import { parseQuantity } from '@/core/quantity/parse-quantity';
import { quantitySentence } from '@/core/quantity/quantity-sentence';
import type { MeasureSystem } from '@/core/quantity/unit-of-measure';
import { failure, type Result, success } from '@/core/result';
import { CalendarDay, daysBetween, GardenDay } from '@/core/time/garden-day';
import { type FieldTroubles, fieldTroublesOf } from '@/core/trial/forms/field-troubles';
import { readTreatments, TreatmentsForm } from '@/core/trial/forms/treatment-form';
import { BLANK_MEASURE } from '@/core/trial/model/blank-facts';
import { MeasureId } from '@/core/trial/model/ids';
import type { Measure } from '@/core/trial/model/measure';
import type { Factor, Treatment } from '@/core/trial/model/treatment';
import type { MarginMoney, Trial } from '@/core/trial/model/trial';

const words = (most: number, missing: string) =>
  z
    .string({ error: missing })
    .trim()
    .min(1, missing)
    .max(most, { error: `That is too long: at most ${most} characters.` });
const day = z
  .string()
  .pipe(z.iso.date('That is not a date. Write it as 2027-05-03.'))
  .pipe(GardenDay);

const Figure = z.string().trim().max(20, 'That is too long.');
const RuleText = z.string().trim().max(400, 'At most 400 characters.');

/** Rules that most trials can begin with, all of them to be changed. */
export const USUAL_RULES = {
  end: 'date',
  endStage: '',
  leaveOut:
    'Only for what the treatment can’t have caused, and by whoever does not know which it got.',
  replace:
    'Only in the first two weeks, from the spares, and not for harm that the treatment may have done.',
  cull: 'Rotten, split or eaten pieces: weighed apart.',
  key: 'Whoever feeds. Who weighs does not look.',
  rescue:
    'An untreated one that would die is saved; its measuring ends on that day, and the day is noted.',
  seasons: 1,
  ripe: 'When it would be picked for the table.',
  replaceUntil: '',
  askedOne: '',
  askedOther: '',
} as const;

/** What a treatment does to a plant or its place. */
export const Act = z.enum([
  'feed',
  'amendment',
  'mix',
  'pruning',
  'container',
  'remedy',
  'barrier',
  'weeds',
  'mulch',
  'water',
  'method',
]);
export type Act = z.infer<typeof Act>;

/** A question as it is typed: every field a text. */
export const QuestionForm = z.object({
  question: words(300, 'Write the question in one sentence.'),
  crop: words(120, 'Say what grows in it.'),
  picked: words(60, 'Say what is picked, as in “more beans”.'),
  unitWord: words(30, 'Say what gets a treatment: pot, bed, trough.').regex(
    /^\p{L}[\p{L} -]*$/u,
    'Letters only, such as pot or raised bed.',
  ),
  startsOn: day,
  endsOn: day,
  ...TreatmentsForm.shape,
  /** What kind of thing is compared: it decides which controls are needed. */
  act: Act.default('feed'),
  pattern: z.string().max(60).default(''),
  /** What the main measure is made of: the harvest, or what is read off the plants. */
  summary: z.enum(['sound-weight', 'sound-count', 'mean-piece-weight', 'total-weight', 'read']),
  /** Of what is read: its key in the library. */
  mainKey: z.string().max(40).default(''),
  better: z.enum(['higher', 'lower']),
  marginKind: z.enum(['percent', 'amount', 'any']),
  margin: z.string().max(60, 'That is too long.'),
  /** What the margin may be worked out from: all three or none. */
  money: z
    .object({ costEach: Figure, worthPerKg: Figure, presentKg: Figure })
    .default({ costEach: '', worthPerKg: '', presentKg: '' }),
  interest: z.string().trim().max(400, 'At most 400 characters.').default(''),
  rules: z
    .object({
      end: z.enum(['date', 'stage']),
      endStage: z.string().trim().max(200, 'At most 200 characters.'),
      leaveOut: RuleText,
      replace: RuleText,
      cull: RuleText,
      ripe: RuleText.default(''),
      replaceUntil: z
        .union([
          z.literal(''),
          z.iso.date('That is not a date. Write it as 2026-08-03.').pipe(CalendarDay),
        ])
        .default(''),
      key: RuleText.default(''),
      rescue: RuleText.default(''),
      askedOne: z.string().trim().max(120).default(''),
      askedOther: z.string().trim().max(120).default(''),
      seasons: z.coerce
        .number('Seasons: a whole number.')
        .int('Seasons: a whole number.')
        .min(1, 'At least one season.')
        .max(20, 'At most 20.')
        .default(1),
    })
    .default(USUAL_RULES),
});
export type QuestionForm = z.infer<typeof QuestionForm>;

/** A question that makes sense, as the trial holds it. */
export interface Question {
  readonly facts: Pick<
    Trial,
    | 'question'
    | 'crop'
    | 'unitWord'
    | 'startsOn'
    | 'endsOn'
    | 'pattern'
    | 'interest'
    | 'rules'
    | 'money'
  >;
  readonly factors: readonly Factor[];
  readonly treatments: readonly Treatment[];
  readonly measures: readonly Measure[];
}

const LONGEST_DAYS = 1100;

/**
 * Reads a question as it came from the form. The main measure is the chosen one; what else the same picks give comes
 * along, marked as not the main one.
 *
 * @param newId makes UUIDv7s
 */
export function readQuestion(
  input: unknown,
  system: MeasureSystem,
  newId: () => string,
): Result<Question, FieldTroubles> {
  const parsed = QuestionForm.safeParse(input);
  if (!parsed.success) return failure(fieldTroublesOf(parsed.error));
  const form = parsed.data;
  const read =
    form.summary === 'read' ? mainReadings().find(kind => kind.key === form.mainKey) : undefined;
  const margin = readMargin(form, read, system);
  const compared = readTreatments(form, form.unitWord, newId);
  const money = readMoney(form);
  const troubles: FieldTroubles = {
    ...(compared.ok ? askedTrouble(form.rules, compared.value.treatments) : compared.trouble),
    ...misfits(form),
    ...(form.summary === 'read' && !read ? { mainKey: 'Choose what is read.' } : {}),
    ...(margin.ok ? {} : { margin: margin.trouble }),
    ...(money.ok ? {} : money.trouble),
  };
  if (Object.keys(troubles).length > 0 || !margin.ok || !compared.ok || !money.ok)
    return failure(troubles);
  return success({
    facts: {
      question: form.question,
      crop: form.crop,
      unitWord: form.unitWord,
      startsOn: form.startsOn,
      endsOn: form.endsOn,
      pattern: form.pattern === '' ? null : form.pattern,
      interest: form.interest,
      rules: form.rules,
      money: money.value,
    },
    ...compared.value,
    measures: [
      ...(read
        ? [
            {
              ...measureFromLibrary(read, newId()),
              better: form.better,
              margin: margin.value,
              isMain: true,
            },
          ]
        : []),
      ...HARVEST_MEASURES.map((kind): Measure => {
        const isMain = kind.summary === form.summary;
        return {
          id: MeasureId.parse(newId()),
          name: kind.name,
          definition: kind.definition,
          response: kind.responseOf(form.picked),
          unit: kind.unit,
          summary: kind.summary,
          better: isMain ? form.better : 'higher',
          margin: isMain || margin.value?.kind === 'percent' ? margin.value : null,
          isMain,
          ...BLANK_MEASURE,
        };
      }),
    ],
  });
}

/** Two that are held against each other must be two of the trial’s, and not the same. */
function askedTrouble(
  { askedOne, askedOther }: QuestionForm['rules'],
  treatments: readonly Treatment[],
): FieldTroubles {
  if (askedOne === '' && askedOther === '') return {};
  const isOfTrial = [askedOne, askedOther].every(name =>
    treatments.some(treatment => treatment.name === name),
  );
  return isOfTrial && askedOne !== askedOther
    ? {}
    : { 'rules.askedOne': 'Choose two treatments of this trial that differ, or leave both open.' };
}

function misfits(form: QuestionForm): FieldTroubles {
  const days = daysBetween(form.startsOn, form.endsOn);
  return {
    ...(form.rules.end === 'stage' && form.rules.endStage === ''
      ? { 'rules.endStage': 'Name the stage: last truss ripe, half the plants yellow.' }
      : {}),
    ...(days < 1 ? { endsOn: 'The end must lie after the start.' } : {}),
    ...(days > LONGEST_DAYS
      ? { endsOn: 'That is more than three years. A trial is one question in one season.' }
      : {}),
  };
}

/** What of the library can answer a question: more or less of it must be a gain, and classes and ranks have no margin. */
export function mainReadings(): readonly ReadingKind[] {
  return READING_KINDS.filter(
    kind => kind.better !== 'neither' && kind.scale.kind !== 'class' && kind.scale.kind !== 'rank',
  );
}

function readMargin(
  form: QuestionForm,
  read: ReadingKind | undefined,
  system: MeasureSystem,
): Result<Measure['margin'], string> {
  switch (form.marginKind) {
    case 'any':
      return success(null);
    case 'percent': {
      const percent = plainNumber(form.margin.replace(/\s*%$/, ''));
      if (percent === undefined || percent <= 0)
        return failure('Write a percentage above zero, such as 15.');
      return percent > 1000
        ? failure('More than 1000% is no margin a pot can show.')
        : success({ kind: 'percent', percent });
    }
    case 'amount':
      return read && read.unit !== 'g'
        ? readPlainAmount(form.margin, read)
        : readAmount(form, system);
  }
}

/** In the unit that is read; of shares and yes or no in points of a hundred. */
function readPlainAmount(
  written: string,
  { scale, unit }: ReadingKind,
): Result<Measure['margin'], string> {
  const amount = plainNumber(
    unit === ''
      ? written
      : written
          .trim()
          .replace(new RegExp(`\\s*${unit.replace(/[^\p{L}\p{N}]/gu, '\\$&')}$`, 'u'), ''),
  );
  if (amount === undefined || amount <= 0)
    return failure(`Write a number above zero${unit === '' ? '' : `, in ${unit}`}.`);
  return success({ kind: 'absolute', amount: isOfShares(scale) ? amount / 100 : amount });
}

export function isOfShares(scale: ReadingKind['scale'] | null): boolean {
  return scale?.kind === 'proportion' || scale?.kind === 'yes-no';
}

function readMoney(form: QuestionForm): Result<MarginMoney | null, FieldTroubles> {
  const written = Object.entries(form.money);
  if (written.every(([, text]) => text === '')) return success(null);
  const troubles = Object.fromEntries(
    written.flatMap(([key, text]) =>
      (plainNumber(text) ?? 0) > 0
        ? []
        : [[`money.${key}`, 'A number above zero, or leave all three empty.']],
    ),
  );
  if (Object.keys(troubles).length > 0) return failure(troubles);
  return success({
    costEach: plainNumber(form.money.costEach) ?? 0,
    worthPerKg: plainNumber(form.money.worthPerKg) ?? 0,
    presentKg: plainNumber(form.money.presentKg) ?? 0,
  });
}

/** The gain at which a treatment pays for itself, in % of the present harvest: cost / (worth of the present harvest). */
export function payingPercent(money: MarginMoney): number {
  return (100 * money.costEach) / (money.worthPerKg * money.presentKg);
}

function readAmount(form: QuestionForm, system: MeasureSystem): Result<Measure['margin'], string> {
  if (form.summary === 'sound-count') {
    const amount = plainNumber(form.margin);
    return amount !== undefined && amount > 0
      ? success({ kind: 'absolute', amount })
      : failure('Write a number of pieces above zero.');
  }
  const read = parseQuantity(form.margin, { system, dimension: 'mass' });
  if (!read.ok) return failure(quantitySentence(read.trouble));
  return read.value.base > 0
    ? success({ kind: 'absolute', amount: read.value.base })
    : failure('Write an amount above zero, such as 50 g.');
}

/** A number above or at zero as people write it, with point or comma; undefined where it is none. */
export function plainNumber(written: string): number | undefined {
  const trimmed = written.trim().replace(',', '.');
  return /^\d+(\.\d+)?$/.test(trimmed) ? Number(trimmed) : undefined;
}
