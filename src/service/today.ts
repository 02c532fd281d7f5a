import { type CaredTrial, type DueToday, dueToday, unitMeasuresOf } from '@/core/schedule/due-today';
import { database } from '@/store/database';
import { productsOf } from '@/store/products';
import { caredTrials } from '@/store/cared-trials';
import { today } from './clock';
import { currentGarden } from './garden';

/** What is due over all running trials of the garden, and what to mix for it. */
export async function listDue(): Promise<DueToday> {
  const garden = await currentGarden();
  const db = database();
  const trials = (await caredTrials(db, garden.id)).map(({ place, ...cared }): CaredTrial => ({ ...cared, unit: unitMeasuresOf(place, cared.care.settings.mixMl) }));
  return dueToday(trials, await productsOf(db, garden.id, true), today());
}
