import { ELEMENT_IN } from '@/core/materials/label/nutrient';
import type { RowTrouble } from '@/core/measure/reading/reading-table';
import { failure, type Result, success } from '@/core/result';
import { BLANK_MEASURE, BLANK_READING } from '@/core/trial/model/blank-facts';
import { MeasureId, ReadingId } from '@/core/trial/model/ids';
import type { Measure } from '@/core/trial/model/measure';
import type { Reading } from '@/core/trial/model/reading';
import type { TrialTrouble } from '@/core/trial/trial-trouble';
import type { SoilSample } from './soil-sample';

/** One value of a laboratory's report, as the element and in the unit that all reports are brought to. */
export interface LabValue {
  readonly row: number;
  readonly number: string;
  readonly analyte: string;
  readonly value: number;
  /** Below what the method can show: half of that limit stands for it (common practice, no source). */
  readonly isBelowLimit: boolean;
  readonly asWritten: string;
  readonly extract: string;
  readonly optimum: { readonly low: number; readonly high: number } | null;
}

interface Analyte {
  readonly key: string;
  readonly name: string;
  readonly unit: string;
  /** What the report may call it. The first that fits is taken. */
  readonly said: RegExp;
  readonly factor: number;
}

const mass = (key: string, name: string, said: RegExp, factor = 1): Analyte => ({
  key,
  name,
  unit: 'mg/kg',
  said,
  factor,
});

// Oxides stand before their elements: “P2O5” holds a P.
const ANALYTES: readonly Analyte[] = [
  { key: 'ph', name: 'pH of the soil', unit: 'pH', said: /^ph\b/i, factor: 1 },
  {
    key: 'ec',
    name: 'Salts (EC) of the soil',
    unit: 'mS/cm',
    said: /^(ec|conductivity|electrical)\b/i,
    factor: 1,
  },
  {
    key: 'om',
    name: 'Organic matter',
    unit: '%',
    said: /^(organic matter|om|humus)\b/i,
    factor: 1,
  },
  mass('p', 'Phosphorus (P) in the soil', /p2o5|phosphate/i, ELEMENT_IN.p2o5),
  mass('k', 'Potassium (K) in the soil', /k2o|potash/i, ELEMENT_IN.k2o),
  mass('mg', 'Magnesium (Mg) in the soil', /mgo|magnesia/i, ELEMENT_IN.mgo),
  mass('ca', 'Calcium (Ca) in the soil', /\bcao\b/i, ELEMENT_IN.cao),
  mass('s', 'Sulphur (S) in the soil', /so3/i, ELEMENT_IN.so3),
  mass('no3-n', 'Nitrate nitrogen in the soil', /nitrate[- ]?n\b|no3-n/i),
  mass('no3-n', 'Nitrate nitrogen in the soil', /no3|nitrate/i, ELEMENT_IN.no3),
  mass('nh4-n', 'Ammonium nitrogen in the soil', /ammonium[- ]?n\b|ammoniacal|nh4-n/i),
  mass('nh4-n', 'Ammonium nitrogen in the soil', /nh4|ammonium/i, ELEMENT_IN.nh4),
  mass('n', 'Nitrogen (N) in the soil', /^(n|nitrogen|total n)\b/i),
  mass('p', 'Phosphorus (P) in the soil', /^(p|phosphorus)\b/i),
  mass('k', 'Potassium (K) in the soil', /^(k|potassium)\b/i),
  mass('mg', 'Magnesium (Mg) in the soil', /^(mg|magnesium)\b/i),
  mass('ca', 'Calcium (Ca) in the soil', /^(ca|calcium)\b/i),
  mass('s', 'Sulphur (S) in the soil', /^(s|sulphur|sulfur)\b/i),
  mass('b', 'Boron (B) in the soil', /^(b|boron)\b/i),
  mass('na', 'Sodium (Na) in the soil', /^(na|sodium)\b/i),
  mass('fe', 'Iron (Fe) in the soil', /^(fe|iron)\b/i),
  mass('mn', 'Manganese (Mn) in the soil', /^(mn|manganese)\b/i),
  mass('zn', 'Zinc (Zn) in the soil', /^(zn|zinc)\b/i),
  mass('cu', 'Copper (Cu) in the soil', /^(cu|copper)\b/i),
  mass('mo', 'Molybdenum (Mo) in the soil', /^(mo|molybdenum)\b/i),
  mass('al', 'Aluminium (Al) in the soil', /^(al|alumini?um)\b/i),
  mass('cl', 'Chloride (Cl) in the soil', /^(cl|chloride)\b/i),
];

