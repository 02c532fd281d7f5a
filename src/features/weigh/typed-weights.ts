import { z } from 'zod';
import { CullReason, Outcome } from '@/core/trial/model/pick';
import { EMPTY_PICK, GREEN_PICK, type PickDraft } from './pick-draft';

const Typed = z.object({
  /** Of the entry that comes of it: what was sent before the reload and is sent again is one. */
  id: z.uuid(),
  draft: z.object({
    outcome: Outcome,
    gross: z.string().max(60),
    pieces: z.string().max(60),
    grade: z.enum(['sound', 'cull']),
    cullReason: CullReason.nullable(),
    note: z.string().max(1000),
  }),
});
const TypedWeights = z.object({ day: z.string(), byUnit: z.record(z.string(), Typed) });

/** What was typed for units on a day and not saved. */
export type TypedWeights = z.infer<typeof TypedWeights>;

/** Reads what a browser kept; what was typed on another day is not today's. */
export function readTypedWeights(day: string): (stored: unknown) => TypedWeights | undefined {
  return stored => {
    const read = TypedWeights.safeParse(stored);
    return read.success && read.data.day === day ? read.data : undefined;
  };
}

/** Whether there is anything in it that would be lost. */
export function isTyped({ gross, pieces, note, outcome }: PickDraft): boolean {
  return (
    gross.trim() !== '' ||
    pieces.trim() !== '' ||
    outcome !== EMPTY_PICK.outcome ||
    !['', GREEN_PICK.note].includes(note.trim())
  );
}
