import { z } from 'zod';
import { CalendarDay } from '@/core/time/garden-day';
import { UnitId } from '@/core/trial/model/ids';

/** A bag of soil for the laboratory: its number, and whose it is. All cores of one unit go into one bag: they are parts of it, not units. */
export const SoilSample = z
  .object({
    id: z.uuidv7(),
    unitId: UnitId,
    number: z.string().regex(/^[A-Z]\d{3,4}$/),
    takenOn: CalendarDay,
    depthMm: z.number().positive().max(3000).nullable(),
    cores: z.int().min(1).max(100),
    note: z.string().max(600),
  })
  .readonly();
export type SoilSample = z.infer<typeof SoilSample>;

/** The next so many numbers for bags, going on from those that were given out. A number says nothing of what a unit got. */
export function nextSampleNumbers(given: readonly string[], count: number): readonly string[] {
  const last = Math.max(0, ...given.map(number => Number(number.slice(1))));
  return Array.from({ length: count }, (_, i) => `S${String(last + 1 + i).padStart(3, '0')}`);
}
