import type { Database } from '@/store/connection/database';

/** The ids of the trials that were put away. */
export async function putAwayIds(db: Database): Promise<ReadonlySet<string>> {
  const rows: readonly { readonly trialId: string }[] = await db('put_away').select('trialId');
  return new Set(rows.map(row => row.trialId));
}

export async function putAway(db: Database, trialId: string, at: string): Promise<void> {
  await db('put_away').insert({ trialId, at }).onConflict('trialId').ignore();
}

export async function bringBack(db: Database, trialId: string): Promise<void> {
  await db('put_away').where({ trialId }).del();
}

/** Deletes a trial with all it holds, but what the log says of it. */
export async function deleteTrialRows(db: Database, trialId: string): Promise<void> {
  await db('trials').where({ id: trialId }).del();
}
