import { z } from 'zod';
import type { Database } from '@/store/connection/database';

/** One line of the log: what was done, to what, when. */
export const Change = z
  .object({
    at: z.string(),
    trialId: z.string().nullable(),
    what: z.string(),
    subjectId: z.string().nullable(),
    detail: z.string(),
  })
  .readonly();
export type Change = z.infer<typeof Change>;

export async function logChange(db: Database, change: Change): Promise<void> {
  await db('changes').insert({ ...change });
}

/** A trial's log, newest first. */
export async function changesOf(db: Database, trialId: string): Promise<readonly Change[]> {
  const rows: readonly unknown[] = await db('changes')
    .where({ trialId })
    .orderBy('sequence', 'desc');
  return rows.map(row => Change.parse(row));
}
