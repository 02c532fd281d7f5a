import { readFileSync } from 'node:fs';
import fc from 'fast-check';
import { v7 } from 'uuid';
import { measureFromLibrary } from '@/core/measure/library/own-measure';
import { readingKind } from '@/core/measure/library/reading-library';
import { rankCorrelation } from '@/core/stats/categorical/rank-correlation';
import { readingFixture, trialFixture } from '@/core/trial/fixtures/trial-fixture';
import { readersWords, readTwice, twoReaders } from './two-readers';

const trial = trialFixture({ treatments: 2, unitsEach: 6 });
const kind = readingKind('leaf-spot');
if (!kind) throw new Error('the library must have leaf spot');
const measure = { ...measureFromLibrary(kind, v7()), name: 'Leaf spot', unit: '' };

/** First and second reading of one pot after another, by whom. */
const read = (
  values: readonly (readonly [number, number])[],
  by: readonly [string, string] = ['Ada', 'Bo'],
) =>
  values.flatMap((pair, i) => {
    const unit = trial.units[i];
    if (!unit) throw new Error('the fixture must have as many units');
    return pair.map((value, j) =>
      readingFixture(unit, measure, value, { isRepeat: j === 1, by: by[j] ?? '' }),
    );
  });

// What R says: reference/r/readers.R.
const R: Readonly<
  Record<
    string,
    { readonly first: readonly number[]; readonly second: readonly number[]; readonly rho: number }
  >
> = JSON.parse(readFileSync('reference/results/readers.json', 'utf8'));

test.each(Object.entries(R))(
  'the rank correlation of %s is what R says',
  (_, { first, second, rho }) => {
    expect(rankCorrelation(first.map((value, i) => [value, second[i] ?? 0]))).toBeCloseTo(rho, 12);
  },
);

test('the same order is 1, the other way round −1, whatever the scale; where one row is flat nothing is said', () => {
  fc.assert(
    fc.property(fc.uniqueArray(fc.integer({ min: 0, max: 1000 }), { minLength: 3 }), values => {
      expect(rankCorrelation(values.map(value => [value, value ** 3]))).toBeCloseTo(1, 10);
      expect(rankCorrelation(values.map(value => [value, -value]))).toBeCloseTo(-1, 10);
      expect(rankCorrelation(values.map(value => [value, 7]))).toBeUndefined();
    }),
  );
});

test('two people are told apart from one who looks again', () => {
  const readings = [
    ...read([
      [2, 3],
      [1, 1],
      [4, 5],
      [0, 1],
      [3, 3],
      [5, 5],
    ]),
  ];
  expect(twoReaders(readTwice(measure, readings))).toMatchObject([
    { names: ['Ada', 'Bo'], pairs: 6, alike: 3, meanDifference: 0.5 },
  ]);
  expect(readersWords({ measures: [measure], readings })).toEqual([
    'Leaf spot, by Ada and Bo: 3 of 6 values alike, and Bo reads 0.5 more than Ada on average. They put them in nearly the same order (rank correlation 0.96).',
  ]);
  const alone = read(
    [
      [2, 3],
      [1, 1],
    ],
    ['Ada', 'Ada'],
  );
  expect(readersWords({ measures: [measure], readings: alone })).toEqual([
    'The reader’s own error: Leaf spot: 2 values read twice differ by ±0.5.',
  ]);
});

test('who read first is no matter: it is always the same two', () => {
  const pairs = [
    ...read([[2, 3]], ['Ada', 'Bo']),
    ...read(
      [
        [9, 9],
        [5, 4],
      ],
      ['Bo', 'Ada'],
    ).slice(2),
  ];
  expect(twoReaders(readTwice(measure, pairs))).toMatchObject([
    { names: ['Ada', 'Bo'], pairs: 2, meanDifference: 1 },
  ]);
});

test('an order that is not the same is said with what to do; of four pots no order is told', () => {
  const crossed = read([
    [0, 5],
    [1, 4],
    [2, 3],
    [3, 2],
    [4, 1],
    [5, 0],
  ]);
  expect(readersWords({ measures: [measure], readings: crossed })[0]).toContain(
    'They do not put them in the same order: let one person read all (rank correlation -1.00).',
  );
  expect(readersWords({ measures: [measure], readings: crossed.slice(0, 8) })[0]).not.toContain(
    'order',
  );
});
