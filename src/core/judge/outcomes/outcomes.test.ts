import fc from 'fast-check';
import type { JudgedUnit } from '@/core/design/linear/design-input';
import { beganUnlike, efficacy } from '@/core/judge/after/efficacy';
import { germination } from '@/core/judge/after/germination';
import { bestDoseForMoney, doseResponse } from '@/core/judge/outcomes/dose/dose-response';
import {
  type JudgeInput,
  type Outcome,
  STARTING_GUESS_CV,
} from '@/core/judge/question/judge-input';
import { judgeInputFixture } from '@/core/judge/question/judge-input-fixture';
import { judgeInputFromTable } from '@/core/judge/table/table-input';
import { friedman, midRanks, rankCorrelation } from '@/core/stats/categorical/rank-tests';
import {
  exactShareInterval,
  shareDifferenceInterval,
  wilsonInterval,
} from '@/core/stats/categorical/share-intervals';
import { fisherExactP } from '@/core/stats/categorical/two-by-two';
import { upperBoundOfNone } from '@/core/stats/categorical/upper-bound-of-none';
import { CURVES } from '@/core/stats/curves/curve-shapes';
import { bestCurves, fitCurve } from '@/core/stats/curves/fit-curve';
import { progressArea } from '@/core/stats/curves/progress-curve';
import { binomialTwoSidedP } from '@/core/stats/distributions/binomial';
import { chiSquareUpperTail } from '@/core/stats/distributions/distributions';
import { rankSumP, signFlipP } from './against-r-fixture';
import { judge, judgeWithoutShuffle } from './judge';

const unit = (
  id: number,
  treatment: string,
  value: number | null,
  changes: Partial<JudgedUnit> = {},
): JudgedUnit => ({ id: String(id), treatment, blocks: [], value, ...changes });
const input = (
  outcome: Outcome,
  units: readonly JudgedUnit[],
  changes: Partial<JudgeInput> = {},
): JudgeInput =>
  judgeInputFixture(units, { outcome, response: 'spots', control: 'none', ...changes });

describe('the rule of the call, whatever the kind', () => {
  const kinds = ['count', 'proportion', 'ordinal', 'time'] as const;
  const drawn = fc.record({
    a: fc.array(fc.integer({ min: 0, max: 9 }), { minLength: 3, maxLength: 6 }),
    b: fc.array(fc.integer({ min: 0, max: 9 }), { minLength: 3, maxLength: 6 }),
    kind: fc.constantFrom(...kinds),
  });
  const unitsOf = (
    kind: Outcome,
    a: readonly number[],
    b: readonly number[],
    names: readonly [string, string],
  ): readonly JudgedUnit[] =>
    [a, b].flatMap((values, t) =>
      values.map((value, i) =>
        unit(10 * t + i, names[t] ?? '', value, {
          ...(kind === 'proportion' ? { outOf: 9 } : {}),
          hasCome: kind === 'time' && value < 8,
        }),
      ),
    );
  const MIRRORED: Readonly<Record<string, string>> = {
    better: 'worse',
    worse: 'better',
    'clearly-better': 'clearly-worse',
    'clearly-worse': 'clearly-better',
  };

  test('swapping names swaps the verdict', () => {
    fc.assert(
      fc.property(drawn, ({ a, b, kind }) => {
        const one = judgeWithoutShuffle(input(kind, unitsOf(kind, a, b, ['none', 'fed'])))
          .contrasts[0];
        const other = judgeWithoutShuffle(input(kind, unitsOf(kind, a, b, ['fed', 'none'])))
          .contrasts[0];
        if (!one?.estimable || !other?.estimable) throw new Error('both must be comparable');
        expect(other.p ?? 1).toBeCloseTo(one.p ?? 1, 9);
        expect(other.call).toBe(MIRRORED[one.call] ?? one.call);
      }),
      { numRuns: 60 },
    );
  });

  test('lower is better turns every call round, and nothing else', () => {
    fc.assert(
      fc.property(drawn, ({ a, b, kind }) => {
        const units = unitsOf(kind, a, b, ['none', 'fed']);
        const [up, down] = (['higher', 'lower'] as const).map(
          better => judgeWithoutShuffle(input(kind, units, { better })).contrasts[0],
        );
        if (!up?.estimable || !down?.estimable) throw new Error('both must be comparable');
        expect(down.call).toBe(MIRRORED[up.call] ?? up.call);
        expect([down.p, down.difference, down.ci]).toEqual([up.p, up.difference, up.ci]);
      }),
      { numRuns: 60 },
    );
  });

  test('a wider margin never turns “no difference that matters” into “can’t tell”', () => {
    fc.assert(
      fc.property(
        drawn,
        fc.double({ min: 0.01, max: 5, noNaN: true }),
        fc.double({ min: 1, max: 4, noNaN: true }),
        ({ a, b, kind }, amount, wider) => {
          const units = unitsOf(kind, a, b, ['none', 'fed']);
          const callAt = (size: number) =>
            judgeWithoutShuffle(input(kind, units, { margin: { kind: 'absolute', amount: size } }))
              .contrasts[0]?.call;
          if (callAt(amount) === 'no-difference-that-matters')
            expect(callAt(amount * wider)).toBe('no-difference-that-matters');
        },
      ),
      { numRuns: 60 },
    );
  });

  test('ranks don’t ask in what the steps are numbered', () => {
    fc.assert(
      fc.property(drawn, ({ a, b }) => {
        const [plain, stretched] = [
          (value: number) => value,
          (value: number) => value * 10 + 3,
        ].map(
          of =>
            judgeWithoutShuffle(
              input('ordinal', unitsOf('ordinal', a.map(of), b.map(of), ['none', 'fed'])),
            ).contrasts[0],
        );
        if (!plain?.estimable || !stretched?.estimable) throw new Error('both must be comparable');
        expect([stretched.p, stretched.call, stretched.effect?.value]).toEqual([
          plain.p,
          plain.call,
          plain.effect?.value,
        ]);
      }),
      { numRuns: 40 },
    );
  });

  test('in whatever order the units come, the verdict is one', () => {
    fc.assert(
      fc.property(drawn, ({ a, b, kind }) => {
        const units = unitsOf(kind, a, b, ['none', 'fed']);
        const [there, back] = [units, [...units].reverse()].map(list =>
          judgeWithoutShuffle(input(kind, list, { treatments: ['none', 'fed'] })),
        );
        expect(back?.verdict.headline).toBe(there?.verdict.headline);
        expect(back?.contrasts.map(contrast => contrast.call)).toEqual(
          there?.contrasts.map(contrast => contrast.call),
        );
      }),
      { numRuns: 40 },
    );
  });
});

