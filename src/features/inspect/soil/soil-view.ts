import type { SeenTrial } from '@/core/blinding/seen-trial';
import { isBelowLimit } from '@/core/measure/laboratory/lab-report';
import type { SoilSample } from '@/core/measure/laboratory/soil-sample';
import type { Measure } from '@/core/trial/model/measure';
import type { Reading } from '@/core/trial/model/reading';
import type { BenchUnit } from '@/features/bench/bench-view';

/** A bag as it is listed: whose, and whether the laboratory answered for it. */
export interface BagView {
  readonly number: string;
  readonly code: string;
  readonly takenOn: string;
  readonly depthMm: number | null;
  readonly cores: number;
  readonly isAnswered: boolean;
}

/** One analyte, unit by unit, day by day. */
export interface AnalyteView {
  readonly measureId: string;
  readonly name: string;
  readonly unit: string;
  readonly optimum: { readonly low: number; readonly high: number } | null;
  readonly days: readonly string[];
  readonly rows: readonly {
    readonly code: string;
    readonly treatment: string | null;
    readonly values: readonly (AnalyteCell | null)[];
    readonly change: number | null;
  }[];
}

export interface AnalyteCell {
  readonly value: number;
  readonly isBelowLimit: boolean;
  /** Against what the laboratory calls enough; null where it says nothing. */
  readonly stands: 'low' | 'right' | 'high' | null;
}

export interface SoilView {
  readonly bags: readonly BagView[];
  readonly analytes: readonly AnalyteView[];
}

/** What the laboratory said, before and after and day by day. Bags of one unit and day are averaged: they are parts of it. */
export function soilViewOf(
  data: SeenTrial,
  units: readonly BenchUnit[],
  samples: readonly SoilSample[],
): SoilView {
  const measures = data.measures.filter(measure => measure.kindKey?.startsWith('lab-'));
  const ofLab = new Set(measures.map(measure => measure.id as string));
  const readings = data.readings.filter(
    reading => ofLab.has(reading.measureId) && reading.value !== null,
  );
  const answered = new Set(readings.map(reading => reading.subsample));
  const codeOf = new Map(units.map(unit => [unit.id, unit.code]));
  return {
    bags: samples.map(({ number, unitId, takenOn, depthMm, cores }) => ({
      number,
      code: codeOf.get(unitId) ?? '',
      takenOn,
      depthMm,
      cores,
      isAnswered: answered.has(number),
    })),
    analytes: measures.map(measure => analyteView(measure, readings, units)),
  };
}

function analyteView(
  { id, name, unit, optimum }: Measure,
  readings: readonly Reading[],
  units: readonly BenchUnit[],
): AnalyteView {
  const own = readings.filter(reading => reading.measureId === id);
  const days = [...new Set(own.map(reading => reading.takenOn))].sort();
  const rows = units.flatMap((each): AnalyteView['rows'] => {
    const ofUnit = own.filter(reading => reading.unitId === each.id);
    if (ofUnit.length === 0) return [];
    const values = days.map(day =>
      analyteCell(
        ofUnit.filter(reading => reading.takenOn === day),
        optimum,
      ),
    );
    const known = values.filter(cell => cell !== null);
    const [first, last] = [known[0], known.at(-1)];
    const change = known.length > 1 && first && last ? last.value - first.value : null;
    return [{ code: each.code, treatment: each.tag?.name ?? null, values, change }];
  });
  return { measureId: id, name, unit, optimum, days, rows };
}

/** The mean of a unit's bags of one day; null where there is none. */
function analyteCell(
  bags: readonly Reading[],
  optimum: AnalyteView['optimum'],
): AnalyteCell | null {
  if (bags.length === 0) return null;
  const value = bags.reduce((sum, reading) => sum + (reading.value ?? 0), 0) / bags.length;
  return {
    value,
    isBelowLimit: bags.every(reading => isBelowLimit(reading.asWritten)),
    stands: optimum === null ? null : standsAt(value, optimum),
  };
}

function standsAt(
  value: number,
  { low, high }: NonNullable<AnalyteView['optimum']>,
): AnalyteCell['stands'] {
  if (value < low) return 'low';
  return value > high ? 'high' : 'right';
}
