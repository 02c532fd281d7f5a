import type { Table } from '@/core/judge/table/table-roles';
import { refuse } from './refuse';

const NUMBER = /^[-+]?(\d+\.?\d*|\.\d+)(e[-+]?\d+)?$/i;

/** A column's numbers, null where a cell is empty or NA; refuses by row what is none. */
export function numberColumn(
  table: Table,
  file: string,
  column: string | undefined,
  name: string,
): readonly (number | null)[] {
  if (column === undefined) return refuse(`${name} is missing: the name of a column.`);
  if (!table.columns.includes(column))
    return refuse(
      `${file}: there is no column “${column}”. Its columns are ${table.columns.join(', ')}.`,
    );
  return table.rows.map((cells, i) => {
    const written = (cells[column] ?? '').trim();
    if (written === '' || written === 'NA') return null;
    return NUMBER.test(written)
      ? Number(written)
      : refuse(
          `${file}, row ${table.rowNumbers?.[i] ?? i + 2}, column ${column}: “${written}” can’t be used. Expected a number.`,
        );
  });
}