describe('layouts that deal at two levels, or both ways', () => {
  const beds = ['mulched', 'bare'].flatMap((bed, b) =>
    ['none', 'fed'].map((feed, f) => ({ treatment: `${bed} ${feed}`, bed, b, f })),
  );
  const split = (value: (block: number, b: number, f: number) => number): JudgeInput =>
    input(
      'count',
      [0, 1, 2, 3].flatMap(block =>
        beds.map(({ treatment, bed, b, f }, i) =>
          unit(block * 4 + i, treatment, value(block, b, f), {
            blocks: [String(block)],
            wholePlot: bed,
          }),
        ),
      ),
      { control: 'bare none', blockNames: ['strip'] },
    );
  test('a split plot: four beds of each can’t be as sure as eight pots, and say so by a t of three degrees', () => {
    const luck = [0, 3, -2, 1];
    const found = judgeWithoutShuffle(
      split((block, b, f) => 20 + 4 * (1 - b) * (luck[block] ?? 0) + 14 * f + (block % 2)),
    );
    const same = found.contrasts.find(each => each.treatment === 'bare fed');
    const other = found.contrasts.find(each => each.treatment === 'mulched none');
    expect(same?.call).toBe('better');
    expect(other?.call).toBe('cant-tell');
  });
  test('a Latin square is dealt again as one, whatever is read', () => {
    const square = [0, 1, 2, 3].flatMap(row =>
      [0, 1, 2, 3].map(column =>
        unit(
          row * 4 + column,
          ['none', 'a', 'b', 'c'][(row + column) % 4] ?? '',
          3 + 5 * Number((row + column) % 4 === 1) + 0.5 * ((3 * row + 2 * column) % 3),
          { blocks: [`r${row}`, `c${column}`] },
        ),
      ),
    );
    const found = judge(
      input('ordinal', square, { blockNames: ['row', 'column'], shuffles: 2000 }),
    );
    expect([found.design.kind, found.shuffle?.arrangements]).toEqual(['latin-square', 576]);
    const a = found.contrasts.find(each => each.treatment === 'a');
    // All four of a lie above all others: of 576 squares few part them so.
    expect(a?.estimable && a.shuffleP).toBeLessThan(0.1);
  });
});

