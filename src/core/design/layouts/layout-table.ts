import { failure, type Result, success } from '@/core/result';
import type { Treatment } from '@/core/trial/model/treatment';
import { listed } from '@/core/words/listed';
import type { BenchDraft } from './bench-form';

/** A layout that somebody made elsewhere: which unit holds what, and in which block. */
export interface GivenLayout {
  /** What the form of a layout says of it. */
  readonly form: Pick<BenchDraft, 'kind' | 'unitsEach' | 'blockCount'>;
  /** In their order; empty where it has none. */
  readonly blocks: readonly string[];
  /** Block by block, in the order of the table. */
  readonly units: readonly GivenUnit[];
}

export interface GivenUnit {
  readonly code: string;
  readonly treatmentId: Treatment['id'];
  /** Its place among the blocks; 0 where there are none. */
  readonly block: number;
  readonly traits: Readonly<Record<string, string>>;
}

/** Why a table is no layout of the trial: one sentence, with its row where it is one row's. */
export type LayoutTableTrouble = string;

/** What other columns of the layout's own table hold; none is a trait. */
const OF_THE_PLACE = new Set(['dose', 'place', 'x_mm', 'y_mm', 'width_mm', 'depth_mm', 'column']);
const CODE = /^[A-Z]{2}\d$/;
const MOST_UNITS = 240;

/**
 * Reads a layout from a table: a row for each unit, with its code, its treatment, and its block where it has one; further columns are
 * traits. It is the table that a trial's data package holds.
 *
 * @param rows the first of them the names of the columns
 */
export function readLayoutTable(
  rows: readonly (readonly string[])[],
  treatments: readonly Treatment[],
): Result<GivenLayout, LayoutTableTrouble> {
  const [head = [], ...body] = rows;
  const names = head.map(name => name.trim().toLowerCase());
  const at = (name: string): number => names.indexOf(name);
  const [code, treatment, block, column] = ['code', 'treatment', 'block', 'column'].map(at);
  if (code === undefined || code < 0 || treatment === undefined || treatment < 0)
    return failure('The first row must name a column “code” and one “treatment”.');
  if (body.length === 0) return failure('There is no code in it.');
  if (body.length > MOST_UNITS)
    return failure(`It has ${body.length} codes; at most ${MOST_UNITS} fit one trial.`);
  if (body.some(row => cell(row, column) !== ''))
    return failure(
      'A square or rows and columns can’t come as a table: take the trial’s own file.',
    );
  const blocks = [...new Set(body.map(row => cell(row, block)).filter(name => name !== ''))];
  const units: GivenUnit[] = [];
  for (const [i, row] of body.entries()) {
    const unit = unitOf(row, { names, code, treatment, block }, treatments, blocks);
    if (!unit.ok) return failure(`Row ${i + 2}: ${unit.trouble}`);
    if (units.some(other => other.code === unit.value.code))
      return failure(`Row ${i + 2}: ${unit.value.code} stands in it twice.`);
    units.push(unit.value);
  }
  const ordered = [...units].sort((a, b) => a.block - b.block);
  const each = countsOf(ordered, treatments, blocks);
  if (!each.ok) return each;
  return success({
    form: {
      kind: blocks.length > 0 ? 'complete-blocks' : 'complete-randomisation',
      unitsEach: String(each.value),
      blockCount: String(Math.max(2, blocks.length)),
    },
    blocks,
    units: ordered,
  });
}

function cell(row: readonly string[], at: number | undefined): string {
  return at === undefined || at < 0 ? '' : (row[at] ?? '').trim();
}

interface Columns {
  readonly names: readonly string[];
  readonly code: number;
  readonly treatment: number;
  readonly block: number | undefined;
}

function unitOf(
  row: readonly string[],
  { names, code, treatment, block }: Columns,
  treatments: readonly Treatment[],
  blocks: readonly string[],
): Result<GivenUnit, string> {
  const written = cell(row, code).toUpperCase();
  if (!CODE.test(written))
    return failure(`“${cell(row, code)}” is no code. Two letters and a figure, such as KA3.`);
  const name = cell(row, treatment);
  const found = treatments.find(each => each.name.toLowerCase() === name.toLowerCase());
  if (!found)
    return failure(
      `“${name}” is no treatment of this trial. It has ${listed(treatments.map(each => each.name))}.`,
    );
  const own = cell(row, block);
  if (blocks.length > 0 && own === '') return failure('It says no block, and others do.');
  const isTrait = (column: string): boolean =>
    column !== '' && !['code', 'treatment', 'block'].includes(column) && !OF_THE_PLACE.has(column);
  const traits = names.flatMap((column, at) => {
    const value = cell(row, at).slice(0, 60);
    return isTrait(column) && value !== '' ? [[column.slice(0, 40), value] as const] : [];
  });
  return success({
    code: written,
    treatmentId: found.id,
    block: Math.max(0, blocks.indexOf(own)),
    traits: Object.fromEntries(traits),
  });
}

/** How many units of each treatment, in all or in each block; the judge's layouts hold as many of each. */
function countsOf(
  units: readonly GivenUnit[],
  treatments: readonly Treatment[],
  blocks: readonly string[],
): Result<number, LayoutTableTrouble> {
  const places = blocks.length > 0 ? blocks : [''];
  if (blocks.length === 1)
    return failure('All of it is one block: leave the column away, or name two at least.');
  const counts = places.flatMap((name, block) =>
    treatments.map(treatment => ({
      where: name === '' ? '' : `${name}: `,
      treatment: treatment.name,
      count: units.filter(unit => unit.block === block && unit.treatmentId === treatment.id).length,
    })),
  );
  const first = counts[0]?.count ?? 0;
  const odd = counts.find(each => each.count !== first || each.count === 0);
  if (!odd) return success(first);
  const says = `${odd.where}${odd.treatment} stands in it ${odd.count} times, ${counts[0]?.treatment ?? ''} ${first} times`;
  return failure(
    blocks.length > 0
      ? `${says} in ${blocks[0] ?? ''}. Each block must hold as many of each.`
      : `${says}. There must be as many of each.`,
  );
}
