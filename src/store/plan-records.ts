import { Amendment, Prediction, Regret } from '@/core/trial/model/plan-record';
import { predictionRenamed } from '@/core/trial/prediction-renamed';
import type { Database } from '@/store/connection/database';

type Row = Readonly<Record<string, unknown>>;

/** What was predicted of a trial, in the order in which it was sealed. */
export async function predictionsOf(db: Database, trialId: string): Promise<readonly Prediction[]> {
  const rows: readonly Row[] = await db('predictions')
    .where({ trialId })
    .orderBy(['sealedAt', 'id']);
  return rows.map(predictionFrom);
}

/** Adds a prediction. The same id sent twice changes nothing. */
export async function addPrediction(
  db: Database,
  trialId: string,
  prediction: Prediction,
): Promise<void> {
  await db('predictions')
    .insert({ ...prediction, foretold: foretoldText(prediction), trialId })
    .onConflict('id')
    .ignore();
}

function predictionFrom(row: Row): Prediction {
  const { foretold } = row;
  return Prediction.parse({
    ...row,
    foretold: typeof foretold === 'string' ? JSON.parse(foretold) : null,
  });
}

function foretoldText({ foretold }: Pick<Prediction, 'foretold'>): string | null {
  return foretold === null ? null : JSON.stringify(foretold);
}

/** Calls a treatment or a level by another name in all that was predicted of its trial. */
export async function renameInPredictions(
  db: Database,
  trialId: string,
  from: string,
  to: string,
): Promise<void> {
  for (const prediction of await predictionsOf(db, trialId)) {
    const renamed = predictionRenamed(prediction, from, to);
    await db('predictions')
      .where({ id: prediction.id })
      .update({ expects: renamed.expects, foretold: foretoldText(renamed) });
  }
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
      predictionFrom(row),
    ]);
  return found;
}
