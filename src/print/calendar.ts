import ical, { ICalAlarmType, ICalEventTransparency } from 'ical-generator';
import type { DatedStep } from '@/core/blinding/dated-steps';
import { addDays } from '@/core/time/garden-day';
import type { Trial } from '@/core/trial/model/trial';

/**
 * A trial's dated steps as iCalendar (RFC 5545). Each step keeps its UID for good, and the sequence grows with every change
 * of the trial: taken in again, a calendar moves what it has instead of doubling it.
 *
 * @param link where the trial's tasks are ticked
 * @param changes how many changes the trial has seen
 * @param stamp when it is written
 */
export function careCalendar(
  trial: Pick<Trial, 'id' | 'question'>,
  steps: readonly DatedStep[],
  link: string,
  changes: number,
  stamp: Date,
): string {
  const calendar = ical({
    name: trial.question,
    prodId: { company: 'Turnspit', product: 'care calendar', language: 'EN' },
  });
  for (const { key, says, on, details, isOpen } of steps) {
    const event = calendar.createEvent({
      id: `${trial.id}-${key}@turnspit`,
      sequence: changes,
      stamp,
      allDay: true,
      start: localDay(on),
      end: localDay(addDays(on, 1)),
      summary: says,
      description: [trial.question, ...details, link].join('\n'),
      url: link,
      transparency: ICalEventTransparency.TRANSPARENT,
    });
    if (isOpen)
      event.createAlarm({ type: ICalAlarmType.display, trigger: -REMIND_AT, description: says });
  }
  return calendar.toString();
}

/** Seconds after the day begins: at eight in the morning. A trigger below zero comes after the start. */
const REMIND_AT = 8 * 3600;

/** All-day events take the day of the local clock. */
function localDay(day: string): Date {
  const [year = 0, month = 1, date = 1] = day.split('-').map(Number);
  return new Date(year, month - 1, date);
}
