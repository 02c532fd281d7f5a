import { v7 } from 'uuid';
import { trialFixture } from '@/core/trial/fixtures/trial-fixture';
import { matchColumns, rolesTrouble } from './match-columns';
import { readReadingTable, type TableContext } from './reading-table';

const data = trialFixture({ treatments: 2, unitsEach: 3 });
const [a = '', b = ''] = data.units.map(unit => unit.code);
const context: TableContext = {
  units: data.units,
  measures: data.measures,
  mainMeasure: data.measures.find(measure => measure.isMain)!,
  system: 'uk',
  startsOn: '2026-05-01',
  today: '2026-09-30',
  now: '2026-09-30T10:00:00.000Z',
  day: '2026-08-01',
  device: 'a file',
  by: 'Ana',
  newId: () => v7(),
  pickId: nth => `019ed9be-7c4e-735c-aa18-${String(nth).padStart(12, '0')}`,
};
const read = (heads: readonly string[], rows: readonly (readonly string[])[], word = 'pot') =>
  readReadingTable(heads, rows, matchColumns(heads, data.measures, word), context);

test('a table of picks: weights in the unit of their head, pieces, culls with their cause, nothing found', async () => {
  const heads = ['Pot', 'Date', 'Weight (kg)', 'Pieces', 'Cull'];
  expect(rolesTrouble(matchColumns(heads, data.measures, 'pot'))).toBeUndefined();
  const found = await read(heads, [
    [a, '2026-08-02', '1.25', '12', ''],
    [a, '2026-08-02', '200 g', '3', 'rot'],
    [b, '2026-08-02', '0', '', ''],
    [b, '2026-08-09', 'dead', '', ''],
  ]);
  expect(
    found.ok &&
      found.value.picks.map(({ outcome, netG, pieces, grade, cullReason, by }) => [
        outcome,
        netG,
        pieces,
        grade,
        cullReason,
        by,
      ]),
  ).toEqual([
    ['picked', 1250, 12, 'sound', null, 'Ana'],
    ['picked', 200, 3, 'cull', 'rot', 'Ana'],
    ['nothing-there', null, null, 'sound', null, 'Ana'],
    ['dead', null, null, 'sound', null, 'Ana'],
  ]);
});

test('gross and tare, and a weight with loads', async () => {
  const found = await read(
    ['code', 'gross', 'tare', 'pieces'],
    [
      [a, '520', '20', ''],
      [b, '500 + 300', '', ''],
    ],
  );
  expect(found.ok && found.value.picks.map(pick => [pick.pickedOn, pick.netG])).toEqual([
    ['2026-08-01', 500],
    ['2026-08-01', 800],
  ]);
});

test.each([
  ['plant', 'plant'],
  ['cup', 'Cups'],
  ['half', 'half code'],
])('the trial’s own word “%s” at the head of a column is its code, not a part', (word, head) => {
  expect(matchColumns([head, 'weight'], data.measures, word)[0]).toEqual({ kind: 'unit' });
});

test('the same word of another trial stays a part', () => {
  expect(matchColumns(['code', 'plant', 'weight'], data.measures, 'pot')[1]).toEqual({
    kind: 'part',
  });
});

test.each([
  [[a, '2026-12-01', '5', ''], 'still to come'],
  [[a, '2026-04-01', '5', ''], 'before the trial began'],
  [[a, '2026-08-01', '5 l', ''], 'mass is wanted'],
  [[a, '2026-08-01', '-5', ''], 'below zero'],
  [['ZZ9', '2026-08-01', '5', ''], 'no code'],
  [[a, '2026-08-01', '5', 'sat on'], 'neither sound nor a reason'],
])('%j refuses the whole table', async (row, says) => {
  const found = await read(['code', 'day', 'weight', 'grade'], [[b, '2026-08-01', '5', ''], row]);
  expect(found.ok ? 'taken' : found.trouble[0]?.says).toContain(says);
  expect(found.ok ? 0 : found.trouble[0]?.row).toBe(3);
});
