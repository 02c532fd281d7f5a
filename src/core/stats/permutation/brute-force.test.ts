import fc from 'fast-check';
import { fitLinearModel, indicatorColumns } from '@/core/stats/linear/linear-model';
import type { PermutationProblem } from './permutation-problem';
import { runPermutationTest } from './permutation-test';
import { countReRandomisations } from './re-randomisation';

// The shuffle test against a count made the long way: every relabelling written out, and a linear model fitted to each.

/** All ways to put these labels on these places. */
function arrangementsOf(labels: readonly number[]): readonly (readonly number[])[] {
  if (labels.length === 0) return [[]];
  return [...new Set(labels)].flatMap(first => {
    const at = labels.indexOf(first);
    return arrangementsOf([...labels.slice(0, at), ...labels.slice(at + 1)]).map(rest => [
      first,
      ...rest,
    ]);
  });
}

function arrangementsWithin(
  treatment: readonly number[],
  stratum: readonly number[],
): readonly (readonly number[])[] {
  const strata = [...new Set(stratum)];
  const places = strata.map(level => stratum.flatMap((each, i) => (each === level ? [i] : [])));
  return places.reduce<readonly (readonly number[])[]>(
    (dealt, own) => {
      const ways = arrangementsOf(own.map(i => treatment[i]!));
      return dealt.flatMap(labels =>
        ways.map(way => labels.map((label, i) => (own.includes(i) ? way[own.indexOf(i)]! : label))),
      );
    },
    [treatment],
  );
}

/** |t| of each treatment against treatment 0 from a model fitted anew. */
function gapsByModel(problem: PermutationProblem, treatment: readonly number[]): readonly number[] {
  const names = Array.from({ length: problem.treatments }, (_, i) => String(i));
  const covariate = problem.covariate ? [{ name: 'size', columns: [problem.covariate] }] : [];
  const model = fitLinearModel(problem.y, [
    ...problem.blocks,
    ...covariate,
    { name: 'feed', columns: indicatorColumns(treatment.map(String), names) },
  ]);
  const before = [
    ...problem.blocks.flatMap(term => term.columns),
    ...(problem.covariate ? [problem.covariate] : []),
  ].length;
  return names.slice(1).map((_, c) => {
    const combination = model.combine(0, [
      ...new Array<number>(before).fill(0),
      ...names.slice(1).map((_name, j) => Number(j === c)),
    ]);
    if (!combination) throw new Error('a small complete layout must be estimable');
    const length = combination.direction.reduce((sum, value) => sum + value * value, 0);
    return (
      Math.abs(combination.estimate) / Math.sqrt((length * model.residualSs) / model.residualDf)
    );
  });
}

function stratumOf({ rule }: PermutationProblem): readonly number[] {
  return rule.kind === 'within-strata' ? rule.stratum : [];
}

function bruteForce(problem: PermutationProblem): {
  readonly count: number;
  readonly p: readonly number[];
  readonly pAdjusted: readonly number[];
} {
  const seen = gapsByModel(problem, problem.treatment);
  const all = arrangementsWithin(problem.treatment, stratumOf(problem)).map(labels =>
    gapsByModel(problem, labels),
  );
  const atLeast = (a: number, b: number): boolean => a >= b - 1e-7 * Math.max(1, b);
  return {
    count: all.length,
    p: seen.map((t, c) => all.filter(gaps => atLeast(gaps[c]!, t)).length / all.length),
    pAdjusted: seen.map(t => all.filter(gaps => atLeast(Math.max(...gaps), t)).length / all.length),
  };
}

function problemOf(
  y: readonly number[],
  treatment: readonly number[],
  stratum: readonly number[],
  covariate?: readonly number[],
): PermutationProblem {
  const levels = [...new Set(stratum)].map(String);
  return {
    y,
    treatment,
    rule: { kind: 'within-strata', stratum, treatment },
    dealtUnits: y.map((_, i) => i),
    treatments: Math.max(...treatment) + 1,
    covariate,
    blocks:
      levels.length > 1
        ? [{ name: 'block', columns: indicatorColumns(stratum.map(String), levels) }]
        : [],
  };
}

const CASES: readonly { readonly name: string; readonly problem: PermutationProblem }[] = [
  {
    name: 'two arms of four',
    problem: problemOf(
      [4.2, 5.1, 3.9, 4.8, 5.6, 6.1, 5.0, 6.4],
      [0, 0, 0, 0, 1, 1, 1, 1],
      [0, 0, 0, 0, 0, 0, 0, 0],
    ),
  },
  {
    name: 'three arms, unequal',
    problem: problemOf(
      [3.1, 4.7, 5.2, 3.8, 6.9, 5.9, 7.3],
      [0, 0, 1, 1, 1, 2, 2],
      [0, 0, 0, 0, 0, 0, 0],
    ),
  },
  {
    name: 'three arms in three blocks',
    problem: problemOf(
      [5, 7, 6, 9, 12, 9.5, 3, 6.5, 5.5],
      [0, 1, 2, 1, 2, 0, 0, 2, 1],
      [0, 0, 0, 1, 1, 1, 2, 2, 2],
    ),
  },
  {
    name: 'blocks with a lost pot',
    problem: problemOf(
      [5, 7, 6, 9, 12, 3, 6.5, 5.5],
      [0, 1, 2, 1, 2, 0, 2, 1],
      [0, 0, 0, 1, 1, 2, 2, 2],
    ),
  },
  {
    name: 'a start size beside it',
    problem: problemOf(
      [5, 7, 6, 9, 12, 9.5, 8, 11],
      [0, 0, 1, 0, 1, 1, 0, 1],
      [0, 0, 0, 0, 0, 0, 0, 0],
      [1, 2, 1.5, 3, 4, 2.5, 3.2, 2.8],
    ),
  },
  { name: 'ties', problem: problemOf([1, 2, 2, 1, 3, 2], [0, 0, 0, 1, 1, 1], [0, 0, 0, 0, 0, 0]) },
];