const IN_MG_PER_KG: Readonly<Record<string, number>> = {
  'mg/kg': 1,
  ppm: 1,
  'µg/g': 1,
  'mg/100g': 10,
  'mg/100 g': 10,
  'g/kg': 1000,
  '%': 10_000,
};
const IN_MS_PER_CM: Readonly<Record<string, number>> = {
  'ms/cm': 1,
  'ds/m': 1,
  'µs/cm': 0.001,
  'us/cm': 0.001,
};

const HEADS = {
  number: /^(sample|sample (no|number)\.?|number|bag)$/i,
  analyte: /^(analyte|parameter|element|test)$/i,
  value: /^(value|result)$/i,
  unit: /^unit$/i,
  extract: /^(extract|method)$/i,
  low: /^(optimum|target)?[ _]?(low|from|min)$/i,
  high: /^(optimum|target)?[ _]?(high|to|max)$/i,
} as const;

/**
 * Reads a laboratory's report: a row for each sample and analyte. Oxides become elements, units one unit, “< 5” half of 5.
 * All of it or nothing.
 */
export function readLabReport(
  heads: readonly string[],
  rows: readonly (readonly string[])[],
): Result<readonly LabValue[], readonly RowTrouble[]> {
  const column = (pattern: RegExp): number => heads.findIndex(head => pattern.test(head.trim()));
  const at = {
    number: column(HEADS.number),
    analyte: column(HEADS.analyte),
    value: column(HEADS.value),
    unit: column(HEADS.unit),
    extract: column(HEADS.extract),
    low: column(HEADS.low),
    high: column(HEADS.high),
  };
  const missing = (['number', 'analyte', 'value'] as const).filter(name => at[name] < 0);
  if (missing.length > 0)
    return failure([
      {
        row: 1,
        column: missing[0] ?? '',
        says: `The report wants columns “sample”, “analyte” and “value”; ${missing.map(name => (name === 'number' ? 'sample' : name)).join(' and ')} is missing.`,
      },
    ]);
  const values: LabValue[] = [];
  const troubles: RowTrouble[] = [];
  rows.forEach((row, i) => {
    if (row.every(cell => cell.trim() === '')) return;
    const cell = (name: keyof typeof at): string => (row[at[name]] ?? '').trim();
    const read = readRow(
      {
        number: cell('number').toUpperCase(),
        analyte: cell('analyte'),
        value: cell('value'),
        unit: cell('unit'),
        extract: cell('extract'),
        low: cell('low'),
        high: cell('high'),
      },
      i + 2,
    );
    if (read.ok) values.push(read.value);
    else troubles.push(read.trouble);
  });
  if (troubles.length > 0) return failure(troubles);
  return values.length === 0
    ? failure([{ row: 1, column: '', says: 'The report holds no values.' }])
    : success(values);
}

type Cells = Readonly<Record<keyof typeof HEADS, string>>;

function readRow(cells: Cells, row: number): Result<LabValue, RowTrouble> {
  const trouble = (column: string, says: string) => failure({ row, column, says });
  const analyte = ANALYTES.find(each => each.said.test(cells.analyte));
  if (!analyte) return trouble('analyte', `“${cells.analyte}” is not known here.`);
  const unit = factorOf(analyte, cells.unit);
  if (unit === undefined)
    return trouble('unit', `“${cells.unit}” is no unit of ${analyte.name} that is known here.`);
  const found = /^(<|less than|below)?\s*(\d+(?:[.,]\d+)?)$/i.exec(cells.value);
  if (!found) return trouble('value', `“${cells.value}” is no number.`);
  const inUnit = (written: string): number =>
    Number(written.replace(',', '.')) * analyte.factor * unit;
  const isBelow = isBelowLimit(cells.value);
  const [low, high] = [cells.low, cells.high].map(bound =>
    /^\d+([.,]\d+)?$/.test(bound) ? inUnit(bound) : null,
  );
  return success({
    row,
    number: cells.number,
    analyte: analyte.key,
    value: inUnit(found[2] ?? '') * (isBelow ? 0.5 : 1),
    isBelowLimit: isBelow,
    asWritten:
      `${cells.value} ${cells.unit}${analyte.factor === 1 ? '' : ` ${cells.analyte}`}`.trim(),
    extract: cells.extract,
    optimum:
      typeof low === 'number' && typeof high === 'number' && low < high ? { low, high } : null,
  });
}

