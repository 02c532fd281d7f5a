import { parseDate } from '@internationalized/date';

/** Which of day and month comes first where both are figures. */
export type DayOrder = 'day-first' | 'month-first';

const MONTHS = [
  'january',
  'february',
  'march',
  'april',
  'may',
  'june',
  'july',
  'august',
  'september',
  'october',
  'november',
  'december',
] as const;

const ISO = /^(\d{4})-(\d{1,2})-(\d{1,2})$/;
const FIGURES = /^(\d{1,2})[./\- ](\d{1,2})[./\- ](\d{4}|\d{2})$/;
const DAY_THEN_MONTH = /^(\d{1,2})\.? ([a-z]{3,})\.?,? (\d{4})$/;
const MONTH_THEN_DAY = /^([a-z]{3,})\.? (\d{1,2}),? (\d{4})$/;

/**
 * Reads a day as people write it: `2026-11-30`, `30/11/2026` or in an American garden `11/30/2026`, `30.11.26`, `30 Nov 2026`,
 * `November 30, 2026`.
 *
 * @returns `2026-11-30`; undefined where it is no day
 */
export function readWrittenDay(written: string, order: DayOrder): string | undefined {
  const said = written.trim().toLowerCase().replace(/\s+/g, ' ');
  const iso = ISO.exec(said);
  if (iso) return dayOf(iso[1], iso[2], iso[3]);
  const figures = FIGURES.exec(said);
  if (figures) {
    const [, first, second, year = ''] = figures;
    const whole = year.length === 2 ? `20${year}` : year;
    return order === 'day-first' ? dayOf(whole, second, first) : dayOf(whole, first, second);
  }
  const dayFirst = DAY_THEN_MONTH.exec(said);
  if (dayFirst) return dayOf(dayFirst[3], monthOf(dayFirst[2]), dayFirst[1]);
  const monthFirst = MONTH_THEN_DAY.exec(said);
  return monthFirst ? dayOf(monthFirst[3], monthOf(monthFirst[1]), monthFirst[2]) : undefined;
}

/** A day in figures, as the garden's people write it; what is no day stays as it is. */
export function writeDay(day: string, order: DayOrder): string {
  if (!isDay(day)) return day;
  const [year, month, date] = day.split('-');
  return order === 'day-first' ? `${date}/${month}/${year}` : `${month}/${date}/${year}`;
}

/** The month that these letters begin, as a figure. */
function monthOf(letters = ''): string {
  const at = MONTHS.findIndex(month => month.startsWith(letters));
  return String(at + 1);
}

function dayOf(year = '', month = '', date = ''): string | undefined {
  const day = `${year}-${month.padStart(2, '0')}-${date.padStart(2, '0')}`;
  return isDay(day) ? day : undefined;
}

function isDay(written: string): boolean {
  try {
    return parseDate(written).toString() === written;
  } catch {
    return false; // its way to say that there is no such day
  }
}
