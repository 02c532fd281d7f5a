import type { DeskColumn, DeskView } from './desk-view';

/**
 * The measures a day's grid opens with: those read on it, and those that were read when anything was read last; all of them where
 * nothing was read yet. The main measure, where it is read, is always among them.
 */
export function dayMeasures({
  day,
  cells,
  columns,
  measures,
  courses,
}: Pick<DeskView, 'day' | 'cells' | 'columns' | 'measures' | 'courses'>): ReadonlySet<string> {
  const all = new Set(columns.map(column => column.measureId));
  const daysOf = courses
    .filter(course => all.has(course.measureId))
    .map(({ measureId, pots }) => ({
      measureId,
      last: latest(pots.flatMap(pot => pot.course.map(point => point.day)).filter(on => on <= day)),
    }));
  const lastDay = latest(daysOf.flatMap(({ last }) => last ?? []));
  const shown = [
    ...cells.map(cell => cell.measureId),
    ...daysOf
      .filter(({ last }) => last !== undefined && last === lastDay)
      .map(each => each.measureId),
  ];
  if (shown.length === 0) return all;
  const main = measures.filter(measure => measure.isMain).map(measure => measure.id as string);
  return new Set([...shown, ...main].filter(id => all.has(id)));
}

/** The measures that a grid could have columns of, in their order. */
export function gridMeasures(columns: readonly DeskColumn[]): readonly string[] {
  return [...new Set(columns.map(column => column.measureId))];
}

function latest(days: readonly string[]): string | undefined {
  return days.toSorted().at(-1);
}
