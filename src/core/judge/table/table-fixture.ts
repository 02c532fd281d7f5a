import type { Table } from './table-roles';

/** A table from lines of cells with commas between. */
export function tableFixture(header: string, ...lines: readonly string[]): Table {
  const columns = header.split(',');
  return {
    columns,
    rows: lines.map(line =>
      Object.fromEntries(line.split(',').map((cell, i) => [columns[i] ?? '', cell])),
    ),
  };
}
