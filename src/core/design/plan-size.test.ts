import { chanceOfSeeing, detectableDifference, unitsForDifference } from './plan-size';

const plan = { cv: 0.25, alpha: 0.05, power: 0.8, comparisons: 1 };

// Two-sided 5% unpaired t test, 80% power; recomputed arithmetic, no source needed.
describe('units for a difference', () => {
  test.each([[0.2, 26], [0.25, 17], [0.3, 12], [0.5, 6]])('CV 25%%, difference %d: %d each', (difference, each) => {
    expect(unitsForDifference(plan, difference)).toBe(each);
  });
  test.each([[0.3, 17], [0.5, 7], [1, 3]])('CV 30%%, difference %d: %d each', (difference, each) => {
    expect(unitsForDifference({ ...plan, cv: 0.3 }, difference)).toBe(each);
  });
});

test.each([[2, 170], [3, 92], [4, 71], [6, 54], [8, 45]])('CV 30%%, %d each, shows %d%%', (each, percent) => {
  expect(Math.round(100 * detectableDifference({ ...plan, cv: 0.3 }, each))).toBe(percent);
});

test('one unit each is no plan', () => {
  expect(() => chanceOfSeeing(plan, 1, 0.3)).toThrow(RangeError);
});
