import fc from 'fast-check';
import { narrowerBy, type PartsAndUnits, partsAndUnits, partsOrUnitsWords } from './parts-or-units';

// Travel times in six rails, three readings each: Pinheiro & Bates (2000), Mixed-Effects Models in S and S-PLUS, 1.1, where σ(rails) is
// 24.80547 and σ(readings) 4.020779; data and figures as in R's nlme::Rail.
const RAILS = [
  [55, 53, 54],
  [26, 37, 32],
  [78, 91, 85],
  [92, 100, 96],
  [49, 51, 50],
  [80, 85, 83],
];

const varianceOf = (values: readonly number[]): number => {
  const mean = values.reduce((sum, each) => sum + each, 0) / values.length;
  return values.reduce((sum, each) => sum + (each - mean) ** 2, 0) / (values.length - 1);
};
const meansOf = (read: readonly (readonly number[])[]): readonly number[] =>
  read.map(parts => parts.reduce((sum, each) => sum + each, 0) / parts.length);

test('the split of rails is the published one', () => {
  const split = partsAndUnits(RAILS, { variance: varianceOf(meansOf(RAILS)), unitsEach: 6 });
  expect(split?.between).toBeCloseTo(24.80547, 4);
  expect(split?.within).toBeCloseTo(4.020779, 5);
  expect(split?.parts).toBeCloseTo(3, 12);
});

test('of units read once nothing is known of parts', () => {
  expect(partsAndUnits([[3], [4], [5]], { variance: 1, unitsEach: 3 })).toBeUndefined();
});

test('where all lies between the parts, more of them do what more units do; where none does, they do nothing', () => {
  const onlyParts: PartsAndUnits = { within: 8, between: 0, parts: 3, unitsEach: 4 };
  expect(narrowerBy(onlyParts, { parts: 12 })).toBeCloseTo(0.5, 12);
  expect(narrowerBy(onlyParts, { unitsEach: 16 })).toBeCloseTo(0.5, 12);
  const onlyUnits: PartsAndUnits = { within: 0, between: 8, parts: 3, unitsEach: 4 };
  expect(narrowerBy(onlyUnits, { parts: 12 })).toBe(0);
});

test('more parts never do more than as many more units', () => {
  const spread = fc.double({ min: 0.01, max: 100, noNaN: true });
  const count = fc.integer({ min: 1, max: 20 });
  fc.assert(
    fc.property(spread, spread, count, count, (within, between, parts, unitsEach) => {
      const split = { within, between, parts, unitsEach };
      expect(narrowerBy(split, { parts: 2 * parts })).toBeLessThanOrEqual(
        narrowerBy(split, { unitsEach: 2 * unitsEach }) + 1e-12,
      );
    }),
  );
});

test.each([
  [
    { within: 10, between: 1, parts: 2, unitsEach: 8 },
    'Twice as many would narrow the interval by 29%, one plant more of each treatment by 6%: read more parts before you plant more.',
  ],
  [
    { within: 2, between: 10, parts: 6, unitsEach: 4 },
    'one plant more of each treatment by 11%; with half as many it would be hardly wider. Read fewer parts, and have more plants.',
  ],
  [
    { within: 6, between: 6, parts: 2, unitsEach: 4 },
    'one plant more of each treatment by 11%: more plants pay better.',
  ],
])('what pays is said of %o', (split, says) => {
  expect(partsOrUnitsWords(split, 'plant')).toContain(says);
});
