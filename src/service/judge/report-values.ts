import { leftOutOf } from '@/core/judge/units/analysis-sets';
import { valuePrinter } from '@/core/measure/library/print-measure';
import { unitValues } from '@/core/measure/unit-value/unit-values';
import { MASS_STYLE_FOR } from '@/core/quantity/print-quantity';
import type { MeasureSystem } from '@/core/quantity/unit-of-measure';
import type { Measure } from '@/core/trial/model/measure';
import type { TrialData } from '@/core/trial/model/trial-data';
import type { ReportTable } from '@/print/report/report';

/** So many stand beside each other on a sheet of A4. */
const MEASURES_A_TABLE = 4;

interface Column {
  readonly head: string;
  /** In the order of the trial's units; empty where nothing is known. */
  readonly cells: readonly string[];
}

/** Every pot or bed with what each measure made of it, rounded as on the screen, in tables that fit on a page. */
export function valueTables(data: TrialData, system: MeasureSystem): readonly ReportTable[] {
  const first = standingColumns(data).filter(({ cells }) => cells.some(cell => cell !== ''));
  const names = namingColumns(data);
  return inGroups(data.measures).map((measures, i) => {
    const columns = [
      ...names,
      ...(i === 0 ? first : []),
      ...measures.map(measure => measureColumn(data, measure, system)),
    ];
    return {
      title: `Every ${data.trial.unitWord}${i === 0 ? '' : `: ${measures.map(({ name }) => name).join(', ')}`}`,
      heads: columns.map(({ head }) => head),
      rows: data.units.map((_, unit) => columns.map(({ cells }) => cells[unit] ?? '')),
    };
  });
}

/** One table at least, where nothing is measured either. */
function inGroups(measures: readonly Measure[]): readonly (readonly Measure[])[] {
  const groups = Math.max(1, Math.ceil(measures.length / MEASURES_A_TABLE));
  return Array.from({ length: groups }, (_, i) =>
    measures.slice(i * MEASURES_A_TABLE, (i + 1) * MEASURES_A_TABLE),
  );
}

function namingColumns({ units, treatments }: TrialData): readonly Column[] {
  const names = new Map(treatments.map(({ id, name }) => [id, name]));
  return [
    { head: 'code', cells: units.map(({ code }) => code) },
    { head: 'treatment', cells: units.map(unit => names.get(unit.treatmentId) ?? '') },
  ];
}

function standingColumns(data: TrialData): readonly Column[] {
  const { units, blocks, layout } = data;
  const names = new Map(blocks.map(({ id, name }) => [id, name]));
  const out = new Set(leftOutOf(data, 'planned'));
  return [
    {
      head: layout?.blockWord || 'block',
      cells: units.map(({ blockId }) => (blockId && names.get(blockId)) || ''),
    },
    {
      head: layout?.columnWord || 'column',
      cells: units.map(({ column }) => (column === null ? '' : String(column + 1))),
    },
    {
      head: 'start size',
      cells: units.map(({ startSize }) => (startSize === null ? '' : String(startSize))),
    },
    { head: 'left out', cells: units.map(({ code }) => (out.has(code) ? 'yes' : '')) },
  ];
}

function measureColumn(data: TrialData, measure: Measure, system: MeasureSystem): Column {
  const print = valuePrinter(measure, MASS_STYLE_FOR[system]);
  const values = new Map(unitValues(data, measure).map(({ unit, value }) => [unit.id, value]));
  return {
    head: measure.name,
    cells: data.units.map(({ id }) => {
      const value = values.get(id);
      return value == null ? '' : print(value);
    }),
  };
}
