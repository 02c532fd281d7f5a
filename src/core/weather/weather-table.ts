import { failure, type Result, success } from '@/core/result';
import { WeatherDay } from './weather-day';

/** Why a table of weather was not taken: nothing of it is, then. */
export type WeatherTrouble =
  | { readonly kind: 'no-column'; readonly column: string }
  | {
      readonly kind: 'bad-row';
      readonly row: number;
      readonly column: string;
      readonly read: string;
    }
  | { readonly kind: 'empty' };

// Heads as stations write them: the unit may stand behind in brackets.
const HEADS: Readonly<
  Record<'day' | 'tmaxC' | 'tminC' | 'rainMm' | 'windMs' | 'rhMax' | 'rhMin' | 'sunHours', RegExp>
> = {
  day: /^(date|day|datum)$/i,
  tmaxC: /^(t_?max|max.*temp|temp.*max|highest|high)/i,
  tminC: /^(t_?min|min.*temp|temp.*min|lowest|low)/i,
  rainMm: /^(rain|precip)/i,
  windMs: /^(wind)/i,
  rhMax: /^(rh_?max|max.*hum|hum.*max)/i,
  rhMin: /^(rh_?min|min.*hum|hum.*min)/i,
  sunHours: /^(sun)/i,
};
type Column = keyof typeof HEADS;
const NEEDED: readonly Column[] = ['day', 'tmaxC', 'tminC', 'rainMm'];

/**
 * Reads a station's table. Temperatures in °C, or in °F where the head says so; rain in mm or in inches; wind in m/s, km/h or mph.
 *
 * @param rows by head, as a CSV reader gives them
 */
export function readWeatherTable(
  heads: readonly string[],
  rows: readonly Readonly<Record<string, string>>[],
): Result<readonly WeatherDay[], WeatherTrouble> {
  const headOf = new Map<Column, string>();
  for (const [column, pattern] of entriesOf(HEADS)) {
    const head = heads.find(each => pattern.test(each.trim()));
    if (head !== undefined) headOf.set(column, head);
  }
  const missing = NEEDED.find(column => !headOf.has(column));
  if (missing) return failure({ kind: 'no-column', column: COLUMN_WORDS[missing] });
  if (rows.length === 0) return failure({ kind: 'empty' });
  const days: WeatherDay[] = [];
  for (const [i, row] of rows.entries()) {
    const read = readRow(row, headOf);
    if (!read.ok) return failure({ kind: 'bad-row', row: i + 2, ...read.trouble });
    days.push(read.value);
  }
  return success(days);
}

function entriesOf<Key extends string, Value>(
  of: Readonly<Record<Key, Value>>,
): readonly (readonly [Key, Value])[] {
  return Object.entries(of) as unknown as readonly (readonly [Key, Value])[];
}

function readRow(
  row: Readonly<Record<string, string>>,
  headOf: ReadonlyMap<Column, string>,
): Result<WeatherDay, { readonly column: string; readonly read: string }> {
  const values: Partial<Record<Column, number | null>> = {};
  for (const [column, head] of headOf) {
    if (column === 'day') continue;
    const written = (row[head] ?? '').trim();
    const value = /^[-−+]?\d+([.,]\d+)?$/.test(written)
      ? Number(written.replace('−', '-').replace(',', '.')) * scaleOf(column, head) + shiftOf(head)
      : written === ''
        ? null
        : Number.NaN;
    if (Number.isNaN(value) || (value === null && NEEDED.includes(column)))
      return failure({ column: head, read: written });
    values[column] = value;
  }
  const head = headOf.get('day') ?? '';
  const day = WeatherDay.safeParse({
    windMs: null,
    rhMax: null,
    rhMin: null,
    sunHours: null,
    ...values,
    day: (row[head] ?? '').trim().slice(0, 10),
    source: 'file',
  });
  if (day.success) return success(day.data);
  const at = day.error.issues[0]?.path[0];
  const column = entriesOf(HEADS).find(([key]) => key === at)?.[0] ?? 'tminC';
  const where = headOf.get(column) ?? head;
  return failure({ column: where, read: (row[where] ?? '').trim() });
}

function scaleOf(column: Column, head: string): number {
  if (/°?\bf\b|fahrenheit/i.test(head)) return 5 / 9;
  if (column === 'rainMm' && /\bin(ch(es)?)?\b/i.test(head)) return 25.4;
  if (column === 'windMs') return /km/i.test(head) ? 1 / 3.6 : /mph/i.test(head) ? 0.44704 : 1;
  return 1;
}

function shiftOf(head: string): number {
  return /°?\bf\b|fahrenheit/i.test(head) ? (-32 * 5) / 9 : 0;
}

const COLUMN_WORDS: Readonly<Record<Column, string>> = {
  day: 'the date',
  tmaxC: 'the highest temperature',
  tminC: 'the lowest temperature',
  rainMm: 'rain',
  windMs: 'wind',
  rhMax: 'highest humidity',
  rhMin: 'lowest humidity',
  sunHours: 'sunshine',
};

export function weatherSentence(trouble: WeatherTrouble): string {
  switch (trouble.kind) {
    case 'empty':
      return 'The table has no rows.';
    case 'no-column':
      return `No column holds ${trouble.column}. Name the columns date, tmax, tmin, rain (and wind, rhmax, rhmin, sun).`;
    case 'bad-row':
      return `Row ${trouble.row}, ${trouble.column}: “${trouble.read.slice(0, 40)}” can’t be used. Nothing was taken.`;
  }
}
