import { z } from 'zod';
import { TrialId } from './ids';
import { Name, Seed } from './limits';

// The whole trial as one plain object: what core takes, what the worker gets, and the open file format.
/** In the order in which they are offered. */
export const LayoutKind = z.enum([
  'complete-blocks',
  'complete-randomisation',
  'pairs',
  'latin-square',
  'split-plot',
  'incomplete-blocks',
  'several-gardens',
]);
export type LayoutKind = z.infer<typeof LayoutKind>;

/** Something about the place that makes one end of the bench better than the other. */
export const SiteFeature = z
  .object({
    kind: z.enum(['slope', 'light', 'wall', 'fence', 'tap', 'traffic']),
    /** Where it is strongest, the bench seen from above. */
    side: z.enum(['left', 'right', 'far', 'near']),
    /** What a plant where it is strongest would give more or less than one where it is not felt, in %. */
    percent: z.number().positive().max(100),
    /** Where it runs, in mm from the far left corner: the two ends of a wall, fence or path, twice the one point of a tap. null: along its side. */
    line: z
      .object({ x1Mm: z.number(), y1Mm: z.number(), x2Mm: z.number(), y2Mm: z.number() })
      .readonly()
      .nullable()
      .default(null),
    /** How far it is felt: here its effect has fallen to 37%. null: 30% of the bench. */
    reachMm: z.number().positive().max(50_000).nullable().default(null),
  })
  .readonly();
export type SiteFeature = z.infer<typeof SiteFeature>;

/** How the units were dealt: plan, seed and method version reproduce it exactly. */
export const Layout = z
  .object({
    kind: LayoutKind,
    unitsEach: z.int().min(1),
    blockWord: Name,
    blockCount: z.int().min(0),
    seed: Seed,
    methodVersion: z.int(),
    deals: z.int().min(1),
    /** Of a Latin square: what a column is. */
    columnWord: Name.nullable().default(null),
    /** Of a split plot: what a whole plot is, and the factor that was dealt to those. */
    wholeWord: Name.nullable().default(null),
    wholeFactor: Name.nullable().default(null),
    /** Of incomplete blocks: units in each. */
    perBlock: z.int().min(2).nullable().default(null),
    /** Units of the control in each block (or in all), where it gets more than the others. */
    controlEach: z.int().min(1).nullable().default(null),
    /** The largest imbalance of start sizes that the deal was allowed. */
    mostImbalance: z.number().min(0).nullable().default(null),
    /** Sizes of all plants that were raised, as they were listed; those set aside among them. */
    raisedSizes: z.array(z.number()).max(1000).readonly().default([]),
    /** How many benches or beds the blocks are shared out to. */
    benches: z.int().min(1).max(12).default(1),
    /** Blocks stand beside each other as columns, not below each other as rows. */
    isTurned: z.boolean().default(false),
    /** Places were moved by hand since the deal, with the treatments in sight. */
    isArrangedInSight: z.boolean().default(false),
    /** Plants that nobody reads stand round the bench. */
    hasGuards: z.boolean().default(false),
    /** It was brought in as a table: how it was dealt is not known. */
    isGiven: z.boolean().default(false),
    /** The trial whose deal it is, where what that one left in the ground is asked: it is never dealt anew. */
    keptFrom: TrialId.nullable().default(null),
    site: z.array(SiteFeature).max(12).readonly().default([]),
  })
  .readonly();
export type Layout = z.infer<typeof Layout>;
