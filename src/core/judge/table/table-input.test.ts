import { judge } from '@/core/judge/outcomes/judge';
import type { JudgeInput } from '@/core/judge/question/judge-input';
import { ROLES_FIXTURE as roles, tableFixture as table } from './table-fixture';
import { judgeInputFromTable } from './table-input';
import type { Table, TableRoles } from './table-roles';

function inputOf(from: Table, changes: Partial<TableRoles> = {}): JudgeInput {
  const read = judgeInputFromTable(from, { ...roles, ...changes });
  if (!read.ok) throw new Error(JSON.stringify(read.trouble));
  return read.value;
}

test('rows of one unit are averaged first, and an empty or NA cell is missing, not zero', () => {
  const input = inputOf(
    table('pot,feed,weight', 'p1,none,1', 'p1,none,3', 'p2,none,', 'p3,a,0', 'p4,a,NA', 'p4,a,8'),
    { unit: 'pot' },
  );
  expect(input.units.map(unit => unit.value)).toEqual([2, null, 0, 8]);
  expect(input.subsamples).toBe(4);
});

test('a single pot each, with five subsamples, stays one pot each: no test', () => {
  const lines = [1, 2, 3, 4, 5].flatMap(core => [`left,none,${core}`, `right,a,${core + 2}`]);
  const judgement = judge(inputOf(table('half,feed,weight', ...lines), { unit: 'half' }));
  expect(judgement.verdict.call).toBe('no-test');
  expect(judgement.warnings.map(warning => warning.code)).toEqual(
    expect.arrayContaining(['no-replication', 'pseudo-replication']),
  );
  expect(judgement.contrasts[0]).toMatchObject({ difference: 2, p: null, ci: null });
});

test('factors cross into treatments, and the analysis splits them again', () => {
  const from = table(
    'soil,feed,weight',
    'loam,none,1',
    'loam,fed,2',
    'peat,none,3',
    'peat,fed,5',
    'loam,none,1.5',
    'loam,fed,2.1',
    'peat,none,3.2',
    'peat,fed,5.5',
  );
  const input = inputOf(from, {
    treatment: undefined,
    control: 'loam:none',
    factors: ['soil', 'feed'],
  });
  expect(input.treatments).toEqual(['loam:none', 'loam:fed', 'peat:none', 'peat:fed']);
  expect(judge(input).anova.map(row => row.term)).toEqual([
    'soil',
    'feed',
    'soil:feed',
    'residual',
  ]);
});

test('a treatment column that names each combination of the factors keeps its own names', () => {
  const from = table(
    'cell,n,k,weight',
    'a,0,0,1',
    'b,0,1,2',
    'c,1,0,3',
    'd,1,1,4',
    'a,0,0,1.2',
    'b,0,1,2.5',
  );
  expect(
    inputOf(from, { treatment: 'cell', control: 'a', factors: ['n', 'k'] }).treatments,
  ).toEqual(['a', 'b', 'c', 'd']);
});

describe('trouble says where and what', () => {
  const good = ['p1,none,1', 'p2,a,2'];
  test.each([
    [
      table('pot,feed,weight', ...good, 'p3,a,2;5'),
      {},
      { kind: 'bad-cell', row: 4, column: 'weight', read: '2;5' },
    ],
    [table('pot,feed,weight', ...good, 'p3,,2'), {}, { kind: 'bad-cell', row: 4, column: 'feed' }],
    [
      table('pot,feed,weight', ...good, 'p1,a,2'),
      { unit: 'pot' },
      { kind: 'unit-disagrees', row: 4, unit: 'p1', first: 'none', read: 'a' },
    ],
    [
      table('pot,feed,weight', ...good),
      { control: 'water' },
      { kind: 'no-control', treatments: ['none', 'a'] },
    ],
    [table('pot,feed,weight', 'p1,none,1'), {}, { kind: 'one-treatment' }],
    [
      table('pot,feed,weight', ...good, 'p3,Total,3'),
      {},
      { kind: 'bad-cell', row: 4, column: 'feed', read: 'Total' },
    ],
    [
      table('pot,feed,weight', ...good, 'Grand total,a,3'),
      { unit: 'pot' },
      { kind: 'bad-cell', row: 4, column: 'pot' },
    ],
    [table('pot,feed,weight'), {}, { kind: 'no-rows' }],
    [
      table('pot,feed,weight', ...good),
      { blocks: ['shelf'] },
      { kind: 'no-column', column: 'shelf' },
    ],
    [
      table('pot,feed,weight', ...good, 'p3,a,1.5'),
      { kind: 'count' as const },
      { kind: 'bad-cell', row: 4, read: '1.5' },
    ],
  ])('case %#', (from, changes, trouble) => {
    const read = judgeInputFromTable(from, { ...roles, ...changes });
    expect(read).toMatchObject({ ok: false, trouble });
  });
});
