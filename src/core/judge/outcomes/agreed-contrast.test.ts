import { readFileSync } from 'node:fs';
import { parseTable } from '@/cli/parse-table';
import type { JudgeInput, Outcome } from '@/core/judge/question/judge-input';
import { judgeInputFixture } from '@/core/judge/question/judge-input-fixture';
import { judge } from './judge';

/** Dried plants (PlantGrowth, R datasets; Dobson 1983, table 7.1). */
function plants(): JudgeInput {
  const table = parseTable(readFileSync('reference/data/plant-growth.csv', 'utf8'));
  if (!table.ok) throw new Error(table.trouble.sentence);
  return judgeInputFixture(
    table.value.rows.map((row, i) => ({
      id: String(i),
      treatment: row.group ?? '',
      blocks: [],
      value: Number(row.weight),
    })),
    { control: 'ctrl' },
  );
}

test('two treatments taken together against the control: by hand from the published means and mean square', () => {
  // Means 5.032, 4.661 and 5.526 of ten each, mean square 0.3885959 on 27 degrees of freedom (R, summary of aov).
  const { agreed } = judge({ ...plants(), agreed: { one: ['trt1', 'trt2'], other: ['ctrl'] } });
  if (!agreed?.estimable) throw new Error('not estimable');
  expect(agreed.treatment).toBe('trt1 and trt2');
  expect(agreed.difference).toBeCloseTo((4.661 + 5.526) / 2 - 5.032, 10);
  expect(agreed.se).toBeCloseTo(Math.sqrt(0.3885959 * (1 / 10 + 2 / 40)), 7);
  expect(agreed.df).toBe(27);
});

const READ: Readonly<Record<Outcome, Readonly<Record<string, readonly number[]>>>> = {
  continuous: { none: [100, 110, 95, 105], a: [140, 150, 138, 145], b: [150, 160, 149, 158] },
  count: { none: [9, 12, 10, 11], a: [19, 22, 20, 18], b: [25, 21, 24, 22] },
  proportion: { none: [9, 8, 10, 7], a: [15, 16, 14, 17], b: [16, 18, 17, 15] },
  ordinal: { none: [2, 3, 2, 2], a: [4, 5, 4, 4], b: [4, 4, 5, 5] },
  time: { none: [20, 22, 19, 23], a: [30, 33, 31, 29], b: [31, 35, 33, 34] },
};
const inputOf = (outcome: Outcome, changes: Partial<JudgeInput> = {}): JudgeInput =>
  judgeInputFixture(
    Object.entries(READ[outcome]).flatMap(([treatment, values]) =>
      values.map((value, i) => ({
        id: `${treatment}${i}`,
        treatment,
        blocks: [],
        value,
        outOf: outcome === 'proportion' ? 20 : undefined,
        hasCome: true,
      })),
    ),
    { outcome, ...changes },
  );

test.each(['continuous', 'count', 'proportion', 'ordinal', 'time'] as const)(
  '%s: the headline is that of both together',
  outcome => {
    const { agreed, verdict } = judge(
      inputOf(outcome, { agreed: { one: ['a', 'b'], other: ['none'] } }),
    );
    expect(agreed?.call).toBe('better');
    expect(verdict.headline).toMatch(/^A and b (gave|beat) /);
  },
);

test('one yes or no a unit: those of one side could have changed places with those of the other', () => {
  const yes = { none: [0, 0, 0, 0, 0, 0], a: [1, 1, 0, 1, 1, 1], b: [1, 1, 1, 1, 1, 1] };
  const units = Object.entries(yes).flatMap(([treatment, values]) =>
    values.map((value, i) => ({ id: `${treatment}${i}`, treatment, blocks: [], value, outOf: 1 })),
  );
  const { agreed } = judge(
    judgeInputFixture(units, {
      outcome: 'proportion',
      agreed: { one: ['a', 'b'], other: ['none'] },
    }),
  );
  // Of 18 units 11 say yes, none of them among the six: both ways C(12, 11)/C(18, 11) and what is as far off.
  expect(agreed?.estimable && agreed.p).toBeLessThan(0.001);
  expect(agreed?.call).toBe('better');
});

test('harm that the answer tells is not told twice', () => {
  const { verdict } = judge(
    inputOf('count', { better: 'lower', agreed: { one: ['a', 'b'], other: ['none'] } }),
  );
  expect(verdict.headline.match(/did worse/g)).toHaveLength(1);
});

test('a side of one unit has no test', () => {
  const input = inputOf('continuous', { agreed: { one: ['a', 'b'], other: ['none'] } });
  const units = input.units.filter(unit => unit.treatment !== 'none' || unit.id === 'none0');
  expect(judge({ ...input, units }).agreed?.call).toBe('no-test');
});
