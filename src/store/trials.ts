import { z } from 'zod';
import { NO_CARE } from '@/core/trial/model/care-plan';
import { Layout } from '@/core/trial/model/layout';
import type { Measure } from '@/core/trial/model/measure';
import { Place } from '@/core/trial/model/place';
import { Factor, Treatment } from '@/core/trial/model/treatment';
import { Trial } from '@/core/trial/model/trial';
import type { TrialData } from '@/core/trial/model/trial-data';
import { Block, ExperimentalUnit } from '@/core/trial/model/unit';
import type { Database } from '@/store/connection/database';
import { carePlanOf } from './care';
import { currentIncidents, currentPicks } from './entries';
import { measureFrom, measureRow } from './measures';
import { amendmentsOf, predictionsOf, regretsOf } from './plan-records';
import { productsOf } from './products';
import { currentReadings, lastReadings } from './readings';

type Row = Readonly<Record<string, unknown>>;

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
const jsonOf = (value: unknown): unknown => (typeof value === 'string' ? JSON.parse(value) : value);

const layoutOf = (row: Row): Layout =>
  Layout.parse({
    ...row,
    isTurned: Boolean(row.isTurned),
    isArrangedInSight: Boolean(row.isArrangedInSight),
    hasGuards: Boolean(row.hasGuards),
    site: jsonOf(row.site),
    raisedSizes: jsonOf(row.raisedSizes),
  });

export async function findTrial(db: Database, id: string): Promise<Trial | undefined> {
  const row: Row | undefined = await db('trials').where({ id }).first();
  return row && trialOf(row);
}

/** All trials of a garden, the latest begun first. */
export async function trialsOf(db: Database, gardenId: string): Promise<readonly Trial[]> {
  const rows: readonly Row[] = await db('trials')
    .where({ gardenId })
    .orderBy([
      { column: 'startsOn', order: 'desc' },
      { column: 'id', order: 'desc' },
    ]);
  return rows.map(trialOf);
}

/**
 * One trial, whole.
 *
 * @param measureIds of its readings those of these measures and of the main one only: what a verdict asks for is a small part of a long season
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
  return {
    ...plan,
    picks: await currentPicks(db, id),
    readings: await currentReadings(
      db,
      id,
      measureIds && plan.measures.filter(isWanted).map(measure => measure.id),
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
    blocks: (await rowsOf('blocks', 'position')).map(row => Block.parse(row)),
    units: (await rowsOf('units', 'position')).map(row =>
      ExperimentalUnit.parse({ ...row, traits: jsonOf(row.traits) }),
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
  await insertAll(
    db,
    'measures',
    question.measures.map(measure => measureRow(trialId, measure)),
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

/** A deal as it stands on the bench. */
export interface DealtLayout {
  readonly layout: Layout;
  readonly places: readonly Place[];
  readonly blocks: readonly Block[];
  readonly units: readonly ExperimentalUnit[];
}

/** Takes the deal away, with its units and places. Only for a plan that is not locked: readings would go with it. */
export async function clearLayout(db: Database, trialId: string): Promise<void> {
  for (const table of ['units', 'blocks', 'places', 'layouts'])
    await db(table).where({ trialId }).delete();
}

/** Puts a deal in place of the one that stood there. */
export async function putLayout(db: Database, trial: Trial, dealt: DealtLayout): Promise<void> {
  await clearLayout(db, trial.id);
  await db('layouts').insert({
    ...dealt.layout,
    site: JSON.stringify(dealt.layout.site),
    raisedSizes: JSON.stringify(dealt.layout.raisedSizes),
    trialId: trial.id,
  });
  await insertAll(
    db,
    'places',
    dealt.places.map(place => ({ ...place, trialId: trial.id, gardenId: trial.gardenId })),
  );
  await insertAll(
    db,
    'blocks',
    dealt.blocks.map(block => ({ ...block, trialId: trial.id })),
  );
  await insertAll(
    db,
    'units',
    dealt.units.map(unit => ({ ...unit, traits: JSON.stringify(unit.traits), trialId: trial.id })),
  );
}

/** Says at which level of the place tree each factor was dealt. */
export async function setFactorStratum(
  db: Database,
  trialId: string,
  factors: readonly Pick<Factor, 'name' | 'dealtAt'>[],
): Promise<void> {
  for (const { name, dealtAt } of factors)
    await db('factors').where({ trialId, name }).update({ dealtAt });
}

