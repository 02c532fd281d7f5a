import ical, { ICalEventTransparency } from 'ical-generator';
import type { TrackedTask } from '@/core/schedule/tasks/task-state';
import { addDays } from '@/core/time/garden-day';
import type { CareRule } from '@/core/trial/model/care-rule';
import type { Trial } from '@/core/trial/model/trial';

/**
 * A trial's dated steps as iCalendar (RFC 5545). Each step keeps its UID for good, and the sequence grows with every change
 * of the trial: taken in again, a calendar moves what it has instead of doubling it.
 *
 * @param changes how many changes the trial has seen
 * @param stamp when it is written
 */
export function careCalendar(
  trial: Pick<Trial, 'id' | 'question'>,
  rules: readonly CareRule[],
  tasks: readonly TrackedTask[],
  changes: number,
  stamp: Date,
): string {
  const calendar = ical({
    name: trial.question,
    prodId: { company: 'Turnspit', product: 'care calendar', language: 'EN' },
  });
  for (const task of tasks) {
    const rule = rules.find(each => each.id === task.ruleId);
    if (!rule || task.dueOn === null || task.state === 'missed') continue;
    calendar.createEvent({
      id: `${trial.id}-${task.ruleId}-${task.nth}@turnspit`,
      sequence: changes,
      stamp,
      allDay: true,
      start: localDay(task.dueOn),
      end: localDay(addDays(task.dueOn, 1)),
      summary: `${rule.name}${task.state === 'done' ? ' (done)' : task.state === 'skipped' ? ' (left out)' : ''}`,
      description: trial.question,
      transparency: ICalEventTransparency.TRANSPARENT,
    });
  }
  return calendar.toString();
}

/** All-day events take the day of the local clock. */
function localDay(day: string): Date {
  const [year = 0, month = 1, date = 1] = day.split('-').map(Number);
  return new Date(year, month - 1, date);
}
