import { readFileSync } from 'node:fs';
import type { Table } from '@/core/judge/table/table-roles';
import { parseTable } from './parse-table';
import { refuse } from './refuse';

/** Reads a CSV file (UTF-8) or the first sheet of a spreadsheet (XLSX, ODS), or refuses it by name. */
export async function readTable(file: string): Promise<Table> {
  const table = parseTable(/\.(xlsx|ods)$/i.test(file) ? await readSheetOf(file) : readText(file));
  if (!table.ok)
    return refuse(
      `${file}${table.trouble.row === null ? '' : `, row ${table.trouble.row}`}: ${table.trouble.sentence}`,
    );
  return table.value;
}

async function readSheetOf(file: string): Promise<string> {
  let bytes: Uint8Array;
  try {
    bytes = readFileSync(file);
  } catch (error) {
    return refuse(`${file} can’t be read: ${codeOf(error)}.`);
  }
  // Only where one is named: CSV begins without its readers.
  const { spreadsheetToCsv } = await import('@/service/files/spreadsheet');
  const read = await spreadsheetToCsv(bytes);
  return read.ok ? read.value : refuse(`${file}: ${read.trouble}`);
}

function readText(file: string): string {
  try {
    return new TextDecoder('utf-8', { fatal: true }).decode(readFileSync(file));
  } catch (error) {
    if (error instanceof TypeError)
      refuse(`${file} is not UTF-8 text. Save the spreadsheet as CSV (UTF-8).`);
    return refuse(`${file} can’t be read: ${codeOf(error)}.`);
  }
}

function codeOf(error: unknown): string {
  const isMissing = error instanceof Error && 'code' in error && error.code === 'ENOENT';
  return isMissing ? 'there is no such file' : 'it is no readable file';
}
