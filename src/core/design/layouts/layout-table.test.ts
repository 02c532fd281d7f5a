import fc from 'fast-check';
import { trialFixture } from '@/core/trial/fixtures/trial-fixture';
import { readLayoutTable } from './layout-table';

const { treatments } = trialFixture({ treatments: 2 });
const HEAD = ['code', 'treatment', 'block'];
const read = (...rows: readonly (readonly string[])[]) =>
  readLayoutTable([HEAD, ...rows], treatments);

test('a table says which unit holds what, in which block, and what else differs', () => {
  const found = readLayoutTable(
    [
      ['Treatment', 'Code', 'block', 'variety', 'x_mm'],
      ['Feed 1', 'ka3', 'far shelf', 'Nantes', '10'],
      ['plain water', 'KB4', 'near shelf', 'Nantes', '10'],
      ['plain water', 'KC5', 'far shelf', '', '20'],
      ['feed 1', 'KD6', 'near shelf', 'Paris', '20'],
    ],
    treatments,
  );
  expect(found).toMatchObject({
    ok: true,
    value: {
      form: { kind: 'complete-blocks', unitsEach: '1', blockCount: '2' },
      blocks: ['far shelf', 'near shelf'],
    },
  });
  expect(
    found.ok && found.value.units.map(({ code, block, traits }) => [code, block, traits]),
  ).toEqual([
    ['KA3', 0, { variety: 'Nantes' }],
    ['KC5', 0, {}],
    ['KB4', 1, { variety: 'Nantes' }],
    ['KD6', 1, { variety: 'Paris' }],
  ]);
});

test.each([
  [
    'no code',
    [['pot', 'treatment']],
    'The first row must name a column “code” and one “treatment”.',
  ],
  ['nothing in it', [HEAD], 'There is no code in it.'],
  [
    'a code that is none',
    [HEAD, ['pot 1', 'feed 1', '']],
    'Row 2: “pot 1” is no code. Two letters and a figure, such as KA3.',
  ],
  [
    'another treatment',
    [HEAD, ['KA3', 'compost', '']],
    'Row 2: “compost” is no treatment of this trial. It has plain water and feed 1.',
  ],
  [
    'one code twice',
    [HEAD, ['KA3', 'feed 1', ''], ['KA3', 'plain water', '']],
    'Row 3: KA3 stands in it twice.',
  ],
  [
    'a block that is missing',
    [HEAD, ['KA3', 'feed 1', 'a'], ['KB3', 'plain water', '']],
    'Row 3: It says no block, and others do.',
  ],
  [
    'one block',
    [HEAD, ['KA3', 'feed 1', 'a'], ['KB3', 'plain water', 'a']],
    'All of it is one block: leave the column away, or name two at least.',
  ],
  [
    'not as many of each',
    [HEAD, ['KA3', 'feed 1', ''], ['KB3', 'feed 1', ''], ['KC3', 'plain water', '']],
    'feed 1 stands in it 2 times, plain water 1 times. There must be as many of each.',
  ],
  [
    'a block that lacks one',
    [HEAD, ['KA3', 'feed 1', 'a'], ['KB3', 'plain water', 'a'], ['KC3', 'feed 1', 'b']],
    'b: plain water stands in it 0 times, plain water 1 times in a. Each block must hold as many of each.',
  ],
  [
    'a square',
    [
      [...HEAD, 'column'],
      ['KA3', 'feed 1', '', '1'],
    ],
    'A square or rows and columns can’t come as a table: take the trial’s own file.',
  ],
])('with %s nothing is taken, and why is said', (_, rows, says) => {
  expect(readLayoutTable(rows, treatments)).toEqual({ ok: false, trouble: says });
});

test('whatever stands in the cells, it is read whole or refused with a sentence', () => {
  fc.assert(
    fc.property(
      fc.array(fc.array(fc.string({ maxLength: 12 }), { maxLength: 5 }), { maxLength: 8 }),
      rows => {
        const found = read(...rows);
        return found.ok ? found.value.units.length === rows.length : found.trouble.length > 10;
      },
    ),
  );
});
