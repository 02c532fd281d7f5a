import { doseOf } from '@/core/materials/dose/given-dose';
import type { Measured } from '@/core/materials/label/analysis';
import {
  forbiddenPairs,
  mixingList,
  type NeedOfTask,
  type ToMix,
} from '@/core/schedule/supplies/mixing-list';
import { addDays, type CalendarDay } from '@/core/time/garden-day';
import { type CarePlan, doneTasks, settledIds, type TaskDone } from '@/core/trial/model/care-plan';
import type { CareRule } from '@/core/trial/model/care-rule';
import type { Product } from '@/core/trial/model/product';
import type { Trial } from '@/core/trial/model/trial';
import type { WeatherDay } from '@/core/weather/weather-day';
import type { CaredTrial } from './cared-trial';
import { type Receiver, receiversBySize } from './receivers';
import { dueTasks, LATEST_DAYS, type TrackedTask, trackedTasks } from './task-state';
import { type Season, type Task, tasksOf, type WashedOff } from './tasks';
import { holding, washedOffSteps } from './washed-off';

/** A step that is due or late: no more of its trial and rule than its line shows, since a morning may hold hundreds. */
export interface DueTask {
  readonly trial: Pick<Trial, 'id' | 'question' | 'unitWord' | 'isBlind' | 'keyOpenedAt'>;
  readonly rule: Pick<CareRule, 'id' | 'name' | 'kind' | 'treatmentIds'>;
  /** Water that each unit gets with it. */
  readonly waterMl: number | null;
  readonly task: TrackedTask;
  readonly receivers: readonly Receiver[];
  readonly units: number;
  /** What each unit gets; null for what takes no product, or where the unit lacks a measure that the rate counts by. */
  readonly each: Measured | null;
  readonly product: Pick<Product, 'id' | 'name'> | null;
}

/** All that is due over all trials, and what to mix for it. */
export interface DueToday {
  readonly tasks: readonly DueTask[];
  readonly mixing: readonly ToMix[];
  readonly forbidden: ReturnType<typeof forbiddenPairs>;
}

type RainDay = Pick<WeatherDay, 'day' | 'rainMm'>;
type Dated = Pick<Trial, 'startsOn' | 'endsOn'>;

/** A trial's tasks with where each stands today. */
export function careTasks(
  { trial, care }: { readonly trial: Dated; readonly care: CarePlan },
  today: CalendarDay,
  rain: readonly RainDay[] = [],
): readonly TrackedTask[] {
  const done = doneTasks(care.acts);
  const washedOff = washedOffSteps(care.rules, done, rain);
  const tasks = trackedTasks(
    dated(trial, care, holding(done, washedOff), washedOff),
    holding(done, washedOff),
    today,
    care.settings.missed,
  );
  const itself = byThemselves(care);
  return itself.size === 0
    ? tasks
    : tasks.map(task => (itself.has(task.ruleId) ? ran(task) : task));
}

/** Rules that a timer or a drip sees to. */
function byThemselves({ rules }: Pick<CarePlan, 'rules'>): ReadonlySet<string> {
  return new Set(rules.filter(rule => rule.runsByItself).map(rule => rule.id));
}

/** What a timer does is done on its day, whoever looked. */
function ran(task: TrackedTask): TrackedTask {
  return task.state === 'missed' || task.state === 'overdue' || task.state === 'due'
    ? { ...task, state: 'done', doneOn: task.dueOn }
    : task;
}

function dated(
  trial: Dated,
  care: Omit<CarePlan, 'acts'>,
  done: readonly TaskDone[],
  washedOff: readonly WashedOff[],
  within?: Season['within'],
): readonly Task[] {
  return tasksOf(care.rules, {
    startsOn: trial.startsOn,
    endsOn: trial.endsOn,
    stages: care.stages,
    done,
    washedOff,
    ...(within ? { within } : {}),
  });
}

