import { rankSumP, signFlipP } from '@/core/judge/outcomes/against-r-fixture';
import { judge } from '@/core/judge/outcomes/judge';
import { STARTING_GUESS_CV } from '@/core/judge/question/judge-input';
import { fisherExactP } from '@/core/stats/categorical/two-by-two';
import { largestT } from './multivariate-t';
import { studentizedRange } from './studentized-range';

// What printed tables say. All figures are from memory.

// Harter (1960), Annals of Mathematical Statistics 31, 1122-1147: points of the studentised range.
test.each([
  [0.95, 2, 5, 3.635],
  [0.95, 2, 10, 3.151],
  [0.95, 3, 5, 4.602],
  [0.95, 3, 10, 3.877],
  [0.95, 4, 10, 4.327],
  [0.95, 5, 10, 4.654],
  [0.95, 3, 20, 3.578],
  [0.95, 4, 20, 3.958],
  [0.95, 5, 20, 4.232],
  [0.95, 6, 30, 4.301],
  [0.99, 3, 10, 5.27],
  [0.99, 4, 20, 5.018],
])('studentised range: p %d, %i means, %i degrees of freedom: %d', (p, means, df, point) => {
  expect(Math.abs(studentizedRange(means, df).quantile(p) - point)).toBeLessThanOrEqual(0.001);
});

// Dunnett (1955), Journal of the American Statistical Association 50, 1096-1121: breaking strength of a fabric under three
// processes and the standard, three pieces each; the two-sided point for three and 8 degrees of freedom as in Dunnett (1964).
describe('Dunnett’s own example', () => {
  const strengths = {
    standard: [55, 47, 48],
    'process 1': [55, 64, 64],
    'process 2': [55, 49, 52],
    'process 3': [50, 44, 41],
  };
  const units = Object.entries(strengths).flatMap(([treatment, values]) =>
    values.map((value, i) => ({ id: `${treatment} ${i}`, treatment, blocks: [], value })),
  );
  const judged = judge({
    outcome: 'continuous',
    response: 'strength',
    unitWord: 'piece',
    treatmentName: 'process',
    treatments: Object.keys(strengths),
    control: 'standard',
    blockNames: [],
    units,
    subsamples: 12,
    better: 'higher',
    margin: null,
    confidence: 0.95,
    shuffles: 0,
    seed: 1,
    isDeclared: true,
    priorCv: STARTING_GUESS_CV,
  });
  test('the means are 50, 61, 52 and 45, and the variance 19 on 8 degrees of freedom', () => {
    expect(judged.groups.map(group => group.mean)).toEqual([50, 61, 52, 45]);
    expect(judged.anova.at(-1)).toMatchObject({ term: 'residual', df: 8, ms: 19 });
  });
  test('only process 1 is told from the standard, with 2.88 times the standard error to either side', () => {
    expect(judged.criticalT).toBeCloseTo(2.88, 2);
    expect(
      largestT(
        [
          [1, 0.5, 0.5],
          [0.5, 1, 0.5],
          [0.5, 0.5, 1],
        ],
        8,
      ).quantile(0.95),
    ).toBeCloseTo(2.88, 2);
    expect(judged.contrasts.map(contrast => contrast.call)).toEqual([
      'better',
      'cant-tell',
      'cant-tell',
    ]);
    const [first] = judged.contrasts;
    expect(first?.estimable && first.ciAdjusted?.map(end => Math.round(10 * end) / 10)).toEqual([
      0.8, 21.2,
    ]);
  });
});

// Mann & Whitney (1947), Annals of Mathematical Statistics 18, 50-60: chances of so small a U.
test.each([
  [4, 0, 0.014],
  [4, 1, 0.029],
  [4, 2, 0.057],
  [4, 3, 0.1],
  [4, 4, 0.171],
  [5, 0, 0.004],
  [5, 1, 0.008],
  [5, 2, 0.016],
  [5, 3, 0.028],
  [5, 4, 0.048],
  [5, 5, 0.075],
])('rank sums of %i and as many: U of %i or less comes in %d', (n, u, chance) => {
  // The first sample is 0 … n − 1, pushed up past the lowest of the other one by one until U is what is asked for.
  const treated = Array.from({ length: n }, (_, i) => (i === n - 1 ? n - 1 + u + 0.5 : i));
  const control = Array.from({ length: n }, (_, i) => n + i);
  const shifted =
    u < n ? treated : [...treated.slice(0, n - 2), n - 2 + 0.5 + 1 + (u - n), treated[n - 1]!];
  expect((rankSumP(shifted, control) ?? 1) / 2).toBeCloseTo(chance, 3);
});

// Wilcoxon (1945), Biometrics Bulletin 1, 80-83: signed ranks, the chance of so small a sum on one side, twice.
test.each([
  [6, [1], 0.0625],
  [6, [], 0.03125],
  [7, [2], 0.046875],
  [8, [3], 0.0390625],
  [8, [1, 3], 0.0546875],
])('signed ranks of %i pairs, those of rank %j the other way: p %d', (pairs, others, p) => {
  expect(
    signFlipP(Array.from({ length: pairs }, (_, i) => (others.includes(i + 1) ? -1 : 1) * (i + 1))),
  ).toBe(p);
});

// Fisher (1935), The Design of Experiments, chapter II: eight cups, four of each; three of four told right comes in 17 of 70 by luck.
test('the lady who tasted tea', () => {
  const twoSided = (right: number): number =>
    fisherExactP({
      treatedYes: right,
      treatedNo: 4 - right,
      controlYes: 4 - right,
      controlNo: right,
    });
  expect([twoSided(4) * 70, twoSided(3) * 70, twoSided(2) * 70].map(Math.round)).toEqual([
    2, 34, 70,
  ]);
});
