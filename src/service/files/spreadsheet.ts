import { XMLParser } from 'fast-xml-parser';
import { unzipSync } from 'fflate';
import { readSheet } from 'read-excel-file/node';
import writeXlsxFile from 'write-excel-file/node';
import { failure, type Result, success } from '@/core/result';
import { csvTable } from '@/service/judge/report-rows';

type Rows = readonly (readonly string[])[];

/** Rows as a spreadsheet (XLSX). What is a figure is one there; all else is text, so that nothing runs as a formula. */
export async function spreadsheetOf(rows: Rows): Promise<Uint8Array<ArrayBuffer>> {
  const cells = rows.map((row, at) => row.map(cell => cellOf(cell, at === 0)));
  const made = await writeXlsxFile(cells, { sheet: 'entries', stickyRowsCount: 1 }).toBuffer();
  return new Uint8Array(made);
}

const FIGURE = /^-?\d+(\.\d+)?(e[-+]?\d+)?$/i;

function cellOf(cell: string, isHead: boolean) {
  if (isHead) return { value: cell, type: String, fontWeight: 'bold' as const };
  if (cell === '') return null;
  return FIGURE.test(cell) ? { value: Number(cell), type: Number } : { value: cell, type: String };
}

/** Why a spreadsheet is no table, as a sentence. */
export type SpreadsheetTrouble = string;

const LARGEST_UNPACKED = 200_000_000;
const NO_SPREADSHEET =
  'That is no spreadsheet that can be read here: XLSX and ODS are. Save it as one of these, or as CSV.';

/** The first sheet of a spreadsheet (XLSX or ODS, told by what is in it, not by its name) as CSV text. */
export async function spreadsheetToCsv(
  bytes: Uint8Array,
): Promise<Result<string, SpreadsheetTrouble>> {
  const parts = partsOf(bytes);
  if (!parts.ok) return parts;
  try {
    const rows = parts.value.has('content.xml')
      ? odsRows(bytes)
      : parts.value.has('xl/workbook.xml')
        ? await xlsxRows(bytes)
        : [];
    const filled = rows.filter(row => row.some(cell => cell !== ''));
    return filled.length > 0 ? success(csvTable(squared(filled))) : failure(NO_SPREADSHEET);
  } catch {
    return failure(NO_SPREADSHEET);
  }
}

/** The names of what is packed in it. A few letters can unpack to more than the memory holds: what says so is not unpacked. */
function partsOf(bytes: Uint8Array): Result<ReadonlySet<string>, SpreadsheetTrouble> {
  const names = new Set<string>();
  let size = 0;
  try {
    unzipSync(bytes, {
      filter: ({ name, originalSize }) => {
        names.add(name);
        size += originalSize;
        return false;
      },
    });
  } catch {
    return failure(NO_SPREADSHEET);
  }
  return size > LARGEST_UNPACKED
    ? failure('That spreadsheet unpacks to more than 200 MB. Cut it up.')
    : success(names);
}

async function xlsxRows(bytes: Uint8Array): Promise<Rows> {
  const rows = await readSheet(Buffer.from(bytes));
  return rows.map(row =>
    row.map(cell => {
      if (cell === null || cell === undefined) return '';
      return cell instanceof Date ? cell.toISOString().slice(0, 10) : String(cell);
    }),
  );
}

/** A row is as long as its longest: a table has one width. */
function squared(rows: Rows): Rows {
  const width = Math.max(...rows.map(row => row.length));
  return rows.map(row => [...row, ...new Array<string>(width - row.length).fill('')]);
}

interface OdsCell {
  readonly '@_office:value-type'?: string;
  readonly '@_office:value'?: string;
  readonly '@_office:date-value'?: string;
  readonly '@_table:number-columns-repeated'?: string;
  readonly 'text:p'?: readonly unknown[];
}
interface OdsRow {
  readonly '@_table:number-rows-repeated'?: string;
  readonly 'table:table-cell'?: readonly OdsCell[];
}

/** Beyond this a repeated cell or row is the empty rest of the sheet. */
const MOST_REPEATS = 500;

/** OpenDocument 1.3, part 3, section 9: rows of cells, each with its value as an attribute and its text inside. */
function odsRows(bytes: Uint8Array): Rows {
  const content = unzipSync(bytes, { filter: ({ name }) => name === 'content.xml' })['content.xml'];
  const parser = new XMLParser({
    ignoreAttributes: false,
    parseTagValue: false,
    parseAttributeValue: false,
    trimValues: false,
    isArray: name =>
      ['table:table', 'table:table-row', 'table:table-cell', 'text:p'].includes(name),
  });
  const document = parser.parse(new TextDecoder().decode(content));
  const [sheet] =
    document['office:document-content']['office:body']['office:spreadsheet']['table:table'];
  const rows: readonly OdsRow[] = sheet['table:table-row'] ?? [];
  return rows.flatMap(row => {
    const cells = (row['table:table-cell'] ?? []).flatMap(cell =>
      repeated(odsCell(cell), cell['@_table:number-columns-repeated']),
    );
    while (cells.at(-1) === '') cells.pop();
    return cells.length === 0 ? [] : repeated(cells, row['@_table:number-rows-repeated']);
  });
}

function repeated<Each>(each: Each, times: string | undefined): readonly Each[] {
  const count = Number(times ?? 1);
  return new Array<Each>(count > MOST_REPEATS ? 1 : count).fill(each);
}

function odsCell(cell: OdsCell): string {
  switch (cell['@_office:value-type']) {
    case 'float':
    case 'percentage':
    case 'currency':
      return cell['@_office:value'] ?? '';
    case 'date':
      return (cell['@_office:date-value'] ?? '').slice(0, 10);
    default:
      return (cell['text:p'] ?? []).map(textOf).join('\n');
  }
}

/** The text of a paragraph, spans and all. */
function textOf(node: unknown): string {
  if (typeof node === 'string') return node;
  if (typeof node !== 'object' || node === null) return '';
  return Object.entries(node)
    .filter(([name]) => !name.startsWith('@_'))
    .flatMap(([, inner]) => (Array.isArray(inner) ? inner : [inner]))
    .map(textOf)
    .join('');
}
