import type { OutcomeInput, OutcomeKind, OutcomeUnit } from '@/core/judge/question/outcome-input';
import { failure, type Result, success } from '@/core/result';
import { median } from '@/core/stats/median';
import { judgeInputFromTable } from './table-input';
import type { Table, TableRoles, TableTrouble } from './table-roles';

/** Which columns hold such a reading. */
export interface OutcomeRoles extends Omit<TableRoles, 'kind'> {
  readonly kind: OutcomeKind;
  /** Of k of n: n. Without it each row is one item, 1 or 0. */
  readonly outOf?: string | undefined;
  /** Of days: 1 where it came, 0 where it is still waited for. Without it all have come. */
  readonly event?: string | undefined;
}

/** Reads a table into what is judged by kind: parts of a unit are added up (counts, k of n), their middle taken (steps), or their first day (days). */
export function outcomeInputFromTable(
  table: Table,
  roles: OutcomeRoles,
): Result<OutcomeInput, TableTrouble> {
  const missing = [roles.outOf, roles.event].find(
    column => column !== undefined && !table.columns.includes(column),
  );
  if (missing !== undefined)
    return failure({ kind: 'no-column', column: missing, columns: table.columns });
  const plain = judgeInputFromTable(table, { ...roles, kind: 'continuous' });
  if (!plain.ok) return plain;
  const parts = new Map<string, Part[]>();
  for (const [i, cells] of table.rows.entries()) {
    const row = table.rowNumbers?.[i] ?? i + 2;
    const read = readPart(cells, row, roles);
    if (!read.ok) return read;
    const id = roles.unit === undefined ? String(row) : (cells[roles.unit] ?? '').trim();
    parts.set(id, [...(parts.get(id) ?? []), read.value]);
  }
  const {
    treatments,
    control,
    blockNames,
    unitWord,
    treatmentName,
    isPaired = false,
  } = plain.value;
  const mostParts = Math.max(1, ...[...parts.values()].map(each => readParts(each).length));
  return success({
    kind: roles.kind,
    response: roles.response,
    unitWord,
    treatmentName,
    treatments,
    control,
    blockNames,
    isPaired,
    units: plain.value.units.map(
      (unit): OutcomeUnit => ({
        id: unit.id,
        treatment: unit.treatment,
        blocks: unit.blocks,
        wholePlot: unit.wholePlot,
        ...unitOf(roles.kind, parts.get(unit.id) ?? [], mostParts),
      }),
    ),
    better: roles.better,
    margin: roles.margin,
    confidence: roles.confidence,
    seed: roles.seed,
    isDeclared: true,
  });
}

type Part = Pick<OutcomeUnit, 'value' | 'outOf' | 'effort' | 'hasCome'>;

function readPart(
  cells: Readonly<Record<string, string>>,
  row: number,
  { kind, response, outOf, event }: OutcomeRoles,
): Result<Part, TableTrouble> {
  const bad = (column: string, expected: string) =>
    failure({ kind: 'bad-cell' as const, row, column, read: cell(cells, column), expected });
  const written = cell(cells, response);
  if (written === '' || written === 'NA')
    return success({ value: null, outOf: null, hasCome: false });
  const value = Number(written);
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
      : success({ value, outOf: all, hasCome: false });
  }
  if (kind !== 'time' || event === undefined)
    return success({ value, outOf: null, hasCome: kind === 'time' });
  const said = cell(cells, event).toLowerCase();
  if (!YES.has(said) && !NO.has(said))
    return bad(event, '1 where it came, 0 where it is still waited for');
  return success({ value, outOf: null, hasCome: YES.has(said) });
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
function unitOf(kind: OutcomeKind, parts: readonly Part[], mostParts: number): Part {
  const read = readParts(parts);
  if (read.length === 0) return { value: null, outOf: null, hasCome: false };
  const values = read.map(part => part.value);
  const sum = values.reduce((total, value) => total + value, 0);
  switch (kind) {
    case 'count':
      return { value: sum, outOf: null, effort: read.length / mostParts, hasCome: false };
    case 'proportion':
      return {
        value: sum,
        outOf: read.reduce((total, part) => total + (part.outOf ?? 1), 0),
        hasCome: false,
      };
    case 'ordinal':
      return { value: median(values), outOf: null, hasCome: false };
    case 'time': {
      const came = read.filter(part => part.hasCome).map(part => part.value);
      return {
        value: came.length > 0 ? Math.min(...came) : Math.max(...values),
        outOf: null,
        hasCome: came.length > 0,
      };
    }
  }
}