/** Puts places where they stand now, and says what is known of the site. */
export async function changeArrangement(
  db: Database,
  trialId: string,
  changes: {
    readonly places?: readonly Place[];
    readonly allPlaces?: readonly Place[];
    readonly layout?: Partial<Pick<Layout, 'isArrangedInSight' | 'hasGuards' | 'site'>>;
  },
): Promise<void> {
  for (const { id, xMm, yMm, widthMm, depthMm } of changes.places ?? [])
    await db('places').where({ id, trialId }).update({ xMm, yMm, widthMm, depthMm });
  if (changes.allPlaces) await putPlaces(db, trialId, changes.allPlaces);
  if (!changes.layout) return;
  const { site, ...facts } = changes.layout;
  await db('layouts')
    .where({ trialId })
    .update({ ...facts, ...(site === undefined ? {} : { site: JSON.stringify(site) }) });
}

/** Says what else is known to differ between units. */
export async function putTraits(
  db: Database,
  trialId: string,
  units: readonly Pick<ExperimentalUnit, 'id' | 'traits'>[],
): Promise<void> {
  for (const { id, traits } of units)
    await db('units')
      .where({ id, trialId })
      .update({ traits: JSON.stringify(traits) });
}

/** These places and no others; those that units stand on must be among them. */
async function putPlaces(db: Database, trialId: string, places: readonly Place[]): Promise<void> {
  const stood = await db('places').where({ trialId }).first('gardenId');
  await db('places')
    .where({ trialId })
    .whereNotIn(
      'id',
      places.map(place => place.id),
    )
    .delete();
  for (const place of places)
    await db('places')
      .insert({ ...place, trialId, ...stood })
      .onConflict('id')
      .merge();
}

/** Puts units on other places; their order is that of the places. */
export async function moveUnits(
  db: Database,
  trialId: string,
  units: readonly Pick<ExperimentalUnit, 'id' | 'placeId' | 'position'>[],
): Promise<void> {
  for (const { id, placeId, position } of units)
    await db('units').where({ id, trialId }).update({ placeId, position });
}

async function insertAll(db: Database, table: string, rows: readonly Row[]): Promise<void> {
  if (rows.length > 0) await db.batchInsert(table, [...rows], 50);
}

const UnitCount = z.object({ trialId: z.string(), units: z.number() });

/** How many units each trial has. */
export async function unitCounts(db: Database): Promise<ReadonlyMap<string, number>> {
  const rows: unknown[] = await db('units')
    .groupBy('trialId')
    .select('trialId')
    .count({ units: '*' });
  return new Map(rows.map(row => UnitCount.parse(row)).map(row => [row.trialId, row.units]));
}

const LastDay = z.object({ trialId: z.string(), day: z.string(), units: z.number() });
export type LastDay = z.infer<typeof LastDay>;

/** The last day on which each trial was picked or read, and how many of its units were. */
export async function lastDays(db: Database): Promise<ReadonlyMap<string, LastDay>> {
  const found = new Map<string, LastDay>();
  for (const [table, day] of [
    ['picks', 'pickedOn'],
    ['readings', 'takenOn'],
  ] as const) {
    const rows: unknown[] = await standing(db, table)
      .groupBy(`${table}.trialId`, `${table}.${day}`)
      .select(`${table}.trialId as trialId`, `${table}.${day} as day`)
      .countDistinct({ units: `${table}.unitId` });
    for (const row of rows.map(each => LastDay.parse(each))) {
      if (row.day > (found.get(row.trialId)?.day ?? '')) found.set(row.trialId, row);
    }
  }
  return found;
}

/** How many units of each trial have at least one standing pick or reading. */
export async function readCounts(db: Database): Promise<ReadonlyMap<string, number>> {
  const counts = new Map<string, number>();
  for (const table of ['picks', 'readings'] as const) {
    const rows: unknown[] = await standing(db, table)
      .groupBy(`${table}.trialId`)
      .select(`${table}.trialId as trialId`)
      .countDistinct({ units: `${table}.unitId` });
    for (const row of rows.map(found => UnitCount.parse(found)))
      counts.set(row.trialId, Math.max(counts.get(row.trialId) ?? 0, row.units));
  }
  return counts;
}

function standing(db: Database, table: 'picks' | 'readings') {
  return db(table)
    .leftJoin(`${table} as later`, 'later.supersedes', `${table}.id`)
    .where(`${table}.isRemoval`, false)
    .whereNull('later.id');
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
  await db('predictions').where({ trialId, expects: from }).update({ expects: to.name });
}
