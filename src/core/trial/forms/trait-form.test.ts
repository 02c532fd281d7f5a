import { trialFixture } from '@/core/trial/fixtures/trial-fixture';
import { readTrait, traitLines } from './trait-form';

const data = trialFixture({ treatments: 2, unitsEach: 2, blockCount: 2 });
const [a, b, c, d] = data.units;
if (!a || !b || !c || !d) throw new Error('the fixture must have four units');

test('a line names codes in any case, a block, or the rest', () => {
  const read = readTrait(
    {
      name: 'container',
      lines: `terracotta: ${a.code.toLowerCase()}, ${b.code}\n\nplastic : the rest`,
    },
    data,
  );
  expect(read.ok && [...read.value.byUnit]).toEqual([
    [a.id, 'terracotta'],
    [b.id, 'terracotta'],
    [c.id, 'plastic'],
    [d.id, 'plastic'],
  ]);
  const byBlock = readTrait({ name: 'variety', lines: 'Ruby: Shelf 2' }, data);
  expect(byBlock.ok && [...byBlock.value.byUnit.keys()]).toEqual([c.id, d.id]);
});

test.each([
  [{ name: '', lines: 'x: the rest' }, 'name', 'Say what it is'],
  [{ name: 'tub', lines: '' }, 'lines', 'Say which have it'],
  [{ name: 'tub', lines: 'old' }, 'lines', 'Line 1: write what it is, a colon'],
  [{ name: 'tub', lines: 'old: ZZ9' }, 'lines', '“ZZ9” is no code'],
  [
    { name: 'tub', lines: `old: ${a.code}\nnew: ${a.code}` },
    'lines',
    `Line 2: ${a.code} stands in two lines`,
  ],
  [{ name: 'tub', lines: `${'x'.repeat(61)}: ${a.code}` }, 'lines', 'at most 60'],
  [null, 'lines', ''],
])('trouble %j', (input, field, sentence) => {
  const read = readTrait(input, data);
  expect(read.ok ? 'no trouble' : read.trouble[field]).toContain(sentence);
});

test('what was said is told back, each value with its codes', () => {
  const units = data.units.map(unit => ({
    ...unit,
    traits: (unit === a ? {} : { variety: unit === b ? 'Ruby' : 'Ghost' }) as Readonly<
      Record<string, string>
    >,
  }));
  expect(traitLines({ ...data, units })).toEqual([
    {
      name: 'variety',
      values: [
        { value: 'Ruby', codes: [b.code] },
        { value: 'Ghost', codes: [c.code, d.code] },
      ],
    },
  ]);
});
