import { z } from 'zod';
import { MeasureId } from './ids';
import { Name } from './limits';
import { Scale } from './scale';

// The whole trial as one plain object: what core takes, what the worker gets, and the open file format.
/** The smallest difference that matters. */
export const MarginSchema = z.discriminatedUnion('kind', [
  z.object({ kind: z.literal('percent'), percent: z.number().positive().max(1000) }),
  z.object({ kind: z.literal('absolute'), amount: z.number().positive() }),
]);

/** How picks or readings become one value a unit. */
export const Summary = z.enum([
  'sound-weight',
  'total-weight',
  'sound-count',
  'mean-piece-weight',
  'reading-mean',
  'reading-last',
  'reading-total',
  'reading-highest',
  'reading-area',
  'reading-change',
  'reading-rate',
  'reading-on-day',
]);
export type Summary = z.infer<typeof Summary>;

/** What parts of a unit are put together to; apart: averaged, and each part judged by itself as well. */
export const PartsAre = z.enum(['averaged', 'added', 'apart']);
export type PartsAre = z.infer<typeof PartsAre>;

/** What is read, how, in what, and which way is better. */
export const Measure = z
  .object({
    id: MeasureId,
    name: Name,
    definition: z.string().max(400),
    response: Name,
    /** Of a harvest: `g` or `count`. Of readings: what is written behind the number. */
    unit: z.string().max(24),
    summary: Summary,
    better: z.enum(['higher', 'lower']),
    margin: MarginSchema.nullable(),
    isMain: z.boolean(),
    /** Of the library's readings: its key there; null for harvests and the gardener's own. */
    kindKey: z.string().max(40).nullable().default(null),
    /** How it is read; null for what is made from picks. */
    scale: Scale.nullable().default(null),
    /** Readings of parts of a unit, each time. */
    parts: z.int().min(1).max(60).default(1),
    /** Added: a unit of which fewer parts were read is held to its rate for one part. */
    partsAre: PartsAre.default('averaged'),
    /** Of the value on a day: which, counted from the trial's start. */
    onDay: z.int().min(0).max(1100).nullable().default(null),
    /** Of a laboratory's value: what it calls enough and not too much, in the measure's unit. */
    optimum: z.object({ low: z.number(), high: z.number() }).readonly().nullable().default(null),
  })
  .readonly();
export type Measure = z.infer<typeof Measure>;
