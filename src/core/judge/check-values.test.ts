import { judge } from '@/core/judge/outcomes/judge';
import type { EstimableContrast } from '@/core/judge/outcomes/judgement';
import { type JudgeInput, STARTING_GUESS_CV } from '@/core/judge/question/judge-input';

// Small worked cases, recomputed by hand or by an independent statistics library; no source needed.

function inputOf(
  units: readonly {
    readonly treatment: string;
    readonly value: number | null;
    readonly block?: string;
  }[],
  changes: Partial<JudgeInput> = {},
): JudgeInput {
  const hasBlocks = units.some(unit => unit.block !== undefined);
  return {
    outcome: 'continuous',
    response: 'weight',
    unitWord: 'pot',
    treatmentName: 'feed',
    treatments: [...new Set(units.map(unit => unit.treatment))],
    control: 'none',
    blockNames: hasBlocks ? ['soil'] : [],
    units: units.map(({ treatment, value, block }, i) => ({
      id: `p${i}`,
      treatment,
      value,
      blocks: block === undefined ? [] : [block],
    })),
    subsamples: units.length,
    better: 'higher',
    margin: null,
    confidence: 0.95,
    shuffles: 2000,
    seed: 1,
    isDeclared: true,
    priorCv: STARTING_GUESS_CV,
    ...changes,
  };
}

function pairs(differences: readonly number[]): JudgeInput {
  return inputOf(
    differences.flatMap((difference, pair) => [
      { treatment: 'none', value: 10, block: String(pair) },
      { treatment: 'fed', value: 10 + difference, block: String(pair) },
    ]),
    { isPaired: true },
  );
}

function onlyContrast(input: JudgeInput): EstimableContrast {
  const contrast = judge(input).contrasts[0];
  if (!contrast?.estimable) throw new Error('the comparison must be estimable');
  return contrast;
}

describe('four pairs', () => {
  test.each([
    {
      differences: [-0.25, 0.85, 1.5, -1.0],
      mean: 0.275,
      t: 0.493,
      p: 0.656,
      low: -1.5,
      high: 2.05,
      exact: 0.75,
    },
    {
      differences: [0.25, -0.25, -1, -1],
      mean: -0.5,
      t: -1.633,
      p: 0.201,
      low: -1.47,
      high: 0.47,
      exact: 0.375,
    },
  ])('$differences', ({ differences, mean, t, p, low, high, exact }) => {
    const found = onlyContrast(pairs(differences));
    expect(found.difference).toBeCloseTo(mean, 6);
    expect(found.t).toBeCloseTo(t, 3);
    expect(found.p).toBeCloseTo(p, 3);
    expect(found.ci?.[0]).toBeCloseTo(low, 2);
    expect(found.ci?.[1]).toBeCloseTo(high, 2);
    expect(found.shuffleP).toBeCloseTo(exact, 12);
  });
});

test.each([
  [3, 0.25],
  [4, 0.125],
  [5, 0.0625],
  [6, 0.03125],
  [7, 0.015625],
  [8, 0.0078125],
])('%d pairs all one way have an exact p of %d', (count, p) => {
  expect(
    onlyContrast(pairs(Array.from({ length: count }, (_, i) => 1 + i / 10))).shuffleP,
  ).toBeCloseTo(p, 12);
});

test.each([
  [2, 1 / 3],
  [3, 0.1],
  [4, 1 / 35],
  [5, 1 / 126],
])('two arms of %d fully apart have an exact p of %d', (each, p) => {
  const units = Array.from({ length: 2 * each }, (_, i) => ({
    treatment: i < each ? 'none' : 'fed',
    value: i < each ? i : 100 + i,
  }));
  expect(onlyContrast(inputOf(units)).shuffleP).toBeCloseTo(p, 12);
});

test('one of each and no blocks is no test: p is 1 at best, and nothing is judged', () => {
  const judgement = judge(
    inputOf([
      { treatment: 'none', value: 3 },
      { treatment: 'fed', value: 4 },
    ]),
  );
  expect(judgement.verdict).toMatchObject({
    call: 'no-test',
    best: null,
    headline: 'One pot each: a story, not a result.',
  });
  expect(judgement.verdict.detail).toContain('a starting guess, not your own figure');
  expect(judgement.contrasts[0]).toMatchObject({
    p: null,
    pAdjusted: null,
    shuffleP: null,
    call: 'no-test',
  });
});

