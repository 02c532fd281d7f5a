import { z } from 'zod';
import { CalendarDay } from '@/core/time/garden-day';

const Words = z.string().max(60);

/** What a unit really is, as somebody put it down: nothing here is guessed from a drawing. Yields are counted by it. */
export const AsBuilt = z
  .object({
    /** Ground, or the open top. */
    areaM2: z.number().positive().max(100_000).nullable(),
    /** Mix that was filled in. */
    mixMl: z.number().positive().max(10_000_000).nullable(),
    /** Planted, whether they lived or not. */
    plants: z.int().min(1).max(100_000).nullable(),
    /** Seed or tubers that were planted, all together. */
    seedG: z.number().positive().max(1_000_000).nullable(),
    /** How deep they were planted. */
    plantedMm: z.number().positive().max(2000).nullable(),
    plantedOn: CalendarDay.nullable(),
    /** Of the seed or tubers: which bag or crate. */
    lot: Words,
    container: Words,
    medium: Words,
  })
  .readonly();
export type AsBuilt = z.infer<typeof AsBuilt>;

export const NOT_SAID: AsBuilt = {
  areaM2: null,
  mixMl: null,
  plants: null,
  seedG: null,
  plantedMm: null,
  plantedOn: null,
  lot: '',
  container: '',
  medium: '',
};
