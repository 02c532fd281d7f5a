import type { MeasureSystem } from '@/core/quantity/unit-of-measure';
import { failure, type Result, success } from '@/core/result';
import { daysApart } from '@/core/time/days-apart';
import { ReadingId, type UnitId } from '@/core/trial/model/ids';
import type { Measure } from '@/core/trial/model/measure';
import { type Pick as HarvestPick, Outcome } from '@/core/trial/model/pick';
import type { Reading } from '@/core/trial/model/reading';
import { isTaken } from '@/core/trial/model/scale';
import type { ExperimentalUnit } from '@/core/trial/model/unit';
import { lookIn } from './looks';
import type { ColumnRole } from './match-columns';
import { readPickRow } from './pick-row';
import { readingOf } from './reading-form';
import { UnitFactors } from './unit-factors';

/** One thing that is wrong with a row. Rows are counted as a spreadsheet shows them, the heads being row 1. */
export interface RowTrouble {
  readonly row: number;
  readonly column: string;
  readonly says: string;
}

/** What a table is read against. */
export interface TableContext {
  readonly units: readonly Pick<ExperimentalUnit, 'id' | 'code'>[];
  readonly measures: readonly Measure[];
  readonly mainMeasure: Measure;
  readonly system: MeasureSystem;
  readonly startsOn: string;
  readonly today: string;
  readonly now: string;
  /** Of rows without a day of their own. */
  readonly day: string;
  /** Who brings it, as it stands with every reading. */
  readonly device: string;
  /** Who read what has no name in its row. */
  readonly by: string;
  readonly newId: () => string;
  /** Picks carry ids of their own making, so that a file sent twice makes the same ones. @param nth from 1 */
  readonly pickId: (nth: number) => string;
}

/** What a table holds. */
export interface ReadTable {
  readonly readings: readonly Reading[];
  readonly picks: readonly HarvestPick[];
}

/** Where a value belongs. */
interface Place {
  readonly unitId: UnitId;
  readonly takenOn: string;
  readonly subsample: string;
  readonly note: string;
  readonly by: string;
  /** Read a second time, to know the reader's own error. */
  readonly isRepeat: boolean;
}

/** A value as it is written, with what its row says of the look. */
interface WrittenLook {
  readonly written: string;
  readonly unit: string;
  readonly outcome: string;
  readonly outOf: string;
}

const MOST_TROUBLES = 40;
const ROWS_AT_ONCE = 50;

/**
 * Reads a table of readings, wide (a column for each measure) or long (a column of names, one of values). All of it or nothing:
 * a single row that can't be read refuses the whole, with the first troubles row by row.
 *
 * @param roles of each column, in the order of `heads`
 * @param pause waited for now and then, so that a long table does not hold up all else
 */
export async function readReadingTable(
  heads: readonly string[],
  rows: readonly (readonly string[])[],
  roles: readonly ColumnRole[],
  context: TableContext,
  pause: () => Promise<void> = () => Promise.resolve(),
): Promise<Result<ReadTable, readonly RowTrouble[]>> {
  const reader = new TableReader(heads, roles, context);
  for (const [i, row] of rows.entries()) {
    if (i % ROWS_AT_ONCE === 0) await pause();
    reader.read(row, i + 2);
    if (reader.troubles.length >= MOST_TROUBLES) break;
  }
  return reader.troubles.length > 0
    ? failure(reader.troubles.slice(0, MOST_TROUBLES))
    : success({ readings: reader.readings, picks: reader.picks });
}

/** Reads rows one after another, and remembers where a pot, day and part was before. */
class TableReader {
  readonly readings: Reading[] = [];
  readonly picks: HarvestPick[] = [];
  readonly troubles: RowTrouble[] = [];
  readonly #units: ReadonlyMap<string, UnitId>;
  readonly #measures: ReadonlyMap<string, Measure>;
  readonly #byName: ReadonlyMap<string, Measure>;
  readonly #factors: UnitFactors;
  readonly #days = new Map<string, boolean>();
  readonly #columns: ReadonlyMap<ColumnRole['kind'], number>;
  readonly #seen = new Map<string, number>();

  constructor(
    readonly heads: readonly string[],
    readonly roles: readonly ColumnRole[],
    readonly context: TableContext,
  ) {
    this.#factors = new UnitFactors(context);
    this.#units = new Map(context.units.map(unit => [unit.code.toUpperCase(), unit.id]));
    this.#columns = new Map(roles.map((role, column) => [role.kind, column]));
    const read = context.measures.filter(measure => isTaken(measure.scale));
    this.#measures = new Map(read.map(measure => [measure.id as string, measure]));
    this.#byName = new Map(read.map(measure => [measure.name.toLowerCase(), measure]));
  }

