import { z } from 'zod';

export const Name = z.string().trim().min(1).max(120);

/** Days from a trial’s start to its end: three years. A trial is one question in one season. */
export const LONGEST_DAYS = 1100;

export const Note = z.string().max(2000);

export const Seed = z
  .int()
  .min(0)
  .max(2 ** 32 - 1);
