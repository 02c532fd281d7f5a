import fc from 'fast-check';
import {
  chanceOfLarger,
  correlation,
  friedman,
  kruskalWallis,
  rankCorrelation,
} from '@/core/stats/categorical/rank-tests';
import { shareDifferenceInterval, wilsonInterval } from '@/core/stats/categorical/share-intervals';
import { fisherExactP, heterogeneity, mantelHaenszel } from '@/core/stats/categorical/two-by-two';
import { CURVES } from '@/core/stats/curves/curve-shapes';
import { fitCurve } from '@/core/stats/curves/fit-curve';
import { binomialChance, binomialTwoSidedP, logChoose } from '@/core/stats/distributions/binomial';
import { chiSquareUpperTail } from '@/core/stats/distributions/distributions';
import { combineSites } from '@/core/stats/meta/random-effects';
import {
  kaplanMeier,
  logRank,
  logRankScores,
  medianWait,
  restrictedMeanWait,
  type Waited,
} from '@/core/stats/survival/survival';

const count = (max: number) => fc.integer({ min: 0, max });
const figures = (min: number, max: number) =>
  fc.array(fc.integer({ min: 0, max: 20 }), { minLength: min, maxLength: max });
const waits = fc.array(
  fc.record({ days: fc.integer({ min: 1, max: 30 }), hasCome: fc.boolean() }),
  { minLength: 2, maxLength: 8 },
);

describe('shares', () => {
  test('chances of all counts add up to one', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 40 }),
        fc.double({ min: 0, max: 1, noNaN: true }),
        (n, p) => {
          expect(
            Array.from({ length: n + 1 }, (_, k) => binomialChance(k, n, p)).reduce(
              (sum, each) => sum + each,
              0,
            ),
          ).toBeCloseTo(1, 9);
        },
      ),
    );
  });
  test('Pascal’s triangle: C(n, k) is C(n − 1, k − 1) and C(n − 1, k)', () => {
    fc.assert(
      fc.property(fc.integer({ min: 2, max: 60 }), fc.integer({ min: 1, max: 59 }), (n, wanted) => {
        const k = Math.min(wanted, n - 1);
        expect(
          Math.exp(logChoose(n - 1, k - 1) - logChoose(n, k)) +
            Math.exp(logChoose(n - 1, k) - logChoose(n, k)),
        ).toBeCloseTo(1, 9);
      }),
    );
  });
  test('the sign test is even-handed, and half of an even count is no sign at all', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 40 }), count(40), (n, wanted) => {
        const k = Math.min(wanted, n);
        expect(binomialTwoSidedP(k, n)).toBeCloseTo(binomialTwoSidedP(n - k, n), 12);
      }),
    );
    expect(binomialTwoSidedP(10, 20)).toBeCloseTo(1, 12);
  });
  test('Wilson’s interval turns over with what is counted, and more items make it narrower', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 50 }), count(50), (n, wanted) => {
        const k = Math.min(wanted, n);
        const [low, high] = wilsonInterval(k, n);
        const [lowNo, highNo] = wilsonInterval(n - k, n);
        expect([1 - high, 1 - low]).toEqual([expect.closeTo(lowNo, 9), expect.closeTo(highNo, 9)]);
        const [more, most] = wilsonInterval(4 * k, 4 * n);
        expect(most - more).toBeLessThan(high - low + 1e-12);
      }),
    );
  });
  test('the interval of a difference holds it, and turns with the two', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 30 }),
        count(30),
        fc.integer({ min: 1, max: 30 }),
        count(30),
        (n, k, m, j) => {
          const [a, b] = [
            { k: Math.min(k, n), n },
            { k: Math.min(j, m), n: m },
          ];
          const [low, high] = shareDifferenceInterval(a, b);
          const difference = a.k / a.n - b.k / b.n;
          expect(low <= difference + 1e-9 && high >= difference - 1e-9).toBe(true);
          const turned = shareDifferenceInterval(b, a);
          expect(turned[0]).toBeCloseTo(-high, 9);
        },
      ),
    );
  });
});