// Three feeds on four soils, one head a cell, in pounds.
describe('three feeds in four soils', () => {
  const weights = {
    none: [1.75, 0.75, 3.75, 3.5],
    synthetic: [2.0, 0.5, 2.75, 2.5],
    organic: [1.5, 1.6, 5.25, 2.5],
  };
  const judgement = judge(
    inputOf(
      Object.entries(weights).flatMap(([treatment, values]) =>
        values.map((value, i) => ({ treatment, value, block: 'ABCD'[i] ?? '' })),
      ),
    ),
  );

  test('analysis of variance', () => {
    const [soil, feed, residual] = judgement.anova;
    expect(soil).toMatchObject({ term: 'soil', df: 3 });
    expect(soil?.f).toBeCloseTo(8.87, 2);
    expect(soil?.p).toBeCloseTo(0.013, 3);
    expect(feed).toMatchObject({ term: 'feed', df: 2 });
    expect(feed?.f).toBeCloseTo(1.093, 3);
    expect(feed?.p).toBeCloseTo(0.394, 3);
    expect(residual?.df).toBe(6);
  });

  test('spread of 31.8% of the mean, and a least significant difference of 1.30', () => {
    const mean =
      Object.values(weights)
        .flat()
        .reduce((sum, value) => sum + value, 0) / 12;
    expect((100 * Math.sqrt(judgement.anova.at(-1)?.ms ?? 0)) / mean).toBeCloseTo(31.8, 1);
    const contrast = judgement.contrasts[0];
    const reach = contrast?.estimable && contrast.ci ? (contrast.ci[1] - contrast.ci[0]) / 2 : 0;
    expect(reach).toBeCloseTo(1.3, 2);
  });

  test('nothing can be told, and no best is named', () => {
    expect(judgement.verdict).toMatchObject({ call: 'cant-tell', best: null });
    expect(judgement.verdict.mayHoldTheBest).toHaveLength(3);
  });
});

test('ten pots, five each: the gap is 0.90, and 8 of 252 deals reach it', () => {
  const found = onlyContrast(
    inputOf([
      ...[4.1, 5.0, 4.6, 5.3, 4.5].map(value => ({ treatment: 'none', value })),
      ...[5.2, 5.9, 5.1, 6.3, 5.5].map(value => ({ treatment: 'fed', value })),
    ]),
  );
  expect(found.difference).toBeCloseTo(0.9, 9);
  expect(found.t).toBeCloseTo(2.951, 3);
  expect(found.shuffleP).toBeCloseTo(8 / 252, 12);
});

describe('edges', () => {
  test('all readings the same: no spread, no test, and no NaN anywhere', () => {
    const judgement = judge(
      inputOf(
        Array.from({ length: 6 }, (_, i) => ({
          treatment: i % 2 === 0 ? 'none' : 'fed',
          value: 5,
        })),
      ),
    );
    expect(judgement.warnings.map(warning => warning.code)).toContain('zero-spread');
    expect(judgement.verdict.call).toBe('no-test');
    expect(
      JSON.stringify(judgement, (_, value: unknown) =>
        typeof value === 'number' && !Number.isFinite(value) ? 'BROKEN' : value,
      ),
    ).not.toContain('BROKEN');
  });

  test('all missing: said as such', () => {
    expect(
      judge(
        inputOf([
          { treatment: 'none', value: null },
          { treatment: 'fed', value: null },
        ]),
      ).verdict.headline,
    ).toBe('Nothing to judge yet.');
  });

  test('a treatment without a reading can’t be compared; the others are', () => {
    const judgement = judge(
      inputOf([
        ...[1, 2, 3].map(value => ({ treatment: 'none', value })),
        ...[4, 5, 7].map(value => ({ treatment: 'fed', value })),
        { treatment: 'lost', value: null },
      ]),
    );
    expect(judgement.contrasts.find(contrast => contrast.treatment === 'lost')).toMatchObject({
      estimable: false,
      call: 'no-test',
    });
    expect(judgement.contrasts.find(contrast => contrast.treatment === 'fed')).toMatchObject({
      estimable: true,
    });
    expect(judgement.warnings.map(warning => warning.code)).toEqual(
      expect.arrayContaining(['missing-units', 'not-comparable', 'unbalanced']),
    );
  });

  test('a large level with a small spread keeps its digits', () => {
    const small = onlyContrast(
      inputOf(
        [1, 2, 4]
          .map(value => ({ treatment: 'none', value }))
          .concat([3, 5, 7].map(value => ({ treatment: 'fed', value }))),
      ),
    );
    const large = onlyContrast(
      inputOf(
        [1, 2, 4]
          .map(value => ({ treatment: 'none', value: value + 1e9 }))
          .concat([3, 5, 7].map(value => ({ treatment: 'fed', value: value + 1e9 }))),
      ),
    );
    expect(large.t).toBeCloseTo(small.t ?? 9, 6);
  });

  test('two blocks columns of one level each are left out, and said', () => {
    const judgement = judge(
      inputOf(
        [1, 2, 3, 4].map((value, i) => ({
          treatment: i < 2 ? 'none' : 'fed',
          value,
          block: 'only',
        })),
      ),
    );
    expect(judgement.warnings.map(warning => warning.code)).toContain('one-block');
    expect(judgement.anova.map(row => row.term)).toEqual(['feed', 'residual']);
  });
});
