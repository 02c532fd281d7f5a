import { z } from 'zod';
import { parseQuantity } from '@/core/quantity/parse-quantity';
import { quantitySentence } from '@/core/quantity/quantity-sentence';
import type { MeasureSystem } from '@/core/quantity/unit-of-measure';
import { failure, type Result, success } from '@/core/result';
import { type FieldTroubles, fieldTroublesOf } from './field-troubles';

const whole = (least: number, most: number, what: string) => z.string().trim().regex(/^\d{1,4}$/, `Write a whole number of ${what}.`)
  .transform(Number).pipe(z.int().min(least, `At least ${least} ${what}.`).max(most, `At most ${most} ${what}.`));

/** A layout as it is typed. */
export const BenchForm = z.object({
  kind: z.enum(['complete-randomisation', 'complete-blocks']),
  /** Of each treatment: in all, or in each block. */
  unitsEach: whole(1, 60, 'units'),
  blockCount: whole(2, 24, 'blocks'),
  blockWord: z.string().trim().min(1, 'Say what a block is: shelf, bed, slope strip.').max(30, 'At most 30 characters.'),
  unitWidth: z.string().max(60, 'That is too long.'),
  isBlind: z.boolean(),
});

/** A layout that can be dealt. `unitsEach` counts over all blocks. */
export interface BenchWish {
  readonly kind: z.infer<typeof BenchForm>['kind'];
  readonly unitsEach: number;
  readonly blockCount: number;
  readonly blockWord: string;
  readonly unitWidthMm: number;
  readonly isBlind: boolean;
}

const MOST_UNITS = 240;

/** Reads a layout as it came from the form. A bare width is in cm or, in a US garden, in inches. */
export function readBench(input: unknown, system: MeasureSystem, treatments: number): Result<BenchWish, FieldTroubles> {
  const parsed = BenchForm.safeParse(input);
  if (!parsed.success) return failure(fieldTroublesOf(parsed.error));
  const form = parsed.data;
  const unitsEach = form.kind === 'complete-blocks' ? form.unitsEach * form.blockCount : form.unitsEach;
  if (unitsEach * treatments > MOST_UNITS) return failure({ unitsEach: `That makes ${unitsEach * treatments} units; at most ${MOST_UNITS} fit one trial.` });
  const width = parseQuantity(form.unitWidth, { system, dimension: 'length', bareUnit: system === 'us' ? 'in' : 'cm' });
  if (!width.ok) return failure({ unitWidth: quantitySentence(width.trouble) });
  if (width.value.base < 20 || width.value.base > 20_000) return failure({ unitWidth: 'Between 2 cm and 20 m across.' });
  return success({ ...form, unitsEach, unitWidthMm: width.value.base });
}
