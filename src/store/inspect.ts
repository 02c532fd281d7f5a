import { Photo } from '@/core/image/photo';
import { SoilSample } from '@/core/measure/laboratory/soil-sample';
import { Tasting } from '@/core/trial/model/tasting';
import type { Database } from '@/store/connection/database';

type Row = Readonly<Record<string, unknown>>;

/** A trial's pictures, the first day first. */
export async function photosOf(db: Database, trialId: string): Promise<readonly Photo[]> {
  const rows: readonly Row[] = await db('photos').where({ trialId }).orderBy(['takenOn', 'keptAt']);
  return rows.map(row => Photo.parse(row));
}

export async function findPhoto(
  db: Database,
  trialId: string,
  id: string,
): Promise<Photo | undefined> {
  const row: Row | undefined = await db('photos').where({ id, trialId }).first();
  return row && Photo.parse(row);
}

/** Adds a picture. The same id sent twice changes nothing. */
export async function addPhoto(db: Database, trialId: string, photo: Photo): Promise<void> {
  await db('photos')
    .insert({ ...photo, trialId })
    .onConflict('id')
    .ignore();
}

export async function deletePhoto(db: Database, trialId: string, id: string): Promise<boolean> {
  return (await db('photos').where({ id, trialId }).delete()) > 0;
}

/** Says what the whole width of a picture measures. */
export async function measurePhoto(
  db: Database,
  trialId: string,
  id: string,
  widthMm: number,
): Promise<boolean> {
  return (await db('photos').where({ id, trialId }).update({ widthMm })) > 0;
}

/** A trial's bags of soil, by number. */
export async function samplesOf(db: Database, trialId: string): Promise<readonly SoilSample[]> {
  const rows: readonly Row[] = await db('soil_samples').where({ trialId }).orderBy('number');
  return rows.map(row => SoilSample.parse(row));
}

export async function addSamples(
  db: Database,
  trialId: string,
  samples: readonly SoilSample[],
): Promise<void> {
  await db.batchInsert(
    'soil_samples',
    samples.map(sample => ({ ...sample, trialId })),
    50,
  );
}

/** A trial's tastings, the first first. */
export async function tastingsOf(db: Database, trialId: string): Promise<readonly Tasting[]> {
  const rows: readonly Row[] = await db('tastings').where({ trialId }).orderBy('laidAt');
  return rows.map(row => Tasting.parse(row));
}

export async function addTasting(db: Database, trialId: string, tasting: Tasting): Promise<void> {
  await db('tastings').insert({ ...tasting, trialId });
}

/** Puts down how many found the odd cup, once. @returns whether it still stood open */
export async function countTasting(
  db: Database,
  trialId: string,
  id: string,
  correct: number,
): Promise<boolean> {
  return (await db('tastings').where({ id, trialId, correct: null }).update({ correct })) > 0;
}
