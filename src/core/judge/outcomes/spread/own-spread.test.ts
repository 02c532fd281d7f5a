import fc from 'fast-check';
import { judgeWithoutShuffle } from '@/core/judge/outcomes/judge';
import { judgeInputFixture } from '@/core/judge/question/judge-input-fixture';

const inputOf = (values: Readonly<Record<string, readonly number[]>>) =>
  judgeInputFixture(
    Object.entries(values).flatMap(([treatment, own]) =>
      own.map((value, i) => ({ id: `${treatment} ${i}`, treatment, blocks: [], value })),
    ),
    { outcome: 'continuous', control: 'none' },
  );

test('a gap of millions of its own spread, beside a treatment that spreads wide, is judged and not too rare to be reckoned with', () => {
  const judged = judgeWithoutShuffle(
    inputOf({
      none: [1, 1.0001, 0.9999, 1.0002, 0.9998],
      fed: [9e7, 9e7 + 1e-4, 9e7 - 1e-4, 9e7 + 2e-4, 9e7 - 2e-4],
      wild: [10, 900, 20, 1500, 400],
    }),
  );
  expect(judged.warnings.map(warning => warning.code)).toContain('unequal-variance');
  const [fed] = judged.contrasts;
  expect(fed?.call).toBe('better');
  expect(fed?.estimable && fed.pAdjusted !== null && fed.pAdjusted < 1e-9).toBe(true);
});

test('whatever the spreads, a verdict comes of it, and an interval that holds the gap', () => {
  const sample = fc.tuple(
    fc.integer({ min: -1e6, max: 1e6 }),
    fc.integer({ min: -6, max: 6 }),
    fc.array(fc.integer({ min: -9, max: 9 }), { minLength: 3, maxLength: 6 }),
  );
  fc.assert(
    fc.property(sample, sample, sample, (...drawn) => {
      const [none = [], fed = [], wild = []] = drawn.map(([mean, power, steps]) =>
        steps.map(step => mean + step * 10 ** power),
      );
      for (const contrast of judgeWithoutShuffle(inputOf({ none, fed, wild })).contrasts) {
        if (!contrast.estimable || !contrast.ciAdjusted) continue;
        expect(contrast.ciAdjusted[0]).toBeLessThanOrEqual(contrast.difference);
        expect(contrast.ciAdjusted[1]).toBeGreaterThanOrEqual(contrast.difference);
        expect(contrast.pAdjusted).toBeGreaterThanOrEqual(0);
      }
    }),
    { numRuns: 150 },
  );
});