describe.each(CASES)('$name', ({ problem }) => {
  const expected = bruteForce(problem);
  const exact = runPermutationTest(problem, 1000, 1);

  test('every arrangement is counted once', () => {
    expect(exact?.arrangements).toBe(expected.count);
    expect(countReRandomisations(problem)).toBe(expected.count);
  });

  test('exact p-values equal the count', () => {
    exact?.comparisons.forEach((comparison, c) => {
      expect(comparison.p).toBeCloseTo(expected.p[c]!, 12);
      expect(comparison.pAdjusted).toBeCloseTo(expected.pAdjusted[c]!, 12);
    });
  });
});

// Eleven a side make 705,432 arrangements, too many to look at all. Of ones and zeros the exact p is still known: the
// hypergeometric chance of a split at least as uneven, as in Fisher's exact test with equal arms.
describe.each([
  [9, 3],
  [8, 5],
  [10, 2],
])('random deals of ones and zeros, %d against %d of eleven', (treated, control) => {
  const y = Array.from({ length: 22 }, (_, i) => Number(i < 11 ? i < treated : i - 11 < control));
  const problem = problemOf(
    y,
    y.map((_, i) => Number(i < 11)),
    y.map(() => 0),
  );
  const ones = treated + control;
  const chance = (k: number): number => (choose(11, k) * choose(11, ones - k)) / choose(22, ones);
  const exact = Array.from({ length: 12 }, (_, k) => k)
    .filter(
      k => ones - k >= 0 && ones - k <= 11 && Math.abs(2 * k - ones) >= Math.abs(treated - control),
    )
    .reduce((sum, k) => sum + chance(k), 0);

  test.each([1, 2, 3, 4, 5])(
    'seed %d lies within three standard errors of the exact p, and repeats itself',
    seed => {
      const run = runPermutationTest(problem, 20_000, seed);
      expect(run?.exact).toBe(false);
      expect(Math.abs((run?.comparisons[0]?.p ?? 9) - exact)).toBeLessThan(
        3 * Math.sqrt((exact * (1 - exact)) / 20_000),
      );
      expect(runPermutationTest(problem, 20_000, seed)).toEqual(run);
    },
  );
});

function choose(n: number, k: number): number {
  return Array.from({ length: k }, (_, i) => (n - i) / (i + 1)).reduce(
    (product, factor) => product * factor,
    1,
  );
}

const smallTrial = fc.integer({ min: 2, max: 4 }).chain(blocks =>
  fc.record({
    blocks: fc.constant(blocks),
    y: fc.array(fc.double({ min: -50, max: 50, noNaN: true }), {
      minLength: 3 * blocks,
      maxLength: 3 * blocks,
    }),
    seed: fc.integer({ min: 0, max: 1000 }),
  }),
);

test('an adjusted p never lies below the plain one, and both lie in (0, 1]', () => {
  fc.assert(
    fc.property(smallTrial, ({ blocks, y, seed }) => {
      const stratum = y.map((_, i) => Math.floor(i / 3));
      const found = runPermutationTest(
        problemOf(
          y,
          y.map((_, i) => i % 3),
          stratum.map(level => level % blocks),
        ),
        500,
        seed,
      );
      for (const { p, pAdjusted } of found?.comparisons ?? []) {
        expect(p).toBeGreaterThan(0);
        expect(pAdjusted).toBeGreaterThanOrEqual(p);
        expect(pAdjusted).toBeLessThanOrEqual(1);
      }
    }),
    { numRuns: 60 },
  );
});

test('what is added to a whole block, and what everything is multiplied by, changes no p', () => {
  fc.assert(
    fc.property(
      smallTrial,
      fc.double({ min: 0.5, max: 20, noNaN: true }),
      fc.double({ min: -100, max: 100, noNaN: true }),
      ({ y }, scale, shift) => {
        const rounded = y.map(value => Math.round(value));
        const stratum = y.map((_, i) => Math.floor(i / 3));
        const one = runPermutationTest(
          problemOf(
            rounded,
            y.map((_, i) => i % 3),
            stratum,
          ),
          300,
          5,
        );
        const other = runPermutationTest(
          problemOf(
            rounded.map((value, i) => scale * value + (stratum[i] === 0 ? shift : 0)),
            y.map((_, i) => i % 3),
            stratum,
          ),
          300,
          5,
        );
        expect(other?.comparisons.map(comparison => comparison.p)).toEqual(
          one?.comparisons.map(comparison => comparison.p),
        );
      },
    ),
    { numRuns: 40 },
  );
});
