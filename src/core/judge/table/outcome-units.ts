import type { JudgedUnit } from '@/core/design/linear/design-input';
import type { Outcome } from '@/core/judge/question/judge-input';
import { failure, type Result, success } from '@/core/result';
import { median } from '@/core/stats/median';
import { lookCell } from './look-cell';
import type { Table, TableRoles, TableTrouble } from './table-roles';

/**
 * Units with what their outcome is judged by: parts of a unit are added up (counts, k of n), their middle taken (steps), or
 * their first day (days).
 *
 * @param units as they were read for their mean
 */
export function outcomeUnits(
  table: Table,
  roles: TableRoles,
  units: readonly JudgedUnit[],
): Result<readonly JudgedUnit[], TableTrouble> {
  if (roles.kind === 'continuous') return success(units);
  const parts = new Map<string, Part[]>();
  for (const [i, cells] of table.rows.entries()) {
    const row = table.rowNumbers?.[i] ?? i + 2;
    const read = readPart(cells, row, roles);
    if (!read.ok) return read;
    const id = roles.unit === undefined ? String(row) : cell(cells, roles.unit);
    const others = parts.get(id);
    if (others) others.push(read.value);
    else parts.set(id, [read.value]);
  }
  const mostParts = [...parts.values()].reduce(
    (most, each) => Math.max(most, readParts(each).length),
    1,
  );
  return success(
    units.map(unit => ({ ...unit, ...unitOf(roles.kind, parts.get(unit.id) ?? [], mostParts) })),
  );
}

type Part = Pick<JudgedUnit, 'value' | 'outOf' | 'effort' | 'hasCome'>;

function readPart(
  cells: Readonly<Record<string, string>>,
  row: number,
  { kind, response, outOf, event }: TableRoles,
): Result<Part, TableTrouble> {
  const bad = (column: string, expected: string) =>
    failure({ kind: 'bad-cell' as const, row, column, read: cell(cells, column), expected });
  const written = cell(cells, response);
  const look = lookCell(written, kind);
  if (look === 'waiting') return bad(response, 'the last day it was looked at');
  if (look === null) return success({ value: null });
  const value = look ?? Number(written);
  if (kind !== 'ordinal' && !(value >= 0)) return bad(response, 'a number from 0 up');
  if ((kind === 'count' || kind === 'proportion') && !Number.isInteger(value))
    return bad(response, 'a whole number from 0 up');
  if (kind === 'proportion') {
    const all = outOf === undefined ? 1 : Number(cell(cells, outOf) || Number.NaN);
    if (!Number.isInteger(all) || all < 1)
      return bad(outOf ?? response, 'a whole number from 1 up');
    return value > all
      ? bad(
          response,
          outOf === undefined
            ? '1 or 0; name the column of all with --out-of'
            : `at most the ${all} of ${outOf}`,
        )
      : success({ value, outOf: all });
  }
  if (kind !== 'time' || event === undefined)
    return success(kind === 'time' ? { value, hasCome: true } : { value });
  const said = cell(cells, event).toLowerCase();
  if (!YES.has(said) && !NO.has(said))
    return bad(event, '1 where it came, 0 where it is still waited for');
  return success({ value, hasCome: YES.has(said) });
}

const YES = new Set(['1', 'yes', 'true']);
const NO = new Set(['0', 'no', 'false']);

function cell(cells: Readonly<Record<string, string>>, column: string): string {
  return (cells[column] ?? '').trim();
}

function readParts(parts: readonly Part[]): readonly (Part & { readonly value: number })[] {
  return parts.flatMap(part => (part.value === null ? [] : [{ ...part, value: part.value }]));
}

/** What the parts of a unit come to together. @param mostParts read of any unit: of fewer the rate counts, not the sum */
function unitOf(kind: Outcome, parts: readonly Part[], mostParts: number): Part {
  const read = readParts(parts);
  if (read.length === 0) return { value: null };
  const values = read.map(part => part.value);
  const sum = values.reduce((total, value) => total + value, 0);
  switch (kind) {
    case 'count':
      return { value: sum, effort: read.length / mostParts };
    case 'proportion':
      return {
        value: sum,
        outOf: read.reduce((total, part) => total + (part.outOf ?? 1), 0),
      };
    case 'ordinal':
      return { value: median(values) };
    case 'continuous':
      return { value: sum / read.length };
    case 'time': {
      const came = read.filter(part => part.hasCome).map(part => part.value);
      return {
        value: came.length > 0 ? Math.min(...came) : Math.max(...values),
        hasCome: came.length > 0,
      };
    }
  }
}
