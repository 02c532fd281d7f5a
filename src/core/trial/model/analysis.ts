import { z } from 'zod';
import { Nutrient } from './nutrient';

/** How a label counts phosphorus and potassium: as P2O5 and K2O, or as the elements. */
export const AnalysisBasis = z.enum(['oxide', 'element']);
export type AnalysisBasis = z.infer<typeof AnalysisBasis>;

const Percent = z.number().min(0).max(100);

/** A guaranteed analysis as its label prints it. */
export const Analysis = z
  .object({
    basis: AnalysisBasis,
    /** Grams in 100 g, or grams in 100 ml. */
    per: z.enum(['w/w', 'w/v']),
    n: Percent,
    p: Percent,
    k: Percent,
    /** Secondary and trace elements, as the element. */
    others: z.partialRecord(Nutrient, Percent).default({}),
  })
  .readonly();
export type Analysis = z.infer<typeof Analysis>;
