import { z } from 'zod';
import { BLANK_OWN, OwnFields } from '@/core/measure/library/own-fields';
import { CalendarDay, GardenDay } from '@/core/time/garden-day';
import { TreatmentsForm } from '@/core/trial/forms/treatment-form';

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
  looks: 1,
  ripe: 'When it would be picked for the table.',
  replaceUntil: '',
  askedOne: '',
  askedOther: '',
  askedOneWith: [],
  askedOtherWith: [],
  act: '',
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
  /** Of what is read and in no library: what it is. */
  own: OwnFields.default(BLANK_OWN),
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
      askedOneWith: z.array(z.string().trim().max(120)).max(12).readonly().default([]),
      askedOtherWith: z.array(z.string().trim().max(120)).max(12).readonly().default([]),
      /** Filled from the form’s own line when it is kept. */
      act: z.string().max(20).default(''),
      seasons: z.coerce
        .number('Seasons: a whole number.')
        .int('Seasons: a whole number.')
        .min(1, 'At least one season.')
        .max(20, 'At most 20.')
        .default(1),
      looks: z.coerce.number().int().min(1).max(5).default(1),
    })
    .default(USUAL_RULES),
});
export type QuestionForm = z.infer<typeof QuestionForm>;
