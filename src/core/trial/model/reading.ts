import { z } from 'zod';
import { CalendarDay } from '@/core/time/garden-day';
import { MeasureId, ReadingId, UnitId } from './ids';
import { Note } from './limits';
import { Outcome } from './pick';

// The whole trial as one plain object: what core takes, what the worker gets, and the open file format.
/** One value of one measure on one unit, or a subsample of it, on one day. */
export const Reading = z
  .object({
    id: ReadingId,
    unitId: UnitId,
    measureId: MeasureId,
    subsample: z.string().max(40),
    takenOn: CalendarDay,
    takenAt: z.iso.datetime(),
    /** A number in the measure's unit; k of n: k; a step or class: its number; yes 1, no 0; a day: days after the start. */
    value: z.number().nullable(),
    outOf: z.int().min(1).nullable().default(null),
    outcome: Outcome,
    note: Note,
    /** The same unit read a second time, to know the reader's own error: it stays out of the values. */
    isRepeat: z.boolean().default(false),
    asWritten: z.string().max(80).default(''),
    /** What it was read with or typed on, as it calls itself. */
    device: z.string().max(60).default(''),
    /** Who read it; empty where it was not said. */
    by: z.string().max(80).default(''),
    supersedes: ReadingId.nullable(),
    isRemoval: z.boolean(),
  })
  .readonly();
export type Reading = z.infer<typeof Reading>;
