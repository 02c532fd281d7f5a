import fc from 'fast-check';
import { judgeWithoutShuffle } from '@/core/judge/outcomes/judge';
import { judgeInputFixture } from '@/core/judge/question/judge-input-fixture';
import { expectedAgain, expectedAgainWords, keptOfLead } from './expected-again';

// Eighteen batters after 45 times at bat, 1970: Efron & Morris (1977), Stein's Paradox in Statistics, Scientific American 236, 119-127,
// where the averages are pulled to 0.212 of their distance from the mean of all. The averages are from memory.
const BATTED = [
  0.4, 0.378, 0.356, 0.333, 0.311, 0.311, 0.289, 0.267, 0.244, 0.244, 0.222, 0.222, 0.222, 0.222,
  0.222, 0.2, 0.178, 0.156,
];

test('of the published example as much is kept as is published', () => {
  const mean = BATTED.reduce((sum, each) => sum + each, 0) / BATTED.length;
  expect(keptOfLead(BATTED, (mean * (1 - mean)) / 45, Number.POSITIVE_INFINITY)).toBeCloseTo(
    0.212,
    3,
  );
});

test('never more than all and never less than nothing; the surer the means, the more', () => {
  const means = fc.array(fc.double({ min: 0, max: 100, noNaN: true }), {
    minLength: 4,
    maxLength: 12,
  });
  fc.assert(
    fc.property(
      means,
      fc.double({ min: 0, max: 1000, noNaN: true }),
      fc.integer({ min: 1, max: 60 }),
      (values, variance, df) => {
        const kept = keptOfLead(values, variance, df);
        expect(kept >= 0 && kept <= 1).toBe(true);
        expect(keptOfLead(values, variance / 2, df)).toBeGreaterThanOrEqual(kept);
      },
    ),
  );
});

const fed = (...means: readonly number[]) =>
  judgeInputFixture(
    means.flatMap((mean, t) =>
      [-6, -2, 2, 6].map((off, i) => ({
        id: `${t} ${i}`,
        treatment: `feed ${t}`,
        blocks: [],
        value: mean + off,
      })),
    ),
    { treatments: means.map((_, t) => `feed ${t}`), control: 'feed 0', shuffles: 0 },
  );

test('the first of four is expected to lead less again, of three nothing is said', () => {
  const input = fed(100, 104, 98, 108);
  const found = expectedAgain(input, judgeWithoutShuffle(input));
  expect(found).toMatchObject({ treatment: 'feed 3', of: 4 });
  expect(found?.led).toBeCloseTo(5.5 / 102.5, 12);
  expect(found?.again).toBeGreaterThan(0);
  expect(found?.again).toBeLessThan(found?.led ?? 0);
  const three = fed(100, 104, 98);
  expect(expectedAgain(three, judgeWithoutShuffle(three))).toBeNull();
});

test.each([
  [
    0.2,
    0.11,
    'Feed came first of 5, 20% better than the average of all. Whatever comes first is partly lucky: next time expect it about 11% better than that average.',
  ],
  [
    0.04,
    0,
    'Feed came first of 5, 4% better than the average of all. Whatever comes first is partly lucky: by these numbers alone, expect nothing of it next time.',
  ],
])('a lead of %d that may be %d again is said', (led, again, says) => {
  expect(expectedAgainWords({ treatment: 'feed', of: 5, led, again })).toBe(says);
});
