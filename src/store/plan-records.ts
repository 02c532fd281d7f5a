import { Amendment, Prediction } from '@/core/trial/trial-data';
import type { Database } from './database';

type Row = Readonly<Record<string, unknown>>;

/** What was predicted of a trial, in the order in which it was sealed. */
export async function predictionsOf(db: Database, trialId: string): Promise<readonly Prediction[]> {
  const rows: readonly Row[] = await db('predictions').where({ trialId }).orderBy(['sealedAt', 'id']);
  return rows.map(row => Prediction.parse(row));
}

/** Adds a prediction. The same id sent twice changes nothing. */
export async function addPrediction(db: Database, trialId: string, prediction: Prediction): Promise<void> {
  await db('predictions').insert({ ...prediction, trialId }).onConflict('id').ignore();
}

/** How a trial's plan was changed after its lock, oldest first. */
export async function amendmentsOf(db: Database, trialId: string): Promise<readonly Amendment[]> {
  const rows: readonly Row[] = await db('amendments').where({ trialId }).orderBy(['at', 'id']);
  return rows.map(row => Amendment.parse({ ...row, afterKeyOpened: Boolean(row.afterKeyOpened) }));
}

export async function addAmendment(db: Database, trialId: string, amendment: Amendment): Promise<void> {
  await db('amendments').insert({ ...amendment, trialId });
}
