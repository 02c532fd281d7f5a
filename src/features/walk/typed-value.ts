import { oddnessWords, oddReading } from '@/core/measure/reading/odd-reading';
import { readLook, readValue } from '@/core/measure/reading/read-value';
import type { MeasureSystem } from '@/core/quantity/unit-of-measure';
import type { Result } from '@/core/result';
import type { Outcome } from '@/core/trial/model/pick';
import type { Stop } from './walk-order';
import type { WalkSheet } from './walk-sheet';
import type { CurrentValue, WalkMeasure, WalkView } from './walk-view';

type Value = Pick<CurrentValue, 'value' | 'outOf'>;

/** What was typed at a stop, as its scale reads it; what was waited for keeps how long. */
export function typedValue(
  outcome: Outcome,
  written: string,
  measure: WalkMeasure,
  { view, day }: { readonly view: WalkView; readonly day: string },
): Result<Value, string> {
  const read =
    outcome === 'picked'
      ? readValue(written, '', measure.scale, {
          measure,
          system: view.system,
          startsOn: view.startsOn,
          today: day,
        })
      : readLook(outcome, written, '', measure.scale);
  if (read.ok) return read;
  return { ok: false, trouble: Object.values(read.trouble)[0] ?? 'That can’t be read.' };
}

/** What is odd about a value beside the last of this pot and today's of the others; null where nothing is. */
export function oddWords(
  { measure, today, before }: WalkSheet,
  stop: Stop,
  { value }: Value,
  system: MeasureSystem,
): string | null {
  if (value === null || !measure) return null;
  const last = before(stop)?.value;
  const around = today
    .filter(
      other => other.measureId === measure.id && other.unitId !== stop.unitId && !other.isRepeat,
    )
    .flatMap(other => (other.value === null ? [] : [other.value]));
  const odd = oddReading(value, measure.scale, last == null ? [] : [last], around);
  return odd === null ? null : `${oddnessWords(odd, measure.unit, system)} Press again to keep it.`;
}
