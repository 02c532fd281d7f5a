import type { Outcome } from '@/core/judge/question/judge-input';
import { failure, type Result, success } from '@/core/result';
import { lookCell } from './look-cell';
import { isSummaryName } from './summary-row';
import type { TableRoles, TableTrouble } from './table-roles';
import { cell, type Naming } from './treatment-naming';

export interface ReadRow {
  readonly row: number;
  readonly unit: string;
  readonly treatment: string;
  readonly blocks: readonly string[];
  readonly wholePlot: string | undefined;
  readonly value: number | null;
  readonly covariate: number | undefined;
}

export function readRow(
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
  const summary = mustHold.find(column => isSummaryName(cell(cells, column)));
  if (summary !== undefined)
    return failure({
      kind: 'bad-cell',
      row,
      column: summary,
      read: cell(cells, summary),
      expected: 'a name, not a sum of other rows: take the row out, or name it otherwise',
    });
  const value = readNumber(cell(cells, roles.response), row, roles.response, roles.kind);
  if (!value.ok) return value;
  const covariate =
    roles.covariate === undefined
      ? success(null)
      : readNumber(cell(cells, roles.covariate), row, roles.covariate, 'continuous');
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

/** Of a day that is waited for. */
const WAITING = 'the last day it was looked at, with 0 in the column of --event';
const NUMBER = /^[-+]?(\d+\.?\d*|\.\d+)(e[-+]?\d+)?$/i;

function readNumber(
  written: string,
  row: number,
  column: string,
  kind: Outcome,
): Result<number | null, TableTrouble> {
  const look = lookCell(written, kind);
  if (look === 'waiting')
    return failure({ kind: 'bad-cell', row, column, read: written, expected: WAITING });
  if (look !== undefined) return success(look);
  const value = Number(written);
  if (NUMBER.test(written) && Number.isFinite(value)) return success(value);
  const hint = /^[-+]?\d+,\d+$/.test(written)
    ? `a number with a decimal point: ${written.replace(',', '.')}`
    : 'a number, or nothing where the reading is missing';
  return failure({ kind: 'bad-cell', row, column, read: written, expected: hint });
}
