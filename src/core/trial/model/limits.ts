import { z } from 'zod';

export const Name = z.string().trim().min(1).max(120);

export const Note = z.string().max(2000);

export const Seed = z
  .int()
  .min(0)
  .max(2 ** 32 - 1);
