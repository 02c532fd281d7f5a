import fc from 'fast-check';
import { seededRandom } from '@/core/stats/distributions/seeded-random';
import { byStratum, countArrangements, everyArrangement, randomDeals } from './arrangements';

const layouts = fc.integer({ min: 1, max: 3 }).chain(blocks =>
  fc.record({
    stratum: fc.constant(Array.from({ length: 3 * blocks }, (_, i) => i % blocks)),
    treatment: fc.array(fc.integer({ min: 0, max: 2 }), {
      minLength: 3 * blocks,
      maxLength: 3 * blocks,
    }),
  }),
);

function countsIn(labels: ArrayLike<number>, units: readonly number[]): readonly number[] {
  return [0, 1, 2].map(label => units.filter(unit => labels[unit] === label).length);
}

test('a random deal keeps the number of each label in each stratum', () => {
  fc.assert(
    fc.property(layouts, fc.integer({ min: 0, max: 1000 }), ({ stratum, treatment }, seed) => {
      const order = byStratum(stratum);
      const labels = Int32Array.from(treatment);
      const deal = randomDeals(labels, order, seededRandom(seed));
      for (let times = 0; times < 5; times++) {
        deal();
        for (const units of order)
          expect(countsIn(labels, units)).toEqual(countsIn(treatment, units));
      }
    }),
  );
});

test('all arrangements are gone through, each once, and there are as many as counted', () => {
  fc.assert(
    fc.property(layouts, ({ stratum, treatment }) => {
      const labels = Int32Array.from(treatment);
      const next = everyArrangement(labels, byStratum(stratum));
      const count = countArrangements({ stratum, treatment });
      const seen = new Set<string>();
      for (let i = 0; i < count; i++) {
        next();
        seen.add(labels.join());
      }
      expect(seen.size).toBe(count);
      next();
      expect(seen.has(labels.join())).toBe(true);
    }),
    { numRuns: 50 },
  );
});

// Each of six cards is equally likely in each place. 120,000 deals put 20,000 in each cell; five standard deviations are 645.
test('no card favours a place', () => {
  const labels = Int32Array.from([0, 1, 2, 3, 4, 5]);
  const deal = randomDeals(labels, [[0, 1, 2, 3, 4, 5]], seededRandom(3));
  const cells = new Int32Array(36);
  for (let times = 0; times < 120_000; times++) {
    deal();
    labels.forEach((label, place) => {
      cells[6 * place + label] = (cells[6 * place + label] ?? 0) + 1;
    });
  }
  expect(Math.max(...cells.map(count => Math.abs(count - 20_000)))).toBeLessThan(645);
});

// All 720 orders of six cards, 144,000 deals: 200 each. Chi-square on 719 degrees of freedom stays below 908 with
// probability 0.999995 (its mean 719 and five standard deviations of √1438).
test('every order is equally likely', () => {
  const labels = Int32Array.from([0, 1, 2, 3, 4, 5]);
  const deal = randomDeals(labels, [[0, 1, 2, 3, 4, 5]], seededRandom(8));
  const orders = new Map<string, number>();
  for (let times = 0; times < 144_000; times++) {
    deal();
    const order = labels.join();
    orders.set(order, (orders.get(order) ?? 0) + 1);
  }
  expect(orders.size).toBe(720);
  expect(
    [...orders.values()].reduce((sum, count) => sum + (count - 200) ** 2 / 200, 0),
  ).toBeLessThan(719 + 5 * Math.sqrt(2 * 719));
});
