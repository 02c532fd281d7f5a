import { addDays, CalendarDay } from './garden-day';

/** Whether it names a time zone of the IANA list: `Europe/London`. */
export function isTimeZone(name: string): boolean {
  try {
    return new Intl.DateTimeFormat('en', { timeZone: name }).resolvedOptions().timeZone !== '';
  } catch {
    return false;
  }
}

/** The day that an instant falls on in a zone. */
export function dayIn(instant: string, zone: string): CalendarDay {
  return CalendarDay.parse(wallClock(new Date(instant).getTime(), zone).slice(0, 10));
}

/** The instant at which a day is over in a zone. */
export function endOfDay(day: CalendarDay, zone: string): string {
  const wall = Date.parse(`${addDays(day, 1)}T00:00:00Z`);
  // The offset hangs on the instant that is looked for; the second round is right on the days when clocks change, too.
  let instant = wall;
  for (let round = 0; round < 2; round++)
    instant = wall - (Date.parse(`${wallClock(instant, zone)}Z`) - instant);
  return new Date(instant).toISOString();
}

/** An instant as a clock in the zone shows it: `Tue 2 June, 14:05`. */
export function clockIn(instant: string, zone: string): string {
  return new Intl.DateTimeFormat('en-GB', {
    timeZone: zone,
    weekday: 'short',
    day: 'numeric',
    month: 'long',
    hour: '2-digit',
    minute: '2-digit',
  }).format(new Date(instant));
}

/** `2026-06-01T22:00:00`: what a clock in the zone shows, to the second. */
function wallClock(time: number, zone: string): string {
  const parts = new Intl.DateTimeFormat('en-CA', {
    timeZone: zone,
    hourCycle: 'h23',
    year: 'numeric',
    month: '2-digit',
    day: '2-digit',
    hour: '2-digit',
    minute: '2-digit',
    second: '2-digit',
  }).formatToParts(new Date(time));
  const part = (type: Intl.DateTimeFormatPartTypes): string =>
    parts.find(each => each.type === type)?.value ?? '';
  return `${part('year')}-${part('month')}-${part('day')}T${part('hour')}:${part('minute')}:${part('second')}`;
}
