import { runPermutationTest } from './permutation-test';

const flat = { blocks: [], covariate: undefined };

function within(stratum: readonly number[], treatment: readonly number[]) {
  return {
    treatment,
    treatments: 2,
    rule: { kind: 'within-strata', stratum, treatment },
    dealtUnits: stratum.map((_, i) => i),
  } as const;
}

// Smallest two-sided p of two arms: 2 / C(2n, n).
test.each([
  [2, 2 / 6],
  [3, 2 / 20],
  [4, 2 / 70],
  [5, 2 / 252],
])('two arms of %d fully apart', (each, p) => {
  const y = Array.from({ length: 2 * each }, (_, i) => i + (i < each ? 0 : 100));
  const found = runPermutationTest(
    {
      ...flat,
      y,
      ...within(
        y.map(() => 0),
        y.map((_, i) => Number(i >= each)),
      ),
    },
    1000,
    1,
  );
  expect(found).toMatchObject({ exact: true });
  expect(found?.comparisons[0]?.p).toBeCloseTo(p, 12);
});

test('ten values in two arms: 8 of 252 arrangements are as far apart', () => {
  const y = [4.1, 5.0, 4.6, 5.3, 4.5, 5.2, 5.9, 5.1, 6.3, 5.5];
  const found = runPermutationTest(
    {
      ...flat,
      y,
      ...within(
        y.map(() => 0),
        [0, 0, 0, 0, 0, 1, 1, 1, 1, 1],
      ),
    },
    1000,
    1,
  );
  expect(found?.arrangements).toBe(252);
  expect(found?.comparisons[0]?.p).toBeCloseTo(8 / 252, 12);
});

test('four pairs flip their signs: exact p 0.75', () => {
  const differences = [-0.25, 0.85, 1.5, -1.0];
  const pair = [0, 0, 1, 1, 2, 2, 3, 3];
  const found = runPermutationTest(
    {
      y: differences.flatMap(d => [10, 10 + d]),
      ...within(pair, [0, 1, 0, 1, 0, 1, 0, 1]),
      covariate: undefined,
      blocks: [
        { name: 'pair', columns: [1, 2, 3].map(level => pair.map(p => Number(p === level))) },
      ],
    },
    1000,
    1,
  );
  expect(found).toMatchObject({ exact: true, arrangements: 16 });
  expect(found?.comparisons[0]?.p).toBeCloseTo(0.75, 12);
});
