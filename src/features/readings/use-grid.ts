'use client';

import { useState } from 'react';
import { v7 } from 'uuid';
import { type TrialTrouble, trialSentence } from '@/core/trial/trial-trouble';
import { writerName } from '@/features/frame/writer-name';
import { postReadings } from '@/features/walk/outbox/send-outbox';
import type { DeskColumn, DeskView } from './desk-view';

/** A cell as it is typed. */
export interface GridCell {
  readonly text: string;
  readonly state: 'saved' | 'typed' | 'sending' | 'bad';
  /** Why it was not taken. */
  readonly trouble: string;
  /** It was put down on this page: what is odd about it is asked. */
  readonly isFresh: boolean;
  /** The reading that stands there. */
  readonly id: string | null;
}

const EMPTY: GridCell = { text: '', state: 'saved', trouble: '', isFresh: false, id: null };
const MOST_AT_ONCE = 500;
const NOT_CONNECTED = 'No connection: it is not saved yet. Press Enter in it to try again.';

export const cellKey = (
  unitId: string,
  { measureId, part }: Pick<DeskColumn, 'measureId' | 'part'>,
): string => `${unitId} ${measureId} ${part}`;

/** A cell by its key, and what changes in it. */
type CellChange = readonly [string, Partial<GridCell>];

interface Change {
  readonly unitId: string;
  readonly column: DeskColumn;
  readonly text: string;
}

/** The grid's cells, and the one way in which any change of them gets to the server: typed, pasted or emptied. */
export function useGrid(view: DeskView) {
  const [cells, setCells] = useState<ReadonlyMap<string, GridCell>>(() => cellsOf(view));
  const cellOf = (unitId: string, column: DeskColumn): GridCell =>
    cells.get(cellKey(unitId, column)) ?? EMPTY;
  const put = (changes: readonly CellChange[]): void =>
    setCells(old => {
      const next = new Map(old);
      for (const [key, change] of changes) next.set(key, { ...(old.get(key) ?? EMPTY), ...change });
      return next;
    });
  const send = async (changes: readonly Change[]): Promise<void> => {
    const wanted = changes.filter(
      ({ unitId, column, text }) => text.trim() !== '' || cellOf(unitId, column).id !== null,
    );
    put(
      wanted.map(({ unitId, column, text }) => [
        cellKey(unitId, column),
        { text, state: 'sending', trouble: '', isFresh: true },
      ]),
    );
    for (let from = 0; from < wanted.length; from += MOST_AT_ONCE) {
      const batch = wanted.slice(from, from + MOST_AT_ONCE).map(change => ({
        key: cellKey(change.unitId, change.column),
        entry: entryOf(change, cellOf(change.unitId, change.column).id, view.day),
      }));
      put(await sendBatch(view.trialId, batch));
    }
  };
  return {
    cellOf,
    send,
    type: (unitId: string, column: DeskColumn, text: string): void =>
      put([[cellKey(unitId, column), { text, state: 'typed', trouble: '' }]]),
    /** A block from a spreadsheet, from one cell to the right and down; what has no place is told. */
    paste: async (unitAt: number, columnAt: number, block: string): Promise<number> => {
      const { changes, left } = changesOfBlock(view, unitAt, columnAt, block);
      await send(changes);
      return left;
    },
  };
}

function cellsOf({ cells }: DeskView): ReadonlyMap<string, GridCell> {
  return new Map(
    cells.map(({ unitId, measureId, part, text, id }) => [
      cellKey(unitId, { measureId, part }),
      { text, id, isFresh: false, state: 'saved', trouble: '' },
    ]),
  );
}

interface SentCell {
  readonly key: string;
  readonly entry: ReturnType<typeof entryOf>;
}

/** Sends entries, and says of each cell what became of it. */
async function sendBatch(
  trialId: string,
  batch: readonly SentCell[],
): Promise<readonly CellChange[]> {
  try {
    const answers = await postReadings(
      trialId,
      batch.map(each => each.entry),
    );
    return batch.map(({ key, entry }): CellChange => {
      const answer = answers.find(each => each.id === entry.id)?.result;
      if (answer?.ok)
        return [key, { state: 'saved', trouble: '', id: 'removes' in entry ? null : entry.id }];
      return [key, { state: 'bad', trouble: answer ? sentenceOf(answer.trouble) : 'Not taken.' }];
    });
  } catch {
    return batch.map(({ key }): CellChange => [key, { state: 'bad', trouble: NOT_CONNECTED }]);
  }
}

/** What a pasted block asks for, and how many of its cells have no place in the grid. */
function changesOfBlock(
  { units, columns }: DeskView,
  unitAt: number,
  columnAt: number,
  block: string,
): { readonly changes: readonly Change[]; readonly left: number } {
  const rows = block
    .replace(/\r/g, '')
    .replace(/\n$/, '')
    .split('\n')
    .map(row => row.split('\t'));
  const changes = rows.flatMap((row, r) =>
    row.flatMap((text, c): Change[] => {
      const [unit, column] = [units[unitAt + r], columns[columnAt + c]];
      return unit && column ? [{ unitId: unit.id, column, text: text.trim() }] : [];
    }),
  );
  const pasted = rows.reduce((sum, row) => sum + row.length, 0);
  return { changes, left: pasted - changes.length };
}

function entryOf(
  { unitId, column, text }: Change,
  currentId: string | null,
  day: string,
): { readonly id: string } & Readonly<Record<string, unknown>> {
  const said = text.trim();
  if (said === '' && currentId !== null) return { id: v7(), removes: currentId, by: writerName() };
  return {
    id: v7(),
    unitId,
    measureId: column.measureId,
    subsample: column.part,
    takenOn: day,
    value: said,
    device: 'a desk',
    supersedes: currentId,
    by: writerName(),
  };
}

function sentenceOf(trouble: unknown): string {
  return isTrouble(trouble) ? trialSentence(trouble) : 'Not taken.';
}

function isTrouble(trouble: unknown): trouble is TrialTrouble {
  return (
    typeof trouble === 'object' &&
    trouble !== null &&
    'kind' in trouble &&
    typeof trouble.kind === 'string'
  );
}
