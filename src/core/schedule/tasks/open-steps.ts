import { unitMeasuresOf } from '@/core/schedule/tasks/unit-measures';
import type { CalendarDay } from '@/core/time/garden-day';
import { doneTasks, settledIds, type TaskDone } from '@/core/trial/model/care-plan';
import type { Product } from '@/core/trial/model/product';
import type { TrialData } from '@/core/trial/model/trial-data';
import type { WeatherDay } from '@/core/weather/weather-day';
import type { CaredTrial } from './cared-trial';
import { careTasks, type DueTask, dueTask, dueToday, isSettled } from './due-today';
import type { TrackedTask } from './task-state';

/** A trial as far as its care goes. */
export function caredTrialOf({ trial, care, treatments, units, places }: TrialData): CaredTrial {
  const place = places.find(each => each.id === units[0]?.placeId);
  return {
    trial,
    care,
    done: doneTasks(care.acts),
    treatments,
    units,
    unit: unitMeasuresOf(place, care.settings.mixMl, units),
  };
}

/**
 * What nobody ticked while it could be made up for, in whole or for some: it may have been done all the same.
 *
 * @param due what can still be made up for
 */
export function missedTasks(
  cared: CaredTrial,
  products: readonly Product[],
  tasks: readonly TrackedTask[],
  due: readonly DueTask[],
): readonly DueTask[] {
  const isDue = new Set(due.map(({ task }) => keyOf(task)));
  const partOf = new Map(cared.done.map(part => [keyOf(part), part]));
  return tasks.flatMap(task => {
    const rule = cared.care.rules.find(each => each.id === task.ruleId);
    const part = partOf.get(keyOf(task));
    if (!rule || isDue.has(keyOf(task)) || !isMissed(task, part, cared)) return [];
    const doneUnitIds = part ? settledIds(part) : null;
    return [dueTask({ ...task, state: 'missed', doneUnitIds }, rule, cared, products).task];
  });
}

function isMissed(task: TrackedTask, part: TaskDone | undefined, cared: CaredTrial): boolean {
  if (task.state === 'missed') return true;
  return part !== undefined && !isSettled(part, cared) && task.dueOn !== null;
}

function keyOf({ ruleId, nth }: Pick<TaskDone, 'ruleId' | 'nth'>): string {
  return `${ruleId} ${nth}`;
}

/** Every step of a trial that can be ticked off today: due, late, or missed. */
export function openSteps(
  data: TrialData,
  today: CalendarDay,
  rain: readonly Pick<WeatherDay, 'day' | 'rainMm'>[] = [],
): readonly DueTask[] {
  const cared = caredTrialOf(data);
  const due = dueToday([cared], data.products, today, rain).tasks;
  return [...due, ...missedTasks(cared, data.products, careTasks(data, today, rain), due)];
}
