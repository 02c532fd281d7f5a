import type { Measure } from '@/core/trial/model/measure';
import type { Factor, Treatment } from '@/core/trial/model/treatment';
import type { Database } from '@/store/connection/database';
import { measureRow } from './measures';
import { renameInPredictions } from './plan-records';
import { insertAll } from './rows';

/** Puts a trial's question in place of what stood there: what is compared, and what is made from picks. */
export async function putQuestion(
  db: Database,
  trialId: string,
  question: {
    readonly factors: readonly Factor[];
    readonly treatments: readonly Treatment[];
    readonly measures: readonly Measure[];
  },
): Promise<void> {
  for (const table of ['factors', 'treatments']) await db(table).where({ trialId }).delete();
  // What is read beside the harvest was chosen apart, and stays; unless it is, or was, what the question is about.
  const mainKeys = question.measures.flatMap(measure =>
    measure.isMain && measure.kindKey !== null ? [measure.kindKey] : [],
  );
  await db('measures')
    .where({ trialId })
    .where(old => old.whereNull('scale').orWhere({ isMain: true }).orWhereIn('kindKey', mainKeys))
    .delete();
  await insertAll(
    db,
    'factors',
    question.factors.map((factor, position) => ({
      ...factor,
      trialId,
      position,
      levels: JSON.stringify(factor.levels),
    })),
  );
  await insertAll(
    db,
    'treatments',
    question.treatments.map(treatment => ({
      ...treatment,
      trialId,
      levels: JSON.stringify(treatment.levels),
    })),
  );
  // What a derived measure is worked out of may be read already.
  const kept = new Set<unknown>(await db('measures').where({ trialId }).pluck('kindKey'));
  await insertAll(
    db,
    'measures',
    question.measures
      .filter(measure => measure.isMain || measure.kindKey === null || !kept.has(measure.kindKey))
      .map(measure => measureRow(trialId, measure)),
  );
}

/** Puts another margin in place of a measure's. */
export async function changeMargin(
  db: Database,
  measureId: string,
  margin: NonNullable<Measure['margin']>,
): Promise<void> {
  await db('measures')
    .where({ id: measureId })
    .update({ margin: JSON.stringify(margin) });
}

/** Calls a level by another name: its treatment, the factor's list, and what was predicted of it. */
export async function renameLevel(
  db: Database,
  trialId: string,
  from: string,
  to: Treatment,
  factors: readonly Factor[],
): Promise<void> {
  await db('treatments')
    .where({ id: to.id })
    .update({ name: to.name, dose: to.dose, levels: JSON.stringify(to.levels) });
  for (const factor of factors)
    await db('factors')
      .where({ trialId, name: factor.name })
      .update({
        levels: JSON.stringify(factor.levels.map(level => (level === from ? to.name : level))),
      });
  await renameInPredictions(db, trialId, from, to.name);
}
