import { valueKey, type WalkMemory } from './walk-memory';
import { type Stop, stopsOf, unitsToRepeat } from './walk-order';
import type { CurrentValue, WalkMeasure, WalkView } from './walk-view';

/** What is to be read today, of one measure, and what stands there already. */
export interface WalkSheet {
  readonly measure: WalkMeasure | undefined;
  readonly stops: readonly Stop[];
  /** All that was read today, of every measure. */
  readonly today: readonly CurrentValue[];
  /** What stands of today at a stop; of the first or the second reading. */
  readonly currentValue: (stop: Stop, isRepeat?: boolean) => CurrentValue | undefined;
  readonly isDone: (stop: Stop) => boolean;
  /** The last value before today. */
  readonly before: (stop: Stop) => CurrentValue | undefined;
  /** First and second reading, where both were taken. */
  readonly pairs: readonly (readonly [number, number])[];
}

export function walkSheetOf(view: WalkView, memory: WalkMemory): WalkSheet {
  const { day } = memory;
  const measure = view.measures.find(each => each.id === memory.measureId) ?? view.measures[0];
  const measureId = measure?.id ?? '';
  const unitIds = view.units.map(unit => unit.id);
  const walked = memory.isRepeat ? unitsToRepeat(unitIds, day) : unitIds;
  const stops = measure ? stopsOf(walked, measure.parts, memory.order, day) : [];
  const today = new Map(
    [...view.values.filter(value => value.on === day), ...memory.mine].map(value => [
      valueKey(value),
      value,
    ]),
  );
  const currentValue = (stop: Stop, isRepeat = memory.isRepeat): CurrentValue | undefined =>
    today.get(valueKey({ ...stop, measureId, isRepeat }));
  return {
    measure,
    stops,
    today: [...today.values()],
    currentValue,
    isDone: stop => currentValue(stop) !== undefined,
    before: stop => lastBefore(day, view.values, { ...stop, measureId, isRepeat: false }),
    pairs: stops.flatMap((stop): (readonly [number, number])[] => {
      const first = currentValue(stop, false)?.value;
      const second = currentValue(stop, true)?.value;
      return first != null && second != null ? [[first, second]] : [];
    }),
  };
}

function lastBefore(
  day: string,
  values: readonly CurrentValue[],
  place: Parameters<typeof valueKey>[0],
): CurrentValue | undefined {
  return values.filter(value => value.on < day && valueKey(value) === valueKey(place)).at(-1);
}
