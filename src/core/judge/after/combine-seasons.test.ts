import { readFileSync } from 'node:fs';
import { z } from 'zod';
import { parseTable } from '@/cli/parse-table';
import { judge } from '@/core/judge/outcomes/judge';
import type { EstimableContrast } from '@/core/judge/outcomes/judgement';
import { judgeInputFromTable } from '@/core/judge/table/table-input';
import { type PooledTrial, poolSeasons, seasonsTogether } from './combine-seasons';

const REFERENCE = z
  .object({
    years: z.array(
      z.array(z.object({ treatment: z.string(), estimate: z.number(), se: z.number() })),
    ),
    together: z.array(
      z.object({
        treatment: z.string(),
        percent: z.number(),
        low: z.number(),
        high: z.number(),
        p: z.number(),
      }),
    ),
  })
  .parse(JSON.parse(readFileSync('reference/results/seasons.json', 'utf8')));

const BARLEY = parseTable(readFileSync('reference/data/barley-seasons.csv', 'utf8'));
if (!BARLEY.ok) throw new Error(BARLEY.trouble.sentence);
const TABLE = BARLEY.value;

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
    logRatio: null,
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
    crop: 'beans',
    closedOn: `202${trialId}-10-01`,
    measure: { summary: 'sound-weight', kindKey: null, better: 'higher' },
    contrasts: [contrast],
  };
}

/** The third of seasons has one pot each, and the fourth lost all of it. */
const GOOD = [season('1', 8, [-9, 28], 8), season('2', 10, [-5, 25], 8)] as const;
const oneEach = withContrast(season('3', 30, [0, 1], 8), { se: null, percentCi: null });
const allLost = withContrast(season('4', -100, [0, 1], 8), { percentCi: [-140, -60] });

function withContrast(trial: PooledTrial, changes: Partial<EstimableContrast>): PooledTrial {
  return {
    ...trial,
    contrasts: trial.contrasts.map(each => (each.estimable ? { ...each, ...changes } : each)),
  };
}

describe('a verdict frozen without its ratio has its error from its interval, by its own degrees of freedom', () => {
  // t(0.975) = 4.303 on 2 and 2.086 on 20 degrees of freedom (any table of t; the same as C109).
  test.each([
    [2, 4.302653],
    [20, 2.085963],
  ])('on %i', (df, t) => {
    const [found] = seasonsTogether(season('1', 20, [0, 44], df), GOOD);
    expect(found?.seasons[0]?.logRatio?.estimate).toBeCloseTo(Math.log(1.2), 10);
    expect(found?.seasons[0]?.logRatio?.se).toBeCloseTo(Math.log(1.44) / (2 * t), 6);
  });
});

test('a season whose interval reaches the loss of everything stays in with its width', () => {
  // Two groups alike at 100 and 60, the error of their difference 30: by hand, (30/√2)·√(1/60² + 1/100²).
  const wide = withContrast(season('3', -40, [0, 1], 8), {
    difference: -40,
    se: 30,
    percentCi: [-110, 40],
  });
  const [found] = seasonsTogether(wide, GOOD);
  const own = found?.seasons[2];
  expect(own?.logRatio?.se).toBeCloseTo((30 / Math.SQRT2) * Math.hypot(1 / 60, 1 / 100), 10);
  const without = poolSeasons(found?.seasons.slice(0, 2) ?? []);
  const pooled = poolSeasons(found?.seasons ?? []);
  expect(pooled?.percent).not.toBe(without?.percent);
  expect(pooled?.percentCi.every(end => end > -100)).toBe(true);
});

test.each([
  ['one pot each', oneEach],
  ['everything lost', allLost],
])('a season of %s is shown and not pooled', (_, odd) => {
  const [found] = seasonsTogether(odd, GOOD);
  expect(found?.seasons).toHaveLength(3);
  expect(found?.seasons[2]?.logRatio).toBeNull();
  expect(poolSeasons(found?.seasons ?? [])).toEqual(poolSeasons(found?.seasons.slice(0, 2) ?? []));
});

describe('two years of barley against R (reference/r/seasons.R: emmeans and metafor)', () => {
  const year = (response: string, trialId: string): PooledTrial => {
    const input = judgeInputFromTable(TABLE, {
      response,
      treatment: 'Var',
      control: 'M',
      blocks: ['Loc'],
      factors: [],
      kind: 'continuous',
      better: 'higher',
      margin: null,
      confidence: 0.95,
      shuffles: 0,
      seed: 1,
    });
    if (!input.ok) throw new Error(JSON.stringify(input.trouble));
    return { ...GOOD[0], trialId, contrasts: judge(input.value).contrasts };
  };
  const found = seasonsTogether(year('Y1', '1'), [year('Y2', '2')]);

  test.each(REFERENCE.together)('$treatment', expected => {
    const seasons = found.find(each => each.treatment === expected.treatment)?.seasons ?? [];
    for (const [i, answer] of seasons.entries()) {
      const own = REFERENCE.years[i]?.find(each => each.treatment === expected.treatment);
      expect(answer.logRatio?.estimate).toAgree(own?.estimate ?? Number.NaN, 8);
      expect(answer.logRatio?.se).toAgree(own?.se ?? Number.NaN, 8);
    }
    const pooled = poolSeasons(seasons);
    expect(pooled?.percent).toAgree(expected.percent, 6);
    expect(pooled?.percentCi[0]).toAgree(expected.low, 6);
    expect(pooled?.percentCi[1]).toAgree(expected.high, 6);
    expect(pooled?.p).toAgree(expected.p, 6);
  });
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