function factorOf({ unit }: Analyte, written: string): number | undefined {
  const said = written.toLowerCase().replace(/\s*\/\s*/, '/');
  if (unit === 'pH') return /^(ph|)$/.test(said) ? 1 : undefined;
  if (unit === '%') return said === '%' || said === '' ? 1 : undefined;
  return unit === 'mS/cm' ? IN_MS_PER_CM[said || 'ms/cm'] : IN_MG_PER_KG[said || 'mg/kg'];
}

/** Whether a laboratory’s value was below what its method can show, by its own words: a note says other things, too. */
export function isBelowLimit(asWritten: string): boolean {
  return /^\s*(<|less than|below)/i.test(asWritten);
}

/** What a report brings to a trial: measures that were not read yet, and readings. */
export interface LabReadings {
  readonly measures: readonly Measure[];
  readonly readings: readonly Reading[];
}

interface LabContext {
  readonly samples: readonly SoilSample[];
  readonly measures: readonly Measure[];
  readonly device: string;
  readonly now: string;
  readonly newId: () => string;
}

/** Puts a report's values to the units whose bags they are of. Several bags of a unit are parts of it. */
export function labReadings(
  values: readonly LabValue[],
  { samples, measures, device, now, newId }: LabContext,
): Result<LabReadings, readonly RowTrouble[]> {
  const byKey = new Map(measures.map(measure => [measure.kindKey ?? '', measure]));
  const made: Measure[] = [];
  const readings: Reading[] = [];
  const troubles: RowTrouble[] = [];
  const seen = new Map<string, number>();
  for (const value of values) {
    const sample = samples.find(each => each.number === value.number);
    const before = seen.get(`${value.number} ${value.analyte}`);
    if (!sample)
      troubles.push({
        row: value.row,
        column: 'sample',
        says: `No bag of this trial has the number “${value.number}”.`,
      });
    else if (before !== undefined)
      troubles.push({
        row: value.row,
        column: 'sample',
        says: `Row ${before} has ${value.analyte} of the same bag.`,
      });
    seen.set(`${value.number} ${value.analyte}`, value.row);
    if (!sample) continue;
    const key = `lab-${value.analyte}`;
    const measure = byKey.get(key) ?? labMeasure(value, key, newId());
    if (!byKey.has(key)) made.push(measure);
    byKey.set(key, measure);
    readings.push({
      id: ReadingId.parse(newId()),
      unitId: sample.unitId,
      measureId: measure.id,
      subsample: sample.number,
      takenOn: sample.takenOn,
      takenAt: now,
      ...BLANK_READING,
      value: value.value,
      outcome: 'picked',
      note: value.isBelowLimit
        ? 'below what the method can show: half of that limit stands for it'
        : '',
      asWritten: value.asWritten.slice(0, 80),
      device,
      supersedes: null,
      isRemoval: false,
    });
  }
  return troubles.length > 0 ? failure(troubles) : success({ measures: made, readings });
}

function labMeasure({ analyte, extract, optimum }: LabValue, kindKey: string, id: string): Measure {
  const known = ANALYTES.find(each => each.key === analyte);
  return {
    id: MeasureId.parse(id),
    name: known?.name ?? analyte,
    definition:
      `By the laboratory${extract === '' ? '' : `, ${extract}`}; all cores of a pot or bed in one bag.`.slice(
        0,
        400,
      ),
    response: (known?.name ?? analyte).toLowerCase(),
    unit: known?.unit ?? '',
    summary: 'reading-last',
    better: 'higher',
    margin: null,
    isMain: false,
    ...BLANK_MEASURE,
    kindKey,
    scale: { kind: 'continuous', least: 0, most: 1_000_000 },
    optimum,
  };
}

/** Why a report was not taken: nothing of it is, then. */
export type ReportTrouble =
  | { readonly kind: 'rows'; readonly rows: readonly RowTrouble[] }
  | { readonly kind: 'trial'; readonly trouble: TrialTrouble }
  | { readonly kind: 'waiting'; readonly says: string };
