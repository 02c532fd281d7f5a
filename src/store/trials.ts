import { measuresBehind } from '@/core/measure/unit-value/derived-values';
import { NO_CARE } from '@/core/trial/model/care-plan';
import type { Measure } from '@/core/trial/model/measure';
import { Place } from '@/core/trial/model/place';
import { Factor, Treatment } from '@/core/trial/model/treatment';
import { Trial } from '@/core/trial/model/trial';
import type { TrialData } from '@/core/trial/model/trial-data';
import { Block, ExperimentalUnit } from '@/core/trial/model/unit';
import type { Database } from '@/store/connection/database';
import { carePlanOf, carePlansOf } from './care';
import { currentIncidents, currentPicks } from './entries';
import { layoutOf } from './layouts';
import { measureFrom } from './measures';
import { amendmentsOf, predictionsOf, regretsOf } from './plan-records';
import { productsOf } from './products';
import { currentReadings, lastReadings } from './readings';
import { jsonOf, type Row, readable } from './rows';

const trialOf = (row: Row): Trial =>
  Trial.parse({
    ...row,
    isBlind: Boolean(row.isBlind),
    rules: jsonOf(row.rules),
    money: jsonOf(row.money),
  });
const trialRow = ({ rules, money, ...facts }: Partial<Trial>): Row => ({
  ...facts,
  ...(rules === undefined ? {} : { rules: JSON.stringify(rules) }),
  ...(money === undefined ? {} : { money: money && JSON.stringify(money) }),
});

export async function findTrial(db: Database, id: string): Promise<Trial | undefined> {
  const row: Row | undefined = await db('trials').where({ id }).first();
  return row && trialOf(row);
}

/** All trials of a garden that can be read, the latest begun first. */
export async function trialsOf(db: Database, gardenId: string): Promise<readonly Trial[]> {
  const rows: readonly Row[] = await db('trials')
    .where({ gardenId })
    .orderBy([
      { column: 'startsOn', order: 'desc' },
      { column: 'id', order: 'desc' },
    ]);
  return readable(rows, trialOf);
}

/** Trials of which something can't be read that every list needs: by id, with the question as it stands there. */
export async function brokenTrials(
  db: Database,
  gardenId: string,
): Promise<readonly Pick<Trial, 'id' | 'question'>[]> {
  const rows: readonly Row[] = await db('trials').where({ gardenId });
  const ids = rows.map(row => String(row.id));
  const plans = await carePlansOf(db, ids);
  const sound = new Set(readable(rows, trialOf).map(trial => trial.id as string));
  return rows
    .filter(row => !sound.has(String(row.id)) || !plans.has(String(row.id)))
    .map(row => ({ id: String(row.id) as Trial['id'], question: String(row.question) }));
}

/**
 * One trial, whole.
 *
 * @param measureIds of its readings those behind these measures and the main one only: what a verdict asks for is a small part of a long season
 */
export async function findTrialData(
  db: Database,
  id: string,
  measureIds?: readonly string[],
): Promise<TrialData | undefined> {
  const trial = await findTrial(db, id);
  if (!trial) return undefined;
  const plan = await planOf(db, trial);
  const care = await carePlanOf(db, id);
  const isWanted = (measure: Measure): boolean =>
    measure.isMain || (measureIds ?? []).includes(measure.id);
  const behind = plan.measures
    .filter(isWanted)
    .flatMap(measure => measuresBehind(plan.measures, measure));
  return {
    ...plan,
    picks: await currentPicks(db, id),
    readings: await currentReadings(
      db,
      id,
      measureIds && [...new Set(behind.map(measure => measure.id))],
    ),
    incidents: await currentIncidents(db, id),
    care,
    products: (await productsOf(db, trial.gardenId, true)).filter(product =>
      care.rules.some(rule => rule.material?.productId === product.id),
    ),
    predictions: await predictionsOf(db, id),
    amendments: await amendmentsOf(db, id),
    regrets: await regretsOf(db, id),
  };
}

/** A trial as far as a walk asks: its plan, and of each part the last reading before a day and what stands of that day. */
export async function findWalkData(
  db: Database,
  id: string,
  day: string,
): Promise<TrialData | undefined> {
  const trial = await findTrial(db, id);
  return (
    trial && {
      ...(await planOf(db, trial)),
      picks: [],
      readings: await lastReadings(db, id, day),
      incidents: [],
      care: NO_CARE,
      products: [],
      predictions: [],
      amendments: [],
      regrets: [],
    }
  );
}

/** What a trial asks, however broken the rest of it may be. */
export async function questionOf(db: Database, id: string): Promise<string | undefined> {
  const row: { readonly question?: unknown } | undefined = await db('trials')
    .where({ id })
    .first('question');
  return typeof row?.question === 'string' ? row.question : undefined;
}

/** A trial as it was planned, without a single entry. */
export async function findPlan(
  db: Database,
  id: string,
): Promise<Awaited<ReturnType<typeof planOf>> | undefined> {
  const trial = await findTrial(db, id);
  return trial && planOf(db, trial);
}

async function planOf(
  db: Database,
  trial: Trial,
): Promise<
  Omit<
    TrialData,
    | 'picks'
    | 'readings'
    | 'incidents'
    | 'care'
    | 'products'
    | 'predictions'
    | 'amendments'
    | 'regrets'
  >
> {
  const { id } = trial;
  const rowsOf = (table: string, order: string): Promise<readonly Row[]> =>
    Promise.resolve(db(table).where({ trialId: id }).orderBy(order));
  const layout: Row | undefined = await db('layouts').where({ trialId: id }).first();
  return {
    format: 'turnspit-trial',
    version: 1,
    trial,
    factors: (await rowsOf('factors', 'position')).map(row =>
      Factor.parse({ ...row, levels: jsonOf(row.levels) }),
    ),
    treatments: (await rowsOf('treatments', 'position')).map(row =>
      Treatment.parse({ ...row, levels: jsonOf(row.levels) }),
    ),
    measures: (await rowsOf('measures', 'id')).map(measureFrom),
    layout: layout ? layoutOf(layout) : null,
    places: (await rowsOf('places', 'id')).map(row => Place.parse(row)),
    blocks: (await rowsOf('blocks', 'position')).map(row =>
      Block.parse({ ...row, about: jsonOf(row.about) }),
    ),
    units: (await rowsOf('units', 'position')).map(row =>
      ExperimentalUnit.parse({
        ...row,
        traits: jsonOf(row.traits),
        built: row.built === null ? null : jsonOf(row.built),
      }),
    ),
  };
}

export async function addTrial(db: Database, trial: Trial): Promise<void> {
  await db('trials').insert(trialRow(trial));
}

export async function changeTrial(
  db: Database,
  id: string,
  changes: Partial<Trial>,
): Promise<void> {
  await db('trials').where({ id }).update(trialRow(changes));
}
