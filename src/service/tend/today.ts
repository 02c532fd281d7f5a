import { success } from '@/core/result';
import {
  type CaredTrial,
  type DueToday,
  dueToday,
  unitMeasuresOf,
} from '@/core/schedule/tasks/due-today';
import { hiddenDue } from '@/core/schedule/tasks/hidden-due';
import type { CarePlan } from '@/core/trial/model/care-plan';
import { today } from '@/service/garden/clock';
import { currentGarden } from '@/service/garden/garden';
import { recentWeather } from '@/service/garden/weather';
import { changeOneTrial } from '@/service/trial/change-trial';
import { caredTrials } from '@/store/cared-trials';
import { database } from '@/store/connection/database';
import { productsOf } from '@/store/products';
import { taskAlias } from './task-alias';

/** What is due over all running trials of the garden, and what to mix for it. What is in a blind trial's bottles is kept back. */
export async function listDue(): Promise<DueToday> {
  const { due, trials } = await allDue();
  const bottlesOf = new Map<string, CarePlan['bottles']>(
    trials.map(({ trial, care }) => [trial.id, care.bottles]),
  );
  return hiddenDue(due, (trialId, ruleId) =>
    taskAlias(trialId, ruleId, bottlesOf.get(trialId) ?? {}),
  );
}

/** The same with what is in the bottles, for who mixes; each blind trial's log says that someone looked. */
export async function lookIntoBottles(): Promise<DueToday> {
  const { due } = await allDue();
  const blind = new Set(
    due.tasks
      .filter(({ trial }) => trial.isBlind && trial.keyOpenedAt === null)
      .map(({ trial }) => trial.id),
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

async function allDue(): Promise<{
  readonly due: DueToday;
  readonly trials: readonly CaredTrial[];
}> {
  const garden = await currentGarden();
  const db = database();
  const trials = (await caredTrials(db, garden.id, today())).map(
    ({ place, ...cared }): CaredTrial => ({
      ...cared,
      unit: unitMeasuresOf(place, cared.care.settings.mixMl),
    }),
  );
  return {
    due: dueToday(
      trials,
      await productsOf(db, garden.id, true),
      today(),
      await recentWeather(RAIN_DAYS),
    ),
    trials,
  };
}
