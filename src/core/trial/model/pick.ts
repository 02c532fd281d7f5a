import { z } from 'zod';
import { CalendarDay } from '@/core/time/garden-day';
import { PickId, UnitId } from './ids';
import { Note } from './limits';

// The whole trial as one plain object: what core takes, what the worker gets, and the open file format.
/** What a look at one unit gave. What each means on which scale stands in `LOOKS`. */
export const Outcome = z.enum(['picked', 'nothing-there', 'not-yet', 'not-looked', 'dead', 'gone']);
export type Outcome = z.infer<typeof Outcome>;

export const CullReason = z.enum([
  'rot',
  'split',
  'eaten',
  'infected',
  'green',
  'misshapen',
  'sunscald',
  'other',
]);
export type CullReason = z.infer<typeof CullReason>;

/** A harvest entry. `netG` = gross less tare; a revision names what it supersedes, and may be a removal. */
export const Pick = z
  .object({
    id: PickId,
    unitId: UnitId,
    pickedOn: CalendarDay,
    takenAt: z.iso.datetime(),
    outcome: Outcome,
    pieces: z.int().min(0).nullable(),
    grossG: z.number().min(0).nullable(),
    tareG: z.number().min(0),
    netG: z.number().min(0).nullable(),
    grade: z.enum(['sound', 'cull']),
    cullReason: CullReason.nullable(),
    note: Note,
    asWritten: z.string().max(80),
    /** Who weighed it; empty where it was not said. */
    by: z.string().max(80).default(''),
    supersedes: PickId.nullable(),
    isRemoval: z.boolean(),
  })
  .readonly();
export type Pick = z.infer<typeof Pick>;