describe('worked by hand, and what tables print', () => {
  test('C104, C105: 4/4 against 0/4, 5/5 against 0/5, 18/20 against 12/20', () => {
    const p = (a: number, b: number, n: number): number =>
      fisherExactP({ treatedYes: a, treatedNo: n - a, controlYes: b, controlNo: n - b });
    expect([p(4, 0, 4), p(5, 0, 5), p(18, 12, 20)].map(each => Number(each.toFixed(4)))).toEqual([
      0.0286, 0.0079, 0.0648,
    ]);
  });
  test('C106: signs, 9 of 10, 3 of 4, 2 of 4, 4 of 4', () => {
    expect(
      [
        [9, 10],
        [3, 4],
        [2, 4],
        [4, 4],
      ].map(([k = 0, n = 0]) => Number(binomialTwoSidedP(k, n).toFixed(4))),
    ).toEqual([0.0215, 0.625, 1, 0.125]);
  });
  test('C107, C126: two of nine lowest, one-sided 1 in 36; two of six last, 1 in 15', () => {
    const oneSided = (few: number, all: number): number =>
      (rankSumP(
        Array.from({ length: few }, (_, i) => i),
        Array.from({ length: all - few }, (_, i) => few + i),
      ) ?? 1) / 2;
    expect(
      [oneSided(2, 9) * 36, oneSided(2, 6) * 15].map(value => Number(value.toFixed(9))),
    ).toEqual([1, 1]);
  });
  test('C108: a rank correlation of 0.886 of six is the first below 5% (exact 0.0333)', () => {
    const found = rankCorrelation([1, 2, 3, 4, 5, 6], [2, 1, 3, 4, 6, 5]);
    expect([found.rho, found.p].map(each => Number(each?.toFixed(4)))).toEqual([0.8857, 0.0333]);
  });
  test('C110, C111: four pairs, all flips', () => {
    expect(
      [
        [-0.25, 0.85, 1.5, -1],
        [0.25, -0.25, -1, -1],
      ].map(signFlipP),
    ).toEqual([0.75, 0.375]);
  });
  test('C112: three feeds in four soils, one pot a cell: feed F(2, 6) 1.093, soil F(3, 6) 8.87; Tukey’s product by R', () => {
    const [soils, feeds] = [
      ['A', 'B', 'C', 'D'],
      ['none', 'synthetic', 'organic'],
    ];
    const values = [
      [1.75, 0.75, 3.75, 3.5],
      [2, 0.5, 2.75, 2.5],
      [1.5, 1.6, 5.25, 2.5],
    ];
    const cells = feeds.flatMap((feed, f) =>
      soils.map((soil, s) => ({
        name: `${soil}:${feed}`,
        levels: [soil, feed],
        value: values[f]?.[s] ?? 0,
      })),
    );
    const judged = judge({
      outcome: 'continuous',
      response: 'lettuce',
      unitWord: 'pot',
      treatmentName: 'soil:feed',
      treatments: cells.map(cell => cell.name),
      control: 'A:none',
      blockNames: [],
      factors: {
        names: ['soil', 'feed'],
        levelsOf: Object.fromEntries(cells.map(cell => [cell.name, cell.levels])),
      },
      units: cells.map((cell, i) => ({
        id: String(i),
        treatment: cell.name,
        blocks: [],
        value: cell.value,
      })),
      subsamples: 12,
      better: 'higher',
      margin: null,
      confidence: 0.95,
      shuffles: 200,
      seed: 1,
      isDeclared: true,
      priorCv: STARTING_GUESS_CV,
    });
    expect(
      judged.anova.map(row => [
        row.term,
        row.df,
        Number(row.f?.toFixed(3)),
        Number(row.p?.toFixed(3)),
      ]),
    ).toEqual([
      ['soil', 3, 8.867, 0.013],
      ['feed', 2, 1.093, 0.394],
      ['residual', 6, Number.NaN, Number.NaN],
    ]);
    expect([judged.warnings.map(warning => warning.code), judged.shuffle]).toEqual([
      ['additive-only'],
      null,
    ]);
    expect(judged.warnings[0]?.message).toContain('p 0.30');
  });
  test('C113: three feeds in four soils by ranks, one tie (statistic 0.933)', () => {
    const found = friedman([
      [1.75, 2, 1.5],
      [0.75, 0.5, 1.6],
      [3.75, 2.75, 5.25],
      [3.5, 2.5, 2.5],
    ]);
    expect([found?.statistic, found?.p].map(each => Number(each?.toFixed(3)))).toEqual([
      0.933, 0.627,
    ]);
  });
  test('C115: rank sum of two fives, 8 of 252', () => {
    expect(rankSumP([5.2, 5.9, 5.1, 6.3, 5.5], [4.1, 5.0, 4.6, 5.3, 4.5])).toBeCloseTo(8 / 252, 9);
  });
  test('C119: 49, 63 and 57 as counts of one chance', () => {
    const [mean, counts] = [169 / 3, [49, 63, 57]];
    const statistic = counts.reduce((sum, count) => sum + (count - mean) ** 2 / mean, 0);
    expect(
      [statistic, chiSquareUpperTail(statistic, 2)].map(each => Number(each.toFixed(3))),
    ).toEqual([1.751, 0.417]);
  });
  test('C120, C121: 5 of 6 rooted; 0 of 10 burned', () => {
    const percents = (ends: readonly number[]): readonly number[] =>
      ends.map(end => Math.round(1000 * end) / 10);
    expect([percents(wilsonInterval(5, 6)), percents(exactShareInterval(5, 6))]).toEqual([
      [43.6, 97],
      [35.9, 99.6],
    ]);
    expect(
      [upperBoundOfNone(10), exactShareInterval(0, 10)[1]].map(each => Math.round(100 * each)),
    ).toEqual([26, 31]);
  });
  test('Newcombe (1998), method 10 (from memory): 56/70 less 48/80 lies between 0.0524 and 0.3339', () => {
    expect(
      shareDifferenceInterval({ k: 56, n: 70 }, { k: 48, n: 80 }).map(end =>
        Number(end.toFixed(4)),
      ),
    ).toEqual([0.0524, 0.3339]);
  });
  test('C059: ratings 0, 10, 30, 50 at days 0, 7, 14, 21 (Shaner & Finney 1977): 455 %-days', () => {
    expect(progressArea([0, 10, 30, 50].map((value, i) => ({ days: 7 * i, value })))).toEqual({
      area: 455,
      standardised: 455 / 21,
    });
  });
  test('C127: doses 0, 1, 3, 6 with 2.0, 2.6, 2.9, 2.9: slope 0.129, intercept 2.279', () => {
    const line = fitCurve(
      [0, 1, 3, 6].map((x, i) => ({ x, y: [2, 2.6, 2.9, 2.9][i] ?? 0 })),
      'linear',
    );
    expect([line?.parameters.b, line?.parameters.a].map(each => Number(each?.toFixed(3)))).toEqual([
      0.129, 2.279,
    ]);
  });
  test('efficacy by four ways, worked by hand; Henderson-Tilton and Sun-Shepard are one sum in two dresses', () => {
    const counts = { controlBefore: 300, controlAfter: 500, treatedBefore: 290, treatedAfter: 45 };
    const of = (method: Parameters<typeof efficacy>[0], changes = {}): number => {
      const found = efficacy(method, { ...counts, ...changes });
      return found.ok ? Number(found.value.toFixed(4)) : Number.NaN;
    };
    expect(of('abbott')).toBe(91); // 100 (500 − 45)/500
    expect(of('henderson-tilton')).toBe(90.6897); // 100 (1 − 45·300/(290·500))
    expect(of('sun-shepard')).toBe(90.6897);
    expect(of('schneider-orelli')).toBe(90.6897); // the control grew: its mortality is −66.7%
    expect(
      of('schneider-orelli', {
        controlBefore: undefined,
        treatedBefore: undefined,
        controlAfter: 10,
        treatedAfter: 82,
      }),
    ).toBe(80); // (82 − 10)/(100 − 10)
    expect(efficacy('henderson-tilton', { controlAfter: 5, treatedAfter: 1 })).toEqual({
      ok: false,
      trouble: 'needs-before',
    });
    expect(efficacy('abbott', { controlAfter: 0, treatedAfter: 1 })).toEqual({
      ok: false,
      trouble: 'nothing-to-divide-by',
    });
    expect([beganUnlike(counts), beganUnlike({ ...counts, treatedBefore: 150 })]).toEqual([
      false,
      true,
    ]);
  });
  test('germination: 2, 9, 4 of 20 by days 3, 5, 7', () => {
    // Half of 15 is 7.5: 2 by day 3, 11 by day 5, so 3 + 5.5/9 · 2.
    expect(
      germination(
        [
          { days: 3, count: 2 },
          { days: 5, count: 9 },
          { days: 7, count: 4 },
        ],
        20,
      ),
    ).toEqual({ percent: 75, t50Days: 3 + (5.5 / 9) * 2, meanDays: (6 + 45 + 28) / 15 });
    expect(germination([{ days: 3, count: 0 }], 20)).toEqual({
      percent: 0,
      t50Days: null,
      meanDays: null,
    });
  });
});

