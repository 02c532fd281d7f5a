import papaparse from 'papaparse';
import { leftOutOf } from '@/core/judge/units/analysis-sets';
import { unitValues } from '@/core/measure/unit-value/unit-values';
import type { Measure } from '@/core/trial/model/measure';
import type { Reading } from '@/core/trial/model/reading';
import type { TrialData } from '@/core/trial/model/trial-data';
import type { ExperimentalUnit } from '@/core/trial/model/unit';

// What a spreadsheet runs: all but what is a figure below zero to its end.
const FORMULA = /^(?:[=+@\t\r]|-(?!\d+(?:\.\d+)?(?:e[-+]?\d+)?$))/i;

/** Rows as a CSV file in which no cell is a formula. */
export function csvTable(rows: readonly (readonly string[])[]): string {
  const table = papaparse.unparse(
    rows.map(row => [...row]),
    { newline: '\n', escapeFormulae: FORMULA },
  );
  return `${table}\n`;
}

const nameOf = (data: TrialData, treatmentId: string): string =>
  data.treatments.find(treatment => treatment.id === treatmentId)?.name ?? '';

/** One row for each pot or bed, one column a measure: what the judge compares. @param isBlind codes only */
export function unitRows(data: TrialData, isBlind = false): readonly (readonly string[])[] {
  const values = data.measures.map(
    measure => new Map(unitValues(data, measure).map(each => [each.unit.id, each.value])),
  );
  const out = new Set(leftOutOf(data, 'planned'));
  return [
    [
      'code',
      ...(isBlind ? [] : ['treatment']),
      'block',
      'column',
      'start_size',
      'left_out',
      ...data.measures.map(
        measure =>
          `${measure.name}${measure.unit === '' || measure.unit === 'count' ? '' : ` (${measure.unit})`}`,
      ),
    ],
    ...data.units.map(unit => [
      unit.code,
      ...(isBlind ? [] : [nameOf(data, unit.treatmentId)]),
      data.blocks.find(block => block.id === unit.blockId)?.name ?? '',
      unit.column === null ? '' : String(unit.column + 1),
      unit.startSize === null ? '' : String(unit.startSize),
      out.has(unit.code) ? 'yes' : '',
      ...values.map(each => {
        const value = each.get(unit.id);
        return value == null ? '' : String(value);
      }),
    ]),
  ];
}

/** A value as it can be read again: a class by its name, beyond a scale as such, all else as its number. */
function readableValue({ value }: Reading, measure: Measure | undefined): string {
  if (value === null) return '';
  const scale = measure?.scale;
  if (scale?.kind === 'class') return scale.classes[value] ?? String(value);
  if (scale?.kind === 'ordinal') {
    const last = scale.from + scale.steps.length - 1;
    if (value > last) return `>${last}`;
    if (value < scale.from) return `<${scale.from}`;
  }
  return String(value);
}

/** Every current pick and reading as it was entered. @param isBlind codes only: nothing says which unit got what */
export function entryRows(data: TrialData, isBlind = false): readonly (readonly string[])[] {
  const measureOf = new Map(data.measures.map(measure => [measure.id, measure]));
  const figure = (value: number | null): string => (value === null ? '' : String(value));
  const unitOf = new Map<string, ExperimentalUnit>(data.units.map(unit => [unit.id, unit]));
  const standing = (unitId: string): readonly string[] => {
    const unit = unitOf.get(unitId);
    const block = data.blocks.find(({ id }) => id === unit?.blockId)?.name ?? '';
    return [unit?.code ?? '', ...(isBlind ? [] : [nameOf(data, unit?.treatmentId ?? '')]), block];
  };
  return [
    [
      'kind',
      'day',
      'code',
      ...(isBlind ? [] : ['treatment']),
      'block',
      'measure',
      'part',
      'outcome',
      'value',
      'out_of',
      'unit',
      'pieces',
      'grade',
      'note',
      'observer',
    ],
    ...data.picks.map(pick => [
      'pick',
      pick.pickedOn,
      ...standing(pick.unitId),
      '',
      '',
      pick.outcome,
      figure(pick.netG),
      '',
      'g',
      figure(pick.pieces),
      pick.cullReason === null ? pick.grade : `${pick.grade} ${pick.cullReason}`,
      pick.note,
      pick.by,
    ]),
    ...data.readings.map(reading => {
      const measure = measureOf.get(reading.measureId);
      return [
        reading.isRepeat ? 'second reading' : 'reading',
        reading.takenOn,
        ...standing(reading.unitId),
        measure?.name ?? '',
        reading.subsample,
        reading.outcome,
        readableValue(reading, measure),
        figure(reading.outOf),
        measure?.unit ?? '',
        '',
        '',
        reading.note,
        reading.by,
      ];
    }),
  ];
}
