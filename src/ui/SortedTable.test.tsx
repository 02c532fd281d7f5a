/** @jest-environment jsdom */
import { fireEvent, render, screen, within } from '@testing-library/react';
import fc from 'fast-check';
import { type SortedCell, SortedTable, sortedRows } from './SortedTable';

const row = (id: string, ...cells: readonly SortedCell[]) => ({
  id,
  cells: [{ says: id }, ...cells],
});
const ROWS = [
  row('B3', { says: '410 g', by: 410 }),
  row('A10', { says: 'lost' }),
  row('A2', { says: '1.2 kg', by: 1200 }),
];

describe('a table that is sorted', () => {
  const names = () => screen.getAllByRole('rowheader').map(cell => cell.textContent);
  const press = (head: string) => fireEvent.click(screen.getByRole('columnheader', { name: head }));

  it('stands as it was given, then sorts codes as a reader counts', () => {
    render(<SortedTable label="Every pot" heads={['Code', 'Weight']} rows={ROWS} />);
    expect(names()).toEqual(['B3', 'A10', 'A2']);
    press('Code');
    expect(names()).toEqual(['A2', 'A10', 'B3']);
  });

  it('sorts by the amount, not by how it is written, and says which way', () => {
    render(<SortedTable label="Every pot" heads={['Code', 'Weight']} rows={ROWS} />);
    press('Weight');
    expect(names()).toEqual(['B3', 'A2', 'A10']);
    press('Weight');
    expect(names()).toEqual(['A2', 'B3', 'A10']);
    expect(screen.getByRole('columnheader', { name: 'Weight' }).getAttribute('aria-sort')).toBe(
      'descending',
    );
    expect(within(screen.getByRole('grid')).getAllByRole('row')).toHaveLength(4);
  });

  it('loses no row and puts what has no number last, whichever way', () => {
    const cell = fc.record({ says: fc.string(), by: fc.option(fc.integer(), { nil: undefined }) });
    fc.assert(
      fc.property(
        fc.array(cell),
        fc.constantFrom('ascending', 'descending'),
        (cells, direction) => {
          const rows = cells.map(each => ({ cells: [each] }));
          const sorted = sortedRows(rows, { column: 0, direction }).map(each => each.cells[0]!);
          expect(sorted).toHaveLength(cells.length);
          expect(new Set(sorted)).toEqual(new Set(cells));
          if (!cells.some(each => each.by !== undefined)) return;
          const without = sorted.findIndex(each => each.by === undefined);
          const numbers = sorted.slice(0, without < 0 ? undefined : without).map(each => each.by!);
          expect(sorted.slice(numbers.length).every(each => each.by === undefined)).toBe(true);
          const up = direction === 'ascending' ? numbers : numbers.toReversed();
          expect(up.every((by, i) => i === 0 || up[i - 1]! <= by)).toBe(true);
        },
      ),
    );
  });
});
