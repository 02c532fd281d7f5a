import { type CaredTrial, type DueToday, dueToday, hiddenDue, unitMeasuresOf } from '@/core/schedule/due-today';
import { success } from '@/core/result';
import { database } from '@/store/database';
import { productsOf } from '@/store/products';
import { caredTrials } from '@/store/cared-trials';
import { changeOneTrial } from './change-trial';
import { today } from './clock';
import { currentGarden } from './garden';

/** What is due over all running trials of the garden, and what to mix for it. What is in a blind trial's bottles is kept back. */
export async function listDue(): Promise<DueToday> {
  return hiddenDue(await allDue());
}

/** The same with what is in the bottles, for who mixes; each blind trial's log says that someone looked. */
export async function lookIntoBottles(): Promise<DueToday> {
  const due = await allDue();
  const blind = new Set(due.tasks.filter(({ trial }) => trial.isBlind && trial.keyOpenedAt === null).map(({ trial }) => trial.id));
  for (const trialId of blind) await changeOneTrial(trialId, async () => ({ what: 'bottles looked into', result: success(true) }));
  return due;
}

async function allDue(): Promise<DueToday> {
  const garden = await currentGarden();
  const db = database();
  const trials = (await caredTrials(db, garden.id, today())).map(({ place, ...cared }): CaredTrial => ({ ...cared, unit: unitMeasuresOf(place, cared.care.settings.mixMl) }));
  return dueToday(trials, await productsOf(db, garden.id, true), today());
}
