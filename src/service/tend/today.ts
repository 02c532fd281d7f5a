import { type SeenDue, seenDue } from '@/core/blinding/bottle-steps';
import { success } from '@/core/result';
import type { CaredTrial } from '@/core/schedule/tasks/cared-trial';
import { type DueToday, dueToday } from '@/core/schedule/tasks/due-today';
import { unitMeasuresOf } from '@/core/schedule/tasks/unit-measures';
import { isKeyOpen } from '@/core/trial/key';
import { today } from '@/service/garden/clock';
import { currentGarden } from '@/service/garden/garden';
import { recentWeather } from '@/service/garden/weather';
import { changeOneTrial } from '@/service/trial/change-trial';
import { caredTrials } from '@/store/cared-trials';
import { database } from '@/store/connection/database';
import { type ReadShelf, readShelf } from '@/store/products';

/** What is due over all running trials of the garden, and what to mix for it. What is in a blind trial's bottles is kept back. */
export async function listDue(): Promise<SeenDue> {
  return seenDue(await allDue());
}

/** The same with what is in the bottles, for who mixes; each blind trial's log says that someone looked. */
export async function lookIntoBottles(): Promise<DueToday> {
  const due = await allDue();
  const blind = new Set(
    due.tasks.filter(({ trial }) => !isKeyOpen(trial)).map(({ trial }) => trial.id),
  );
  for (const trialId of blind)
    await changeOneTrial(trialId, async () => ({
      what: 'bottles looked into',
      result: success(true),
    }));
  return due;
}

// What was sprayed before has been made up for or missed by now.
const RAIN_DAYS = 10;

async function allDue(): Promise<DueToday> {
  const garden = await currentGarden();
  const db = database();
  const trials = (await caredTrials(db, garden.id, today())).map(
    ({ place, ...cared }): CaredTrial => ({
      ...cared,
      unit: unitMeasuresOf(place, cared.care.settings.mixMl, cared.units),
    }),
  );
  const { products, broken } = await readShelf(db, garden.id, true);
  const due = dueToday(trials, products, today(), await recentWeather(RAIN_DAYS));
  // A step that can't say what is given, how much and how to handle it, is none to follow.
  const untold = rulesWith(broken, trials);
  return { ...due, tasks: due.tasks.filter(({ rule }) => !untold.has(rule.id)) };
}

function rulesWith(
  products: ReadShelf['broken'],
  trials: readonly CaredTrial[],
): ReadonlySet<string> {
  const ids = new Set(products.map(product => product.id));
  const rules = trials.flatMap(({ care }) => care.rules);
  return new Set(
    rules.flatMap(({ id, material }) => (material && ids.has(material.productId) ? [id] : [])),
  );
}
