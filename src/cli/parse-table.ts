import Papa from 'papaparse';
import type { Table } from '@/core/judge/table/table-roles';
import { failure, type Result, success } from '@/core/result';

/** Why a text is no table: the row, where one is to blame, and a sentence. */
export interface TableTextTrouble {
  /** As a spreadsheet counts: the first row is 1. */
  readonly row: number | null;
  readonly sentence: string;
}

/** Reads CSV text (comma, semicolon or tab) with a header row. Every cell stays a text; blank rows are passed over. */
export function parseTable(text: string): Result<Table, TableTextTrouble> {
  if (text.includes('\0'))
    return failure({ row: null, sentence: 'it is not a text file. Expected a CSV file.' });
  const parsed = Papa.parse<string[]>(text, { delimiter: delimiterOf(text) });
  const rows = parsed.data
    .map((cells, i) => ({ cells, number: i + 1 }))
    .filter(({ cells }) => cells.some(cell => cell.trim() !== ''));
  const columns = rows[0]?.cells.map(name => name.trim()) ?? [];
  if (columns.length < 2)
    return failure({
      row: 1,
      sentence: 'no columns found. Expected a header row and comma-separated columns.',
    });
  const twice = columns.find((name, i) => columns.indexOf(name) !== i);
  if (twice !== undefined)
    return failure({ row: 1, sentence: `the column “${twice}” stands there twice.` });
  const body = rows.slice(1);
  const quotes = parsed.errors.find(error => error.type === 'Quotes');
  if (quotes)
    return failure({
      row: (quotes.row ?? 0) + 1,
      sentence: 'a quotation mark is not closed, or stands in the middle of a cell.',
    });
  const ragged = body.find(({ cells }) => cells.length !== columns.length);
  if (ragged)
    return failure({
      row: ragged.number,
      sentence: `${ragged.cells.length} cells. Expected ${columns.length}, as in the header.`,
    });
  return success({
    columns,
    rows: body.map(({ cells }) =>
      Object.fromEntries(columns.map((name, i) => [name, cells[i] ?? ''])),
    ),
    rowNumbers: body.map(({ number }) => number),
  });
}

/** The one of comma, semicolon and tab that the header has most of. */
function delimiterOf(text: string): string {
  const header = text.split(/\r?\n/).find(line => line.trim() !== '') ?? '';
  const countOf = (delimiter: string): number => header.split(delimiter).length;
  return [',', ';', '\t'].reduce((best, delimiter) =>
    countOf(delimiter) > countOf(best) ? delimiter : best,
  );
}