describe('what must hold whatever comes', () => {
  const scores = fc.array(fc.integer({ min: 0, max: 6 }), { minLength: 3, maxLength: 7 });
  test('exact p agrees with trying all deals', () => {
    fc.assert(
      fc.property(scores, fc.integer({ min: 1, max: 6 }), (values, wanted) => {
        const treated = Math.min(wanted, values.length - 1);
        const ranks = midRanks(values);
        const sums: number[] = [];
        for (let mask = 0; mask < 2 ** values.length; mask++) {
          const chosen = ranks.filter((_, i) => mask & (1 << i));
          if (chosen.length === treated) sums.push(chosen.reduce((sum, rank) => sum + rank, 0));
        }
        const mean = sums.reduce((sum, rank) => sum + rank, 0) / sums.length;
        const seen = ranks.slice(0, treated).reduce((sum, rank) => sum + rank, 0);
        const p =
          sums.filter(sum => Math.abs(sum - mean) >= Math.abs(seen - mean) - 1e-9).length /
          sums.length;
        const found = rankSumP(values.slice(0, treated), values.slice(treated));
        if (new Set(values).size === 1) expect(found).toBeNull();
        else expect(found).toBeCloseTo(p, 9);
      }),
    );
  });
  test('ranks add up to n (n + 1)/2, ties or not', () => {
    fc.assert(
      fc.property(scores, values => {
        expect(midRanks(values).reduce((sum, rank) => sum + rank, 0)).toBeCloseTo(
          (values.length * (values.length + 1)) / 2,
          9,
        );
      }),
    );
  });
  test('Wilson’s and the exact interval hold the share, and lie within 0 and 1', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 60 }), fc.nat(60), (n, wanted) => {
        const k = Math.min(n, wanted);
        for (const [low, high] of [wilsonInterval(k, n), exactShareInterval(k, n)]) {
          expect(low).toBeGreaterThanOrEqual(0);
          expect(high).toBeLessThanOrEqual(1);
          expect(low <= k / n + 1e-9 && high >= k / n - 1e-9).toBe(true);
        }
      }),
    );
  });
  test('turning the treatments round turns the difference round, and leaves p as it is', () => {
    const some = fc.array(fc.integer({ min: 1, max: 9 }), { minLength: 3, maxLength: 5 });
    fc.assert(
      fc.property(some, some, fc.constantFrom('count', 'ordinal', 'time'), (a, b, kind) => {
        const units = [
          ...a.map((value, i) => unit(i, 'none', value, { hasCome: true })),
          ...b.map((value, i) => unit(10 + i, 'soap', value, { hasCome: true })),
        ];
        const [one, other] = [
          judgeWithoutShuffle(input(kind as Outcome, units)).contrasts[0],
          judgeWithoutShuffle(input(kind as Outcome, units, { control: 'soap' })).contrasts[0],
        ];
        if (!one?.estimable || !other?.estimable) throw new Error('must be compared');
        expect(one.difference).toBeCloseTo(-other.difference, 9);
        expect(one.p ?? 1).toBeCloseTo(other.p ?? 1, 9);
      }),
      { numRuns: 60 },
    );
  });
  test('a curve without noise is found again', () => {
    const shapes = {
      linear: (x: number) => 2 + 3 * x,
      quadratic: (x: number) => 1 + 2 * x - 0.1 * x * x,
      plateau: (x: number) => 2 + 1.5 * Math.min(x, 4.3),
      mitscherlich: (x: number) => 10 - 8 * Math.exp(-0.4 * x),
      logistic: (x: number) => 20 / (1 + Math.exp((5 - x) / 1.2)),
      gompertz: (x: number) => 20 * Math.exp(-5 * 0.6 ** x),
    };
    for (const curve of CURVES) {
      const points = Array.from({ length: 12 }, (_, x) => ({ x, y: shapes[curve](x) }));
      const found = fitCurve(points, curve);
      expect([
        curve,
        found?.converged,
        points.every(({ x, y }) => Math.abs((found?.at(x) ?? Number.NaN) - y) < 1e-5),
      ]).toEqual([curve, true, true]);
    }
  });
});