  read(row: readonly string[], at: number): void {
    if (row.every(cell => cell.trim() === '')) return;
    const cell = (kind: ColumnRole['kind']): string =>
      (row[this.#columns.get(kind) ?? -1] ?? '').trim();
    const unitId = this.#units.get(cell('unit').toUpperCase());
    if (unitId === undefined) {
      this.#trouble(at, 'unit', `“${cell('unit')}” is no code of this trial.`);
      return;
    }
    const shared = {
      unitId,
      takenOn: cell('day') === '' ? this.context.day : cell('day'),
      subsample: cell('part'),
      note: cell('note'),
      by: cell('by') || this.context.by,
      isRepeat: /second|again|repeat/i.test(cell('kind')),
    };
    if (this.#isPick(cell)) this.#takePick(shared, cell, at);
    if (cell('kind').toLowerCase() === 'pick') return;
    const look = { outcome: cell('outcome'), outOf: cell('out-of') };
    this.roles.forEach((role, column) => {
      const written = (row[column] ?? '').trim();
      if (role.kind === 'measure')
        this.#take({
          ...shared,
          measure: this.#measures.get(role.measureId),
          written,
          unit: role.unit,
          outcome: '',
          outOf: '',
          at,
          head: this.heads[column] ?? '',
        });
      if (role.kind === 'value')
        this.#take({
          ...shared,
          measure: this.#byName.get(cell('measure-name').toLowerCase()),
          written,
          unit: cell('unit-of-measure'),
          ...look,
          at,
          head: cell('measure-name'),
        });
    });
  }

  /** Where something was weighed or counted, or looked for in a table of harvests alone. */
  #isPick(cell: (kind: ColumnRole['kind']) => string): boolean {
    const kind = cell('kind').toLowerCase();
    if (kind !== '') return kind === 'pick';
    if (!this.#columns.has('weight') && !this.#columns.has('pieces')) return false;
    return ['weight', 'pieces', 'outcome'].some(each => cell(each as ColumnRole['kind']) !== '');
  }

  #takePick(
    { unitId, takenOn, note, by }: Place,
    cell: (kind: ColumnRole['kind']) => string,
    at: number,
  ): void {
    const weight = this.roles.find(role => role.kind === 'weight');
    const read = readPickRow(
      {
        id: this.context.pickId(this.picks.length + 1),
        unitId,
        day: takenOn,
        weight: weight ? cell('weight') : cell('value'),
        unit: weight?.unit || cell('unit-of-measure'),
        tare: cell('tare'),
        pieces: cell('pieces'),
        grade: cell('grade'),
        outcome: cell('outcome'),
        note,
        by,
      },
      this.context,
    );
    if (read.ok) this.picks.push(read.value);
    else this.#trouble(at, 'harvest', read.trouble);
  }

  #take({
    measure,
    written,
    unit,
    outcome,
    outOf,
    at,
    head,
    ...place
  }: Place & {
    readonly measure: Measure | undefined;
    readonly written: string;
    readonly unit: string;
    readonly outcome: string;
    readonly outOf: string;
    readonly at: number;
    readonly head: string;
  }): void {
    if (written === '' && (outcome === '' || outcome === 'picked')) return;
    const says = measure
      ? this.#takeOne(measure, { written, unit, outcome, outOf }, at, place)
      : `“${head}” is not read in this trial.`;
    if (says !== undefined) this.#trouble(at, head, says);
  }

  /** @returns what is wrong with it */
  #takeOne(
    measure: Measure,
    { written, unit, outcome: said, outOf }: WrittenLook,
    at: number,
    { isRepeat, ...place }: Place,
  ): string | undefined {
    const key = [place.unitId, measure.id, place.takenOn, place.subsample, isRepeat].join(' ');
    const before = this.#seen.get(key);
    if (!this.#isDay(place.takenOn)) return `“${place.takenOn}” is no day. Write it as 2026-08-03.`;
    if (
      place.subsample.length > 40 ||
      place.note.length > 2000 ||
      place.by.length > 80 ||
      written.length > 80
    )
      return 'That is too long.';
    if (before !== undefined) return `Row ${before} has a value for the same pot, day and part.`;
    this.#seen.set(key, at);
    const outcome = this.#outcomeOf(said) ?? lookIn(written, measure.scale) ?? 'picked';
    if (outcome === null) return `“${said}” is not what can be found.`;
    // Zod would look at each of a hundred thousand rows again: their shape is made here.
    const form = {
      ...place,
      id: ReadingId.parse(this.context.newId()),
      measureId: measure.id,
      value:
        outcome === 'picked'
          ? this.#factors.inUnit(written, unit, measure)
          : outcome === 'not-yet'
            ? written
            : '',
      outOf,
      outcome,
      isRepeat,
      device: this.context.device,
      supersedes: null,
    } as const;
    const read = readingOf(form, {
      isFromFile: true,
      measure,
      system: this.context.system,
      today: this.context.today,
      startsOn: this.context.startsOn,
      now: this.context.now,
    });
    if (!read.ok) return Object.values(read.trouble)[0] ?? 'It can’t be read.';
    this.readings.push(
      unit === '' || unit === measure.unit || outcome !== 'picked'
        ? read.value
        : { ...read.value, asWritten: `${written} ${unit}`.slice(0, 80) },
    );
    return undefined;
  }

  /** What its own column says was found: a value, or why there is none. Undefined where it says nothing, null for no such word. */
  #outcomeOf(said: string): Outcome | undefined | null {
    if (said === '') return undefined;
    return Outcome.safeParse(said.toLowerCase()).data ?? lookIn(said, null) ?? null;
  }

  #isDay(written: string): boolean {
    const known = this.#days.get(written);
    if (known !== undefined) return known;
    const isDay = daysApart(this.context.startsOn, written) !== undefined;
    this.#days.set(written, isDay);
    return isDay;
  }

  #trouble(row: number, column: string, says: string): void {
    if (this.troubles.length < MOST_TROUBLES) this.troubles.push({ row, column, says });
  }
}
