import * as fc from 'fast-check';
import { seededRandom } from '@/core/stats/distributions/seeded-random';
import type { PermutationProblem } from './permutation-problem';
import { summedDeals } from './summed-deals';

function problemOf(
  stratum: readonly number[],
  treatment: readonly number[],
  changes: Partial<PermutationProblem> = {},
): PermutationProblem {
  return {
    y: stratum.map((_, unit) => unit ** 1.5),
    treatment,
    treatments: Math.max(...treatment) + 1,
    rule: { kind: 'within-strata', stratum, treatment },
    dealtUnits: stratum.map((_, unit) => unit),
    blocks: [],
    covariate: undefined,
    ...changes,
  };
}

const layouts = fc
  .array(fc.array(fc.integer({ min: 0, max: 3 }), { minLength: 1, maxLength: 6 }), {
    minLength: 1,
    maxLength: 5,
  })
  .filter(strata => strata.some(labels => labels.length > 1))
  .map(strata =>
    problemOf(
      strata.flatMap((labels, s) => labels.map(() => s)),
      strata.flat(),
    ),
  );

test('the sums are those of the labels, which are the same ones in every stratum', () => {
  fc.assert(
    fc.property(layouts, fc.integer({ min: 0, max: 1e6 }), (problem, seed) => {
      const deals = summedDeals(problem, problem.y, seededRandom(seed));
      for (let i = 0; i < 5; i++) {
        const sums = [...(deals?.next() ?? [])];
        const labels = [...(deals?.labels() ?? [])];
        labels.forEach((label, unit) => {
          sums[label]! -= problem.y[unit]!;
        });
        for (const sum of sums) expect(Math.abs(sum)).toBeLessThan(1e-9);
        if (problem.rule.kind !== 'within-strata') throw new Error('no strata');
        const { stratum } = problem.rule;
        const hands = (of: readonly number[]): readonly string[] =>
          of.map((label, unit) => `${stratum[unit]} ${label}`).sort();
        expect(hands(labels)).toEqual(hands(problem.treatment));
      }
    }),
  );
});

test('every order of a deck comes as often as every other', () => {
  const deals = summedDeals(problemOf([0, 0, 0], [0, 1, 2]), [1, 2, 3], seededRandom(9));
  const counts = new Map<string, number>();
  const DEALS = 6000;
  for (let i = 0; i < DEALS; i++) {
    deals?.next();
    const key = [...(deals?.labels() ?? [])].join();
    counts.set(key, (counts.get(key) ?? 0) + 1);
  }
  expect(counts.size).toBe(6);
  // A thousand each; five standard deviations of a count.
  for (const count of counts.values()) expect(Math.abs(count - 1000)).toBeLessThan(5 * 29);
});

test.each([
  ['a large stratum', problemOf([0, 0, 0, 0, 0, 0, 0], [0, 1, 0, 1, 0, 1, 0])],
  ['nothing to deal', problemOf([0, 1], [0, 1])],
  [
    'a rule about start sizes',
    problemOf([0, 0], [0, 1], { balance: { startSize: [1, 2], most: 1 } }),
  ],
  ['lost units of a deal that stands whole', problemOf([0, 0], [0, 1], { dealtUnits: [0, 2] })],
])('%s is dealt otherwise', (_, problem) => {
  expect(summedDeals(problem, problem.y, seededRandom(1))).toBeUndefined();
});
