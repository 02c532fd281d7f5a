import { z } from 'zod';

/** What a label's amount is meant for. */
export const RatePer = z.discriminatedUnion('kind', [
  z.object({ kind: z.literal('water'), ml: z.number().positive() }),
  z.object({ kind: z.literal('plant') }),
  z.object({ kind: z.literal('container') }),
  z.object({ kind: z.literal('area'), m2: z.number().positive() }),
  z.object({ kind: z.literal('mix'), ml: z.number().positive() }),
  z.object({ kind: z.literal('row'), mm: z.number().positive() }),
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
  })
  .readonly()
  .refine(rate => rate.low <= rate.high);
export type LabelRate = z.infer<typeof LabelRate>;
