import { z } from 'zod';
import { Name } from './limits';

/** What a derived measure is made of. A harvest's sums; a reading of the library or by its name; what the unit was built as; work. */
export const DerivedTerm = z.discriminatedUnion('kind', [
  z.object({
    kind: z.literal('harvest'),
    what: z.enum([
      'sound-weight',
      'total-weight',
      'sound-count',
      'total-count',
      'clearing-ripe',
      'clearing-all',
    ]),
  }),
  z.object({ kind: z.literal('reading'), key: z.string().min(1).max(40) }),
  z.object({ kind: z.literal('named'), name: Name }),
  z.object({ kind: z.literal('built'), what: z.enum(['area', 'litres', 'plants', 'seed']) }),
  z.object({ kind: z.literal('hours') }),
]);
export type DerivedTerm = z.infer<typeof DerivedTerm>;

/** How a measure is read. The kind decides what may be typed, and which comparisons mean anything. */
export const Scale = z.discriminatedUnion('kind', [
  z.object({ kind: z.literal('continuous'), least: z.number(), most: z.number() }),
  z.object({ kind: z.literal('count') }),
  /** k of n; n as it is usually, or null: asked each time. */
  z.object({ kind: z.literal('proportion'), outOf: z.int().min(1).nullable() }),
  /** Steps in order, the lowest first; halves between them, and one beyond either end where the instrument has one. */
  z.object({
    kind: z.literal('ordinal'),
    from: z.int(),
    steps: z.array(z.string().min(1)).min(2).readonly(),
    hasBeyond: z.boolean(),
  }),
  z.object({ kind: z.literal('yes-no') }),
  /** A day, kept as days after the trial's start; what has not come yet is put down as such. */
  z.object({ kind: z.literal('date') }),
  /** How many days it took from a beginning of its own, a soaking or a cut; what has not come is put down with how long it was waited for. */
  z.object({ kind: z.literal('days'), most: z.number().positive() }),
  z.object({ kind: z.literal('class'), classes: z.array(z.string().min(1)).min(2).readonly() }),
  z.object({ kind: z.literal('rank') }),
  z.object({ kind: z.literal('percent'), step: z.number().positive() }),
  /**
   * Never read, always worked out of two others, unit by unit: one over the other (both summed over the units of a treatment), one
   * less the other, the one as a share of both together, or so many pieces of so many.
   */
  z.object({
    kind: z.literal('derived'),
    how: z.enum(['over', 'less', 'part', 'share']),
    of: DerivedTerm,
    by: DerivedTerm,
    /** Of a quotient: times so much, for grams into kilograms or shares into percent. */
    times: z.number().positive().default(1),
  }),
]);
export type Scale = z.infer<typeof Scale>;

/** How readings of parts and of days become one value a unit. */
export const DayRule = z.enum([
  'mean',
  'last',
  'total',
  'highest',
  'area',
  'change',
  'rate',
  'on-day',
]);
export type DayRule = z.infer<typeof DayRule>;

const SCALE_WORDS: Readonly<
  Record<Exclude<Scale['kind'], 'ordinal' | 'class' | 'proportion'>, string>
> = {
  continuous: 'a number',
  count: 'a whole count',
  'yes-no': 'yes or no',
  date: 'the day it came',
  days: 'how many days it took',
  rank: 'a rank, 1 the best',
  percent: 'a percentage',
  derived: 'worked out of two others',
};

/** What is to be put down, in words. */
export function scaleWords(scale: Scale): string {
  switch (scale.kind) {
    case 'ordinal': {
      // Of nine steps only some have words; the others would say their number twice.
      const worded = scale.steps.flatMap((step, i) =>
        step === String(scale.from + i) ? [] : [`${scale.from + i} ${step}`],
      );
      return worded.join(worded.length < scale.steps.length ? ' … ' : ', ');
    }
    case 'class':
      return scale.classes.join(', ');
    case 'proportion':
      return scale.outOf === null ? 'so many of so many' : `so many of ${scale.outOf}`;
    case 'continuous':
    case 'count':
    case 'yes-no':
    case 'date':
    case 'days':
    case 'rank':
    case 'percent':
    case 'derived':
      return SCALE_WORDS[scale.kind];
  }
}

/** Whether the values of a scale may be averaged; otherwise the middle one is taken. */
export function isAveraged(scale: Scale): boolean {
  return scale.kind !== 'ordinal' && scale.kind !== 'class' && scale.kind !== 'rank';
}

/** Whether it rests on what is picked and weighed: the harvest itself, and what is worked out of it. */
export function needsPicks(scale: Scale | null): boolean {
  if (scale === null) return true;
  return scale.kind === 'derived' && [scale.of, scale.by].some(({ kind }) => kind === 'harvest');
}

/** Whether values of it are taken on a walk; what is worked out of others is not. */
export function isTaken(scale: Scale | null): scale is Exclude<Scale, { kind: 'derived' }> {
  return scale !== null && scale.kind !== 'derived';
}
