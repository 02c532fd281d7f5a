import { buildTrialModel } from '@/core/design/linear/trial-model';
import { judge } from '@/core/judge/outcomes/judge';
import type { JudgeInput } from '@/core/judge/question/judge-input';
import { judgeInputFixture } from '@/core/judge/question/judge-input-fixture';
import { normalDraw } from '@/core/stats/distributions/normal-draw';
import { seededRandom } from '@/core/stats/distributions/seeded-random';
import { smallestDealP } from './smallest-deal-p';

/** @param copies of each treatment, the control first, in each block */
function filled(copies: readonly number[], blocks: number, valueIn: (t: number) => number) {
  return judgeInputFixture(
    Array.from({ length: blocks }).flatMap((_, b) =>
      copies.flatMap((count, t) =>
        Array.from({ length: count }, (_unit, i) => ({
          id: `${b} ${t} ${i}`,
          treatment: t === 0 ? 'none' : `feed ${t}`,
          blocks: [String(b)],
          value: valueIn(t),
        })),
      ),
    ),
    { blockNames: blocks > 1 ? ['shelf'] : [], shuffles: 200_000 },
  );
}

/** The smallest of all comparisons’ adjusted shuffle p. */
function found(input: JudgeInput): number {
  return Math.min(
    ...judge(input).contrasts.map(each => (each.estimable ? (each.shufflePAdjusted ?? 1) : 1)),
  );
}

// By hand: deals of the layout, and how many of them only rename the treatments.
describe.each([
  ['two of three, anywhere on the bench', [3, 3], 1, 2 / 20],
  ['three of two', [2, 2, 2], 1, 4 / 90],
  ['a control of three, two others of two', [3, 2, 2], 1, 2 / 210],
  ['three in two blocks', [1, 1, 1], 2, 4 / 36],
  ['four in two blocks', [1, 1, 1, 1], 2, 12 / 576],
  ['pairs of five', [1, 1], 5, 2 / 32],
])('%s', (_, copies, blocks, expected) => {
  const random = seededRandom(5);
  const apart = filled(copies, blocks, t => 100 * t + normalDraw(random));

  test('is what the deals of far-apart treatments come to', () => {
    expect(smallestDealP(apart, buildTrialModel(apart))).toBeCloseTo(expected, 12);
    expect(found(apart)).toBeCloseTo(expected, 12);
  });
  test('and no readings come below it', () => {
    const lowest = Array.from({ length: 40 }, () =>
      found(filled(copies, blocks, t => (t % 2) * 5 * normalDraw(random) + normalDraw(random))),
    );
    expect(Math.min(...lowest)).toBeGreaterThanOrEqual(expected - 1e-12);
  });
});

test('three treatments in two blocks are told to be too few for the deals alone', () => {
  const random = seededRandom(1);
  const { warnings } = judge(filled([1, 1, 1], 2, t => 10 * t + normalDraw(random)));
  expect(warnings.find(({ code }) => code === 'tiny-sample')?.message).toContain('11 of 100');
});
