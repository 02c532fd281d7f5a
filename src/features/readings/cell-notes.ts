import { oddnessWords, oddReading } from '@/core/measure/reading/odd-reading';
import type { DeskColumn, DeskView } from './desk-view';
import type { GridCell } from './use-grid';

/** What is said of one cell: that it was not taken, or that it looks like a slip. */
export interface CellNote {
  readonly unitId: string;
  readonly column: DeskColumn;
  readonly kind: 'bad' | 'odd';
  readonly says: string;
}

type CellOf = (unitId: string, column: DeskColumn) => GridCell;

export function cellNotes(view: DeskView, cellOf: CellOf): readonly CellNote[] {
  return [...notTaken(view, cellOf), ...oddOnes(view, cellOf)];
}

function notTaken({ units, columns }: DeskView, cellOf: CellOf): readonly CellNote[] {
  return units.flatMap(unit =>
    columns.flatMap((column): CellNote[] => {
      const { state, trouble } = cellOf(unit.id, column);
      const says = `${unit.code}, ${column.head}: ${trouble}`;
      return state === 'bad' ? [{ unitId: unit.id, column, kind: 'bad', says }] : [];
    }),
  );
}

/** What of the page's own entries looks like a slip: “sure?”, with the reason. Asked, never refused. */
function oddOnes(view: DeskView, cellOf: CellOf): readonly CellNote[] {
  return view.columns.flatMap(column => {
    const scale = view.measures.find(measure => measure.id === column.measureId)?.scale;
    if (!scale) return [];
    const values = view.units
      .map(unit => ({ unit, cell: cellOf(unit.id, column) }))
      .flatMap(({ unit, cell }) =>
        cell.state === 'saved' && /^\d/.test(cell.text)
          ? [{ unit, cell, value: Number.parseFloat(cell.text.replace(',', '.')) }]
          : [],
      );
    const pots = view.courses.find(course => course.measureId === column.measureId)?.pots ?? [];
    return values
      .filter(each => each.cell.isFresh)
      .flatMap(({ unit, value }): CellNote[] => {
        const own =
          pots
            .find(pot => pot.code === unit.code)
            ?.course.filter(point => point.day < view.day)
            .map(point => point.value) ?? [];
        const odd = oddReading(
          value,
          scale,
          own,
          values.filter(other => other.unit !== unit).map(other => other.value),
        );
        if (odd === null) return [];
        const says = `${unit.code}, ${column.head}: ${value}. ${oddnessWords(odd, column.unit)}`;
        return [{ unitId: unit.id, column, kind: 'odd', says }];
      });
  });
}
