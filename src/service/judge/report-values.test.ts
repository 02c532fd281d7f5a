import { pickFixture, trialFixture } from '@/core/trial/fixtures/trial-fixture';
import { valueTables } from './report-values';

const plain = trialFixture({ unitsEach: 3 });
const [unit] = plain.units;
if (!unit) throw new Error('there must be a pot');
const weighed = {
  ...plain,
  picks: [pickFixture(unit, { netG: 70, pieces: 3 }), pickFixture(unit, { netG: 100, pieces: 4 })],
};

test('values are rounded as on the screen, in the garden’s own units, and never run on', () => {
  for (const [system, weight, each] of [
    ['uk', '170 g', '24 g'],
    ['us', '6 oz', '0.9 oz'],
  ] as const) {
    const tables = valueTables(weighed, system);
    const row = tables.flatMap(({ heads, rows }) =>
      heads.map((head, i) => [head, rows[0]?.[i]] as const),
    );
    const cells = new Map(row);
    expect(cells.get('code')).toBe(unit.code);
    expect(cells.get('Sound harvest by weight')).toBe(weight);
    expect(cells.get('Weight of one sound piece')).toBe(each);
    for (const cell of tables.flatMap(({ rows }) => rows.flat()))
      expect(cell).not.toMatch(/\d\.\d{4}/);
  }
});

test('so many measures stand beside each other as a page holds, each table with its codes', () => {
  const many = Array.from({ length: 9 }, (_, i) => ({
    ...(plain.measures[0] as (typeof plain.measures)[number]),
    id: `${plain.measures[0]?.id}`.slice(0, -1).concat(String(i)) as never,
    name: `measure ${i}`,
  }));
  const tables = valueTables({ ...plain, measures: many }, 'uk');
  expect(tables).toHaveLength(3);
  for (const { heads, rows } of tables) {
    expect(heads.length).toBeLessThanOrEqual(8);
    expect(heads.slice(0, 2)).toEqual(['code', 'treatment']);
    expect(rows).toHaveLength(plain.units.length);
  }
  expect(tables.map(({ title }) => title)).toEqual([
    'Every pot',
    'Every pot: measure 4, measure 5, measure 6, measure 7',
    'Every pot: measure 8',
  ]);
});

test('what no pot has takes no column', () => {
  const [first] = valueTables(plain, 'uk');
  expect(first?.heads).not.toContain('start size');
  expect(first?.heads).not.toContain('left out');
  const sized = plain.units.map((each, i) => ({ ...each, startSize: 10 + i }));
  expect(valueTables({ ...plain, units: sized }, 'uk')[0]?.heads).toContain('start size');
});
