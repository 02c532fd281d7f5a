import { Layout } from '@/core/trial/model/layout';
import type { Place } from '@/core/trial/model/place';
import type { Factor } from '@/core/trial/model/treatment';
import type { Trial } from '@/core/trial/model/trial';
import type { Block, ExperimentalUnit } from '@/core/trial/model/unit';
import type { Database } from '@/store/connection/database';
import { insertAll, jsonOf, type Row } from './rows';

export const layoutOf = (row: Row): Layout =>
  Layout.parse({
    ...row,
    isTurned: Boolean(row.isTurned),
    isArrangedInSight: Boolean(row.isArrangedInSight),
    isGiven: Boolean(row.isGiven),
    hasGuards: Boolean(row.hasGuards),
    site: jsonOf(row.site),
    raisedSizes: jsonOf(row.raisedSizes),
  });

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
    dealt.blocks.map(block => ({
      ...block,
      about: JSON.stringify(block.about),
      trialId: trial.id,
    })),
  );
  await insertAll(
    db,
    'units',
    dealt.units.map(unit => ({
      ...unit,
      traits: JSON.stringify(unit.traits),
      built: unit.built && JSON.stringify(unit.built),
      trialId: trial.id,
    })),
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

/** Calls a block, and the place it lies in, by another name, and keeps what is known of it. */
export async function nameBlock(
  db: Database,
  trialId: string,
  { id, name, placeId, about }: Pick<Block, 'id' | 'name' | 'placeId' | 'about'>,
): Promise<void> {
  await db('blocks')
    .where({ id, trialId })
    .update({ name, about: JSON.stringify(about) });
  if (placeId !== null) await db('places').where({ id: placeId, trialId }).update({ name });
}

/** Says what units really are. */
export async function putBuilt(
  db: Database,
  trialId: string,
  units: readonly Pick<ExperimentalUnit, 'id' | 'built'>[],
): Promise<void> {
  for (const { id, built } of units)
    await db('units')
      .where({ id, trialId })
      .update({ built: built && JSON.stringify(built) });
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
