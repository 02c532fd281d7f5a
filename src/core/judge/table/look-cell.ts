import type { Outcome } from '@/core/judge/question/judge-input';
import { LOOKS, lookIn } from '@/core/measure/reading/looks';
import type { Scale } from '@/core/trial/model/scale';

const SCALES: Readonly<Record<Outcome, Scale>> = {
  continuous: { kind: 'continuous', least: 0, most: 0 },
  count: { kind: 'count' },
  proportion: { kind: 'yes-no' },
  ordinal: { kind: 'rank' },
  time: { kind: 'date' },
};

/**
 * What stands in a table's cell in place of a value, by the table of looks that the application goes by: zero where nothing was
 * there, else missing; `waiting` where it is waited for and no day says how long; undefined where the cell is to be read as a value.
 */
export function lookCell(written: string, kind: Outcome): 0 | null | 'waiting' | undefined {
  const said = written.trim();
  if (said === '' || said === 'NA') return null;
  // A bare 0 is a day in a table of days, where the event has a column of its own.
  const look = /^\d/.test(said) ? undefined : lookIn(said, SCALES[kind]);
  if (look === undefined) return undefined;
  const meaning = LOOKS[SCALES[kind].kind][look];
  if (meaning === 'waiting') return 'waiting';
  return meaning === 'zero' ? 0 : null;
}
