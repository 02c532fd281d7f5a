import { type Undecided, unitsNeeded } from './units-needed';

const trial = (treatments: number): Undecided => ({
  difference: 20,
  se: 12,
  residualDf: 4 * treatments - treatments,
  unitsEach: 4,
  treatments,
  margin: 0,
  confidence: 0.95,
});

test('more comparisons want more units of each: the critical value is that of all of them', () => {
  const [two, four, eight] = [2, 4, 8].map(treatments => unitsNeeded(trial(treatments)) ?? 0);
  expect(two).toBeGreaterThan(4);
  expect(four).toBeGreaterThan(two ?? 0);
  expect(eight).toBeGreaterThan(four ?? 0);
});

test('two treatments: n of each as the textbooks’ formula has it', () => {
  // (z(0.975) + z(0.8))² · 2 · (sd / d)² with sd = 12 / √2 · √4 = 16.97 and d = 20: 11.3, and one or so more by t.
  expect(unitsNeeded({ ...trial(2), residualDf: 200 })).toBe(12);
});
