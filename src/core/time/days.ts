const MONTHS = [
  'January',
  'February',
  'March',
  'April',
  'May',
  'June',
  'July',
  'August',
  'September',
  'October',
  'November',
  'December',
] as const;
const WEEKDAYS = ['Sun', 'Mon', 'Tue', 'Wed', 'Thu', 'Fri', 'Sat'] as const;

/** `2026-05-03` as `3 May`. Both spellings of English read it the same way. */
export function shortDay(day: string): string {
  return `${Number(day.slice(8, 10))} ${MONTHS[Number(day.slice(5, 7)) - 1]}`;
}

/** `2026-05-03` as `Sun 3 May`. */
export function longDay(day: string): string {
  return `${WEEKDAYS[new Date(`${day}T00:00:00Z`).getUTCDay()]} ${shortDay(day)}`;
}

/** `2026-05-03` as `3 May 2026`. */
export function fullDay(day: string): string {
  return `${shortDay(day)} ${day.slice(0, 4)}`;
}

/** A sentence with its days as they are said here. */
export function withShortDays(sentence: string): string {
  return sentence.replace(/\d{4}-\d{2}-\d{2}/g, shortDay);
}
