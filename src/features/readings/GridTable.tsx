'use client';

import type { ClipboardEvent, KeyboardEvent } from 'react';
import { styled } from 'styled-components';
import { shownUnit } from '@/core/measure/library/shown-unit';
import { useChosenUnit } from '@/features/bench/ChosenUnit';
import { useSystem } from '@/features/frame/use-garden-units';
import { BareInput } from '@/ui/fields/BareInput';
import { WideTable } from '@/ui/WideTable';
import { CellNotes } from './CellNotes';
import type { CellNote } from './cell-notes';
import type { DeskColumn, DeskView } from './desk-view';
import type { useGrid } from './use-grid';

interface GridTableProps {
  readonly view: DeskView;
  readonly grid: ReturnType<typeof useGrid>;
  readonly notes: readonly CellNote[];
  readonly onKey: (row: number, column: number) => (event: KeyboardEvent<HTMLInputElement>) => void;
  readonly onPaste: (
    row: number,
    column: number,
  ) => (event: ClipboardEvent<HTMLInputElement>) => void;
  readonly send: (row: number, at: number) => void;
}

/** A row for each pot or bed. */
export function GridTable(props: GridTableProps) {
  const { view } = props;
  const system = useSystem();
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
          <GridRow key={unit.id} {...props} unit={unit} row={row} />
        ))}
      </tbody>
    </WideTable>
  );
}

interface GridRowProps extends GridTableProps {
  readonly unit: DeskView['units'][number];
  readonly row: number;
}

/** The cells of one, and right under them what is said of any. */
function GridRow({ notes, ...props }: GridRowProps) {
  const { view, unit } = props;
  const chosen = useChosenUnit();
  const said = notes.filter(
    ({ unitId, column }) => unitId === unit.id && view.columns.includes(column),
  );
  return (
    <>
      <tr
        data-chosen={unit.id === chosen.unitId || undefined}
        data-said={said.length > 0 || undefined}
        onFocus={() => chosen.choose(unit.id)}
      >
        <th scope="row">{unit.code}</th>
        {view.columns.map((column, at) => (
          <GridCellBox key={column.measureId + column.part} {...props} column={column} at={at} />
        ))}
      </tr>
      {said.length > 0 && (
        <tr>
          <td colSpan={view.columns.length + 1}>
            <CellNotes notes={said} />
          </td>
        </tr>
      )}
    </>
  );
}

interface GridCellBoxProps extends Omit<GridRowProps, 'notes'> {
  readonly column: DeskColumn;
  readonly at: number;
}

function GridCellBox({
  column,
  row,
  at,
  view,
  unit,
  grid,
  onKey,
  onPaste,
  send,
}: GridCellBoxProps) {
  const cell = grid.cellOf(unit.id, column);
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
        onChange={written => grid.type(unit.id, column, written)}
        onKeyDown={onKey(row, at)}
        onPaste={onPaste(row, at)}
        onBlur={() => send(row, at)}
      />
    </td>
  );
}

const Cell = styled(BareInput)`
  width: 100%; min-width: 84px; max-width: 180px; min-height: 36px; padding: 2px 6px; border: 1px solid transparent; border-bottom-color: var(--rule-strong); border-radius: 2px; background: var(--paper); color: var(--ink); font: inherit; font-variant-numeric: tabular-nums;
  &:focus { outline: 3px solid var(--clay); outline-offset: 0; }
  &[data-state='typed'], &[data-state='sending'] { border-bottom-color: var(--straw); }
  &[data-state='bad'] { border-color: var(--beet); }
  @media (pointer: coarse) { min-height: 48px; }
`;
