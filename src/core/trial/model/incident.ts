import { z } from 'zod';
import { CalendarDay } from '@/core/time/garden-day';
import { IncidentId, UnitId } from './ids';
import { Name, Note } from './limits';

// The whole trial as one plain object: what core takes, what the worker gets, and the open file format.
export const MishapCause = z.enum([
  'death',
  'blight',
  'slugs',
  'frost',
  'heat',
  'flood',
  'animal',
  'mix-up',
  'label-lost',
  'missed-feed',
  'tipped',
  'other',
]);
export type MishapCause = z.infer<typeof MishapCause>;

export const MISHAP_WORDS: Readonly<Record<MishapCause, string>> = {
  death: 'died',
  blight: 'blight or another disease',
  slugs: 'slugs or snails',
  frost: 'frost',
  heat: 'heat or drought',
  flood: 'stood in water',
  animal: 'a cat, a bird, a vole',
  'mix-up': 'mixed up with another',
  'label-lost': 'lost its label',
  'missed-feed': 'missed a task',
  tipped: 'tipped or broken',
  other: 'something else',
};

/** Whether the treatment did it: then it is a result, and no mishap to be left out for. */
export const ByTreatment = z.enum(['yes', 'no', 'unknown']);
export type ByTreatment = z.infer<typeof ByTreatment>;

/** What follows: it stays; it counts no more at all; no more from that day on; a spare stands in from that day; all was cut back, and the line begins anew. */
export const Decision = z.enum(['keep', 'leave-out', 'leave-out-from', 'replace', 'start-anew']);
export type Decision = z.infer<typeof Decision>;

/** Something that happened to units, and what was decided. */
export const Incident = z
  .object({
    id: IncidentId,
    unitId: UnitId,
    happenedOn: CalendarDay,
    recordedAt: z.iso.datetime(),
    what: Name,
    why: Note,
    by: z.string().max(80),
    decision: Decision,
    cause: MishapCause.nullable().default(null),
    byTreatment: ByTreatment.default('unknown'),
    afterKeyOpened: z.boolean(),
    supersedes: IncidentId.nullable(),
    isRemoval: z.boolean(),
  })
  .readonly();
export type Incident = z.infer<typeof Incident>;
