import { lookValue } from '@/core/measure/reading/looks';
import { addDays } from '@/core/time/garden-day';
import type { Measure } from '@/core/trial/model/measure';
import type { Pick } from '@/core/trial/model/pick';
import type { Reading } from '@/core/trial/model/reading';
import { isAveraged, type Scale } from '@/core/trial/model/scale';
import type { TrialData } from '@/core/trial/model/trial-data';
import type { ExperimentalUnit } from '@/core/trial/model/unit';
import { acrossDays, type CoursePoint, dayValue, type Window } from './across-days';
import { derivedParts, derivedValue } from './derived-values';

/** What one experimental unit comes to in one measure, with why. */
export interface UnitValue {
  readonly unit: ExperimentalUnit;
  /** In the measure's unit; null where the unit is missing. Zero is a value. */
  readonly value: number | null;
  /** `dead`, `gone`: it gave what it gave until then. `unmeasured`: something was picked, and never counted or weighed. */
  readonly status: 'measured' | 'dead' | 'gone' | 'unmeasured' | 'not-looked' | 'no-entry';
  /** Days on which it should have been looked at and was not: a total lacks what they would have brought. */
  readonly missedOn: readonly string[];
  /** Readings of parts of it that went into the value; 1 for a harvest. */
  readonly subsamples: number;
}

/**
 * One value a unit: subsamples averaged within a day first, then the days put together by the measure's rule. A unit with
 * no entry is missing; one that had nothing to pick gave zero; one that died keeps what it gave.
 */
export function unitValues(data: TrialData, measure: Measure): readonly UnitValue[] {
  if (measure.scale?.kind === 'derived') return fromOthers(data, measure.scale);
  if (isHarvest(measure))
    return data.units.map(unit =>
      fromPicks(
        unit,
        measure,
        data.picks.filter(pick => pick.unitId === unit.id),
      ),
    );
  const own = withoutStart(data, measure);
  const days = countedReadings(own, measure)
    .map(reading => reading.takenOn)
    .sort();
  const window: Window = {
    from: days[0] ?? '',
    to: days.at(-1) ?? '',
    asked: addDays(data.trial.startsOn, measure.onDay ?? 0),
  };
  return data.units.map(unit =>
    fromReadings(
      unit,
      measure,
      own.filter(reading => reading.unitId === unit.id),
      window,
    ),
  );
}

/** Worked out of two others: a unit of which either is not known is missing. */
function fromOthers(
  data: TrialData,
  scale: Extract<Scale, { kind: 'derived' }>,
): readonly UnitValue[] {
  const parts = derivedParts(data, scale, measure => valuesById(data, measure));
  return data.units.map(unit => {
    const value = derivedValue(scale, parts.get(unit.id) ?? null);
    return {
      unit,
      value,
      status: value === null ? 'no-entry' : 'measured',
      missedOn: [],
      subsamples: value === null ? 0 : 1,
    };
  });
}

/** One value a unit of a measure that is read or picked, by the unit's id. */
export function valuesById(data: TrialData, measure: Measure): ReadonlyMap<string, number | null> {
  return new Map(unitValues(data, measure).map(({ unit, value }) => [unit.id, value]));
}

const USE_THE_START: readonly Measure['summary'][] = [
  'reading-area',
  'reading-change',
  'reading-rate',
];

/** The readings that count: those up to the start show no treatment yet, where later ones were taken and the rule asks for no course. */
function withoutStart({ trial, readings }: TrialData, measure: Measure): readonly Reading[] {
  const own = readings.filter(reading => reading.measureId === measure.id);
  const later = own.filter(reading => reading.takenOn > trial.startsOn);
  return later.length === 0 || USE_THE_START.includes(measure.summary) ? own : later;
}

/** What each unit read up to the start, where the measure was taken again later: what it began from, by its id. */
export function startValues(
  { trial, readings }: TrialData,
  measure: Measure,
): ReadonlyMap<string, number> {
  const own = countedReadings(
    readings.filter(reading => reading.measureId === measure.id),
    measure,
  );
  const hasMean =
    measure.scale !== null &&
    isAveraged(measure.scale) &&
    measure.scale.kind !== 'date' &&
    measure.scale.kind !== 'days';
  if (
    !hasMean ||
    USE_THE_START.includes(measure.summary) ||
    own.every(reading => reading.takenOn <= trial.startsOn)
  )
    return new Map();
  const before = own.filter(reading => reading.takenOn <= trial.startsOn);
  return new Map(
    [...new Set(before.map(reading => reading.unitId))].map((unitId): [string, number] => {
      const readBefore = before.filter(reading => reading.unitId === unitId);
      const day = readBefore
        .map(reading => reading.takenOn)
        .sort()
        .at(-1);
      return [
        unitId,
        dayValue(
          readBefore.filter(reading => reading.takenOn === day),
          measure,
        ),
      ];
    }),
  );
}

/** Whether a measure is made from picks rather than from readings. */
export function isHarvest(measure: Measure): boolean {
  return !measure.summary.startsWith('reading-');
}

/** How much of the trial is in: units with at least one entry of the measure. */
export function unitsRead(data: TrialData, measure: Measure): number {
  return unitValues(data, measure).filter(value => value.status !== 'no-entry').length;
}