describe('several treatments at once', () => {
  const drawn = (values: readonly (readonly number[])[]): readonly JudgedUnit[] =>
    values.flatMap((row, block) =>
      row.map((value, t) =>
        unit(10 * block + t, ['none', 'a', 'b', 'c'][t] ?? '', value, { blocks: [String(block)] }),
      ),
    );
  test('no p gets smaller by company, and one test alone stays what it is', () => {
    const few = fc.array(fc.integer({ min: 1, max: 9 }), { minLength: 4, maxLength: 4 });
    fc.assert(
      fc.property(fc.array(few, { minLength: 3, maxLength: 5 }), rows => {
        for (const contrast of judge(
          input('ordinal', drawn(rows), { blockNames: ['shelf'], shuffles: 200 }),
        ).contrasts)
          if (contrast.estimable && contrast.p !== null) {
            expect(contrast.pAdjusted).toBeGreaterThan(0);
            expect(contrast.shufflePAdjusted ?? 1).toBeGreaterThanOrEqual(
              (contrast.shuffleP ?? 0) - 1e-12,
            );
          }
      }),
      { numRuns: 25 },
    );
  });
  test('a strong remedy lends nothing to a weak one', () => {
    // In five blocks of six none comes before a, which a coin makes in 14 of 64; b and c are far off.
    const rows = [
      [1, 2, 8, 9],
      [1, 2, 8, 9],
      [1, 2, 8, 9],
      [1, 2, 8, 9],
      [1, 2, 8, 9],
      [2, 1, 8, 9],
    ];
    const found = judgeWithoutShuffle(input('ordinal', drawn(rows), { blockNames: ['shelf'] }));
    expect(found.contrasts.map(contrast => contrast.call)).toEqual([
      'cant-tell',
      'better',
      'better',
    ]);
  });
});

