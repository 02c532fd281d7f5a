import fc from 'fast-check';
import { seededRandom } from '@/core/stats/distributions/seeded-random';
import {
  countLatinSquares,
  everyLatinSquare,
  isLatinSquare,
  randomLatinSquares,
} from './latin-squares';

function cyclic(order: number): Int32Array {
  return Int32Array.from(
    { length: order * order },
    (_, cell) => (Math.floor(cell / order) + cell) % order,
  );
}

test.each([2, 3, 4, 5])('all squares of order %d, each once', order => {
  const square = new Int32Array(order * order);
  const next = everyLatinSquare(square, order);
  const seen = new Set<string>();
  for (let i = 0; i < countLatinSquares(order); i++) {
    next();
    seen.add(square.join(''));
  }
  expect(seen.size).toBe(countLatinSquares(order));
  expect([...seen].every(each => isLatinSquare([...each].map(Number), order))).toBe(true);
  next();
  expect(seen.has(square.join(''))).toBe(true);
});

test('a random square is one, whatever the order and seed', () => {
  fc.assert(
    fc.property(
      fc.integer({ min: 2, max: 9 }),
      fc.integer({ min: 0, max: 2 ** 32 - 1 }),
      (order, seed) => {
        const square = cyclic(order);
        const next = randomLatinSquares(square, order, seededRandom(seed), order);
        for (let times = 0; times < 3; times++) {
          next();
          expect(isLatinSquare([...square], order)).toBe(true);
        }
      },
    ),
    { numRuns: 60 },
  );
});

// Chi-square over every square there is. The bound is the mean and five standard deviations of chi-square: below 1 in 10,000.
test.each([
  [3, 12_000, 4],
  [4, 57_600, 6],
])('every square of order %d is equally likely', (order, deals, visits) => {
  const square = cyclic(order);
  const next = randomLatinSquares(square, order, seededRandom(11), visits);
  const seen = new Map<string, number>();
  for (let times = 0; times < deals; times++) {
    next();
    seen.set(square.join(''), (seen.get(square.join('')) ?? 0) + 1);
  }
  const cells = countLatinSquares(order);
  const expected = deals / cells;
  expect(seen.size).toBe(cells);
  const chiSquare = [...seen.values()].reduce(
    (sum, count) => sum + (count - expected) ** 2 / expected,
    0,
  );
  expect(chiSquare).toBeLessThan(cells - 1 + 5 * Math.sqrt(2 * (cells - 1)));
});

test('what is no square is not taken for one', () => {
  expect(isLatinSquare([0, 1, 1, 0], 2)).toBe(true);
  for (const square of [
    [0, 1, 0, 1],
    [0, 0, 1, 1],
    [0, 1, 1],
    [0, 2, 2, 0],
  ])
    expect(isLatinSquare(square, 2)).toBe(false);
});
