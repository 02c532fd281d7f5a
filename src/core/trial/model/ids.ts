import { z } from 'zod';

// UUIDv7, made by whoever creates the row, so that an entry made offline keeps its id and can be sent twice.
export const GardenId = z.uuidv7().brand<'GardenId'>();
export type GardenId = z.infer<typeof GardenId>;
export const TrialId = z.uuidv7().brand<'TrialId'>();
export type TrialId = z.infer<typeof TrialId>;
export const TreatmentId = z.uuidv7().brand<'TreatmentId'>();
export type TreatmentId = z.infer<typeof TreatmentId>;
export const PlaceId = z.uuidv7().brand<'PlaceId'>();
export type PlaceId = z.infer<typeof PlaceId>;
export const BlockId = z.uuidv7().brand<'BlockId'>();
export type BlockId = z.infer<typeof BlockId>;
export const UnitId = z.uuidv7().brand<'UnitId'>();
export type UnitId = z.infer<typeof UnitId>;
export const MeasureId = z.uuidv7().brand<'MeasureId'>();
export type MeasureId = z.infer<typeof MeasureId>;
export const ReadingId = z.uuidv7().brand<'ReadingId'>();
export type ReadingId = z.infer<typeof ReadingId>;
export const PickId = z.uuidv7().brand<'PickId'>();
export type PickId = z.infer<typeof PickId>;
export const IncidentId = z.uuidv7().brand<'IncidentId'>();
export type IncidentId = z.infer<typeof IncidentId>;
