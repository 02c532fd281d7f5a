import { lookValue } from '@/core/measure/reading/looks';
import { median } from '@/core/stats/median';
import { daysBetween } from '@/core/time/garden-day';
import type { Measure } from '@/core/trial/model/measure';
import type { Reading } from '@/core/trial/model/reading';
import { isAveraged } from '@/core/trial/model/scale';

/** A value of one day. */
export interface CoursePoint {
  readonly day: string;
  readonly value: number;
}

/** From the first to the last day on which any unit was looked at; and the day of which the value is asked. */
export interface Window {
  readonly from: string;
  readonly to: string;
  readonly asked: string;
}

/**
 * Parts of one day to one value: k of n pooled, in %; steps and classes by the middle one; the rest averaged, or added as if all
 * parts had been read.
 */
export function dayValue(
  readings: readonly Reading[],
  { scale, parts, partsAre }: globalThis.Pick<Measure, 'scale' | 'parts' | 'partsAre'>,
): number {
  const amountOf = (reading: Reading): number => lookValue(reading, scale) ?? 0;
  if (scale?.kind === 'proportion') {
    const placed = sum(readings, reading => reading.outOf ?? scale.outOf ?? 0);
    return placed === 0 ? 0 : (100 * sum(readings, amountOf)) / placed;
  }
  const values = readings.map(amountOf);
  if (scale && !isAveraged(scale)) return median(values);
  const isAdded = partsAre === 'added' && scale?.kind !== 'date';
  return meanOf(values) * (isAdded ? Math.max(parts, values.length) : 1);
}

/** Days to one value by the measure's rule; null where they can't say it. */
export function acrossDays(
  byDay: readonly CoursePoint[],
  rule: Measure['summary'],
  window: Window,
): number | null {
  const values = byDay.map(each => each.value);
  switch (rule) {
    case 'reading-last':
      return values.at(-1) ?? 0;
    case 'reading-total':
      return sum(values, value => value);
    case 'reading-highest':
      return Math.max(...values);
    case 'reading-area':
      return areaWithin(byDay, window);
    case 'reading-change':
      return byDay.length < 2 ? null : (values.at(-1) ?? 0) - (values[0] ?? 0);
    case 'reading-rate':
      return slopeADay(byDay);
    case 'reading-on-day':
      return byDay.findLast(({ day }) => day <= window.asked)?.value ?? null;
    case 'reading-mean':
      return meanOf(values);
    case 'sound-weight':
    case 'total-weight':
    case 'sound-count':
    case 'mean-piece-weight':
      throw new RangeError(`${rule} is not made from readings`);
  }
}

/** Slope of the straight line through a course by least squares, in units a day; null of one day alone. */
function slopeADay(course: readonly CoursePoint[]): number | null {
  const days = course.map(({ day }) => daysBetween(course[0]?.day ?? day, day));
  const [day, value] = [meanOf(days), meanOf(course.map(each => each.value))];
  const spread = days.reduce((total, each) => total + (each - day) ** 2, 0);
  return spread === 0
    ? null
    : course.reduce((total, each, i) => total + ((days[i] ?? 0) - day) * (each.value - value), 0) /
        spread;
}

/**
 * The area over all days that any unit was looked at: before its first look and after its last a unit is taken to have been as it
 * was there, so that a look that is missing shortens nothing. Of one day alone it is the value.
 */
function areaWithin(course: readonly CoursePoint[], { from, to }: Window): number {
  const [first, last] = [course[0], course.at(-1)];
  if (!first || !last) return 0;
  return from === to
    ? first.value
    : areaUnder([{ day: from, value: first.value }, ...course, { day: to, value: last.value }]);
}

/** Area under the course of a value by trapezia, in units times days: Shaner & Finney (1977), Phytopathology 67, 1051-1056. */
export function areaUnder(course: readonly CoursePoint[]): number {
  return course.slice(1).reduce((area, { day, value }, i) => {
    const before = course[i];
    return before ? area + (daysBetween(before.day, day) * (value + before.value)) / 2 : area;
  }, 0);
}

function meanOf(values: readonly number[]): number {
  return values.reduce((total, value) => total + value, 0) / values.length;
}

function sum<Entry>(entries: readonly Entry[], of: (entry: Entry) => number): number {
  return entries.reduce((total, entry) => total + of(entry), 0);
}
