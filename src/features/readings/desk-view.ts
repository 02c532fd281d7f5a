import type { SeenTrial } from '@/core/blinding/seen-trial';
import { READING_KINDS } from '@/core/measure/library/reading-library';
import { shownUnit } from '@/core/measure/library/shown-unit';
import { LOOK_MARKS } from '@/core/measure/reading/looks';
import { valueWords } from '@/core/measure/reading/read-value';
import type { CoursePoint } from '@/core/measure/unit-value/across-days';
import { unitCourse } from '@/core/measure/unit-value/unit-values';
import { definitionWords, rulerWords } from '@/core/quantity/ruler-words';
import type { MeasureSystem } from '@/core/quantity/unit-of-measure';
import type { Measure } from '@/core/trial/model/measure';
import type { Reading } from '@/core/trial/model/reading';
import { isTaken, scaleWords } from '@/core/trial/model/scale';
import type { TrialState } from '@/core/trial/model/trial';
import type { TrialData } from '@/core/trial/model/trial-data';
import type { BenchView } from '@/features/bench/bench-view';
import { type NoteLine, notesOf } from './note-lines';

/** A column of the desk's grid: a measure, or one part of it. */
export interface DeskColumn {
  readonly measureId: string;
  readonly part: string;
  readonly head: string;
  readonly unit: string;
}

/** What stands in a cell. */
export interface DeskCell {
  readonly id: string;
  readonly unitId: string;
  readonly measureId: string;
  readonly part: string;
  /** As it was typed, so that it can be changed. */
  readonly text: string;
}

/** How a measure went in each pot, day by day. */
export interface MeasureCourses {
  readonly measureId: string;
  readonly name: string;
  readonly unit: string;
  readonly pots: readonly { readonly code: string; readonly course: readonly CoursePoint[] }[];
}

/** Readings at the desk: which measures, and the grid of one day. Codes only. */
export interface DeskView {
  readonly trialId: string;
  readonly state: TrialState;
  readonly unitWord: string;
  readonly day: string;
  readonly today: string;
  readonly units: readonly { readonly id: string; readonly code: string; readonly where: string }[];
  readonly columns: readonly DeskColumn[];
  readonly cells: readonly DeskCell[];
  readonly measures: readonly {
    readonly id: Measure['id'];
    readonly name: string;
    readonly definition: string;
    readonly scaleWords: string;
    readonly readings: number;
    readonly scale: Measure['scale'];
    readonly unit: string;
    readonly isMain: boolean;
  }[];
  /** Of each measure, the harvest among them, every pot's course so far: by code, never by treatment. */
  readonly courses: readonly MeasureCourses[];
  readonly notes: readonly NoteLine[];
  /** What the library offers that is not read yet. */
  readonly offered: readonly {
    readonly key: string;
    readonly name: string;
    readonly definition: string;
    readonly when: string;
    readonly instrument: string;
  }[];
}

export function deskViewOf(
  data: SeenTrial,
  {
    bench,
    isOpen,
    system = 'uk',
  }: {
    readonly bench: BenchView | null;
    readonly isOpen: boolean;
    readonly system?: MeasureSystem;
  },
  day: string,
  today: string,
): DeskView {
  const { trial } = data;
  const measures = data.measures.filter(measure => isTaken(measure.scale));
  const beside = data.measures.filter(measure => measure.scale !== null);
  const ofDay = data.readings.filter(reading => reading.takenOn === day);
  return {
    trialId: trial.id,
    state: trial.state,
    unitWord: trial.unitWord,
    day,
    today,
    units: [...(bench?.units ?? [])]
      .sort((a, b) => a.position - b.position)
      .map(({ id, code, where }) => ({ id, code, where })),
    columns: measures.flatMap(measure => columnsOf(measure, ofDay)),
    cells: cellsOf(data, measures, day, system),
    measures: beside.map(measure => measureLine(measure, data, system)),
    courses: data.measures
      .filter(measure => isTaken(measure.scale) || measure.isMain)
      .map(measure => coursesOf(measure, data))
      .filter(course => course.pots.length > 0),
    notes: notesOf(data, isOpen),
    offered: READING_KINDS.filter(
      kind => !beside.some(measure => measure.kindKey === kind.key),
    ).map(({ key, name, definition, when, instrument }) => ({
      key,
      name,
      definition: rulerWords(definition, system),
      when,
      instrument,
    })),
  };
}

/**
 * One for a measure read whole, else one for each of its parts; and for those parts that came on the day under other names, as from a
 * file. What a laboratory reads has columns only on the days of its answers.
 */
function columnsOf(
  { id, name, unit, parts, kindKey }: Measure,
  readings: readonly Reading[],
): readonly DeskColumn[] {
  const isByLaboratory = kindKey?.startsWith('lab-') ?? false;
  const planned = isByLaboratory
    ? []
    : parts === 1
      ? ['']
      : Array.from({ length: parts }, (_, i) => String(i + 1));
  const read = readings.filter(reading => reading.measureId === id).map(each => each.subsample);
  // Pieces of work have no column of their own: they are added up, and stand in the history.
  const others =
    kindKey === 'labour' ? [] : [...new Set(read)].filter(part => !planned.includes(part));
  others.sort((a, b) => a.localeCompare(b, 'en', { numeric: true }));
  return [...planned, ...others].map(part => ({
    measureId: id,
    part,
    head: part === '' ? name : `${name} ${part}`,
    unit,
  }));
}

/** What was read on the day, first readings alone. */
function cellsOf(
  { readings }: TrialData,
  measures: readonly Measure[],
  day: string,
  system: MeasureSystem,
): readonly DeskCell[] {
  const byId = new Map(measures.map(measure => [measure.id as string, measure]));
  return readings
    .filter(reading => reading.takenOn === day && !reading.isRepeat)
    .flatMap((reading): DeskCell[] => {
      const measure = byId.get(reading.measureId);
      if (!measure) return [];
      const { id, unitId, measureId, subsample: part } = reading;
      return [{ id, unitId, measureId, part, text: cellText(reading, measure, system) }];
    });
}

/** As it was written; a bare number in the unit that the garden sees now, which may have been another then. */
function cellText(reading: Reading, measure: Measure, system: MeasureSystem): string {
  const { outcome, asWritten, value } = reading;
  if (outcome !== 'picked')
    return outcome === 'not-yet' && asWritten !== '' ? asWritten : LOOK_MARKS[outcome];
  const { base } = shownUnit(measure.unit, system);
  if (base !== 1 && value !== null && /^[\d.,]*$/.test(asWritten))
    return String(Number((value / base).toPrecision(6)));
  return asWritten || valueWords(measure, reading, system);
}

function measureLine(
  measure: Measure,
  { readings }: TrialData,
  system: MeasureSystem,
): DeskView['measures'][number] {
  const { id, name, scale, unit, isMain } = measure;
  return {
    id,
    name,
    definition: definitionWords(measure, system),
    scale,
    unit,
    isMain,
    scaleWords: scale === null ? '' : scaleWords(scale),
    readings: readings.filter(reading => reading.measureId === id).length,
  };
}

function coursesOf(measure: Measure, data: TrialData): MeasureCourses {
  const pots = data.units
    .map(unit => ({ code: unit.code as string, course: unitCourse(data, unit.id, measure) }))
    .filter(pot => pot.course.length > 0);
  const unit = measure.unit === 'count' ? '' : measure.unit;
  return { measureId: measure.id, name: measure.name, unit, pots };
}
