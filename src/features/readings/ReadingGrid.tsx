'use client';

import { type ClipboardEvent, type KeyboardEvent, useRef, useState } from 'react';
import { styled } from 'styled-components';
import { counted } from '@/core/words/plural';
import type { BenchView } from '@/features/bench/bench-view';
import { DoneBench } from '@/features/bench/DoneBench';
import { Soft, TwoParts } from '@/ui/Page';
import { CellNotes } from './CellNotes';
import { cellNotes } from './cell-notes';
import { dayMeasures } from './day-measures';
import type { DeskView } from './desk-view';
import { GridTable } from './GridTable';
import { OtherMeasures } from './OtherMeasures';
import { type GridCell, useGrid } from './use-grid';

interface ReadingGridProps {
  readonly view: DeskView;
  readonly bench: BenchView | null;
}

/** Pots by measures for one day, driven by keys alone; a block from a spreadsheet can be pasted. */
export function ReadingGrid({ view: whole, bench }: ReadingGridProps) {
  const [picked, setPicked] = useState<readonly string[]>(() => [...dayMeasures(whole)]);
  const view = {
    ...whole,
    columns: whole.columns.filter(column => picked.includes(column.measureId)),
  };
  const grid = useGrid(view);
  const notes = cellNotes(whole, grid.cellOf);
  const table = useRef<HTMLDivElement>(null);
  const [left, setLeft] = useState(0);
  const send = (row: number, at: number): void => {
    const [unit, column] = [view.units[row], view.columns[at]];
    if (!unit || !column) return;
    const { state, text } = grid.cellOf(unit.id, column);
    if (state === 'typed' || state === 'bad') void grid.send([{ unitId: unit.id, column, text }]);
  };
  const onKey =
    (row: number, column: number) =>
    (event: KeyboardEvent<HTMLInputElement>): void => {
      const to = movesTo(event, row, column);
      if (!to) return;
      event.preventDefault();
      if (!focusCell(table.current, ...to)) send(row, column); // at the edge nothing is left, and yet it was meant
    };
  const onPaste =
    (row: number, column: number) =>
    (event: ClipboardEvent<HTMLInputElement>): void => {
      const block = event.clipboardData.getData('text');
      if (!/[\t\n]/.test(block.trim())) return;
      event.preventDefault();
      void grid.paste(row, column, block).then(setLeft);
    };
  return (
    <Grid ref={table}>
      <Beside data-wide={view.columns.length > 3 || undefined}>
        <GridTable
          view={view}
          grid={grid}
          notes={notes}
          onKey={onKey}
          onPaste={onPaste}
          send={send}
        />
        {bench && (
          <DoneBench
            bench={bench}
            unitWord={view.unitWord}
            done="read"
            leads="go to its row"
            isDone={id => view.columns.every(column => isPutDown(grid.cellOf(id, column)))}
            open={id =>
              focusCell(
                table.current,
                view.units.findIndex(unit => unit.id === id),
                0,
              )
            }
          />
        )}
      </Beside>
      <OtherMeasures view={whole} picked={picked} pick={setPicked} />
      <CellNotes notes={notes.filter(({ column }) => !view.columns.includes(column))} />
      {left > 0 && (
        <p role="alert">
          {counted(left, 'pasted cell')} had no place in the grid and {left === 1 ? 'was' : 'were'}{' '}
          left out.
        </p>
      )}
      <Soft>
        Enter goes down, Shift and Enter up, arrows all ways. 0 is a value; a dash is “not looked
        at”; “dead” is dead. A block from a spreadsheet can be pasted. Each cell is saved as it is
        left.
      </Soft>
    </Grid>
  );
}

/** What was not taken is not read, whatever stands in the cell. */
function isPutDown({ text, state }: GridCell): boolean {
  return text !== '' && state !== 'bad';
}

/** Where a key leads; nowhere where it moves the caret within what is written. */
function movesTo(
  { key, shiftKey, currentTarget }: KeyboardEvent<HTMLInputElement>,
  row: number,
  column: number,
): readonly [number, number] | undefined {
  const { selectionStart, selectionEnd, value } = currentTarget;
  const isAll = selectionStart === 0 && selectionEnd === value.length;
  if (key === 'ArrowLeft' && selectionStart !== 0 && !isAll) return undefined;
  if (key === 'ArrowRight' && selectionEnd !== value.length && !isAll) return undefined;
  return MOVES[key]?.(row, column, shiftKey);
}

/** @returns whether there is such a cell */
function focusCell(grid: HTMLElement | null, row: number, column: number): boolean {
  const field = grid?.querySelector<HTMLInputElement>(`input[data-at="${row} ${column}"]`);
  field?.focus();
  field?.select();
  return field != null;
}

const MOVES: Readonly<
  Record<string, (row: number, column: number, isBack: boolean) => readonly [number, number]>
> = {
  Enter: (row, column, isBack) => [row + (isBack ? -1 : 1), column],
  ArrowDown: (row, column) => [row + 1, column],
  ArrowUp: (row, column) => [row - 1, column],
  ArrowLeft: (row, column) => [row, column - 1],
  ArrowRight: (row, column) => [row, column + 1],
};

const Grid = styled.div`
  & td, & tbody th { vertical-align: middle; padding-block: 4px; }
  & tr[data-said] > * { border-bottom-color: transparent; }
  & tr[data-chosen] > th { box-shadow: inset 4px 0 0 var(--clay); padding-inline-start: 12px; }
`;

const Beside = styled(TwoParts)`
  &[data-wide] { grid-template-columns: minmax(0, 1fr); }
  &[data-wide] > :last-child { max-width: 720px; }
`;
