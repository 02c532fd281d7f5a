import fc from 'fast-check';
import type { JudgedUnit } from '@/core/design/linear/design-input';
import { judge } from '@/core/judge/outcomes/judge';
import { unitsNeeded } from '@/core/judge/planning/units-needed';
import { type JudgeInput, STARTING_GUESS_CV } from '@/core/judge/question/judge-input';
import { midRanks } from '@/core/stats/categorical/rank-tests';

function inputOf(
  values: Readonly<Record<string, readonly (number | null)[]>>,
  changes: Partial<JudgeInput> = {},
): JudgeInput {
  const treatments = Object.keys(values);
  const units = treatments.flatMap(treatment =>
    (values[treatment] ?? []).map(
      (value, i): JudgedUnit => ({ id: `${treatment}${i}`, treatment, blocks: [], value }),
    ),
  );
  return {
    outcome: 'continuous',
    response: 'beans',
    unitWord: 'pot',
    treatmentName: 'feed',
    treatments,
    control: treatments[0] ?? '',
    blockNames: [],
    units,
    subsamples: units.length,
    better: 'higher',
    margin: null,
    confidence: 0.95,
    shuffles: 0,
    seed: 1,
    isDeclared: true,
    priorCv: STARTING_GUESS_CV,
    ...changes,
  };
}

const codesOf = (input: JudgeInput): readonly string[] =>
  judge(input).warnings.map(warning => warning.code);
const even = { none: [10, 12, 11, 13, 9, 11], fed: [14, 15, 13, 16, 15, 14] };

test('a tidy trial is warned of nothing', () => {
  expect(codesOf(inputOf(even))).toEqual([]);
});

test.each([
  ['pseudo-replication', inputOf(even, { subsamples: 60 })],
  ['not-declared', inputOf(even, { isDeclared: false })],
  ['missing-units', inputOf({ ...even, none: [10, 12, null, 13, 9, 11] })],
  ['unbalanced', inputOf({ ...even, none: [10, 12, 11, 13] })],
  ['tiny-sample', inputOf({ none: [1, 2], fed: [4, 5] })],
  ['no-replication', inputOf({ none: [1], fed: [2] })],
  ['zero-spread', inputOf({ none: [5, 5, 5], fed: [6, 6, 6] })],
  [
    'unequal-variance',
    inputOf({
      none: [10, 10.1, 9.9, 10.05, 9.95, 10, 10.02, 9.98],
      fed: [5, 25, 1, 18, 30, 9, 22, 3],
    }),
  ],
  ['odd-unit', inputOf({ none: [10, 11, 9, 10.5, 9.5, 10], fed: [20, 21, 19, 20.5, 19.5, 60] })],
] as const)('%s is said', (code, input) => {
  expect(codesOf(input)).toContain(code);
});

test('the odd pot is named', () => {
  const { warnings } = judge(
    inputOf({ none: [10, 11, 9, 10.5, 9.5, 10], fed: [20, 21, 19, 20.5, 19.5, 60] }),
  );
  expect(warnings.find(warning => warning.code === 'odd-unit')?.message).toContain(
    'pot fed5 (fed)',
  );
});

test('a call that one huge pot hides on the plain scale shows on ranks, and is said', () => {
  const { otherScales } = judge(
    inputOf({ none: [10, 11, 9, 10.5, 9.5, 10, 10.2], fed: [14, 15, 13, 14.5, 13.5, 14, 90] }),
  );
  expect(otherScales.find(scale => scale.scale === 'ranks')).toMatchObject({
    changes: true,
    directions: [{ treatment: 'fed', direction: 'up' }],
  });
});

test('the log scale is left out where a reading is zero', () => {
  expect(
    judge(inputOf({ none: [0, 1, 2, 1], fed: [3, 4, 5, 4] })).otherScales.map(scale => scale.scale),
  ).toEqual(['ranks']);
});

test('ties share the mean of their ranks', () => {
  expect(midRanks([3, 1, 3, 2, 3])).toEqual([4, 1, 4, 2, 4]);
  fc.assert(
    fc.property(
      fc.array(fc.integer({ min: 0, max: 5 }), { minLength: 1, maxLength: 30 }),
      values => {
        expect(midRanks(values).reduce((sum, rank) => sum + rank, 0)).toBeCloseTo(
          (values.length * (values.length + 1)) / 2,
          9,
        );
      },
    ),
  );
});

describe('units that would settle it', () => {
  const open = {
    difference: 10,
    se: 6,
    residualDf: 6,
    unitsEach: 4,
    treatments: 2,
    margin: 15,
    confidence: 0.95,
  };

  test('are more than there are, and more where the difference is smaller', () => {
    const needed = unitsNeeded(open) ?? 0;
    expect(needed).toBeGreaterThan(4);
    expect(unitsNeeded({ ...open, difference: 8, margin: 0 }) ?? 0).toBeGreaterThan(
      unitsNeeded({ ...open, margin: 0 }) ?? 0,
    );
  });

  test('are none that one could grow where there is hardly a difference and any would matter', () => {
    expect(unitsNeeded({ ...open, difference: 0.1, margin: 0 })).toBeNull();
  });

  // Four each and a standard error of 6: SD = 6 √2, so 10 is 1.18 SD. A t test sees that four times in five with 13 each
  // (R, power.t.test(delta = 10, sd = 6 * sqrt(2), power = 0.8): n = 12.3).
  test('agree with the power of the t test', () => {
    expect(unitsNeeded({ ...open, margin: 0 })).toBe(13);
  });
});

test('turning better round turns every call round, and nothing else', () => {
  const values = fc.array(fc.integer({ min: 1, max: 60 }), { minLength: 4, maxLength: 6 });
  fc.assert(
    fc.property(values, values, (none, fed) => {
      const higher = judge(inputOf({ none, fed }));
      const lower = judge(
        inputOf(
          { none: none.map(value => 100 - value), fed: fed.map(value => 100 - value) },
          { better: 'lower' },
        ),
      );
      expect(lower.contrasts.map(contrast => contrast.call)).toEqual(
        higher.contrasts.map(contrast => contrast.call),
      );
    }),
    { numRuns: 40 },
  );
});

test('a best treatment is only named where its call supports it, whatever the readings', () => {
  const group = fc.array(fc.integer({ min: 0, max: 30 }), { minLength: 1, maxLength: 5 });
  fc.assert(
    fc.property(group, group, group, (none, fed, tea) => {
      const { verdict, contrasts } = judge(inputOf({ none, fed, tea }));
      const own = contrasts.find(contrast => contrast.treatment === verdict.best)?.call;
      if (verdict.best === 'none')
        expect(contrasts.every(contrast => contrast.call.endsWith('worse'))).toBe(true);
      else if (verdict.best !== null) expect(['better', 'clearly-better']).toContain(own);
      if (verdict.best !== null) expect(verdict.mayHoldTheBest).toEqual([verdict.best]);
    }),
    { numRuns: 80 },
  );
});
