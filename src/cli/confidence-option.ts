import { z } from 'zod';
import { option } from './option';

const Confidence = z
  .string()
  .regex(/^[0-9.]+$/)
  .transform(Number)
  .pipe(z.number().min(0.5).lt(1));

/** Reads `--confidence`, 0.95 where it is not there. */
export function confidenceOption(written: string | undefined): number {
  return option(Confidence, written ?? '0.95', '--confidence', 'a number from 0.5 to below 1');
}
