import { lookValue } from '@/core/measure/reading/looks';
import { median } from '@/core/stats/median';
import { daysBetween } from '@/core/time/garden-day';
import type { Measure } from '@/core/trial/model/measure';
import type { Pick } from '@/core/trial/model/pick';
import type { Reading } from '@/core/trial/model/reading';
import { isAveraged } from '@/core/trial/model/scale';
import type { TrialData } from '@/core/trial/model/trial-data';
import type { ExperimentalUnit } from '@/core/trial/model/unit';

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
  const window = { from: days[0] ?? '', to: days.at(-1) ?? '' };
  return data.units.map(unit =>
    fromReadings(
      unit,
      measure,
      own.filter(reading => reading.unitId === unit.id),
      window,
    ),
  );
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
    measure.scale !== null && isAveraged(measure.scale) && measure.scale.kind !== 'date';
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

/** A value of one day. */
export interface CoursePoint {
  readonly day: string;
  readonly value: number;
}

/** Those that say something of the unit on their day: a value, or that there was nothing. */
function countedReadings(
  readings: readonly Reading[],
  { scale }: globalThis.Pick<Measure, 'scale'>,
): readonly Reading[] {
  return readings.filter(reading => !reading.isRepeat && lookValue(reading, scale) !== null);
}

/** From the first to the last day on which any unit was looked at. */
interface Window {
  readonly from: string;
  readonly to: string;
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

/**
 * Parts of one day to one value: k of n pooled, in %; steps and classes by the middle one; the rest averaged, or added as if all
 * parts had been read.
 */
function dayValue(
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

function acrossDays(
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
