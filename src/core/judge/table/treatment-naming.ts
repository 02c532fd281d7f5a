import type { FactorStructure } from '@/core/design/linear/design-input';
import type { Table, TableRoles } from './table-roles';

/** How a row's treatment is named: by its own column, or by crossed factors. */
export interface Naming {
  readonly name: string;
  readonly columns: readonly string[];
  readonly nameOf: (cells: Readonly<Record<string, string>>) => string;
  readonly structureOf: (treatments: readonly string[]) => FactorStructure | undefined;
}

const CROSS = ':';

export function namingOf(table: Table, roles: TableRoles): Naming | undefined {
  const { treatment, factors } = roles;
  if (factors.length === 0) {
    if (treatment === undefined) return undefined;
    return {
      name: treatment,
      columns: [treatment],
      nameOf: cells => cell(cells, treatment),
      structureOf: () => undefined,
    };
  }
  const combinationOf = (
    cells: Readonly<Record<string, string>>,
    columns: readonly string[],
  ): string => columns.map(column => cell(cells, column)).join(CROSS);
  const namesCombination =
    treatment !== undefined &&
    !factors.includes(treatment) &&
    isOneToOne(
      table,
      row => cell(row, treatment),
      row => combinationOf(row, factors),
    );
  if (treatment !== undefined && namesCombination) {
    const levels = new Map(
      table.rows.map(row => [cell(row, treatment), factors.map(column => cell(row, column))]),
    );
    return {
      name: treatment,
      columns: [treatment, ...factors],
      nameOf: cells => cell(cells, treatment),
      structureOf: treatments => ({
        names: factors,
        levelsOf: Object.fromEntries(treatments.map(name => [name, levels.get(name) ?? []])),
      }),
    };
  }
  const crossed =
    treatment === undefined || factors.includes(treatment) ? factors : [...factors, treatment];
  return {
    name: crossed.join(CROSS),
    columns: crossed,
    nameOf: cells => combinationOf(cells, crossed),
    structureOf: treatments => ({
      names: crossed,
      levelsOf: Object.fromEntries(treatments.map(name => [name, name.split(CROSS)])),
    }),
  };
}

function isOneToOne(
  table: Table,
  a: (row: Table['rows'][number]) => string,
  b: (row: Table['rows'][number]) => string,
): boolean {
  const as = new Set(table.rows.map(a)).size;
  return (
    as === new Set(table.rows.map(b)).size &&
    as === new Set(table.rows.map(row => JSON.stringify([a(row), b(row)]))).size
  );
}

/** The named control; for factors also the lowest level of each, or the named level of one with the lowest of the others. */
export function controlOf(
  treatments: readonly string[],
  roles: TableRoles,
  naming: Naming,
): string | undefined {
  if (roles.control !== undefined && treatments.includes(roles.control)) return roles.control;
  const structure = naming.structureOf(treatments);
  if (!structure) return undefined;
  const lowest = structure.names.map((_, f) =>
    [...new Set(treatments.map(name => structure.levelsOf[name]?.[f] ?? ''))].sort(byLevel),
  );
  const wanted = lowest.map(levels =>
    roles.control !== undefined && levels.includes(roles.control) ? roles.control : levels[0],
  );
  const isKnown = roles.control === undefined || wanted.includes(roles.control);
  return isKnown
    ? treatments.find(name => structure.levelsOf[name]?.every((level, f) => level === wanted[f]))
    : undefined;
}

function byLevel(a: string, b: string): number {
  const difference = Number(a) - Number(b);
  if (Number.isFinite(difference)) return difference;
  return a < b ? -1 : 1;
}

export function cell(cells: Readonly<Record<string, string>>, column: string): string {
  return (cells[column] ?? '').trim();
}
