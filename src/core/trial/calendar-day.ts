import { z } from 'zod';

/** A day in the garden, `2026-05-03`: no zone, no hour. */
export const CalendarDay = z.iso.date();
export type CalendarDay = z.infer<typeof CalendarDay>;

const FIRST_YEAR = 1990;

/** A day a gardener may mean: not before 1990, which is always a slip of the hand. */
export const GardenDay = CalendarDay.refine(day => Number(day.slice(0, 4)) >= FIRST_YEAR, {
  error: issue => `${String(issue.input)} is long past. Write a date from ${FIRST_YEAR} on.`,
});

/** Whole days from one day to another; negative where it lies before. */
export function daysBetween(from: CalendarDay, to: CalendarDay): number {
  return Math.round((Date.parse(`${to}T00:00:00Z`) - Date.parse(`${from}T00:00:00Z`)) / 86_400_000);
}

/** The day so many days later. */
export function addDays(day: CalendarDay, days: number): CalendarDay {
  return new Date(Date.parse(`${day}T00:00:00Z`) + days * 86_400_000).toISOString().slice(0, 10);
}
