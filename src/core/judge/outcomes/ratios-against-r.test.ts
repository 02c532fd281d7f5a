import { readFileSync } from 'node:fs';
import fc from 'fast-check';
import type { JudgedUnit } from '@/core/design/linear/design-input';
import { judgeInputFixture } from '@/core/judge/question/judge-input-fixture';
import { judge } from './judge';
import type { EstimableContrast } from './judgement';

// What R says: reference/r/ratios.R, with MASS::cats (Fisher 1947, Biometrics 3, 65-68).
interface Reference {
  readonly name: string;
  readonly females: { readonly ratio: number; readonly n: number };
  readonly males: { readonly ratio: number; readonly n: number };
  readonly lm: number;
  readonly difference: number;
  readonly se: number;
  readonly df: number;
  readonly p: number;
  readonly ci: readonly [number, number];
  readonly deltaSe: number;
  readonly percent: number;
  readonly fiellerPercent: readonly [number, number];
  readonly rows: readonly { readonly sex: string; readonly body: number; readonly heart: number }[];
}
const REFERENCES: readonly Reference[] = JSON.parse(
  readFileSync('reference/results/ratios.json', 'utf8'),
);

const inputOf = (rows: readonly (readonly [treatment: string, value: number, effort: number])[]) =>
  judgeInputFixture(
    rows.map(
      ([treatment, value, effort], i): JudgedUnit => ({
        id: `u${i}`,
        treatment,
        blocks: [],
        value,
        effort,
      }),
    ),
    { treatments: ['F', 'M'], control: 'F', shuffles: 500 },
  );

const contrastOf = (input: ReturnType<typeof inputOf>): EstimableContrast => {
  const [contrast] = judge(input).contrasts;
  if (!contrast?.estimable) throw new Error('must be estimable');
  return contrast;
};

describe.each(REFERENCES)('$name: heart weight over body weight', reference => {
  const input = inputOf(reference.rows.map(({ sex, heart, body }) => [sex, heart, body]));
  const contrast = contrastOf(input);
  test('a treatment’s figure is the quotient of its sums', () => {
    const groups = judge(input).groups.map(group => [group.n, group.mean]);
    expect(groups).toEqual([
      [reference.females.n, expect.closeTo(reference.females.ratio, 9)],
      [reference.males.n, expect.closeTo(reference.males.ratio, 9)],
    ]);
  });
  test('the difference, its delta-method error and its interval are R’s', () => {
    expect(contrast.difference).toBeCloseTo(reference.difference, 9);
    expect(contrast.difference).toBeCloseTo(reference.lm, 9);
    expect(contrast.reach?.isOwnSpread).toBe(true);
    expect(contrast.reach?.se).toBeCloseTo(reference.se, 9);
    expect(contrast.reach?.df).toBeCloseTo(reference.df, 6);
    expect(contrast.ciAdjusted?.[0]).toBeCloseTo(reference.ci[0], 6);
    expect(contrast.ciAdjusted?.[1]).toBeCloseTo(reference.ci[1], 6);
    // With and without the leverage the delta method says nearly the same.
    expect(contrast.reach!.se / reference.deltaSe).toBeCloseTo(1, 1.3);
  });
  test('the percentage and its interval by Fieller are R’s', () => {
    expect(contrast.percent).toBeCloseTo(reference.percent, 8);
    expect(contrast.percentCiAdjusted?.[0]).toBeCloseTo(reference.fiellerPercent[0], 4);
    expect(contrast.percentCiAdjusted?.[1]).toBeCloseTo(reference.fiellerPercent[1], 4);
  });
});

const figure = fc.double({ min: 1, max: 50, noNaN: true });

test('where all stands over the same, the quotient is judged as its upper figure is', () => {
  fc.assert(
    fc.property(fc.array(figure, { minLength: 8, maxLength: 12 }), figure, (values, effort) => {
      const sexOf = (i: number): string => (i % 2 === 0 ? 'F' : 'M');
      const plain = contrastOf(inputOf(values.map((value, i) => [sexOf(i), value, 1])));
      const over = contrastOf(inputOf(values.map((value, i) => [sexOf(i), value, effort])));
      expect(over.difference * effort).toBeCloseTo(plain.difference, 6);
      expect(over.percent ?? 0).toBeCloseTo(plain.percent ?? 0, 6);
      expect(over.shuffleP).toBe(plain.shuffleP);
    }),
    { numRuns: 40 },
  );
});

test('a unit with next to nothing below the line moves next to nothing, though its own quotient is wild', () => {
  const rows = [
    ['F', 10, 5],
    ['F', 11, 5],
    ['F', 9, 5],
    ['M', 15, 5],
    ['M', 14, 5],
    ['M', 16, 5],
  ] as const;
  const calm = contrastOf(inputOf(rows));
  const wild = contrastOf(inputOf([...rows, ['M', 1, 0.01]]));
  expect(calm.difference).toBeCloseTo(1, 9);
  expect(Math.abs(wild.difference - calm.difference)).toBeLessThan(0.07);
});
