import { csvTable } from './report-rows';

const cellOf = (written: string): string => csvTable([[written]]).replace(/\n$/, '');

// What spreadsheets take for the beginning of a formula, after OWASP's “CSV Injection”.
test.each([
  ['=1+1', `"'=1+1"`],
  ['+1+1', `"'+1+1"`],
  ['@SUM(A1)', `"'@SUM(A1)"`],
  ['-A1', `"'-A1"`],
  ["-2+3+cmd|' /C calc'!A0", `"'-2+3+cmd|' /C calc'!A0"`],
  ['-1+HYPERLINK("x")', `"'-1+HYPERLINK(""x"")"`],
  ['\t=1', `"'\t=1"`],
  ['\r=1', `"'\r=1"`],
])('a cell that begins %j is no formula', (written, cell) => {
  expect(cellOf(written)).toBe(cell);
});

test('a figure below zero stays a figure', () => {
  expect(cellOf('-5.2')).toBe('-5.2');
  expect(cellOf('-1.5e-7')).toBe('-1.5e-7');
});

test('commas, quotes and line breaks stay within their cell', () => {
  expect(csvTable([['a,b', 'say "so"', 'two\nlines', 'plain']])).toBe(
    '"a,b","say ""so""","two\nlines",plain\n',
  );
  expect(cellOf('one\rtwo')).toBe('"one\rtwo"');
});
