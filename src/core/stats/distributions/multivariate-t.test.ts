import fc from 'fast-check';
import { tQuantile, tTwoSidedP } from './distributions';
import { largestT } from './multivariate-t';

function equalCorrelation(k: number, r: number): readonly (readonly number[])[] {
  return Array.from({ length: k }, (_, i) =>
    Array.from({ length: k }, (_entry, j) => (i === j ? 1 : r)),
  );
}

// Dunnett (1964), Biometrics 20, 482-491, table of two-sided 5% points for equal group sizes (correlation 1/2), from memory
// to its two decimals.
test.each([
  [2, 10, 2.57],
  [3, 10, 2.76],
  [4, 20, 2.65],
  [5, 20, 2.73],
  [2, 60, 2.27],
  [5, 60, 2.58],
])('%d comparisons on %d degrees of freedom: %d', (k, df, point) => {
  expect(largestT(equalCorrelation(k, 0.5), df).quantile(0.95)).toBeCloseTo(point, 1);
});

test('one comparison is Student’s t', () => {
  const single = largestT([[1]], 7);
  expect(single.quantile(0.95)).toAgree(tQuantile(0.975, 7), 9);
  expect(single.upperTail(2.2)).toAgree(tTwoSidedP(2.2, 7), 9);
});

test('comparisons that are all the same one cost nothing', () => {
  for (const k of [2, 3, 4])
    expect(largestT(equalCorrelation(k, 1), 12).upperTail(2.5)).toAgree(tTwoSidedP(2.5, 12), 9);
});

test('with a large df and no correlation, the chances multiply', () => {
  const independent = largestT(equalCorrelation(3, 0), 1e6);
  expect(1 - independent.upperTail(2)).toAgree((1 - tTwoSidedP(2, 1e6)) ** 3, 6);
});

const correlations = fc
  .tuple(
    fc.integer({ min: 2, max: 6 }),
    fc.array(fc.integer({ min: 2, max: 9 }), { minLength: 7, maxLength: 7 }),
    fc.integer({ min: 2, max: 40 }),
  )
  .map(([k, sizes, df]) => {
    // Comparisons with a control of so many units: the correlations a layout without blocks has.
    const control = sizes[0]!;
    const share = (i: number): number => 1 / Math.sqrt(1 + control / sizes[i + 1]!);
    return {
      k,
      df,
      r: Array.from({ length: k }, (_, i) =>
        Array.from({ length: k }, (_entry, j) => (i === j ? 1 : share(i) * share(j))),
      ),
    };
  });

test('the adjusted p lies between the plain one and k times it, and falls with t', () => {
  fc.assert(
    fc.property(correlations, fc.double({ min: 0.2, max: 6, noNaN: true }), ({ k, df, r }, t) => {
      const family = largestT(r, df);
      const plain = tTwoSidedP(t, df);
      const adjusted = family.upperTail(t);
      expect(adjusted).toBeGreaterThanOrEqual(plain - 1e-9);
      expect(adjusted).toBeLessThanOrEqual(Math.min(1, k * plain) + 1e-9);
      expect(family.upperTail(t + 0.1)).toBeLessThanOrEqual(adjusted);
    }),
    { numRuns: 60 },
  );
});

test('the critical value is what the tail says it is', () => {
  fc.assert(
    fc.property(correlations, ({ df, r }) => {
      const family = largestT(r, df);
      expect(Math.abs(family.upperTail(family.quantile(0.95)) - 0.05)).toBeLessThan(1e-6);
    }),
    { numRuns: 30 },
  );
});

test('correlations that are no products, by the lattice, stay within the fourth decimal of a lattice 128 times as fine', () => {
  // Reference: the same integral on 262,144 points, computed once with this code; its own error is below 1e-6.
  const r = [
    [1, 0.5, 0.45, 0.52, 0.4],
    [0.5, 1, 0.55, 0.48, 0.5],
    [0.45, 0.55, 1, 0.5, 0.42],
    [0.52, 0.48, 0.5, 1, 0.47],
    [0.4, 0.5, 0.42, 0.47, 1],
  ];
  for (const [df, t, p] of [
    [5, 1.5, 0.5033159],
    [5, 3, 0.0964422],
    [32, 2, 0.1935361],
    [32, 2.5, 0.0702827],
    [32, 3, 0.022053],
  ] as const) {
    expect(Math.abs(largestT(r, df).upperTail(t) - p)).toBeLessThan(5e-5);
  }
});