describe('two by two', () => {
  const table = fc
    .record({
      treatedYes: count(9),
      treatedNo: count(9),
      controlYes: count(9),
      controlNo: count(9),
    })
    .filter(each => each.treatedYes + each.treatedNo > 0 && each.controlYes + each.controlNo > 0);
  test('Fisher’s p does not change when rows or columns change places, and is never above one', () => {
    fc.assert(
      fc.property(table, ({ treatedYes, treatedNo, controlYes, controlNo }) => {
        const p = fisherExactP({ treatedYes, treatedNo, controlYes, controlNo });
        expect(p > 0 && p <= 1).toBe(true);
        expect(
          fisherExactP({
            treatedYes: controlYes,
            treatedNo: controlNo,
            controlYes: treatedYes,
            controlNo: treatedNo,
          }),
        ).toBeCloseTo(p, 9);
        expect(
          fisherExactP({
            treatedYes: treatedNo,
            treatedNo: treatedYes,
            controlYes: controlNo,
            controlNo: controlYes,
          }),
        ).toBeCloseTo(p, 9);
      }),
    );
  });
  test('one block without an answer of both kinds adds nothing to Mantel and Haenszel', () => {
    fc.assert(
      fc.property(
        table,
        fc.integer({ min: 1, max: 9 }),
        fc.integer({ min: 1, max: 9 }),
        (each, a, b) => {
          const alone = mantelHaenszel([each]);
          expect(
            mantelHaenszel([each, { treatedYes: a, treatedNo: 0, controlYes: b, controlNo: 0 }])
              ?.statistic,
          ).toBe(alone?.statistic);
        },
      ),
    );
  });
  test('units that all have the same share do not crowd; nothing to compare is told', () => {
    expect(
      heterogeneity([
        [
          { k: 5, n: 10 },
          { k: 5, n: 10 },
          { k: 10, n: 20 },
        ],
      ]),
    ).toMatchObject({ statistic: 0, p: 1 });
    expect(
      heterogeneity([
        [
          { k: 0, n: 10 },
          { k: 0, n: 10 },
        ],
      ]),
    ).toBeUndefined();
    expect(
      mantelHaenszel([{ treatedYes: 0, treatedNo: 4, controlYes: 0, controlNo: 4 }]),
    ).toBeUndefined();
  });
});

describe('ranks', () => {
  test('the chance of larger one way and the other make one', () => {
    fc.assert(
      fc.property(figures(1, 6), figures(1, 6), (treated, control) => {
        expect(
          chanceOfLarger([{ treated, control }]) +
            chanceOfLarger([{ treated: control, control: treated }]),
        ).toBeCloseTo(1, 12);
      }),
    );
  });
  test('Kruskal and Wallis, and Friedman, are silent where all is alike', () => {
    expect([
      kruskalWallis([
        [2, 2],
        [2, 2],
      ]),
      friedman([
        [1, 1],
        [2, 2],
      ]),
      kruskalWallis([[1, 2]]),
    ]).toEqual([undefined, undefined, undefined]);
  });
  test('of two groups Kruskal and Wallis’s chi-square is the square of the normal rank sum', () => {
    fc.assert(
      fc.property(
        fc.uniqueArray(fc.integer({ min: 0, max: 500 }), { minLength: 4, maxLength: 12 }),
        values => {
          const half = Math.floor(values.length / 2);
          const [a, b] = [values.slice(0, half), values.slice(half)];
          const [m, n] = [a.length, b.length];
          const w = a.reduce(
            (sum, value) => sum + values.filter(other => other <= value).length,
            0,
          );
          const z = (w - (m * (m + n + 1)) / 2) / Math.sqrt((m * n * (m + n + 1)) / 12);
          expect(kruskalWallis([a, b])?.statistic).toBeCloseTo(z * z, 6);
        },
      ),
    );
  });
  test('a ranking agrees wholly with itself, and wholly not with its reverse', () => {
    expect([
      rankCorrelation([1, 2, 3, 4, 5], [1, 2, 3, 4, 5]).rho,
      rankCorrelation([1, 2, 3, 4, 5], [5, 4, 3, 2, 1]).rho,
    ]).toEqual([1, -1]);
    expect(rankCorrelation([1, 2, 3, 4, 5], [1, 2, 3, 4, 5]).p).toBeCloseTo(2 / 120, 9);
    expect([
      rankCorrelation(
        Array.from({ length: 12 }, (_, i) => i),
        Array.from({ length: 12 }, (_, i) => i),
      ).p,
      correlation([1, 1], [2, 3]),
    ]).toEqual([null, 0]);
  });
});

