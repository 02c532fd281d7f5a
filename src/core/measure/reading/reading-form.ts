import { z } from 'zod';
import type { MeasureSystem } from '@/core/quantity/unit-of-measure';
import { failure, type Result, success } from '@/core/result';
import { daysBetween, GardenDay } from '@/core/time/garden-day';
import { type FieldTroubles, fieldTroublesOf } from '@/core/trial/forms/field-troubles';
import { MeasureId, ReadingId, UnitId } from '@/core/trial/model/ids';
import type { Measure } from '@/core/trial/model/measure';
import { Outcome } from '@/core/trial/model/pick';
import type { Reading } from '@/core/trial/model/reading';
import { lookIn } from './looks';
import { readLook, readValue } from './read-value';

/** A reading as it is typed. The id is made where it is typed, so that it can be sent twice. */
export const ReadingForm = z.object({
  id: ReadingId,
  unitId: UnitId,
  measureId: MeasureId,
  subsample: z.string().trim().max(40).default(''),
  takenOn: z
    .string()
    .pipe(z.iso.date('That is not a date. Write it as 2026-08-03.'))
    .pipe(GardenDay),
  takenAt: z.iso.datetime().optional(),
  value: z.string().max(80, 'That is too long for a value.'),
  outOf: z.string().max(10).default(''),
  outcome: Outcome.default('picked'),
  note: z.string().trim().max(2000, 'A note has at most 2000 characters.').default(''),
  isRepeat: z.boolean().default(false),
  device: z.string().max(60).default(''),
  by: z.string().trim().max(80, 'A name has at most 80 characters.').default(''),
  supersedes: ReadingId.nullable().default(null),
});
export type ReadingForm = z.input<typeof ReadingForm>;

/** What the reader of a reading needs to know beforehand. */
export interface ReadingContext {
  readonly measure: Pick<Measure, 'id' | 'scale' | 'unit'>;
  readonly system: MeasureSystem;
  readonly today: string;
  readonly startsOn: string;
  /** The instant it reached the server, UTC; an entry made offline brings its own. */
  readonly now: string;
  /** The garden's day at an instant: a phone of another zone may be a day ahead of it. */
  readonly dayAt?: (instant: string) => string;
  /** Bare numbers of a file are in the stored unit, those of people in the one they see. */
  readonly isFromFile?: boolean;
}

/** Reads a reading as it came from a form, a device or a file. */
export function readReading(
  input: unknown,
  context: ReadingContext,
): Result<Reading, FieldTroubles> {
  const parsed = ReadingForm.safeParse(input);
  if (!parsed.success) return failure(fieldTroublesOf(parsed.error));
  return readingOf(parsed.data, context);
}

/** The same of fields whose shape is known already, as rows of a table. */
export function readingOf(
  { value: written, outOf, takenAt, ...form }: z.output<typeof ReadingForm>,
  context: ReadingContext,
): Result<Reading, FieldTroubles> {
  // A clock that runs ahead must not make an entry younger than what corrects it.
  const at = takenAt !== undefined && takenAt < context.now ? takenAt : context.now;
  const takenOn = dayHere(form.takenOn, takenAt === undefined ? undefined : at, context);
  if (takenOn > context.today)
    return failure({ takenOn: `${takenOn} is still to come. Today is ${context.today}.` });
  const entry = {
    ...form,
    takenOn,
    takenAt: at,
    asWritten: written.trim(),
    isRemoval: false,
  };
  const { scale } = context.measure;
  const outcome = form.outcome === 'picked' ? (lookIn(written, scale) ?? 'picked') : form.outcome;
  if (outcome !== 'picked') {
    const look = readLook(outcome, written, outOf, scale);
    return look.ok ? success({ ...entry, outcome, ...look.value }) : failure(look.trouble);
  }
  if (scale === null) return failure({ value: 'That measure is made from picks: weigh it.' });
  const read = readValue(written, outOf, scale, context);
  return read.ok ? success({ ...entry, ...read.value }) : failure(read.trouble);
}

/**
 * The garden's day of what a device put down: where the device was a day ahead, by a zone of its own, the garden's counts. A day
 * behind is a round that began before midnight, and stays.
 */
function dayHere(takenOn: string, takenAt: string | undefined, { dayAt }: ReadingContext): string {
  if (takenAt === undefined || dayAt === undefined) return takenOn;
  const here = dayAt(takenAt);
  return daysBetween(here, takenOn) === 1 ? here : takenOn;
}
