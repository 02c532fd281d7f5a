import type { z } from 'zod';
import { refuse } from './refuse';

/** Reads an option's text, or refuses it by name with what was expected. */
export function option<Value>(
  schema: z.ZodType<Value>,
  written: string,
  name: string,
  expected: string,
): Value {
  const parsed = schema.safeParse(written);
  if (parsed.success) return parsed.data;
  return refuse(
    written === ''
      ? `${name} is missing: ${expected}.`
      : `${name} must be ${expected}, got ${written}.`,
  );
}