describe('waiting', () => {
  test('the curve falls from one, never below nothing, and steps only where something came', () => {
    fc.assert(
      fc.property(waits, units => {
        const steps = kaplanMeier(units);
        expect(
          steps.every(
            (step, i) =>
              step.waiting >= -1e-12 &&
              step.waiting <= (steps[i - 1]?.waiting ?? 1) &&
              step.came > 0,
          ),
        ).toBe(true);
        expect(steps.map(step => step.days)).toEqual(
          [...new Set(units.filter(unit => unit.hasCome).map(unit => unit.days))].sort(
            (a, b) => a - b,
          ),
        );
      }),
    );
  });
  test('where all have come the mean wait is their mean', () => {
    fc.assert(
      fc.property(
        fc.array(fc.integer({ min: 1, max: 30 }), { minLength: 1, maxLength: 9 }),
        days => {
          expect(
            restrictedMeanWait(
              days.map(each => ({ days: each, hasCome: true })),
              31,
            ).mean,
          ).toBeCloseTo(days.reduce((sum, each) => sum + each, 0) / days.length, 9);
        },
      ),
    );
  });
  test('log-rank scores add up to nothing, and the test knows no side', () => {
    fc.assert(
      fc.property(waits, waits, (treated, control) => {
        expect(
          logRankScores([...treated, ...control]).reduce((sum, each) => sum + each, 0),
        ).toBeCloseTo(0, 9);
        expect(logRank([{ treated, control }])?.p ?? 1).toBeCloseTo(
          logRank([{ treated: control, control: treated }])?.p ?? 1,
          9,
        );
      }),
    );
  });
  test('nothing that came is nothing to judge by', () => {
    const none: readonly Waited[] = [
      { days: 9, hasCome: false },
      { days: 9, hasCome: false },
    ];
    expect([
      logRank([{ treated: none, control: none }]),
      medianWait(none),
      kaplanMeier(none),
    ]).toEqual([undefined, null, []]);
  });
});

describe('several sites', () => {
  const sites = fc.array(
    fc.record({
      estimate: fc.double({ min: -5, max: 5, noNaN: true }),
      se: fc.double({ min: 0.1, max: 3, noNaN: true }),
    }),
    { minLength: 2, maxLength: 8 },
  );
  test('the estimate lies among the sites, and no variance between them is below nothing', () => {
    fc.assert(
      fc.property(sites, fc.constantFrom('dl', 'reml', 'hk'), (all, method) => {
        const { estimate, tau2, i2, ci } = combineSites(all, method);
        const estimates = all.map(site => site.estimate);
        expect(
          estimate >= Math.min(...estimates) - 1e-9 && estimate <= Math.max(...estimates) + 1e-9,
        ).toBe(true);
        expect(tau2 >= 0 && i2 >= 0 && i2 <= 100 && ci[0] <= estimate && ci[1] >= estimate).toBe(
          true,
        );
      }),
    );
  });
  test('sites that all say the same leave none between them', () => {
    expect(
      combineSites(
        [
          { estimate: 2, se: 1 },
          { estimate: 2, se: 2 },
          { estimate: 2, se: 0.5 },
        ],
        'reml',
      ),
    ).toMatchObject({ estimate: 2, tau2: 0, i2: 0, q: 0, qP: 1 });
    expect(() => combineSites([{ estimate: 2, se: 1 }], 'dl')).toThrow(RangeError);
  });
});

describe('curves', () => {
  test('whatever points come, a fit is finite or none, and never worse than a flat line', () => {
    const points = fc.array(
      fc.record({ x: fc.integer({ min: 0, max: 20 }), y: fc.integer({ min: 0, max: 100 }) }),
      { maxLength: 10 },
    );
    fc.assert(
      fc.property(points, fc.constantFrom(...CURVES), (all, curve) => {
        const fitted = fitCurve(all, curve);
        if (!fitted) return;
        expect([...Object.values(fitted.parameters), fitted.rss].every(Number.isFinite)).toBe(true);
        const mean = all.reduce((sum, each) => sum + each.y, 0) / all.length;
        if (
          fitted.converged &&
          curve !== 'logistic' &&
          curve !== 'gompertz' &&
          curve !== 'mitscherlich'
        )
          expect(fitted.rss).toBeLessThanOrEqual(
            all.reduce((sum, each) => sum + (each.y - mean) ** 2, 0) + 1e-6,
          );
      }),
      { numRuns: 40 },
    );
  });
  test('fewer points than figures, or all at one x, are no curve', () => {
    expect([
      fitCurve([{ x: 1, y: 2 }], 'linear'),
      fitCurve(
        [
          { x: 1, y: 2 },
          { x: 1, y: 3 },
          { x: 1, y: 4 },
        ],
        'quadratic',
      ),
    ]).toEqual([undefined, undefined]);
  });
  test('a curve through its points has no AICc, and says no error of what it can’t tell', () => {
    const exact = fitCurve(
      [
        { x: 0, y: 1 },
        { x: 1, y: 3 },
      ],
      'linear',
    );
    expect([exact?.aicc, exact?.se, exact?.converged]).toEqual([null, { a: null, b: null }, true]);
  });
});

test('the upper tail of chi-square keeps its small values: 3.841 is 5%, and 200 is no nought', () => {
  expect([chiSquareUpperTail(3.841458820694124, 1), chiSquareUpperTail(0, 3)]).toEqual([
    expect.closeTo(0.05, 9),
    1,
  ]);
  expect(chiSquareUpperTail(200, 1) > 0 && chiSquareUpperTail(200, 1) < 1e-40).toBe(true);
});
