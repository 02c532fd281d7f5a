import type { z } from 'zod';
import './plain-errors';

/** What is wrong with a form, one plain sentence a field. Keys are the fields' paths: `treatments.1.name`. */
export type FieldTroubles = Readonly<Record<string, string>>;

/** The first trouble of each field. */
export function fieldTroublesOf(error: z.ZodError): FieldTroubles {
  const troubles: Record<string, string> = {};
  for (const issue of error.issues) troubles[issue.path.join('.') || 'form'] ??= issue.message;
  return troubles;
}
