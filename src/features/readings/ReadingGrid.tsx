'use client';

import { type ClipboardEvent, type KeyboardEvent, useRef, useState } from 'react';
import { styled } from 'styled-components';
import { shownUnit } from '@/core/measure/library/shown-unit';
import { counted } from '@/core/words/plural';
import type { BenchView } from '@/features/bench/bench-view';
import { useChosenUnit } from '@/features/bench/ChosenUnit';
import { DoneBench } from '@/features/bench/DoneBench';
import { useSystem } from '@/features/frame/use-garden-units';
import { BareInput } from '@/ui/fields/BareInput';
import { Soft, TwoParts } from '@/ui/Page';
import { WideTable } from '@/ui/WideTable';
import { dayMeasures } from './day-measures';
import type { DeskColumn, DeskView } from './desk-view';
import { OtherMeasures } from './OtherMeasures';
import type { GridCell } from './use-grid';
import { oddInGrid, useGrid } from './use-grid';

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
        <GridTable view={view} grid={grid} onKey={onKey} onPaste={onPaste} send={send} />
        {bench && (
          <DoneBench
            bench={bench}
            unitWord={view.unitWord}
            done="read"
            leads="go to its row"
            isDone={id => view.columns.every(column => grid.cellOf(id, column).text !== '')}
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
      <GridTroubles troubles={troublesOf(whole, grid.cellOf)} odd={oddInGrid(whole, grid.cellOf)} />
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

interface GridTroublesProps {
  readonly troubles: readonly string[];
  readonly odd: readonly string[];
}

/** What was not taken, and what is asked about. */
function GridTroubles({ troubles, odd }: GridTroublesProps) {
  return (
    <>
      <div role="status">
        <Troubles>
          {troubles.slice(0, 8).map(says => (
            <li key={says}>{says}</li>
          ))}
          {troubles.length > 8 && <li>and {troubles.length - 8} more.</li>}
        </Troubles>
      </div>
      <div role="status">
        <Odd>
          {odd.slice(0, 5).map(says => (
            <li key={says}>{says}</li>
          ))}
        </Odd>
      </div>
    </>
  );
}

function troublesOf(
  { units, columns }: DeskView,
  cellOf: (unitId: string, column: DeskColumn) => GridCell,
): readonly string[] {
  return units.flatMap(unit =>
    columns.flatMap(column => {
      const { state, trouble } = cellOf(unit.id, column);
      return state === 'bad' ? [`${unit.code}, ${column.head}: ${trouble}`] : [];
    }),
  );
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

interface GridTableProps {
  readonly view: DeskView;
  readonly grid: ReturnType<typeof useGrid>;
  readonly onKey: (row: number, column: number) => (event: KeyboardEvent<HTMLInputElement>) => void;
  readonly onPaste: (
    row: number,
    column: number,
  ) => (event: ClipboardEvent<HTMLInputElement>) => void;
  readonly send: (row: number, at: number) => void;
}

function GridTable({ view, grid, onKey, onPaste, send }: GridTableProps) {
  const system = useSystem();
  const chosen = useChosenUnit();
  return (
    <WideTable label={`Readings of ${view.day}`}>
      <thead>
        <tr>
          <th scope="col">{view.unitWord}</th>
          {view.columns.map(column => (
            <th key={column.measureId + column.part} scope="col">
              {column.head}
              {column.unit === '' ? '' : `, ${shownUnit(column.unit, system).name}`}
            </th>
          ))}
        </tr>
      </thead>
      <tbody>
        {view.units.map((unit, row) => (
          <tr
            key={unit.id}
            data-chosen={unit.id === chosen.unitId || undefined}
            onFocus={() => chosen.choose(unit.id)}
          >
            <th scope="row">{unit.code}</th>
            {view.columns.map((column, at) => {
              const cell = grid.cellOf(unit.id, column);
              return (
                <GridCellBox
                  key={column.measureId + column.part}
                  column={column}
                  cell={cell}
                  row={row}
                  at={at}
                  view={view}
                  unit={unit}
                  grid={grid}
                  onKey={onKey}
                  onPaste={onPaste}
                  send={send}
                />
              );
            })}
          </tr>
        ))}
      </tbody>
    </WideTable>
  );
}

interface GridCellBoxProps extends GridTableProps {
  readonly column: DeskColumn;
  readonly cell: GridCell;
  readonly row: number;
  readonly at: number;
  readonly unit: DeskView['units'][number];
}

function GridCellBox({
  column,
  cell,
  row,
  at,
  view,
  unit,
  grid,
  onKey,
  onPaste,
  send,
}: GridCellBoxProps) {
  return (
    <td>
      <Cell
        value={cell.text}
        data-at={`${row} ${at}`}
        data-state={cell.state}
        readOnly={view.state !== 'locked'}
        aria-label={`${unit.code}, ${column.head}`}
        aria-invalid={cell.state === 'bad' || undefined}
        autoComplete="off"
        inputMode="decimal"
        onChange={event => grid.type(unit.id, column, event.target.value)}
        onKeyDown={onKey(row, at)}
        onPaste={onPaste(row, at)}
        onBlur={() => send(row, at)}
      />
    </td>
  );
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
  & tr[data-chosen] > th { box-shadow: inset 4px 0 0 var(--clay); padding-inline-start: 12px; }
`;

const Beside = styled(TwoParts)`
  &[data-wide] { grid-template-columns: minmax(0, 1fr); }
  &[data-wide] > :last-child { max-width: 720px; }
`;

const Cell = styled(BareInput)`
  width: 100%; min-width: 84px; max-width: 180px; min-height: 36px; padding: 2px 6px; border: 1px solid transparent; border-bottom-color: var(--rule-strong); border-radius: 2px; background: var(--paper); color: var(--ink); font: inherit; font-variant-numeric: tabular-nums;
  &:focus { outline: 3px solid var(--clay); outline-offset: 0; }
  &[data-state='typed'], &[data-state='sending'] { border-bottom-color: var(--straw); }
  &[data-state='bad'] { border-color: var(--beet); }
  @media (pointer: coarse) { min-height: 48px; }
`;

const Troubles = styled.ul`
  margin: 8px 0 0; padding: 0; list-style: none; color: var(--beet);
`;

const Odd = styled(Troubles)`
  color: var(--straw);
`;
