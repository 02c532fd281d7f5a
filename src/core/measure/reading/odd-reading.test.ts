import fc from 'fast-check';
import { oddnessWords, oddReading } from './odd-reading';
import { readerError } from './reader-error';

const height = { kind: 'continuous', least: 0, most: 6000 } as const;
const others = [210, 215, 205, 220, 212, 208];

test('a slipped decimal is asked about, by the unit’s own past or by its neighbours', () => {
  expect(oddReading(21, height, [195, 200], others)).toEqual({
    kind: 'jump',
    before: 200,
    ratio: 0.105,
  });
  expect(oddReading(2100, height, [], others)).toEqual({ kind: 'far-from-others', middle: 211 });
  expect(oddnessWords({ kind: 'jump', before: 200, ratio: 0.1 }, 'mm')).toBe(
    'Sure? Last time it was 200 mm.',
  );
  expect(oddnessWords({ kind: 'far-from-others', middle: 211 }, 'mm')).toBe(
    'Sure? Others give about 211 mm today.',
  );
});

test('what is usual is not, nor are steps, nor the first few of a day', () => {
  expect([
    oddReading(218, height, [200], others),
    oddReading(0, { kind: 'ordinal', from: 0, steps: ['a', 'b'], hasBeyond: false }, [9], others),
    oddReading(2100, height, [], [210, 215]),
  ]).toEqual([null, null, null]);
});

test('a value that is one of many alike is never asked about', () => {
  fc.assert(
    fc.property(
      fc.array(fc.integer({ min: 100, max: 180 }), { minLength: 5, maxLength: 20 }),
      values => {
        const value = values[0] ?? 100;
        expect(oddReading(value, height, [], values)).toBeNull();
      },
    ),
  );
});

// Worked by hand: differences 1, −1, 2, 0; Σd² = 6; √(6 / 8) = 0.866.
test('a reader who reads four pots twice knows his own error', () => {
  expect(
    readerError([
      [10, 11],
      [12, 11],
      [9, 11],
      [10, 10],
    ]),
  ).toEqual({ pairs: 4, sd: expect.closeTo(0.8660254, 6), meanDifference: 0.5 });
  expect(readerError([])).toBeUndefined();
});

test.each([
  [4, null],
  [5, { kind: 'far-from-others', middle: 210 }],
])('of %p others at least five are asked', (count, odd) => {
  expect(oddReading(2100, height, [], [210, 215, 205, 220, 208].slice(0, count))).toEqual(odd);
});
