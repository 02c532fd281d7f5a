import { readFileSync } from 'node:fs';
import type { Table } from '@/core/judge/table/table-roles';
import { parseTable } from './parse-table';
import { refuse } from './refuse';

/** Reads a CSV file (UTF-8), or refuses it by name. */
export function readTable(file: string): Table {
  const table = parseTable(readText(file));
  if (!table.ok)
    return refuse(
      `${file}${table.trouble.row === null ? '' : `, row ${table.trouble.row}`}: ${table.trouble.sentence}`,
    );
  return table.value;
}

function readText(file: string): string {
  try {
    return new TextDecoder('utf-8', { fatal: true }).decode(readFileSync(file));
  } catch (error) {
    if (error instanceof TypeError)
      refuse(`${file} is not UTF-8 text. Save the spreadsheet as CSV (UTF-8).`);
    return refuse(`${file} can't be read: ${codeOf(error)}.`);
  }
}

function codeOf(error: unknown): string {
  const isMissing = error instanceof Error && 'code' in error && error.code === 'ENOENT';
  return isMissing ? 'there is no such file' : 'it is no readable file';
}
