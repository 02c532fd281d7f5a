import { z } from 'zod';

/** A day in the garden, `2026-05-03`: no zone, no hour. */
export const CalendarDay = z.iso.date();
export type CalendarDay = z.infer<typeof CalendarDay>;

const FIRST_YEAR = 1990;
const LAST_YEAR = 2100;

/** A day a gardener may mean: of these years, others are always a slip of the hand. */
export const GardenDay = CalendarDay.refine(day => Number(day.slice(0, 4)) >= FIRST_YEAR, {
  error: issue => `${String(issue.input)} is long past. Write a date from ${FIRST_YEAR} on.`,
}).refine(day => Number(day.slice(0, 4)) <= LAST_YEAR, {
  error: issue => `${String(issue.input)} is far ahead. Write a date up to ${LAST_YEAR}.`,
});

const DAY_MS = 86_400_000;
// A calendar asks for the same few hundred days tens of thousands of times.
const MOST_KEPT = 20_000;
const numbers = new Map<CalendarDay, number>();
const days = new Map<number, CalendarDay>();

/** Days since 1 January 1970. */
function dayNumber(day: CalendarDay): number {
  const kept = numbers.get(day);
  if (kept !== undefined) return kept;
  const number = Math.round(Date.parse(`${day}T00:00:00Z`) / DAY_MS);
  if (numbers.size >= MOST_KEPT) numbers.clear();
  numbers.set(day, number);
  return number;
}

function dayOfNumber(number: number): CalendarDay {
  const kept = days.get(number);
  if (kept !== undefined) return kept;
  const day = new Date(number * DAY_MS).toISOString().slice(0, 10);
  if (days.size >= MOST_KEPT) days.clear();
  days.set(number, day);
  return day;
}

/** Whole days from one day to another; negative where it lies before. */
export function daysBetween(from: CalendarDay, to: CalendarDay): number {
  return dayNumber(to) - dayNumber(from);
}

/** The day so many days later. */
export function addDays(day: CalendarDay, more: number): CalendarDay {
  return dayOfNumber(dayNumber(day) + more);
}
