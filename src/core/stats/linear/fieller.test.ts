import fc from 'fast-check';
import { fiellerInterval } from './fieller';
import type { Combination } from './linear-model';
import { dot } from './orthonormal-basis';

const spread =
  (ms: number) =>
  (a: Combination, b: Combination): number =>
    ms * dot(a.direction, b.direction);

/** Two means of n and m units, independent of each other. */
function means(a: number, n: number, b: number, m: number): readonly [Combination, Combination] {
  return [
    { estimate: a, direction: [1 / Math.sqrt(n), 0] },
    { estimate: b, direction: [0, 1 / Math.sqrt(m)] },
  ];
}

test('at its ends the ratio just fails to be rejected: the definition of the interval', () => {
  const positive = fc.double({ min: 1, max: 100, noNaN: true });
  fc.assert(
    fc.property(
      positive,
      positive,
      fc.integer({ min: 2, max: 20 }),
      fc.integer({ min: 2, max: 20 }),
      fc.double({ min: 0.01, max: 4, noNaN: true }),
      (a, b, n, m, ms) => {
        const [numerator, denominator] = means(a, n, b, m);
        const t = 2.1;
        const interval = fiellerInterval(numerator, denominator, spread(ms), t);
        if (!interval) return;
        for (const end of interval)
          expect(Math.abs(a - end * b)).toBeCloseTo(
            t * Math.sqrt(ms * (1 / n + (end * end) / m)),
            6,
          );
        expect(interval[0]).toBeLessThanOrEqual(a / b + 1e-9);
        expect(interval[1]).toBeGreaterThanOrEqual(a / b - 1e-9);
      },
    ),
  );
});

test('a denominator that could be zero has no interval', () => {
  const [numerator, denominator] = means(5, 4, 0.5, 4);
  expect(fiellerInterval(numerator, denominator, spread(1), 2.1)).toBeNull();
  expect(fiellerInterval(numerator, { ...denominator, estimate: 0 }, spread(1), 2.1)).toBeNull();
});

test('without spread it is the ratio itself', () => {
  const [numerator, denominator] = means(6, 4, 4, 4);
  expect(fiellerInterval(numerator, denominator, spread(0), 2.1)).toEqual([1.5, 1.5]);
});
