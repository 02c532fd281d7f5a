import { Amendment, Prediction, Regret } from '@/core/trial/model/plan-record';
import type { Database } from '@/store/connection/database';

type Row = Readonly<Record<string, unknown>>;

/** What was predicted of a trial, in the order in which it was sealed. */
export async function predictionsOf(db: Database, trialId: string): Promise<readonly Prediction[]> {
  const rows: readonly Row[] = await db('predictions')
    .where({ trialId })
    .orderBy(['sealedAt', 'id']);
  return rows.map(row => Prediction.parse(row));
}

/** Adds a prediction. The same id sent twice changes nothing. */
export async function addPrediction(
  db: Database,
  trialId: string,
  prediction: Prediction,
): Promise<void> {
  await db('predictions')
    .insert({ ...prediction, trialId })
    .onConflict('id')
    .ignore();
}

/** How a trial's plan was changed after its lock, oldest first. */
export async function amendmentsOf(db: Database, trialId: string): Promise<readonly Amendment[]> {
  const rows: readonly Row[] = await db('amendments').where({ trialId }).orderBy(['at', 'id']);
  return rows.map(row => Amendment.parse({ ...row, afterKeyOpened: Boolean(row.afterKeyOpened) }));
}

export async function addAmendment(
  db: Database,
  trialId: string,
  amendment: Amendment,
): Promise<void> {
  await db('amendments').insert({ ...amendment, trialId });
}

/** What somebody would do otherwise, oldest first. */
export async function regretsOf(db: Database, trialId: string): Promise<readonly Regret[]> {
  const rows: readonly Row[] = await db('regrets').where({ trialId }).orderBy(['at', 'id']);
  return rows.map(row => Regret.parse(row));
}

export async function addRegret(db: Database, trialId: string, regret: Regret): Promise<void> {
  await db('regrets').insert({ ...regret, trialId });
}

/** All that was ever predicted of which treatment does best, by trial. */
export async function guessesByTrial(
  db: Database,
): Promise<ReadonlyMap<string, readonly Prediction[]>> {
  const rows: readonly Row[] = await db('predictions')
    .where({ about: '' })
    .orderBy(['sealedAt', 'id']);
  const found = new Map<string, Prediction[]>();
  for (const row of rows)
    found.set(String(row.trialId), [
      ...(found.get(String(row.trialId)) ?? []),
      Prediction.parse(row),
    ]);
  return found;
}
