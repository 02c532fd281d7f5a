import fc from 'fast-check';
import { v7 } from 'uuid';
import { readMeasure } from '@/core/measure/library/own-measure';
import { trialFixture } from '@/core/trial/fixtures/trial-fixture';
import { type ColumnRole, headParts, matchColumns, rolesTrouble } from './match-columns';
import { readReadingTable, type TableContext } from './reading-table';

const data = trialFixture({ treatments: 2, unitsEach: 3 });
const measureOf = (key: string) => {
  const read = readMeasure({ from: 'library', key }, [], v7());
  if (!read.ok) throw new Error(key);
  return read.value;
};
const [height, spot] = [measureOf('height'), measureOf('leaf-spot')];
const context: TableContext = {
  units: data.units,
  measures: [...data.measures, height, spot],
  system: 'uk',
  startsOn: '2026-05-01',
  today: '2026-06-30',
  now: '2026-06-30T10:00:00.000Z',
  day: '2026-06-29',
  device: 'a file',
  by: '',
  newId: () => v7(),
  mainMeasure: data.measures.find(measure => measure.isMain)!,
  pickId: nth => `019ed9be-7c4e-735c-aa18-${String(nth).padStart(12, '0')}`,
};
const [a, b] = data.units.map(unit => unit.code);

test.each([
  ['height (cm)', 'height', 'cm'],
  ['Height, mm', 'Height', 'mm'],
  ['Leaf spot %', 'Leaf spot', '%'],
  ['Plant height [in]', 'Plant height', 'in'],
  ['Leaves', 'Leaves', ''],
  ['stem', 'stem', ''],
])('the head “%s” is a name and a unit', (head, name, unit) => {
  expect(headParts(head)).toEqual({ name, unit });
});

test('a name with a comma in it is a name: what stands behind the comma is no unit', () => {
  const dry = { id: '1', name: 'Trimmed, dry' };
  expect(matchColumns(['code', 'trimmed, dry', 'Trimmed, dry (g)'], [dry])).toEqual([
    { kind: 'unit' },
    { kind: 'measure', measureId: '1', unit: '' },
    { kind: 'measure', measureId: '1', unit: 'g' },
  ]);
});

test('heads are matched to what they hold', () => {
  expect(
    matchColumns(
      ['Pot', 'date', 'Plant height (cm)', 'leaf spot %', 'weather', 'plant', 'Notes'],
      context.measures.filter(measure => measure.scale !== null),
    ),
  ).toEqual([
    { kind: 'unit' },
    { kind: 'day' },
    { kind: 'measure', measureId: height.id, unit: 'cm' },
    { kind: 'measure', measureId: spot.id, unit: '%' },
    { kind: 'nothing' },
    { kind: 'part' },
    { kind: 'note' },
  ]);
});

test.each<readonly [string, readonly ColumnRole[], string | undefined]>([
  ['no codes', [{ kind: 'day' }], 'codes'],
  ['two days', [{ kind: 'unit' }, { kind: 'day' }, { kind: 'day' }], 'Two columns'],
  ['no measure', [{ kind: 'unit' }], 'holds a measure'],
  ['a name without values', [{ kind: 'unit' }, { kind: 'measure-name' }], 'column of values'],
  [
    'both ways at once',
    [
      { kind: 'unit' },
      { kind: 'measure-name' },
      { kind: 'value' },
      { kind: 'measure', measureId: height.id, unit: '' },
    ],
    'Either',
  ],
  ['long', [{ kind: 'unit' }, { kind: 'measure-name' }, { kind: 'value' }], undefined],
])('%s', (_, roles, says) => {
  const found = rolesTrouble(roles);
  expect(says === undefined ? found : found?.includes(says)).toBe(
    says === undefined ? undefined : true,
  );
});

const wide: readonly ColumnRole[] = [
  { kind: 'unit' },
  { kind: 'day' },
  { kind: 'measure', measureId: height.id, unit: 'cm' },
  { kind: 'measure', measureId: spot.id, unit: '%' },
];
const heads = ['pot', 'date', 'height (cm)', 'spot %'];

test('a wide table: units from heads, dashes and the dead, a day for rows without one', async () => {
  const read = await readReadingTable(
    heads,
    [
      [a ?? '', '2026-06-01', '21,3', '5'],
      [b ?? '', '', '-', 'dead'],
      ['', '', '', ''],
    ],
    wide,
    context,
  );
  expect(
    read.ok &&
      read.value.readings.map(reading => [reading.takenOn, reading.value, reading.outcome]),
  ).toEqual([
    ['2026-06-01', 213, 'picked'],
    ['2026-06-01', 5, 'picked'],
    ['2026-06-29', null, 'not-looked'],
    ['2026-06-29', null, 'dead'],
  ]);
});

test('a long table: names and values', async () => {
  const read = await readReadingTable(
    ['code', 'measure', 'value'],
    [
      [a ?? '', 'plant height', '213'],
      [a ?? '', 'Leaf spot', '10%'],
    ],
    [{ kind: 'unit' }, { kind: 'measure-name' }, { kind: 'value' }],
    context,
  );
  expect(read.ok && read.value.readings.map(reading => reading.value)).toEqual([213, 10]);
});

test('one bad row refuses all, and every trouble says its row and column', async () => {
  const read = await readReadingTable(
    heads,
    [
      [a ?? '', '2026-06-01', '21', '5'],
      ['ZZ9', '2026-06-01', '21', ''],
      [b ?? '', '2026-06-01', 'tall', '120'],
      [a ?? '', '2026-06-01', '22', ''],
    ],
    wide,
    context,
  );
  expect(read).toMatchObject({
    ok: false,
    trouble: [
      { row: 3, column: 'unit', says: expect.stringContaining('ZZ9') },
      { row: 4, column: 'height (cm)' },
      { row: 4, column: 'spot %', says: expect.stringContaining('percentage') },
      { row: 5, column: 'height (cm)', says: expect.stringContaining('Row 2') },
    ],
  });
});

test('whatever a table holds, each written cell becomes one reading or the whole is refused', async () => {
  const cell = fc.oneof(
    fc.integer({ min: 0, max: 300 }).map(String),
    fc.constantFrom('', '-', 'dead', 'x', '12,5', '=1+1'),
  );
  await fc.assert(
    fc.asyncProperty(
      fc.array(
        fc.tuple(
          fc.constantFrom(...data.units.map(unit => unit.code)),
          fc.integer({ min: 1, max: 28 }).map(day => `2026-06-${String(day).padStart(2, '0')}`),
          cell,
          cell,
        ),
        { maxLength: 15 },
      ),
      async rows => {
        const read = await readReadingTable(heads, rows, wide, context);
        const written = rows.reduce(
          (sum, row) => sum + row.slice(2).filter(each => each !== '').length,
          0,
        );
        if (read.ok) expect(read.value.readings).toHaveLength(written);
        else
          expect(
            read.trouble.every(
              each => each.row >= 2 && each.row <= rows.length + 1 && each.says !== '',
            ),
          ).toBe(true);
      },
    ),
  );
});
