import { ROLES_FIXTURE as roles, tableFixture as table } from './table-fixture';
import { judgeInputFromTable } from './table-input';
import type { TableRoles } from './table-roles';

const valuesOf = (changes: Partial<TableRoles>, ...lines: readonly string[]) => {
  const read = judgeInputFromTable(table('pot,feed,weight,came', ...lines), {
    ...roles,
    unit: 'pot',
    ...changes,
  });
  return read.ok ? read.value.units.map(unit => unit.value) : read.trouble;
};
const LOOKS = ['p1,none,nothing there,', 'p2,none,-,', 'p3,a,dead,', 'p4,a,7,', 'p5,a,not looked,'];

test.each([
  ['continuous', [0, null, null, 7, null]],
  ['count', [0, null, null, 7, null]],
  ['ordinal', [null, null, null, 7, null]],
] as const)('a table of %s takes the words of a walk as the application does', (kind, values) => {
  expect(valuesOf({ kind }, ...LOOKS)).toEqual(values);
});

test('“not yet” of a count is none so far; of days the table must say how long it was waited', () => {
  expect(valuesOf({ kind: 'count' }, 'p1,none,not yet,', 'p2,a,3,')).toEqual([0, 3]);
  expect(valuesOf({ kind: 'time', event: 'came' }, 'p1,none,not yet,0', 'p2,a,3,1')).toMatchObject({
    kind: 'bad-cell',
    row: 2,
    read: 'not yet',
    expected: expect.stringContaining('the last day it was looked at'),
  });
  expect(valuesOf({ kind: 'time', event: 'came' }, 'p1,none,0,1', 'p2,a,-,0')).toEqual([0, null]);
});

test('a word that is no look is refused', () => {
  expect(valuesOf({}, 'p1,none,heavy,')).toMatchObject({ kind: 'bad-cell', read: 'heavy' });
});