function fromPicks(unit: ExperimentalUnit, measure: Measure, picks: readonly Pick[]): UnitValue {
  // That it is gone says nothing of what it would have given.
  const looked = picks.filter(({ outcome }) => outcome !== 'not-looked' && outcome !== 'gone');
  const isUnmeasured = looked.some(pick => isUnmeasuredIn(measure, pick));
  return {
    unit,
    subsamples: looked.length > 0 ? 1 : 0,
    missedOn: missedDays(picks.map(pick => ({ on: pick.pickedOn, outcome: pick.outcome }))),
    status: isUnmeasured ? 'unmeasured' : statusOf(picks),
    value: looked.length === 0 || isUnmeasured ? null : harvestOf(measure, looked),
  };
}

function statusOf(entries: readonly { readonly outcome: Pick['outcome'] }[]): UnitValue['status'] {
  if (entries.length === 0) return 'no-entry';
  if (entries.some(entry => entry.outcome === 'dead')) return 'dead';
  if (entries.some(entry => entry.outcome === 'gone')) return 'gone';
  return entries.every(entry => entry.outcome === 'not-looked') ? 'not-looked' : 'measured';
}

function missedDays(
  entries: readonly { readonly on: string; readonly outcome: Pick['outcome'] }[],
): readonly string[] {
  return entries.filter(entry => entry.outcome === 'not-looked').map(entry => entry.on);
}

/** Whether a pick belongs into a sum and was never weighed, or counted, for it. What a piece weighs leaves such picks out. */
function isUnmeasuredIn({ summary }: Measure, { outcome, grade, netG, pieces }: Pick): boolean {
  if (outcome !== 'picked') return false;
  switch (summary) {
    case 'sound-weight':
      return grade === 'sound' && netG === null;
    case 'total-weight':
      return netG === null;
    case 'sound-count':
      return grade === 'sound' && pieces === null;
    default:
      return false;
  }
}

function harvestOf(measure: Measure, picks: readonly Pick[]): number | null {
  const sound = picks.filter(pick => pick.grade === 'sound');
  switch (measure.summary) {
    case 'sound-weight':
      return sum(sound, pick => pick.netG ?? 0);
    case 'total-weight':
      return sum(picks, pick => pick.netG ?? 0);
    case 'sound-count':
      return sum(sound, pick => pick.pieces ?? 0);
    case 'mean-piece-weight':
      return meanPieceWeightG(sound);
    case 'reading-mean':
    case 'reading-last':
    case 'reading-total':
    case 'reading-highest':
    case 'reading-area':
    case 'reading-change':
    case 'reading-rate':
    case 'reading-on-day':
      throw new RangeError(`${measure.summary} is not made from picks`);
  }
}

/** Only picks that were both weighed and counted can say what a piece weighs; without a piece there is no mean. */
function meanPieceWeightG(picks: readonly Pick[]): number | null {
  const both = picks.filter(pick => pick.netG !== null && pick.pieces !== null);
  const pieces = sum(both, pick => pick.pieces ?? 0);
  return pieces === 0 ? null : sum(both, pick => pick.netG ?? 0) / pieces;
}

function sum<Entry>(entries: readonly Entry[], of: (entry: Entry) => number): number {
  return entries.reduce((total, entry) => total + of(entry), 0);
}

/** One unit's value day by day: of readings the day's own, of a harvest what it has come to by then. */
export function unitCourse(
  data: globalThis.Pick<TrialData, 'picks' | 'readings'>,
  unitId: string,
  measure: Measure,
): readonly CoursePoint[] {
  if (isHarvest(measure)) {
    const picks = data.picks.filter(
      pick => pick.unitId === unitId && pick.outcome !== 'not-looked',
    );
    const days = [...new Set(picks.map(pick => pick.pickedOn))].sort();
    return days.flatMap(day => {
      const value = harvestOf(
        measure,
        picks.filter(pick => pick.pickedOn <= day),
      );
      return value === null ? [] : [{ day, value }];
    });
  }
  const counted = countedReadings(
    data.readings.filter(reading => reading.unitId === unitId && reading.measureId === measure.id),
    measure,
  );
  return [...new Set(counted.map(reading => reading.takenOn))].sort().map(day => ({
    day,
    value: dayValue(
      counted.filter(reading => reading.takenOn === day),
      measure,
    ),
  }));
}

/** Those that say something of the unit on their day: a value, or that there was nothing. */
function countedReadings(
  readings: readonly Reading[],
  { scale }: globalThis.Pick<Measure, 'scale'>,
): readonly Reading[] {
  return readings.filter(reading => !reading.isRepeat && lookValue(reading, scale) !== null);
}

function fromReadings(
  unit: ExperimentalUnit,
  measure: Measure,
  readings: readonly Reading[],
  window: Window,
): UnitValue {
  const counted = countedReadings(readings, measure);
  const days = [...new Set(counted.map(reading => reading.takenOn))].sort();
  const byDay = days.map(day => ({
    day,
    value: dayValue(
      counted.filter(reading => reading.takenOn === day),
      measure,
    ),
  }));
  return {
    unit,
    status: statusOf(readings),
    missedOn: missedDays(
      readings.map(reading => ({ on: reading.takenOn, outcome: reading.outcome })),
    ),
    subsamples: Math.max(
      0,
      ...days.map(day => counted.filter(reading => reading.takenOn === day).length),
    ),
    value: byDay.length === 0 ? null : acrossDays(byDay, measure.summary, window),
  };
}
