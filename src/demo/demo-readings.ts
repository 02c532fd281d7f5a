import { readMeasure } from '@/core/measure/library/own-measure';
import { addDays } from '@/core/time/garden-day';
import { BLANK_READING } from '@/core/trial/model/blank-facts';
import { ReadingId } from '@/core/trial/model/ids';
import type { Measure } from '@/core/trial/model/measure';
import type { Reading } from '@/core/trial/model/reading';
import type { TrialData } from '@/core/trial/model/trial-data';
import type { ExperimentalUnit } from '@/core/trial/model/unit';
import type { SeasonDice } from './seeded-season';

/** What a demo trial reads beside its harvest: a measure of the library, on which days, and how its values come about. */
export interface ReadScript {
  readonly key: string;
  /** Days after the start; on the last only the first `onLastDay` units are read. */
  readonly days: readonly number[];
  readonly onLastDay: number;
  /** A unit's value on a day, before luck. */
  readonly of: (day: number, unit: ExperimentalUnit) => number;
  readonly sd: number;
  /** What it is read to; 1 where nothing is said. */
  readonly step?: number;
  readonly least: number;
  readonly most: number;
  /** Of k of n: n. */
  readonly outOf?: number;
  /** Of days: what comes later than this has not come when the trial ends. */
  readonly lastLook?: number;
}

/** A trial whose question is answered by one of its readings. */
export function judgedBy(
  data: TrialData,
  key: string,
  { margin, better }: Pick<Measure, 'margin' | 'better'>,
): TrialData {
  return {
    ...data,
    measures: data.measures.map(measure =>
      measure.kindKey === key ? { ...measure, isMain: true, margin, better } : measure,
    ),
  };
}

/** A trial with its readings in. */
export function withReadings(
  data: TrialData,
  scripts: readonly ReadScript[],
  dice: SeasonDice,
): TrialData {
  const measures = scripts.map((script): Measure => {
    const read = readMeasure({ from: 'library', key: script.key }, [], dice.newId());
    if (!read.ok) throw new RangeError(`${script.key} must be in the library`);
    return read.value;
  });
  return {
    ...data,
    measures: [...data.measures, ...measures],
    readings: scripts.flatMap((script, i) => {
      const measure = measures[i];
      return measure ? readingsOf(data, script, measure, dice) : [];
    }),
  };
}

function readingsOf(
  { trial, units }: TrialData,
  script: ReadScript,
  measure: Measure,
  dice: SeasonDice,
): readonly Reading[] {
  const walked = [...units].sort((a, b) => a.position - b.position);
  return script.days.flatMap((day, i) =>
    (i === script.days.length - 1 ? walked.slice(0, script.onLastDay) : walked).flatMap(
      (unit, order) =>
        Array.from({ length: measure.parts }, (_, part): Reading => {
          const takenOn = addDays(trial.startsOn, day);
          const value = Math.min(
            script.most,
            Math.max(
              script.least,
              toStep(script.of(day, unit) + script.sd * dice.normal(), script.step ?? 1),
            ),
          );
          return {
            id: ReadingId.parse(dice.newId()),
            unitId: unit.id,
            measureId: measure.id,
            subsample: measure.parts === 1 ? '' : String(part + 1),
            takenOn,
            takenAt: `${takenOn}T08:${String(order % 60).padStart(2, '0')}:00.000Z`,
            note: '',
            ...BLANK_READING,
            ...come(value, script),
            device: 'a phone',
            supersedes: null,
            isRemoval: false,
          };
        }),
    ),
  );
}

function toStep(value: number, step: number): number {
  return Number((Math.round(value / step) * step).toFixed(3));
}

/** A value as it was put down; a day that lies behind the last look is “not yet”. */
function come(
  value: number,
  { outOf, lastLook }: ReadScript,
): Pick<Reading, 'value' | 'outOf' | 'outcome' | 'asWritten'> {
  if (lastLook !== undefined && value > lastLook)
    return { value: null, outOf: null, outcome: 'nothing-there', asWritten: '' };
  return {
    value,
    outOf: outOf ?? null,
    outcome: 'picked',
    asWritten: outOf === undefined ? String(value) : `${value} of ${outOf}`,
  };
}
