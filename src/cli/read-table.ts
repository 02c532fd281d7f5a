import { readFileSync } from 'node:fs';
import Papa from 'papaparse';
import type { Table } from '@/core/judge/table-input';
import { refuse } from './refuse';

/** Reads a CSV file (comma, semicolon or tab; UTF-8) with a header row, or refuses it. */
export function readTable(file: string): Table {
  const parsed = Papa.parse<Record<string, string>>(readText(file), { header: true, skipEmptyLines: 'greedy', transformHeader: header => header.trim() });
  const columns = parsed.meta.fields ?? [];
  if (columns.length < 2) refuse(`${file}: no columns found. Expected a header row and comma-separated columns.`);
  const renamed = Object.values(parsed.meta.renamedHeaders ?? {})[0];
  if (renamed !== undefined) refuse(`${file}, row 1: the column ${renamed} stands there twice.`);
  const ragged = parsed.errors.find(error => error.type !== 'Delimiter');
  if (ragged) refuse(`${file}, row ${(ragged.row ?? 0) + 2}: ${ragged.message}. Expected ${columns.length} columns, as in the header.`);
  return { columns, rows: parsed.data };
}

function readText(file: string): string {
  try {
    const text = new TextDecoder('utf-8', { fatal: true }).decode(readFileSync(file));
    if (text.includes('\0')) refuse(`${file} is not a text file. Expected a CSV file.`);
    return text;
  } catch (error) {
    if (error instanceof TypeError) refuse(`${file} is not UTF-8 text. Save the spreadsheet as CSV (UTF-8).`);
    return refuse(`${file} can't be read: ${codeOf(error)}.`);
  }
}

function codeOf(error: unknown): string {
  const isMissing = error instanceof Error && 'code' in error && error.code === 'ENOENT';
  return isMissing ? 'there is no such file' : 'it is no readable file';
}