describe('what is called, and what is not', () => {
  const of20 = (treatment: string, ...ks: readonly number[]): readonly JudgedUnit[] =>
    ks.map((k, i) => unit(i + (treatment === 'none' ? 0 : 100), treatment, k, { outOf: 20 }));
  test('one pot of many seeds each is a story: no p of the seeds, no call', () => {
    const found = judgeWithoutShuffle(
      input('proportion', [...of20('none', 12), ...of20('soaked', 20)]),
    );
    expect(found.contrasts[0]).toMatchObject({ call: 'no-test', p: null, ciAdjusted: null });
    expect([found.verdict.headline, found.verdict.best, found.warnings[0]?.code]).toEqual([
      'One pot each: a story, not a result.',
      null,
      'no-replication',
    ]);
  });
  test('pots that differ more than seeds do carry the call, not the seeds', () => {
    const found = judgeWithoutShuffle(
      input('proportion', [...of20('none', 2, 18, 3, 17), ...of20('soaked', 19, 20, 5, 19)]),
    );
    const [contrast] = found.contrasts;
    expect(
      fisherExactP({ treatedYes: 63, treatedNo: 17, controlYes: 40, controlNo: 40 }),
    ).toBeLessThan(0.05);
    expect([
      contrast?.call,
      found.warnings.some(warning => warning.code === 'overdispersed'),
    ]).toEqual(['cant-tell', true]);
  });
  test('counts that all lie apart are called, beyond the margin clearly', () => {
    const counts = (treatment: string, ...values: readonly number[]): readonly JudgedUnit[] =>
      values.map((value, i) => unit(i + (treatment === 'none' ? 0 : 100), treatment, value));
    const units = [...counts('none', 40, 44, 38, 41, 43), ...counts('soap', 8, 11, 9, 7, 10)];
    expect(
      judgeWithoutShuffle(
        input('count', units, { better: 'lower', margin: { kind: 'percent', percent: 20 } }),
      ).contrasts[0]?.call,
    ).toBe('clearly-better');
    expect(
      judgeWithoutShuffle(input('count', units, { better: 'higher' })).contrasts[0]?.call,
    ).toBe('worse');
  });
  test('of pairs that all answer alike no interval shrinks to a point', () => {
    const pairs = (
      values: readonly (readonly [number, number])[],
      outOf: number | undefined,
      kind: Outcome,
    ) =>
      judgeWithoutShuffle(
        input(
          kind,
          values.flatMap(([a, b], i) => [
            unit(2 * i, 'none', a, { outOf, blocks: [String(i)] }),
            unit(2 * i + 1, 'fed', b, { outOf, blocks: [String(i)] }),
          ]),
          { isPaired: true, blockNames: ['pair'] },
        ),
      ).contrasts[0];
    const alike = pairs(
      [
        [0, 0],
        [1, 1],
        [1, 1],
        [0, 0],
        [1, 1],
      ],
      1,
      'proportion',
    );
    if (!alike?.estimable || !alike.ci) throw new Error('shares must have an interval');
    expect(alike.ci[0]).toBeLessThan(-0.4);
    expect(alike.ci[1]).toBeGreaterThan(0.4);
    expect(
      pairs(
        [
          [3, 5],
          [7, 9],
          [2, 4],
          [5, 7],
        ],
        undefined,
        'continuous',
      ),
    ).toMatchObject({ estimable: true, ci: null, call: 'no-test' });
  });
  test('days in blocks are told block by block, up to a day on which both are known; worked by hand', () => {
    const waits = (pairs: readonly (readonly [number, number])[], isLastWaiting: boolean) =>
      judgeWithoutShuffle(
        input(
          'time',
          pairs.flatMap(([a, b], i) => [
            unit(2 * i, 'none', a, { hasCome: !(isLastWaiting && i === 0), blocks: [String(i)] }),
            unit(2 * i + 1, 'fed', b, { hasCome: true, blocks: [String(i)] }),
          ]),
          { blockNames: ['shelf'] },
        ),
      ).contrasts[0];
    const found = waits(
      [
        [8, 10],
        [9, 12],
        [12, 20],
      ],
      false,
    ); // all have come by day 20: 2, 3 and 8 days longer; t of two degrees of freedom 4.303
    if (!found?.estimable || !found.ci) throw new Error('days must have an interval');
    expect(found.difference).toBeCloseTo(13 / 3, 9);
    expect(found.ci[0]).toBeCloseTo(-3.652, 3);
    expect(found.ci[1]).toBeCloseTo(12.319, 3);
    const leftEarly = waits(
      [
        [8, 10],
        [9, 12],
        [12, 20],
      ],
      true,
    ); // one was looked at for eight days only: then by all units together
    expect(leftEarly?.estimable && leftEarly.difference).not.toBeCloseTo(13 / 3, 3);
  });
  test('a yes or no of each pot has the exact interval; many pots the approximate one, which is as good by then', () => {
    const yes = (n: number, k: number, name: string) =>
      Array.from({ length: n }, (_, i) => unit(i, name, Number(i < k), { outOf: 1 }));
    const ciOf = (n: number, k: number, l: number) => {
      const found = judgeWithoutShuffle(
        input('proportion', [...yes(n, k, 'none'), ...yes(n, l, 'fed')]),
      ).contrasts[0];
      return found?.estimable ? found.ci : null;
    };
    expect(ciOf(5, 0, 5)?.[0]).toBeCloseTo(0.383, 3); // in R: reference/r/exact-shares.R
    expect(ciOf(300, 150, 180)).toEqual(
      shareDifferenceInterval({ k: 180, n: 300 }, { k: 150, n: 300 }),
    );
  });
  test('counts that crowd are judged by the spread of their own pots: a third, of small counts, hides it from the model', () => {
    const crowded = [
      [60, 20, 95, 30, 150],
      [90, 35, 200, 40, 120],
      [1, 2, 1, 0, 2],
    ].flatMap((values, t) =>
      values.map((value, i) => unit(10 * t + i, ['none', 'fed', 'soap'][t] ?? '', value)),
    );
    const { contrasts, warnings } = judgeWithoutShuffle(input('count', crowded));
    const [found] = contrasts;
    if (!found?.estimable || !found.percentCi || !found.percentCiAdjusted)
      throw new Error('there must be intervals');
    const width = (ends: readonly [number, number]): number =>
      Math.log((100 + ends[1]) / (100 + ends[0]));
    expect(width(found.percentCiAdjusted)).toBeGreaterThan(1.1 * width(found.percentCi));
    expect(warnings.map(warning => warning.code)).toContain('unequal-variance');
  });
  test('counts that are all alike under each treatment are judged by their deals', () => {
    const alike = (blocks: (i: number) => readonly string[], names: readonly string[]) =>
      judgeWithoutShuffle(
        input(
          'count',
          [14, 1].flatMap((value, t) =>
            [0, 1, 2, 3].map(i =>
              unit(10 * t + i, t === 0 ? 'none' : 'fed', value, { blocks: blocks(i) }),
            ),
          ),
          { better: 'lower', blockNames: names },
        ),
      );
    const bare = alike(() => [], []);
    expect(bare.contrasts[0]).toMatchObject({ call: 'better', ciAdjusted: null });
    expect(bare.contrasts[0]?.estimable && bare.contrasts[0].p).toBeCloseTo(2 / 70, 9);
    expect(bare.verdict.detail).toContain('turns up in 2.9 of 100 deals');
    const blocked = alike(i => [String(i)], ['shelf']).contrasts[0];
    expect([blocked?.call, blocked?.estimable && blocked.p]).toEqual(['cant-tell', 2 / 16]);
  });
  test('one block that holds all is none', () => {
    const judged = (names: readonly string[]) =>
      judgeWithoutShuffle(
        input(
          'count',
          [
            [8, 22, 7, 9],
            [16, 40, 15, 18],
          ].flatMap((values, t) =>
            values.map((value, i) =>
              unit(10 * t + i, t === 0 ? 'none' : 'fed', value, { blocks: names }),
            ),
          ),
          { blockNames: names },
        ),
      ).contrasts[0];
    const [bare, one] = [judged([]), judged(['shelf'])];
    if (!bare?.estimable || !one?.estimable) throw new Error('both must be comparable');
    expect(one.t).toBeCloseTo(bare.t ?? 0, 6);
    expect(one.percentCi?.[1]).toBeCloseTo(bare.percentCi?.[1] ?? 0, 4);
  });
  test('a group without a single count has no logarithm: half a count stands in for it', () => {
    const units = [0, 0, 0, 0, 0]
      .map((value, i) => unit(i, 'none', value))
      .concat([4, 3, 6, 5, 4].map((value, i) => unit(10 + i, 'bait', value)));
    const { contrasts, verdict } = judgeWithoutShuffle(input('count', units));
    expect(contrasts[0]?.call).toBe('better');
    expect(verdict.headline).toMatch(/^Bait gave \d+ times as many spots as “none”\.$/);
    const turned = judgeWithoutShuffle(input('count', units, { control: 'bait', better: 'lower' }));
    expect(turned.verdict.headline).toBe('None gave 100% fewer spots than bait.');
  });
  test('what has not come yet counts as long as it was looked at', () => {
    const days = (
      treatment: string,
      ...values: readonly (readonly [number, boolean])[]
    ): readonly JudgedUnit[] =>
      values.map(([value, hasCome], i) =>
        unit(i + (treatment === 'none' ? 0 : 100), treatment, value, { hasCome }),
      );
    const found = judgeWithoutShuffle(
      input(
        'time',
        [
          ...days('none', [60, false], [60, false], [55, true], [60, false], [58, true]),
          ...days('pinched', [30, true], [32, true], [35, true], [31, true], [40, true]),
        ],
        { better: 'lower' },
      ),
    );
    expect(found.contrasts[0]?.call).toBe('better');
    expect(found.groups.map(group => [group.median, group.came])).toEqual([
      [null, 2],
      [32, 5],
    ]);
    expect(found.verdict.detail).toContain('None 2 of 5 came, fewer than half');
  });
  test('nothing read says so, and all alike is told', () => {
    expect(
      judgeWithoutShuffle(input('ordinal', [unit(1, 'none', null), unit(2, 'soap', null)])).verdict
        .headline,
    ).toBe('Nothing to judge yet.');
    expect(
      judgeWithoutShuffle(
        input(
          'ordinal',
          [1, 2, 3, 4].map(i => unit(i, i < 3 ? 'none' : 'soap', 2)),
        ),
      ).warnings.map(warning => warning.code),
    ).toContain('all-alike');
  });
  test.each([
    ['k above n', 'proportion', { response: 'k', outOf: 'n' }, '5,4', 'at most the 4 of n'],
    ['half a count', 'count', { response: 'k' }, '1.5,4', 'a whole number from 0 up'],
    [
      'a word for an event',
      'time',
      { response: 'k', event: 'n' },
      '5,maybe',
      '1 where it came, 0 where it is still waited for',
    ],
    [
      'more than one of one',
      'proportion',
      { response: 'k' },
      '2,4',
      '1 or 0; name the column of all with --out-of',
    ],
  ] as const)('%s is refused by row', (_, kind, roles, cells, expected) => {
    const [k = '', n = ''] = cells.split(',');
    const read = judgeInputFromTable(
      {
        columns: ['t', 'k', 'n'],
        rows: [
          { t: 'a', k: '1', n: kind === 'time' ? '1' : '4' },
          { t: 'b', k, n },
        ],
      },
      {
        blocks: [],
        factors: [],
        better: 'higher',
        margin: null,
        confidence: 0.95,
        shuffles: 0,
        seed: 1,
        treatment: 't',
        control: 'a',
        kind,
        ...roles,
      },
    );
    expect(read.ok ? null : read.trouble).toMatchObject({ kind: 'bad-cell', row: 3, expected });
  });
});

