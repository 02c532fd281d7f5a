import { z } from 'zod';
import { TrialData } from '@/core/trial/model/trial-data';
import { Protocol } from './protocol';
import { ResultsFile } from './results-file';

/** The shapes of the files that leave a garden as JSON Schema (2020-12), by their format. What a file may leave out may be left out here. */
export function fileSchemas(): Readonly<Record<string, unknown>> {
  const of = (schema: z.ZodType): unknown => z.toJSONSchema(schema, { io: 'input' });
  return {
    'turnspit-trial': of(TrialData),
    'turnspit-protocol': of(Protocol),
    'turnspit-results': of(ResultsFile),
  };
}
