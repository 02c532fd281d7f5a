'use client';

import { useState } from 'react';
import {
  Cell,
  Column,
  Row,
  type SortDescriptor,
  Table,
  TableBody,
  TableHeader,
} from 'react-aria-components';
import { styled } from 'styled-components';

/** One cell: what it says, and what it is sorted by where that is not what it says. */
export interface SortedCell {
  readonly says: string;
  readonly by?: number;
}

interface SortedTableProps {
  readonly label: string;
  readonly heads: readonly string[];
  /** The first cell names its row. */
  readonly rows: readonly { readonly id: string; readonly cells: readonly SortedCell[] }[];
}

/** A long table that is sorted by any of its columns and gone through by arrow keys; its head stays in sight. */
export function SortedTable({ label, heads, rows }: SortedTableProps) {
  const [order, setOrder] = useState<SortDescriptor | undefined>();
  const sorted = order === undefined ? rows : sortedRows(rows, order);
  return (
    <Scroller>
      <Table aria-label={label} sortDescriptor={order} onSortChange={setOrder}>
        <TableHeader>
          {heads.map((head, i) => (
            <Column key={head} id={i} isRowHeader={i === 0} allowsSorting>
              {head}
            </Column>
          ))}
        </TableHeader>
        <TableBody>
          {sorted.map(row => (
            <Row key={row.id} id={row.id}>
              {row.cells.map((cell, i) => (
                <Cell key={heads[i]}>{cell.says}</Cell>
              ))}
            </Row>
          ))}
        </TableBody>
      </Table>
    </Scroller>
  );
}

/** By number where both have one, or else by word; what has no number comes last, whichever way it is sorted. */
export function sortedRows<R extends { readonly cells: readonly SortedCell[] }>(
  rows: readonly R[],
  { column, direction }: SortDescriptor,
): readonly R[] {
  const at = Number(column);
  const sign = direction === 'descending' ? -1 : 1;
  const isNumbers = rows.some(row => row.cells[at]?.by !== undefined);
  const words = new Intl.Collator('en-GB', { numeric: true });
  return rows.toSorted((a, b) => {
    const [left, right] = [a.cells[at], b.cells[at]];
    if (!isNumbers) return sign * words.compare(left?.says ?? '', right?.says ?? '');
    if (left?.by === undefined || right?.by === undefined)
      return Number(left?.by === undefined) - Number(right?.by === undefined);
    return sign * (left.by - right.by);
  });
}

const Scroller = styled.div`
  overflow: auto; max-height: min(560px, 80vh); max-width: 100%; position: relative;
  & table { border-collapse: collapse; width: 100%; font-variant-numeric: tabular-nums; }
  & th, & td { text-align: left; vertical-align: top; padding: 8px 14px 8px 0; border-bottom: 1px solid var(--rule); font-weight: 400; white-space: nowrap; outline-offset: -3px; }
  & [data-focus-visible] { outline: 3px solid var(--clay); }
  & th { position: sticky; top: 0; background: var(--slate); color: var(--ink-soft); font-size: 0.9375rem; cursor: pointer; }
  & td[role='rowheader'] { font-weight: 600; }
  & th[data-hovered] { color: var(--ink); text-decoration: underline; text-underline-offset: 3px; }
  & th[aria-sort='ascending']::after { content: ' ↑'; }
  & th[aria-sort='descending']::after { content: ' ↓'; }
`;