describe('a series of doses', () => {
  const units = (shape: (dose: number) => number) =>
    [0, 1, 2, 4, 6, 8].flatMap((dose, j) =>
      [-1, 1, -0.5, 0.5].map((luck, i) => ({
        dose,
        value: shape(dose) + 0.3 * luck,
        block: `b${(i + j) % 4}`,
      })),
    );
  test('says where it levels off, and that more than that is money for nothing', () => {
    const found = doseResponse(units(dose => 4 + 2 * Math.min(dose, 3)));
    expect(found.fits[0]?.curve).toBe('plateau');
    expect(found.levelsOffAt).toBeCloseTo(3, 5);
    const best = bestDoseForMoney(found.fits[0]!, [0, 8], { costPerDose: 1, worthPerValue: 1 });
    expect(best.dose).toBeCloseTo(3, 1);
    expect(
      bestDoseForMoney(found.fits[0]!, [0, 8], { costPerDose: 3, worthPerValue: 1 }).dose,
    ).toBe(0); // a unit costs more than it brings
  });
  test('a straight rise has a trend and no end', () => {
    const found = doseResponse(units(dose => 4 + dose));
    expect([found.fits[0]?.curve, found.levelsOffAt, (found.trend?.p ?? 1) < 1e-6]).toEqual([
      'linear',
      null,
      true,
    ]);
  });
  test('fits come in the order of their AICc', () => {
    const points = units(dose => 10 - 8 * Math.exp(-0.5 * dose)).map(({ dose, value }) => ({
      x: dose,
      y: value,
    }));
    const found = bestCurves(points, ['linear', 'quadratic', 'mitscherlich']);
    expect(found[0]?.curve).toBe('mitscherlich');
    expect(found.map(fit => fit.aicc)).toEqual(
      [...found.map(fit => fit.aicc)].sort((a, b) => (a ?? 0) - (b ?? 0)),
    );
  });
});