/** What is due today and what is late, the latest first. @param rain of the last days: what it washed off is due again */
export function dueToday(
  trials: readonly CaredTrial[],
  products: readonly Product[],
  today: CalendarDay,
  rain: readonly RainDay[] = [],
): DueToday {
  const due = trials.flatMap(cared => dueOfTrial(cared, products, today, rain));
  const mixing = mixingList(
    due.flatMap(each => each.needs),
    products,
  );
  return {
    tasks: due
      .map(each => each.task)
      .sort((a, b) => ((a.task.dueOn ?? '') < (b.task.dueOn ?? '') ? -1 : 1)),
    mixing,
    forbidden: forbiddenPairs(mixing.map(mix => mix.product)),
  };
}

/** A task that is due, with what it takes out of the shed. */
interface DueWithNeeds {
  readonly task: DueTask;
  readonly needs: readonly NeedOfTask[];
}

function dueOfTrial(
  cared: CaredTrial,
  products: readonly Product[],
  today: CalendarDay,
  rain: readonly RainDay[],
): readonly DueWithNeeds[] {
  const { trial, care } = cared;
  const { missed } = care.settings;
  const washedOff = washedOffSteps(care.rules, cared.done, rain);
  const done = holding(cared.done, washedOff);
  // Under “a missed step ends the rule” every step counts; otherwise nothing stays late for longer.
  const within = missed === 'stop' ? undefined : { from: addDays(today, -LATEST_DAYS), to: today };
  const tasks = dated(trial, care, done, washedOff, within);
  return dueTasks(tasks, done, today, missed, part => isSettled(part, cared)).flatMap(
    (task): DueWithNeeds[] => {
      const rule = care.rules.find(each => each.id === task.ruleId && !each.runsByItself);
      return rule ? [dueTask(task, rule, cared, products)] : [];
    },
  );
}

/** Whether it is known of all that were meant if they got a step. */
export function isSettled(part: TaskDone, { care, units }: CaredTrial): boolean {
  const settled = settledIds(part);
  const to = care.rules.find(rule => rule.id === part.ruleId)?.treatmentIds ?? [];
  return (
    settled === null ||
    units.every(
      unit => settled.includes(unit.id) || (to.length > 0 && !to.includes(unit.treatmentId)),
    )
  );
}

/** A step as it is shown. Who had it before is no receiver of it any more. */
export function dueTask(
  task: TrackedTask,
  rule: CareRule,
  cared: CaredTrial,
  products: readonly Product[],
): DueWithNeeds {
  const { id, name, kind, treatmentIds, material } = rule;
  const product = products.find(each => each.id === material?.productId);
  const sized = receiversBySize(rule, cared, gotIt(task)).map(receiver => ({
    ...receiver,
    each: material && product ? (doseOf(material, product, receiver.unit)?.amount ?? null) : null,
  }));
  const [first] = sized;
  const isAlike = sized.every(({ each }) => JSON.stringify(each) === JSON.stringify(first?.each));
  const receivers = sized.map(({ label, codes, of, each }) => ({
    label,
    codes,
    of,
    ...(isAlike ? {} : { each }),
  }));
  return {
    task: {
      trial: shownTrial(cared.trial),
      rule: { id, name, kind, treatmentIds },
      waterMl: material?.waterMl ?? null,
      task,
      receivers,
      units: receivers.reduce((sum, receiver) => sum + receiver.codes.length, 0),
      product: product ? { id: product.id, name: product.name } : null,
      each: isAlike ? (first?.each ?? null) : null,
    },
    needs:
      material && product
        ? sized.map(({ codes, label, unit }) => ({
            material,
            units: codes.length,
            unit,
            forWhom: label,
          }))
        : [],
  };
}

/** The units that got a step already, or that it was left out for. */
function gotIt({ state, doneUnitIds }: TrackedTask): ReadonlySet<string> {
  return new Set(state === 'done' ? [] : (doneUnitIds ?? []));
}

function shownTrial({
  id,
  question,
  unitWord,
  isBlind,
  keyOpenedAt,
}: CaredTrial['trial']): DueTask['trial'] {
  return { id, question, unitWord, isBlind, keyOpenedAt };
}
