import type { JudgedUnit } from '@/core/design/linear/design-input';
import { lookValue } from '@/core/measure/reading/looks';
import { derivedParts } from '@/core/measure/unit-value/derived-values';
import { valuesById } from '@/core/measure/unit-value/unit-values';
import { daysBetween } from '@/core/time/garden-day';
import type { Measure } from '@/core/trial/model/measure';
import type { Reading } from '@/core/trial/model/reading';
import type { Scale } from '@/core/trial/model/scale';
import type { TrialData } from '@/core/trial/model/trial-data';
import type { Outcome } from './judge-input';

/** What a measure's readings are; a mean where nothing else is said. */
export function outcomeOf(scale: Scale | null): Outcome {
  if (scale === null) return 'continuous';
  switch (scale.kind) {
    case 'count':
      return 'count';
    case 'proportion':
    case 'yes-no':
    case 'class':
      return 'proportion';
    case 'ordinal':
    case 'rank':
      return 'ordinal';
    case 'date':
    case 'days':
      return 'time';
    case 'derived':
      return scale.how === 'share' ? 'proportion' : 'continuous';
    case 'continuous':
    case 'percent':
      return 'continuous';
  }
}

/** What was read of one unit, as its outcome is judged. */
export type UnitOutcome = Pick<JudgedUnit, 'value' | 'outOf' | 'effort' | 'hasCome' | 'className'>;

/** How a trial's readings of one measure become outcomes of its units. */
export interface OutcomeReader {
  /** @param value the unit's one value, which serves means, counts, steps and ranks */
  readonly of: (unitId: string, value: number | null) => UnitOutcome;
  /** Of classes: the one that is counted. */
  readonly countedClass: string | undefined;
}

/**
 * @param data cut where mishaps ended or began a unit's line
 * @param requested of classes the one that is counted, by its number; without it the one that came most often
 */
export function outcomeReader(
  data: TrialData,
  measure: Measure,
  outcome: Outcome,
  requested?: number,
): OutcomeReader {
  if (measure.scale?.kind === 'derived' && outcome !== 'ordinal')
    return { countedClass: undefined, of: derivedOutcome(data, measure.scale) };
  if (outcome !== 'proportion' && outcome !== 'time')
    return { countedClass: undefined, of: (_, value) => ({ value }) };
  const own = data.readings.filter(
    reading => reading.measureId === measure.id && !reading.isRepeat,
  );
  const readingsOf = (unitId: string): readonly Reading[] =>
    own.filter(reading => reading.unitId === unitId);
  if (outcome === 'time')
    return {
      countedClass: undefined,
      of: unitId =>
        measure.scale?.kind === 'days'
          ? lastWait(readingsOf(unitId))
          : waitOf(readingsOf(unitId), data.trial.startsOn),
    };
  const counter = classCounter(measure, own, requested);
  return {
    countedClass: counter?.name,
    of: (unitId, value) => {
      const readings = readingsOf(unitId);
      return counter
        ? { ...lastShare(readings.map(counter.asOneOf), measure), className: counter.nameOf(value) }
        : lastShare(readings, measure);
    },
  };
}

/** A quotient keeps both its figures: a treatment's is that of the sums, so that a unit with next to nothing below the line weighs next to nothing. */
function derivedOutcome(
  data: TrialData,
  scale: Extract<Scale, { kind: 'derived' }>,
): OutcomeReader['of'] {
  const parts = derivedParts(data, scale, measure => valuesById(data, measure));
  return unitId => {
    const own = parts.get(unitId);
    if (!own) return NOTHING;
    if (scale.how === 'less') return { value: own.of - own.by };
    return scale.how === 'share'
      ? { value: own.of, outOf: own.by }
      : { value: own.of, effort: own.by };
  };
}

interface ClassCounter {
  readonly name: string;
  /** A reading of a class as one item that is, or is not, of the counted one. */
  readonly asOneOf: (reading: Reading) => Reading;
  readonly nameOf: (value: number | null) => string | null;
}

/** Classes have no order: what is judged is how often one of them came. */
function classCounter(
  { scale }: Measure,
  readings: readonly Reading[],
  requested: number | undefined,
): ClassCounter | undefined {
  if (scale?.kind !== 'class') return undefined;
  const seen = readings.flatMap(reading => (reading.value === null ? [] : [reading.value]));
  const times = scale.classes.map((_, i) => seen.filter(value => value === i).length);
  const number =
    requested !== undefined && scale.classes[requested] !== undefined
      ? requested
      : times.indexOf(Math.max(...times));
  return {
    name: scale.classes[number] ?? '',
    asOneOf: reading =>
      reading.value === null
        ? reading
        : { ...reading, value: Number(reading.value === number), outOf: 1 },
    nameOf: value => (value === null ? null : (scale.classes[value] ?? null)),
  };
}

const NOTHING: UnitOutcome = { value: null };

/** The day that it came; otherwise how long it was waited for: up to its own last look, and no longer than it lived. */
function waitOf(readings: readonly Reading[], startsOn: string): UnitOutcome {
  const days = readings.flatMap(reading =>
    reading.outcome === 'picked' && reading.value !== null ? [reading.value] : [],
  );
  if (days.length > 0) return { value: Math.min(...days), hasCome: true };
  const looks = readings.filter(reading => reading.outcome !== 'not-looked');
  const ends = looks.filter(({ outcome }) => outcome === 'dead' || outcome === 'gone').map(onDay);
  const until = ends.length > 0 ? ends.sort()[0] : looks.map(onDay).sort().at(-1);
  return until === undefined
    ? NOTHING
    : { value: Math.max(0, daysBetween(startsOn, until)), hasCome: false };
}

/** Days that were counted from a beginning of their own: the last time it was tried. */
function lastWait(readings: readonly Reading[]): UnitOutcome {
  const last = [...readings]
    .sort((a, b) => (`${a.takenOn} ${a.takenAt}` < `${b.takenOn} ${b.takenAt}` ? -1 : 1))
    .findLast(
      ({ outcome, value }) => value !== null && (outcome === 'picked' || outcome === 'not-yet'),
    );
  return last ? { value: last.value, hasCome: last.outcome === 'picked' } : NOTHING;
}

function onDay({ takenOn }: Reading): string {
  return takenOn;
}

/** k of n on the last day: the same leaves looked at on ten days are no ten times as many. Where nothing was found, none of n. */
function lastShare(readings: readonly Reading[], { scale }: Measure): UnitOutcome {
  const usual = scale?.kind === 'proportion' ? scale.outOf : 1;
  const looked = readings.flatMap(reading => {
    const k = lookValue(reading, scale);
    const n = reading.outOf ?? usual;
    return k === null || n === null ? [] : [{ k, n, on: reading.takenOn }];
  });
  const day = looked
    .map(({ on }) => on)
    .sort()
    .at(-1);
  const last = looked.filter(({ on }) => on === day);
  if (last.length === 0) return NOTHING;
  return {
    value: last.reduce((sum, { k }) => sum + k, 0),
    outOf: last.reduce((sum, { n }) => sum + n, 0),
  };
}
