import { readFileSync } from 'node:fs';
import Papa from 'papaparse';
import { z } from 'zod';
import { fUpperTail, tQuantile } from '@/core/stats/distributions/distributions';
import { powerOfT } from '@/core/stats/distributions/power-of-t';
import { studentizedRange } from '@/core/stats/distributions/studentized-range';
import { fitLinearModel, indicatorColumns } from '@/core/stats/linear/linear-model';
import { brownForsythe, deletedResiduals, oddUnits } from '@/core/stats/linear/residual-checks';

// Expected: R 4.2.2, reference/r/judge.R (ptukey, pf, power.t.test, rstudent, and Brown-Forsythe as anova of distances
// from group medians). R's ptukey gives NaN for 1 degree of freedom: that line is not compared.
const reference = z
  .object({
    brownForsythe: z.object({ f: z.number(), p: z.number() }),
    rstudent: z.array(z.number()),
    fTail: z.number(),
    tukey: z.array(
      z.object({ q: z.number(), k: z.number(), df: z.number(), p: z.number().nullable() }),
    ),
    power: z.array(z.object({ n: z.number(), shift: z.number(), power: z.number() })),
  })
  .parse(
    JSON.parse(
      readFileSync('reference/results/judge.json', 'utf8').replaceAll(': "NaN"', ': null'),
    ),
  );

function columnsOf(
  file: string,
  value: string,
  group: string,
): { readonly values: readonly number[]; readonly groups: readonly string[] } {
  const { data } = Papa.parse<Record<string, string>>(
    readFileSync(`reference/data/${file}.csv`, 'utf8').trim(),
    { header: true },
  );
  return { values: data.map(row => Number(row[value])), groups: data.map(row => row[group] ?? '') };
}

test.each(reference.tukey.filter(row => row.p !== null))(
  'studentized range, q $q of $k on $df',
  ({ q, k, df, p }) => {
    expect(studentizedRange(k, df).upperTail(q)).toAgree(p ?? 0, 6);
  },
);

test('the studentized range quantile undoes its tail', () => {
  for (const [k, df] of [
    [2, 4],
    [3, 27],
    [8, 60],
  ] as const) {
    const range = studentizedRange(k, df);
    expect(range.upperTail(range.quantile(0.95))).toAgree(0.05, 6);
  }
});

test('for two means the studentized range is √2 times Student’s t', () => {
  expect(studentizedRange(2, 9).quantile(0.95)).toAgree(Math.SQRT2 * tQuantile(0.975, 9), 6);
});

test('the far tail of F keeps its digits', () => {
  expect(fUpperTail(2000, 5, 12)).toAgree(reference.fTail, 6);
});

// Student's t at 97.5%, to the three decimals that tables of t print; from memory.
test.each([
  [2, 4.303],
  [3, 3.182],
  [4, 2.776],
  [6, 2.447],
  [8, 2.306],
  [10, 2.228],
  [20, 2.086],
])('t on %d degrees of freedom', (df, t) => {
  expect(tQuantile(0.975, df)).toBeCloseTo(t, 3);
});

test.each(reference.power)('power of a t test of $n each, shift $shift', ({ n, shift, power }) => {
  const df = 2 * (n - 1);
  expect(powerOfT(shift / Math.sqrt(2 / n), tQuantile(0.975, df), df)).toAgree(power, 6);
});

test('Brown-Forsythe on InsectSprays', () => {
  const { values, groups } = columnsOf('insect-sprays', 'count', 'spray');
  const found = brownForsythe(
    [...new Set(groups)].map(group => values.filter((_, i) => groups[i] === group)),
  );
  expect(found?.f).toAgree(reference.brownForsythe.f, 6);
  expect(found?.p).toAgree(reference.brownForsythe.p, 6);
});

test('studentised deleted residuals on chickwts, all 71', () => {
  const { values, groups } = columnsOf('chickwts', 'weight', 'feed');
  const model = fitLinearModel(values, [
    { name: 'feed', columns: indicatorColumns(groups, [...new Set(groups)]) },
  ]);
  const found = deletedResiduals(model);
  expect(found).toHaveLength(reference.rstudent.length);
  // Near zero a residual is a difference of numbers of some hundreds: there 1e-9 is all that double precision gives.
  for (const [i, expected] of reference.rstudent.entries())
    expect(Math.abs((found[i] ?? 9e9) - expected)).toBeLessThan(1e-9 + 5e-7 * Math.abs(expected));
  expect(oddUnits(model, 0.05)).toEqual([]);
});

test('a value ten spreads off is found, and only that one', () => {
  const values = [10, 11, 9, 10.5, 9.5, 20, 21, 19, 20.5, 60];
  const groups = values.map((_, i) => (i < 5 ? 'a' : 'b'));
  const odd = oddUnits(
    fitLinearModel(values, [{ name: 'feed', columns: indicatorColumns(groups, ['a', 'b']) }]),
    0.05,
  );
  expect(odd.map(unit => unit.index)).toEqual([9]);
});
