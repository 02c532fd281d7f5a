import type { EstimableContrast } from '@/core/judge/outcomes/judgement';
import { type PooledTrial, seasonsTogether } from './combine-seasons';

/** A season that found so many per cent, with its interval on so many degrees of freedom. */
function season(
  trialId: string,
  percent: number,
  percentCi: readonly [number, number],
  df: number,
): PooledTrial {
  const contrast: EstimableContrast = {
    estimable: true,
    treatment: 'feed',
    control: 'water',
    difference: percent,
    se: 1,
    df,
    t: 1,
    p: 0.1,
    ci: [0, 1],
    pAdjusted: 0.1,
    ciAdjusted: [0, 1],
    ciEquivalence: [0, 1],
    percent,
    percentCi,
    percentCiAdjusted: percentCi,
    percentCiEquivalence: percentCi,
    effect: null,
    reach: null,
    shuffleP: null,
    shufflePAdjusted: null,
    call: 'cant-tell',
    unitsNeeded: null,
  };
  return {
    trialId,
    question: `Season ${trialId}?`,
    closedOn: `202${trialId}-10-01`,
    measure: { summary: 'sound-weight', kindKey: null, better: 'higher' },
    contrasts: [contrast],
  };
}

describe('a season’s interval becomes its error by its own degrees of freedom', () => {
  // t(0.975) = 4.303 on 2 and 2.086 on 20 degrees of freedom (any table of t; the same as C109). With the normal’s 1.96 for
  // both the two seasons would weigh alike, and their mean would lie in the middle.
  const few = season('1', 20, [0, 44], 2);
  const many = season('2', 50, [25, 80], 20);
  const [found] = seasonsTogether(few, [many]);
  const [seFew, seMany] = [
    (Math.log(1.44) - Math.log(1)) / (2 * 4.302653),
    (Math.log(1.8) - Math.log(1.25)) / (2 * 2.085963),
  ];
  const [wFew, wMany] = [1 / seFew ** 2, 1 / seMany ** 2];
  const fixed = (wFew * Math.log(1.2) + wMany * Math.log(1.5)) / (wFew + wMany);
  const q = wFew * (Math.log(1.2) - fixed) ** 2 + wMany * (Math.log(1.5) - fixed) ** 2;

  test('the heterogeneity is that of the seasons’ own errors', () => {
    expect(found?.combined?.q).toBeCloseTo(q, 5);
  });
  test('the answer lies where their weights put it', () => {
    const tau2 = found?.combined?.tau2 ?? 0;
    const [a, b] = [1 / (seFew ** 2 + tau2), 1 / (seMany ** 2 + tau2)];
    const log = (a * Math.log(1.2) + b * Math.log(1.5)) / (a + b);
    expect(found?.percent).toBeCloseTo(100 * Math.expm1(log), 4);
  });
});

test.each([
  ['everything was lost', -100, [-100, 20]],
  ['the interval reaches the loss of everything', -40, [-100, 20]],
] as const)('a season has no ratio where %s: it is left out', (_, percent, ci) => {
  const good = [season('2', 10, [-5, 25], 8), season('3', 12, [-3, 30], 8)];
  const [found] = seasonsTogether(season('1', 8, [-9, 28], 8), [
    ...good,
    season('4', percent, ci, 8),
  ]);
  expect(found?.seasons.map(each => each.trialId)).toEqual(['1', '2', '3']);
  expect(Number.isFinite(found?.percent)).toBe(true);
});

test('seasons are taken together only of the same measure with the same good direction', () => {
  const own = season('1', 10, [2, 19], 8);
  const before = season('2', 12, [3, 22], 8);
  const others: readonly PooledTrial[] = [
    { ...before, measure: { ...before.measure, summary: 'sound-count' } },
    { ...before, measure: { ...before.measure, better: 'lower' } },
    { ...before, measure: { ...before.measure, kindKey: 'height' } },
  ];
  expect(seasonsTogether(own, [before])[0]?.seasons).toHaveLength(2);
  expect(seasonsTogether(own, others)).toEqual([]);
});
