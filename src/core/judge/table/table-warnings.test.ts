import { ROLES_FIXTURE as roles, tableFixture as table } from './table-fixture';
import { tableWarnings } from './table-warnings';

const codesOf = (...of: Parameters<typeof tableWarnings>) => tableWarnings(...of).map(w => w.code);

test('a pot that stands on two rows, with no word that it is the unit, is told', () => {
  const from = table('pot,feed,date,weight', 'p1,none,1,3', 'p1,none,2,4', 'p2,a,1,5', 'p2,a,2,7');
  expect(tableWarnings(from, roles)).toMatchObject([
    {
      code: 'repeated-units',
      message: expect.stringContaining('pot p1 and p2 stand on more than one row'),
    },
  ]);
  expect(codesOf(from, { ...roles, unit: 'pot' })).toEqual([]);
});

test('pots numbered anew in each treatment are not taken for one pot', () => {
  const from = table('pot,feed,weight', '1,none,3', '2,none,4', '1,a,5', '2,a,7');
  expect(codesOf(from, roles)).toEqual([]);
});

test('rows alike in every cell are told where something should tell them apart, and only there', () => {
  const dated = table('date,feed,weight', '1,none,3', '2,none,3', '2,none,3', '1,a,5');
  expect(tableWarnings(dated, roles)[0]?.message).toContain('Rows 3 and 4 are the same');
  const bare = table('feed,weight', 'none,3', 'none,3', 'a,5');
  expect(codesOf(bare, roles)).toEqual([]);
});
