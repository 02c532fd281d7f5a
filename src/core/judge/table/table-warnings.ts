import type { JudgeWarning } from '@/core/judge/outcomes/judgement';
import { listed } from '@/core/words/listed';
import type { Table, TableRoles } from './table-roles';
import { cell } from './treatment-naming';

type Row = Table['rows'][number];

/** What looks like a slip of the table itself, which the readings alone can't show. */
export function tableWarnings(table: Table, roles: TableRoles): readonly JudgeWarning[] {
  return [...repeatedCodes(table, roles), ...doubledRows(table, roles)];
}

const NAMES_A_UNIT = /^(unit|pot|plot|bed|tub|bag|sack|tray|box|half|code|label|id)s?$/i;

/** A column that reads like the units' codes, was not named as such, and holds the same code again. */
function repeatedCodes(table: Table, roles: TableRoles): readonly JudgeWarning[] {
  if (roles.unit !== undefined) return [];
  const column = spareColumns(table, roles).find(name => NAMES_A_UNIT.test(name));
  if (column === undefined) return [];
  const again = repeated(table, row => cell(row, column)).filter(({ key }) => key !== '');
  if (again.length === 0 || isNumberedInEachGroup(table, roles, column)) return [];
  return [
    {
      code: 'repeated-units',
      message: `${column} ${listed(again.slice(0, SHOWN).map(({ key }) => key))}${again.length > SHOWN ? ' and others' : ''} ${again.length === 1 ? 'stands' : 'stand'} on more than one row, and each row counts as a unit of its own. If they are readings of one ${column.toLowerCase()}, say --unit ${column}.`,
    },
  ];
}

/** Rows alike in every cell, where the table has a column that should tell them apart. */
function doubledRows(table: Table, roles: TableRoles): readonly JudgeWarning[] {
  if (spareColumns(table, roles).length === 0) return [];
  const doubled = repeated(table, row =>
    JSON.stringify(table.columns.map(name => cell(row, name))),
  );
  const [first] = doubled;
  if (!first) return [];
  return [
    {
      code: 'doubled-rows',
      message: `Rows ${listed(first.rows.map(String))} are the same in every cell${doubled.length > 1 ? `, and so are ${doubled.length - 1} other sets of rows` : ''}. They are all counted: take out what was copied.`,
    },
  ];
}

const SHOWN = 3;

/** Columns that the judge was told nothing about. */
function spareColumns(table: Table, roles: TableRoles): readonly string[] {
  const told = new Set([
    roles.response,
    roles.treatment,
    roles.pair,
    roles.whole,
    roles.unit,
    roles.covariate,
    roles.outOf,
    roles.event,
    ...roles.blocks,
    ...roles.factors,
  ]);
  return table.columns.filter(column => !told.has(column));
}

/** Pot 1, 2, 3 of each treatment or block: the same numbers, other pots. */
function isNumberedInEachGroup(table: Table, roles: TableRoles, column: string): boolean {
  const groups = [
    roles.treatment,
    ...roles.factors,
    ...roles.blocks,
    roles.pair,
    roles.whole,
  ].flatMap(name => (name === undefined ? [] : [name]));
  const isUniqueWithin = (names: readonly string[]): boolean =>
    repeated(table, row => JSON.stringify([column, ...names].map(name => cell(row, name))))
      .length === 0;
  return isUniqueWithin(groups);
}

function repeated(
  table: Table,
  keyOf: (row: Row) => string,
): readonly { readonly key: string; readonly rows: readonly number[] }[] {
  const rowsOf = new Map<string, number[]>();
  for (const [i, row] of table.rows.entries()) {
    const key = keyOf(row);
    const found = rowsOf.get(key);
    const number = table.rowNumbers?.[i] ?? i + 2;
    if (found) found.push(number);
    else rowsOf.set(key, [number]);
  }
  return [...rowsOf].filter(([, rows]) => rows.length > 1).map(([key, rows]) => ({ key, rows }));
}
