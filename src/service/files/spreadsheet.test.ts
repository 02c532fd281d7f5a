import { readFileSync } from 'node:fs';
import { strToU8, zipSync } from 'fflate';
import papaparse from 'papaparse';
import { readSheet } from 'read-excel-file/node';
import { spreadsheetOf, spreadsheetToCsv } from './spreadsheet';

// pots.xlsx and pots.ods: one small table, written by LibreOffice 7.4 from CSV.
const POTS = [
  ['pot', 'date', 'weight (g)', 'note'],
  ['AB1', '2026-07-01', '120.5', 'first'],
  ['AB2', '2026-07-01', '99', 'two, words'],
  ['AB3', '2026-07-02', '0', ''],
];

test.each(['pots.xlsx', 'pots.ods'])(
  '%s, from another program, is a table: days, figures, words',
  async name => {
    const read = await spreadsheetToCsv(readFileSync(`reference/data/${name}`));
    if (!read.ok) throw new Error(read.trouble);
    expect(papaparse.parse(read.value.trim()).data).toEqual(POTS);
  },
);

test('what is written as a spreadsheet is read again by another reader, figures as figures, formulas as words', async () => {
  const rows = [
    ['code', 'value', 'note'],
    ['AB1', '-12.5', '=1+1'],
    ['AB2', '', 'words, and “more”'],
  ];
  const bytes = await spreadsheetOf(rows);
  expect(await readSheet(Buffer.from(bytes))).toEqual([
    ['code', 'value', 'note'],
    ['AB1', -12.5, '=1+1'],
    ['AB2', null, 'words, and “more”'],
  ]);
});

test('a file that is no spreadsheet, a cut one, and one that would unpack without end are refused', async () => {
  const refused = async (bytes: Uint8Array): Promise<string> => {
    const read = await spreadsheetToCsv(bytes);
    return read.ok ? 'read' : read.trouble;
  };
  const none = /^That is no spreadsheet that can be read here/;
  expect(await refused(strToU8('pot,weight\nAB1,12\n'))).toMatch(none);
  expect(await refused(readFileSync('reference/data/pots.xlsx').subarray(0, 900))).toMatch(none);
  expect(await refused(zipSync({ 'content.xml': strToU8('<a></b>') }))).toMatch(none);
  expect(await refused(zipSync({ 'letter.txt': strToU8('Dear Ida') }))).toMatch(none);
  const endless = zipSync({ 'content.xml': new Uint8Array(210_000_000) });
  expect(await refused(endless)).toBe('That spreadsheet unpacks to more than 200 MB. Cut it up.');
});
