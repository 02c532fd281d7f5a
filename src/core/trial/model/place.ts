import { z } from 'zod';
import { PlaceId } from './ids';
import { Name } from './limits';

// The whole trial as one plain object: what core takes, what the worker gets, and the open file format.
export const PlaceKind = z.enum([
  'garden',
  'bench',
  'shelf',
  'bed',
  'pot',
  'plot',
  'plant',
  'guard',
]);
export type PlaceKind = z.infer<typeof PlaceKind>;

/** Where something stands: a node of the tree ground > bench > shelf > bed > pot. Sizes in mm, offsets from the parent. A guard is a plant that nobody reads. */
export const Place = z
  .object({
    id: PlaceId,
    parentId: PlaceId.nullable(),
    kind: PlaceKind,
    name: Name,
    shape: z.enum(['round', 'square']),
    xMm: z.number(),
    yMm: z.number(),
    widthMm: z.number().positive(),
    depthMm: z.number().positive(),
  })
  .readonly();
export type Place = z.infer<typeof Place>;
