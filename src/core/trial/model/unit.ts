import { z } from 'zod';
import { AsBuilt } from './as-built';
import { BlockId, PlaceId, TreatmentId, UnitId } from './ids';
import { Name } from './limits';

// The whole trial as one plain object: what core takes, what the worker gets, and the open file format.
/** What is known of a block that is a garden of its own: where it lies, its soil, who looks after it. */
export const BlockAbout = z
  .object({
    place: z.string().trim().max(120, 'At most 120 characters.').default(''),
    soil: z.string().trim().max(60, 'At most 60 characters.').default(''),
    person: z.string().trim().max(80, 'At most 80 characters.').default(''),
  })
  .readonly();
export type BlockAbout = z.infer<typeof BlockAbout>;

export const NOTHING_ABOUT: BlockAbout = { place: '', soil: '', person: '' };

/** Units alike but for the treatment. */
export const Block = z
  .object({
    id: BlockId,
    name: Name,
    position: z.int().min(0),
    placeId: PlaceId.nullable(),
    about: BlockAbout.default(NOTHING_ABOUT),
  })
  .readonly();
export type Block = z.infer<typeof Block>;

/** An experimental unit: what a treatment was dealt to. */
export const ExperimentalUnit = z
  .object({
    id: UnitId,
    code: z.string().regex(/^[A-Z]{2}\d$/),
    placeId: PlaceId,
    blockId: BlockId.nullable(),
    treatmentId: TreatmentId,
    position: z.int().min(0),
    /** Of a Latin square: its column, from 0. */
    column: z.int().min(0).nullable().default(null),
    /** Of a split plot: the name of the bed it lies in. */
    wholePlot: z.string().max(120).nullable().default(null),
    /** Its size before the deal, in the gardener's own unit. */
    startSize: z.number().nullable().default(null),
    /** Its number among all plants that were raised and measured. */
    plant: z.int().min(1).nullable().default(null),
    /** What else is known to differ between units, by its name: variety, container, batch of the mix, who planted it. */
    traits: z.record(z.string().min(1).max(40), z.string().min(1).max(60)).default({}),
    /** What it really is, where somebody said so. */
    built: AsBuilt.nullable().default(null),
  })
  .readonly();
export type ExperimentalUnit = z.infer<typeof ExperimentalUnit>;
