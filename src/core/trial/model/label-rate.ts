import { z } from 'zod';

/** What a label's amount is meant for. */
export const RatePer = z.discriminatedUnion('kind', [
  /** Of the finished can; where a label says for how many plants it is, that many share it. */
  z.object({
    kind: z.literal('water'),
    ml: z.number().positive(),
    plants: z.number().positive().optional(),
  }),
  z.object({ kind: z.literal('plant') }),
  /** A pot, whatever its size; or one with so large an open top, and others by theirs. */
  z.object({ kind: z.literal('container'), m2: z.number().positive().optional() }),
  z.object({ kind: z.literal('area'), m2: z.number().positive() }),
  z.object({ kind: z.literal('mix'), ml: z.number().positive() }),
  /** So much of a row; null: a whole row, however long. */
  z.object({ kind: z.literal('row'), mm: z.number().positive().nullable() }),
]);
export type RatePer = z.infer<typeof RatePer>;

/** A rate as a label gives it: from so much to so much, g or ml, for something. Where it is one number, both are the same. */
export const LabelRate = z
  .object({
    of: z.enum(['mass', 'volume']),
    low: z.number().positive(),
    high: z.number().positive(),
    per: RatePer,
    asWritten: z.string().max(120),
    /** How often the label says: “weekly” is 7. */
    everyDays: z.number().positive().max(366).optional(),
  })
  .readonly()
  .refine(rate => rate.low <= rate.high);
export type LabelRate = z.infer<typeof LabelRate>;
