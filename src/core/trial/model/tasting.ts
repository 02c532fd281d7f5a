import { z } from 'zod';
import { CalendarDay } from '@/core/time/garden-day';
import { UnitId } from './ids';

/** A triangle test between two units: who tastes which cups follows from the seed, and only how many found the odd one is kept. */
export const Tasting = z
  .object({
    id: z.uuidv7(),
    unitA: UnitId,
    unitB: UnitId,
    heldOn: CalendarDay,
    laidAt: z.iso.datetime(),
    tasters: z.int().min(3).max(60),
    seed: z
      .int()
      .min(0)
      .max(2 ** 32 - 1),
    correct: z.int().min(0).nullable(),
  })
  .readonly();
export type Tasting = z.infer<typeof Tasting>;
