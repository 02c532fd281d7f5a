import type { Table, TableRoles } from './table-roles';

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

/** Weights of two feeds and more against none, without blocks. */
export const ROLES_FIXTURE: TableRoles = {
  response: 'weight',
  treatment: 'feed',
  control: 'none',
  blocks: [],
  factors: [],
  kind: 'continuous',
  better: 'higher',
  margin: null,
  confidence: 0.95,
  shuffles: 100,
  seed: 1,
};
