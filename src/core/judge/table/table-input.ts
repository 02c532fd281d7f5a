import type { JudgedUnit } from '@/core/design/linear/design-input';
import { distinct } from '@/core/design/linear/trial-model';
import { type JudgeInput, STARTING_GUESS_CV } from '@/core/judge/question/judge-input';
import { failure, type Result, success } from '@/core/result';
import { outcomeUnits } from './outcome-units';
import { type ReadRow, readRow } from './read-row';
import type { Table, TableRoles, TableTrouble } from './table-roles';
import { cell, controlOf, type Naming, namingOf } from './treatment-naming';

/**
 * Reads a table into what the judge takes: one value a unit, subsamples averaged first. An empty response (or `NA`) is a
 * missing unit. Factors make treatments by crossing, named by their levels with a colon between.
 */
export function judgeInputFromTable(
  table: Table,
  roles: TableRoles,
): Result<JudgeInput, TableTrouble> {
  const blockColumns = [...roles.blocks, ...(roles.pair ? [roles.pair] : [])];
  const misfit = misfitOf(table, roles, blockColumns);
  if (misfit) return failure(misfit);
  const naming = namingOf(table, roles);
  if (!naming) return failure({ kind: 'no-treatment-named' });
  const read = readRows(table, roles, blockColumns, naming);
  if (!read.ok) return read;
  const rows = read.value;
  const gathered = gatherUnits(rows, blockColumns, naming.name);
  if (!gathered.ok) return gathered;

  const treatments = distinct(rows.map(row => row.treatment));
  if (treatments.length < 2) return failure({ kind: 'one-treatment', treatments });
  if (treatments.length > MOST_TREATMENTS)
    return failure({
      kind: 'too-many',
      what: 'treatments',
      column: naming.name,
      count: treatments.length,
      most: MOST_TREATMENTS,
    });
  const control = controlOf(treatments, roles, naming);
  if (control === undefined)
    return failure({ kind: 'no-control', control: roles.control, treatments });
  const stranger = [...(roles.agreed?.one ?? []), ...(roles.agreed?.other ?? [])].find(
    name => !treatments.includes(name),
  );
  if (stranger !== undefined) return failure({ kind: 'no-control', control: stranger, treatments });
  const units = outcomeUnits(table, roles, gathered.value);
  if (!units.ok) return units;
  return success({
    outcome: roles.kind,
    response: roles.response,
    unitWord: roles.unit === undefined ? 'unit' : roles.unit.toLowerCase(),
    treatmentName: naming.name,
    treatments,
    control,
    blockNames: blockColumns,
    factors: naming.structureOf(treatments),
    isPaired: roles.pair !== undefined,
    units: units.value,
    subsamples: rows.filter(row => row.value !== null).length,
    better: roles.better,
    agreed: roles.agreed,
    margin: roles.margin,
    confidence: roles.confidence,
    shuffles: roles.shuffles,
    seed: roles.seed,
    isDeclared: true,
    priorCv: STARTING_GUESS_CV,
  });
}

// More is a wrong column, such as the date or the reading itself, and its sums would run for hours.
const MOST_TREATMENTS = 40;
const MOST_FACTORS = 6;
const MOST_BLOCKS = 400;

/** Why the table does not fit what was said of it, before a row of it is read. */
function misfitOf(
  table: Table,
  roles: TableRoles,
  blockColumns: readonly string[],
): TableTrouble | undefined {
  const { response, treatment, unit, whole, covariate, factors } = roles;
  const named = [response, treatment, unit, whole, covariate, ...blockColumns, ...factors];
  const unknown = named.find(column => column !== undefined && !table.columns.includes(column));
  if (unknown !== undefined) return { kind: 'no-column', column: unknown, columns: table.columns };
  if (table.rows.length === 0) return { kind: 'no-rows' };
  return tooManyOf(table, roles, blockColumns);
}

function readRows(
  table: Table,
  roles: TableRoles,
  blockColumns: readonly string[],
  naming: Naming,
): Result<readonly ReadRow[], TableTrouble> {
  const rows: ReadRow[] = [];
  for (const [i, cells] of table.rows.entries()) {
    const read = readRow(cells, table.rowNumbers?.[i] ?? i + 2, roles, blockColumns, naming);
    if (!read.ok) return read;
    rows.push(read.value);
  }
  return success(rows);
}

function tooManyOf(
  table: Table,
  roles: TableRoles,
  blockColumns: readonly string[],
): TableTrouble | undefined {
  if (roles.factors.length > MOST_FACTORS)
    return {
      kind: 'too-many',
      what: 'factors',
      column: roles.factors.join(', '),
      count: roles.factors.length,
      most: MOST_FACTORS,
    };
  for (const column of blockColumns) {
    const count = new Set(table.rows.map(row => cell(row, column))).size;
    if (count > MOST_BLOCKS)
      return { kind: 'too-many', what: 'blocks', column, count, most: MOST_BLOCKS };
  }
  return undefined;
}

function gatherUnits(
  rows: readonly ReadRow[],
  blockColumns: readonly string[],
  treatmentName: string,
): Result<readonly JudgedUnit[], TableTrouble> {
  const byUnit = new Map<string, ReadRow[]>();
  for (const row of rows) {
    const others = byUnit.get(row.unit) ?? [];
    const first = others[0];
    const differs = first && disagreement(first, row, blockColumns, treatmentName);
    if (differs)
      return failure({ kind: 'unit-disagrees', row: row.row, unit: row.unit, ...differs });
    byUnit.set(row.unit, [...others, row]);
  }
  return success(
    [...byUnit].map(
      ([id, parts]): JudgedUnit => ({
        id,
        treatment: parts[0]?.treatment ?? '',
        blocks: parts[0]?.blocks ?? [],
        wholePlot: parts[0]?.wholePlot,
        value: meanOf(parts.flatMap(part => (part.value === null ? [] : [part.value]))),
        covariate:
          meanOf(parts.flatMap(part => (part.covariate === undefined ? [] : [part.covariate]))) ??
          undefined,
      }),
    ),
  );
}

function disagreement(
  first: ReadRow,
  row: ReadRow,
  blockColumns: readonly string[],
  treatmentName: string,
): { column: string; first: string; read: string } | undefined {
  if (first.treatment !== row.treatment)
    return { column: treatmentName, first: first.treatment, read: row.treatment };
  const at = first.blocks.findIndex((block, i) => block !== row.blocks[i]);
  return at < 0
    ? undefined
    : { column: blockColumns[at] ?? '', first: first.blocks[at] ?? '', read: row.blocks[at] ?? '' };
}

function meanOf(values: readonly number[]): number | null {
  return values.length === 0 ? null : values.reduce((sum, value) => sum + value, 0) / values.length;
}
