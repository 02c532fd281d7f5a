import { addDays, type CalendarDay, daysBetween } from './garden-day';

/** Of the last week every day, of the last five weeks one a week, of the last year one a month: the newest of each. */
const EVERY_DAY = 7;
const WEEKS = 5;
const MONTHS = 12;

/**
 * Which of several days' copies are kept, as they grow older.
 *
 * @param days any order
 */
export function keptDays(
  days: readonly CalendarDay[],
  today: CalendarDay,
): ReadonlySet<CalendarDay> {
  const newestFirst = [...new Set(days)].sort().reverse();
  const kept = new Set<CalendarDay>();
  const seen = new Set<string>();
  for (const day of newestFirst) {
    const age = daysBetween(day, today);
    const shelves = [
      ...(age < EVERY_DAY ? [day] : []),
      ...(age < 7 * WEEKS ? [`week ${mondayOf(day)}`] : []),
      ...(age < 31 * MONTHS ? [`month ${day.slice(0, 7)}`] : []),
    ];
    if (shelves.some(shelf => !seen.has(shelf))) kept.add(day);
    for (const shelf of shelves) seen.add(shelf);
  }
  return kept;
}

function mondayOf(day: CalendarDay): CalendarDay {
  return addDays(day, -((daysBetween('2024-01-01', day) % 7) + 7) % 7);
}
