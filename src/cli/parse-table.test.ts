import fc from 'fast-check';
import Papa from 'papaparse';
import { parseTable } from './parse-table';

test.each([
  ['comma', 'feed,weight\nnone,1\na,2\n'],
  ['semicolon', 'feed;weight\nnone;1\na;2\n'],
  ['tab', 'feed\tweight\nnone\t1\na\t2\n'],
  ['a byte order mark', '\ufefffeed,weight\nnone,1\na,2\n'],
  ['Windows line ends', 'feed,weight\r\nnone,1\r\na,2\r\n'],
  ['blank lines and spaces about names', ' feed , weight \n\nnone,1\n \na,2'],
])('%s', (_, text) => {
  expect(parseTable(text)).toMatchObject({
    ok: true,
    value: {
      columns: ['feed', 'weight'],
      rows: [
        { feed: 'none', weight: '1' },
        { feed: 'a', weight: '2' },
      ],
    },
  });
});

test.each([
  ['', 1, 'no columns found'],
  ['just words', 1, 'no columns found'],
  ['feed,feed\na,b\n', 1, 'stands there twice'],
  ['feed,weight\nnone,1,2\n', 2, '3 cells. Expected 2'],
  ['feed,weight\nnone,1\nshort\n', 3, '1 cells. Expected 2'],
  ['feed,weight\n"none,1\n', 2, 'quotation mark'],
  ['feed\0weight', null, 'not a text file'],
])('%j is no table', (text, row, sentence) => {
  const parsed = parseTable(text);
  expect(parsed.ok ? parsed : parsed.trouble).toMatchObject({
    row,
    sentence: expect.stringContaining(sentence),
  });
});

test('rows are numbered as the spreadsheet shows them, blank ones counted', () => {
  const parsed = parseTable('feed,weight\n\nnone,1\n,\na,2\n');
  expect(parsed.ok && parsed.value.rowNumbers).toEqual([3, 5]);
});

test('whatever a spreadsheet writes, quotes and line breaks included, is read back', () => {
  // A column name is trimmed; a row that is blank in every cell is passed over, as spreadsheets leave them at the end.
  const cell = fc
    .string({ unit: 'grapheme-ascii', maxLength: 12 })
    .filter(text => !text.includes('\r') && text.trim() !== '');
  fc.assert(
    fc.property(fc.array(fc.tuple(cell, cell), { minLength: 1, maxLength: 8 }), rows => {
      const written = Papa.unparse({ fields: ['feed', 'note'], data: rows });
      expect(parseTable(written)).toMatchObject({
        ok: true,
        value: { columns: ['feed', 'note'], rows: rows.map(([feed, note]) => ({ feed, note })) },
      });
    }),
  );
});
