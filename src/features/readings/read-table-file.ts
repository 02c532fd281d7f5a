import { z } from 'zod';
import { failure, type Result, success } from '@/core/result';

const Answer = z.object({ csv: z.string().optional(), trouble: z.string().optional() });

/** A file of a table as CSV text: what is no text is a spreadsheet, which the server reads. Otherwise a sentence. */
export async function readTableFile(file: File): Promise<Result<string, string>> {
  if (!/\.(xlsx|ods)$/i.test(file.name)) return success(await file.text());
  try {
    const response = await fetch('/api/spreadsheet', { method: 'POST', body: file });
    const { csv, trouble } = Answer.parse(await response.json());
    return csv === undefined ? failure(trouble ?? NOT_SENT) : success(csv);
  } catch {
    return failure(NOT_SENT);
  }
}

const NOT_SENT = 'The file could not be sent. Is Turnspit still running?';
