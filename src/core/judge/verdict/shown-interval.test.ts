import fc from 'fast-check';
import { judgeWithoutShuffle } from '@/core/judge/outcomes/judge';
import { type JudgeInput, STARTING_GUESS_CV } from '@/core/judge/question/judge-input';
import { shownInterval } from './shown-interval';

const PERCENT = 20;

function inputOf(
  groups: readonly (readonly number[])[],
  changes: Partial<JudgeInput> = {},
): JudgeInput {
  const treatments = groups.map((_, i) => (i === 0 ? 'water' : `feed ${i}`));
  return {
    outcome: 'continuous',
    response: 'beans',
    responseUnit: 'g',
    unitWord: 'pot',
    treatmentName: 'feed',
    treatments,
    control: 'water',
    blockNames: [],
    units: groups.flatMap((values, i) =>
      values.map((value, j) => ({
        id: `${i}${j}`,
        treatment: treatments[i] ?? '',
        blocks: [],
        value,
      })),
    ),
    subsamples: groups.flat().length,
    better: 'higher',
    margin: { kind: 'percent', percent: PERCENT },
    confidence: 0.95,
    shuffles: 0,
    seed: 1,
    isDeclared: true,
    priorCv: STARTING_GUESS_CV,
    ...changes,
  };
}

const group = fc.array(fc.double({ min: 80, max: 125, noNaN: true }), {
  minLength: 4,
  maxLength: 6,
});

test('the interval that is shown is the one the call rests on, with up to five treatments', () => {
  fc.assert(
    fc.property(fc.array(group, { minLength: 2, maxLength: 5 }), groups => {
      for (const contrast of judgeWithoutShuffle(inputOf(groups)).contrasts) {
        if (!contrast.estimable) continue;
        const [low, high] = shownInterval(contrast, inputOf(groups)).percentCi ?? [0, 0];
        if (contrast.call === 'no-difference-that-matters')
          expect(low > -PERCENT && high < PERCENT).toBe(true);
        if (contrast.call === 'better') expect(low).toBeGreaterThan(0);
        if (contrast.call === 'worse') expect(high).toBeLessThan(0);
        if (contrast.call === 'clearly-better') expect(low).toBeGreaterThan(PERCENT);
      }
    }),
    { numRuns: 150 },
  );
});

test('“no difference” is covered for all comparisons together: its interval is wider where there are more of them', () => {
  const [water, fed] = [
    [100, 102, 98, 101, 99],
    [101, 103, 99, 100, 98],
  ];
  const widthOf = (groups: readonly (readonly number[])[]): number => {
    const [contrast] = judgeWithoutShuffle(inputOf(groups)).contrasts;
    if (!contrast?.estimable || !contrast.ciEquivalence || !contrast.se)
      throw new RangeError('none');
    return (contrast.ciEquivalence[1] - contrast.ciEquivalence[0]) / contrast.se;
  };
  // t(0.95) of 8 degrees of freedom is 1.8595.
  expect(widthOf([water, fed])).toBeCloseTo(2 * 1.8595, 3);
  // Dunnett's two-sided 10% point for three comparisons and 16 degrees of freedom lies at 2.3: above t(0.95) = 1.746.
  expect(widthOf([water, fed, fed, fed])).toBeGreaterThan(2 * 2.2);
});

test('without a margin no number of pots is promised to settle it', () => {
  const groups = [
    [100, 120, 90, 110],
    [104, 118, 96, 112],
  ];
  const { verdict } = judgeWithoutShuffle(inputOf(groups, { margin: null }));
  expect(verdict.call).toBe('cant-tell');
  expect(verdict.unitsNeeded).toBeNull();
  expect(verdict.detail).not.toMatch(/settle|needed/);
  const small = inputOf(groups, { margin: { kind: 'percent', percent: 5 } });
  expect(judgeWithoutShuffle(small).verdict.detail).toMatch(/would settle it|would be needed/);
});

describe('two treatments that were agreed on', () => {
  const groups = [
    [100, 101, 99, 100, 102],
    [131, 129, 130, 132, 128],
    [115, 116, 114, 115, 117],
  ];
  const agreed = { one: ['feed 1'], other: ['feed 2'] };

  test('have the headline, against each other', () => {
    const { verdict } = judgeWithoutShuffle(inputOf(groups, { agreed }));
    expect(verdict.headline).toMatch(/^Feed 1 gave 13% more beans than feed 2\.$/);
    expect(verdict.detail).toContain('Feed 2: 15% more beans than water');
  });

  test('the other way round it is harm', () => {
    const { verdict } = judgeWithoutShuffle(
      inputOf(groups, { agreed: { one: ['feed 2'], other: ['feed 1'] } }),
    );
    expect(verdict.headline).toBe('Feed 2 did worse than feed 1: 11% less beans.');
    expect(verdict.call).toBe('worse');
  });

  test('harm of another beside the control is said with it', () => {
    const { verdict } = judgeWithoutShuffle(inputOf([...groups, [50, 52, 48, 51, 49]], { agreed }));
    expect(verdict.headline).toBe(
      'Feed 1 gave 13% more beans than feed 2. Feed 3 did worse than water.',
    );
  });
});
