import type { FactorStructure, JudgedUnit } from '@/core/design/linear/design-input';
import { distinct } from '@/core/design/linear/trial-model';
import {
  type BetterWay,
  type JudgeInput,
  type Margin,
  STARTING_GUESS_CV,
} from '@/core/judge/question/judge-input';
import { failure, type Result, success } from '@/core/result';

/** A table as a spreadsheet gives it: cells by column name, every cell a text. */
export interface Table {
  readonly columns: readonly string[];
  readonly rows: readonly Readonly<Record<string, string>>[];
  /** Where each row stands in the spreadsheet, whose header is row 1; without it they follow on each other. */
  readonly rowNumbers?: readonly number[];
}

/** Which column is what, and what was planned. */
export interface TableRoles {
  readonly response: string;
  /** Absent where factors make up the treatment. */
  readonly treatment?: string | undefined;
  readonly control?: string | undefined;
  readonly blocks: readonly string[];
  /** A block column whose blocks are pairs. */
  readonly pair?: string | undefined;
  /** Names the whole plots of a split plot within each block; it may be the factor that was dealt to them. */
  readonly whole?: string | undefined;
  /** Rows that share it are subsamples of one experimental unit. */
  readonly unit?: string | undefined;
  readonly factors: readonly string[];
  readonly covariate?: string | undefined;
  readonly kind: 'continuous' | 'count';
  readonly better: BetterWay;
  readonly margin: Margin | null;
  readonly confidence: number;
  readonly shuffles: number;
  readonly seed: number;
}

/** Why a table can't be judged. `row` counts as a spreadsheet does: the header is row 1. */
export type TableTrouble =
  | { readonly kind: 'no-column'; readonly column: string; readonly columns: readonly string[] }
  | { readonly kind: 'no-rows' }
  | { readonly kind: 'no-treatment-named' }
  | {
      readonly kind: 'bad-cell';
      readonly row: number;
      readonly column: string;
      readonly read: string;
      readonly expected: string;
    }
  | {
      readonly kind: 'no-control';
      readonly control: string | undefined;
      readonly treatments: readonly string[];
    }
  | { readonly kind: 'one-treatment'; readonly treatments: readonly string[] }
  | {
      readonly kind: 'too-many';
      readonly what: 'treatments' | 'factors' | 'blocks';
      readonly column: string;
      readonly count: number;
      readonly most: number;
    }
  | {
      readonly kind: 'unit-disagrees';
      readonly row: number;
      readonly column: string;
      readonly unit: string;
      readonly first: string;
      readonly read: string;
    };

/**
 * Reads a table into what the judge takes: one value a unit, subsamples averaged first. An empty response (or `NA`) is a
 * missing unit. Factors make treatments by crossing, named by their levels with a colon between.
 */
export function judgeInputFromTable(
  table: Table,
  roles: TableRoles,
): Result<JudgeInput, TableTrouble> {
  const blockColumns = [...roles.blocks, ...(roles.pair ? [roles.pair] : [])];
  const unknown = [
    roles.response,
    roles.treatment,
    roles.unit,
    roles.whole,
    roles.covariate,
    ...blockColumns,
    ...roles.factors,
  ].find(column => column !== undefined && !table.columns.includes(column));
  if (unknown !== undefined)
    return failure({ kind: 'no-column', column: unknown, columns: table.columns });
  if (table.rows.length === 0) return failure({ kind: 'no-rows' });
  const tooMany = tooManyOf(table, roles, blockColumns);
  if (tooMany) return failure(tooMany);
  const naming = namingOf(table, roles);
  if (!naming) return failure({ kind: 'no-treatment-named' });

  const rows: ReadRow[] = [];
  for (const [i, cells] of table.rows.entries()) {
    const read = readRow(cells, table.rowNumbers?.[i] ?? i + 2, roles, blockColumns, naming);
    if (!read.ok) return read;
    rows.push(read.value);
  }
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
  return success({
    response: roles.response,
    unitWord: roles.unit === undefined ? 'unit' : roles.unit.toLowerCase(),
    treatmentName: naming.name,
    treatments,
    control,
    blockNames: blockColumns,
    factors: naming.structureOf(treatments),
    isPaired: roles.pair !== undefined,
    units: gathered.value,
    subsamples: rows.filter(row => row.value !== null).length,
    better: roles.better,
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

interface ReadRow {
  readonly row: number;
  readonly unit: string;
  readonly treatment: string;
  readonly blocks: readonly string[];
  readonly wholePlot: string | undefined;
  readonly value: number | null;
  readonly covariate: number | undefined;
}

/** How a row's treatment is named: by its own column, or by crossed factors. */
interface Naming {
  readonly name: string;
  readonly columns: readonly string[];
  readonly nameOf: (cells: Readonly<Record<string, string>>) => string;
  readonly structureOf: (treatments: readonly string[]) => FactorStructure | undefined;
}

const CROSS = ':';

function namingOf(table: Table, roles: TableRoles): Naming | undefined {
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

function cell(cells: Readonly<Record<string, string>>, column: string): string {
  return (cells[column] ?? '').trim();
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
function controlOf(
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

function readRow(
  cells: Readonly<Record<string, string>>,
  row: number,
  roles: TableRoles,
  blockColumns: readonly string[],
  naming: Naming,
): Result<ReadRow, TableTrouble> {
  const mustHold = [
    ...naming.columns,
    ...blockColumns,
    ...(roles.unit ? [roles.unit] : []),
    ...(roles.whole ? [roles.whole] : []),
  ];
  const empty = mustHold.find(column => cell(cells, column) === '');
  if (empty !== undefined)
    return failure({ kind: 'bad-cell', row, column: empty, read: '', expected: 'a name' });
  const value = readNumber(cell(cells, roles.response), row, roles.response);
  if (!value.ok) return value;
  if (
    roles.kind === 'count' &&
    value.value !== null &&
    !(Number.isInteger(value.value) && value.value >= 0)
  ) {
    return failure({
      kind: 'bad-cell',
      row,
      column: roles.response,
      read: cell(cells, roles.response),
      expected: 'a whole number from 0 up',
    });
  }
  const covariate =
    roles.covariate === undefined
      ? success(null)
      : readNumber(cell(cells, roles.covariate), row, roles.covariate);
  if (!covariate.ok) return covariate;
  if (roles.covariate !== undefined && covariate.value === null) {
    return failure({
      kind: 'bad-cell',
      row,
      column: roles.covariate,
      read: '',
      expected: 'a number',
    });
  }
  return success({
    row,
    unit: roles.unit ? cell(cells, roles.unit) : String(row),
    treatment: naming.nameOf(cells),
    blocks: blockColumns.map(column => cell(cells, column)),
    wholePlot: roles.whole && cell(cells, roles.whole),
    value: value.value,
    covariate: covariate.value ?? undefined,
  });
}

const NUMBER = /^[-+]?(\d+\.?\d*|\.\d+)(e[-+]?\d+)?$/i;

function readNumber(
  written: string,
  row: number,
  column: string,
): Result<number | null, TableTrouble> {
  if (written === '' || written === 'NA') return success(null);
  const value = Number(written);
  if (NUMBER.test(written) && Number.isFinite(value)) return success(value);
  const hint = /^[-+]?\d+,\d+$/.test(written)
    ? `a number with a decimal point: ${written.replace(',', '.')}`
    : 'a number, or nothing where the reading is missing';
  return failure({ kind: 'bad-cell', row, column, read: written, expected: hint });
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
