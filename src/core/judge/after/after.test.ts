import fc from 'fast-check';
import { judge, judgeWithoutShuffle } from '@/core/judge/outcomes/judge';
import { STARTING_GUESS_CV } from '@/core/judge/question/judge-input';
import { judgeInputFixture } from '@/core/judge/question/judge-input-fixture';
import { outcomeOf } from '@/core/judge/question/unit-outcome';
import { unitsInTurn, withoutUnit } from '@/core/judge/sensitivity/leave-each-out';
import { positionCheck } from '@/core/judge/sensitivity/position-check';
import { judgeInputOf, plannedSpec } from '@/core/judge/units/trial-analysis';
import { checkFrozen } from '@/core/judge/verdict/frozen-file';
import { chanceOfTurn, shareOfMean } from '@/core/judge/verdict/words/no-test-words';
import { readMeasure } from '@/core/measure/library/own-measure';
import { careActFixture, careRuleFixture } from '@/core/trial/fixtures/care-fixture';
import {
  leaveOutFixture,
  pickFixture,
  readingFixture,
  trialFixture,
} from '@/core/trial/fixtures/trial-fixture';
import type { TrialData } from '@/core/trial/model/trial-data';
import { alternativeExplanationsOf } from './alternative-explanations';
import { poolSeasons, seasonsTogether } from './combine-seasons';
import { lessonsOf, spreadWithin } from './lessons';
import { netBenefitOf } from './net-benefit';
import { nextSteps } from './next-step';
import { type ScoreRow, scorecardOf, winsOf } from './scorecard';
import { treatmentCosts } from './treatment-cost';
import { trialEfficacy } from './trial-efficacy';
import { trialGermination } from './trial-germination';
import { trialGrowth } from './trial-growth';
import { weightedRank } from './weighted-rank';

const trial = trialFixture({ treatments: 3, unitsEach: 4, blockCount: 4 });
const at = (data: TrialData, unit: TrialData['units'][number]): number =>
  data.treatments.findIndex(treatment => treatment.id === unit.treatmentId);
const grown = (of: (unit: TrialData['units'][number], i: number) => number): TrialData => ({
  ...trial,
  picks: trial.units.map((unit, i) =>
    pickFixture(unit, { netG: of(unit, i), pieces: Math.round(of(unit, i) / 10) }),
  ),
});
const clear = grown((unit, i) => 300 + 150 * Number(at(trial, unit) === 1) + 4 * (i % 5));
const spec = (data: TrialData) => ({ ...plannedSpec(data, STARTING_GUESS_CV), shuffles: 0 });
const print =
  () =>
  (value: number): string =>
    String(Math.round(value));
const made = (key: string, id: string) => {
  const read = readMeasure({ from: 'library', key }, [], id);
  if (!read.ok) throw new Error(key);
  return read.value;
};

describe('the scorecard', () => {
  test('every measure is judged, the main one first, and what says the same thing is counted once', () => {
    const card = scorecardOf(clear, spec(clear), print);
    expect(card.rows.map(row => [row.name, row.isMain, row.sameAs])).toEqual([
      ['Sound harvest by weight', true, null],
      ['Number of sound pieces', false, 'Sound harvest by weight'],
      ['Weight of one sound piece', false, null],
      ['Whole harvest by weight', false, 'Sound harvest by weight'],
    ]);
    expect(card.rows[0]?.cells.map(cell => cell.call)).toEqual([
      null,
      'clearly-better',
      'no-difference-that-matters',
    ]);
    expect(winsOf(card).get('feed 1')).toEqual({ better: 1, worse: 0 });
  });
  test('layers that are kept apart each have a row, and a difference in one of them is not lost in the mean', () => {
    const depth = {
      ...made('height', '00000000-0000-7000-8000-0000000000a4'),
      parts: 2,
      partsAre: 'apart' as const,
    };
    const data: TrialData = {
      ...clear,
      measures: [...clear.measures, depth],
      readings: clear.units.flatMap((unit, i) => [
        readingFixture(unit, depth, 100 + (i % 5), { subsample: 'top' }),
        readingFixture(unit, depth, 100 + 60 * Number(at(clear, unit) === 1) + (i % 3), {
          subsample: 'below',
        }),
      ]),
    };
    const rows = scorecardOf(data, spec(data), print).rows.slice(4);
    expect(rows.map(row => [row.name, row.part, row.cells[1]?.words])).toEqual([
      ['Plant height', null, expect.stringMatching(/^13\d$/)],
      ['Plant height, below', 'below', expect.stringMatching(/^16\d$/)],
      ['Plant height, top', 'top', expect.stringMatching(/^10\d$/)],
    ]);
    expect(rows[1]?.cells[1]?.call).toMatch(/better$/);
    expect(rows[2]?.cells[1]?.call).toBe('cant-tell');
  });
  test('C122: of fifteen looked at, 0.75 come by luck, at least one in 54 of 100', () => {
    expect([0.05 * 15, 1 - 0.95 ** 15].map(value => Number(value.toFixed(2)))).toEqual([
      0.75, 0.54,
    ]);
    expect(scorecardOf(clear, spec(clear), print)).toMatchObject({
      measureCount: 1,
      expectedByChance: 0.05,
    });
  });
  test('a measure of steps is judged by ranks, of days by the mean wait, of classes by how often one of them came', () => {
    const [vigour, flower, want] = [
      made('vigour', '00000000-0000-7000-8000-0000000000a1'),
      made('first-flower', '00000000-0000-7000-8000-0000000000a2'),
      made('want', '00000000-0000-7000-8000-0000000000a3'),
    ];
    const data: TrialData = {
      ...clear,
      measures: [...clear.measures, vigour, flower, want],
      readings: clear.units.flatMap((unit, i) => [
        readingFixture(unit, vigour, 3 + (i % 4)),
        readingFixture(unit, flower, 20 + i),
        readingFixture(unit, want, Number(at(clear, unit) === 1)),
      ]),
    };
    expect(
      scorecardOf(data, spec(data), print)
        .rows.slice(4)
        .map(row => [row.name, row.method]),
    ).toEqual([
      ['Vigour', 'ranks, aligned by block'],
      ['First flower', 'mean days waited'],
      ['Sign of want', 'shares, one by one'],
    ]);
    expect([
      outcomeOf(want.scale),
      outcomeOf(vigour.scale),
      outcomeOf(flower.scale),
      outcomeOf(null),
    ]).toEqual(['proportion', 'ordinal', 'time', 'continuous']);
    expect(scorecardOf(data, spec(data), print).rows.at(-1)).toMatchObject({
      better: 'neither',
      sameAs: null,
    });
  });
  test('what is no gain either way is no win and no loss', () => {
    const ph = made('ph', '00000000-0000-7000-8000-0000000000a6');
    const data: TrialData = {
      ...clear,
      measures: [...clear.measures, ph],
      readings: clear.units.map((unit, i) =>
        readingFixture(unit, ph, 6 + Number(at(clear, unit) === 1) + (i % 5) / 20),
      ),
    };
    const card = scorecardOf(data, spec(data), print);
    const row = card.rows.find(each => each.name === 'pH');
    expect([row?.better, row?.cells[1]?.call]).toEqual(['neither', 'better']);
    expect(winsOf(card)).toEqual(winsOf({ ...card, rows: card.rows.filter(each => each !== row) }));
  });
  test('weights: with one measure the order is its own; moved weights can’t change what all measures say alike', () => {
    const row = (measureId: string, ...standings: readonly number[]): ScoreRow => ({
      measureId,
      part: null,
      name: measureId,
      isMain: false,
      better: 'higher',
      method: '',
      isByMean: true,
      sameAs: null,
      cells: standings.map((standing, i) => ({
        treatment: `t${i}`,
        words: '',
        call: null,
        standing,
        luck: null,
      })),
    });
    expect(
      weightedRank([row('a', 0, 2, 1)], { a: 1 }).map(place => [place.treatment, place.firstShare]),
    ).toEqual([
      ['t1', 1],
      ['t2', 0],
      ['t0', 0],
    ]);
    expect(weightedRank([row('a', 0, 2), row('b', 0, 1)], { a: 1, b: 3 })[0]).toMatchObject({
      treatment: 't1',
      firstShare: 1,
    });
    const torn = weightedRank([row('a', 2, 0), row('b', 0, 2)], { a: 1, b: 1 })[0]?.firstShare ?? 0;
    expect(torn > 0.35 && torn < 0.65).toBe(true);
    expect(weightedRank([row('a', 0, 1)], {})).toEqual([]);
  });
});

test('days: what has not come is still waited for, “not looked” says nothing', () => {
  const flower = made('first-flower', '00000000-0000-7000-8000-0000000000a2');
  const [a, b, c] = trial.units;
  const data: TrialData = {
    ...trial,
    measures: [...trial.measures, flower],
    readings: [
      readingFixture(a!, flower, 21, { takenOn: '2026-05-22' }),
      readingFixture(b!, flower, null, { outcome: 'nothing-there', takenOn: '2026-05-31' }),
      readingFixture(c!, flower, null, { outcome: 'not-looked', takenOn: '2026-05-31' }),
    ],
  };
  const input = judgeInputOf(data, { ...spec(data), measureId: flower.id });
  expect(
    [a, b, c].map(unit => {
      const found = input.units.find(each => each.id === unit?.code);
      return [found?.value, found?.hasCome];
    }),
  ).toEqual([
    [21, true],
    [30, false],
    [null, undefined],
  ]);
});

test('ranks of a weight are judged only when somebody wants them', () => {
  expect(judgeInputOf(clear, spec(clear)).outcome).toBe('continuous');
  const ranks = judgeInputOf(clear, { ...spec(clear), by: 'ranks' });
  expect([ranks.outcome, ranks.units.map(unit => unit.value).sort()]).toEqual([
    'ordinal',
    clear.picks.map(pick => pick.netG).sort(),
  ]);
});

test('classes: the chosen one is counted, all of them are told, and no order is read into them', () => {
  const smell = made('smell', '00000000-0000-7000-8000-0000000000a7');
  const [a, b, c] = trial.units;
  const data: TrialData = {
    ...trial,
    measures: [...trial.measures, smell],
    readings: [readingFixture(a!, smell, 1), readingFixture(b!, smell, 2)],
  };
  const of = (countedClass?: number) => {
    const input = judgeInputOf(data, { ...spec(data), measureId: smell.id, countedClass });
    return {
      counted: input.countedClass,
      values: [a, b, c].map(unit => input?.units.find(each => each.id === unit?.code)?.value),
      names: [a, b, c].map(unit => input?.units.find(each => each.id === unit?.code)?.className),
    };
  };
  expect(of()).toEqual({
    counted: 'earthy',
    values: [1, 0, null],
    names: ['earthy', 'sour', null],
  });
  expect(of(2)).toMatchObject({ counted: 'sour', values: [0, 1, null] });
  expect(of(99)).toMatchObject({ counted: 'earthy' });
});

test('of classes it is said who has more, not who is better', () => {
  const smell = made('smell', '00000000-0000-7000-8000-0000000000a7');
  const data: TrialData = {
    ...clear,
    measures: [...clear.measures, smell],
    readings: clear.units.map(unit => readingFixture(unit, smell, Number(at(clear, unit) === 1))),
  };
  const judged = judgeWithoutShuffle(
    judgeInputOf(data, { ...spec(data), measureId: smell.id, countedClass: 1 }),
  );
  expect(judged.verdict.headline).toMatch(
    /^(“Earthy” came more often under feed 1 than under|Can’t tell yet whether anything differs from) plain water\.$/,
  );
  expect(judged.verdict.headline).not.toMatch(/beat/);
  expect(judged.overall).toMatchObject({ method: 'chi-square-shuffled' });
  expect(judged.overall?.p).toBeLessThan(0.05);
});

test('k of n counts on its last day only', () => {
  const holed = made('holed-leaves', '00000000-0000-7000-8000-0000000000a4');
  const [a] = trial.units;
  const data: TrialData = {
    ...trial,
    measures: [...trial.measures, holed],
    readings: ['2026-06-01', '2026-06-08'].map((takenOn, i) =>
      readingFixture(a!, holed, 3 + i, { takenOn, outOf: 10 }),
    ),
  };
  expect(
    judgeInputOf(data, { ...spec(data), measureId: holed.id }).units.find(
      unit => unit.id === a?.code,
    ),
  ).toMatchObject({ value: 4, outOf: 10 });
});

describe('is it worth it', () => {
  test('C100: extra cost 12, gain 0.6 kg: 20 a kilogram', () => {
    expect(
      netBenefitOf({ difference: 600, se: null, df: 8 }, { extraCost: 12, worthPerKg: 5 }),
    ).toMatchObject({ costPerExtraKg: 20, breakEvenWorth: 20, net: -9, chanceItPays: null });
  });
  test('at the break-even worth it pays every second time, and more money never makes it less likely', () => {
    const contrast = { difference: 600, se: 150, df: 12 };
    expect(netBenefitOf(contrast, { extraCost: 12, worthPerKg: 20 }).chanceItPays).toBeCloseTo(
      0.5,
      9,
    );
    fc.assert(
      fc.property(
        fc.double({ min: 0.5, max: 50, noNaN: true }),
        fc.double({ min: 0.1, max: 20, noNaN: true }),
        (worth, more) => {
          const chance = (worthPerKg: number): number =>
            netBenefitOf(contrast, { extraCost: 6, worthPerKg }).chanceItPays ?? 0;
          expect(chance(worth + more)).toBeGreaterThanOrEqual(chance(worth) - 1e-12);
        },
      ),
    );
  });
  test('what gives less pays never', () => {
    expect(
      netBenefitOf({ difference: -50, se: 20, df: 9 }, { extraCost: 0, worthPerKg: 4 }),
    ).toMatchObject({ costPerExtraKg: null, breakEvenWorth: null });
  });
});

describe('how firm it is', () => {
  test('one giant plant that makes a verdict is found; a clear one stands without any', () => {
    const [input, judged] = [
      judgeInputOf(clear, spec(clear)),
      judgeWithoutShuffle(judgeInputOf(clear, spec(clear))),
    ];
    expect(unitsInTurn(input)).toHaveLength(12);
    expect(
      unitsInTurn(input).flatMap(unit =>
        withoutUnit(input, judged, unit).changes.filter(change => change.treatment === 'feed 1'),
      ),
    ).toEqual([]);
    const giant = trial.units.find(unit => at(trial, unit) === 2);
    const odd = grown((unit, i) => (unit === giant ? 900 : 300 + 2 * (i % 3)));
    const oddInput = judgeInputOf(odd, spec(odd));
    const without = withoutUnit(oddInput, judgeWithoutShuffle(oddInput), giant?.code ?? '');
    expect(without.changes.find(change => change.treatment === 'feed 2')).toMatchObject({
      from: 'cant-tell',
    });
  });
  test('of crossed factors it is the factors’ own comparisons that are looked at without a unit', () => {
    const cells = {
      'kale:none': 100,
      'kale:char': 105,
      'collards:none': 100,
      'collards:char': 105,
    };
    const units = Object.entries(cells).flatMap(([treatment, mean]) =>
      [1, -1, 2, -2].map((extra, i) => ({
        id: `${treatment}${i}`,
        treatment,
        value: treatment === 'kale:none' && i === 0 ? 140 : mean + extra,
        blocks: [],
      })),
    );
    const crossed = judgeInputFixture(units, {
      control: 'kale:none',
      factors: {
        names: ['crop', 'char'],
        levelsOf: Object.fromEntries(Object.keys(cells).map(cell => [cell, cell.split(':')])),
      },
    });
    expect(withoutUnit(crossed, judgeWithoutShuffle(crossed), 'kale:none0').changes).toEqual([
      { treatment: 'char', from: 'cant-tell', to: 'better' },
    ]);
  });
  test('a slope along the bench that blocks did not take out is seen, and which way it rises; without one it is not', () => {
    const long = trialFixture({ treatments: 2, unitsEach: 12 });
    const places = new Map(long.places.map(place => [place.id, place]));
    const byX = new Map(long.units.map(unit => [unit.code, places.get(unit.placeId)?.xMm ?? 0]));
    const sloped: TrialData = {
      ...long,
      picks: long.units.map((unit, i) =>
        pickFixture(unit, { netG: 200 + 0.2 * (byX.get(unit.code) ?? 0) + (i % 3) }),
      ),
    };
    const found = positionCheck(sloped, judgeInputOf(sloped, spec(sloped)));
    expect([found?.towards, (found?.gradientP ?? 1) < 0.001]).toEqual(['the right', true]);
    const flat: TrialData = {
      ...long,
      picks: long.units.map((unit, i) => pickFixture(unit, { netG: 200 + ((i * 7919) % 13) })),
    };
    expect((positionCheck(flat, judgeInputOf(flat, spec(flat)))?.gradientP ?? 0) > 0.05).toBe(true);
  });
});

test('what next follows the calls', () => {
  const input = judgeInputOf(clear, spec(clear));
  expect(
    nextSteps(judgeWithoutShuffle(input), input).map(step => [step.treatment, step.step]),
  ).toEqual([
    ['feed 1', 'keep'],
    ['feed 2', 'cheapest'],
  ]);
  const one = trialFixture({ treatments: 2, unitsEach: 1 });
  const story: TrialData = { ...one, picks: one.units.map(unit => pickFixture(unit)) };
  const storyInput = judgeInputOf(story, spec(story));
  expect(nextSteps(judgeWithoutShuffle(storyInput), storyInput)[0]?.step).toBe('again');
});

test('lessons name the spread, what happened, and what was not done', () => {
  const data: TrialData = {
    ...clear,
    incidents: [leaveOutFixture(clear.units[0]!, { cause: 'slugs' })],
  };
  const input = judgeInputOf(data, spec(data));
  const lessons = lessonsOf(data, {
    spread: spreadWithin({ input, judgement: judgeWithoutShuffle(input) }),
    split: null,
    again: null,
    position: null,
    today: '2026-08-01',
  });
  expect(lessons[0]).toMatch(/^Pots treated alike differed by \d+%/);
  expect(lessons).toEqual(
    expect.arrayContaining([
      '1 pot: slugs or snails. Guard against it, or raise some to spare.',
      'No start sizes were taken: measure before the deal, and it is dealt alike.',
    ]),
  );
});

test('a second run turns the order every second time where there is no gap, and hardly ever at a large one', () => {
  expect(chanceOfTurn(0, 0.3)).toBe(0.5);
  expect(chanceOfTurn(0.3, 0.3)).toBeCloseTo(0.3085, 3); // Φ(−1/2)
  expect(chanceOfTurn(3, 0.3)).toBeLessThan(0.001);
  // 100 against 290 g: the gap of 190 is 0.974 of their mean of 195. With a spread of 0.28, Φ(−0.974 / 0.56) = 0.041.
  expect(shareOfMean(190)).toBeCloseTo(190 / 195, 9);
  expect(chanceOfTurn(shareOfMean(190), 0.28)).toBeCloseTo(0.041, 3);
});

describe('a frozen verdict', () => {
  const planned = plannedSpec(clear, STARTING_GUESS_CV);
  const input = judgeInputOf(clear, { ...planned, shuffles: 200 });
  const file = {
    format: 'turnspit-frozen',
    version: 1,
    code: '0.1.0',
    closedAt: '2026-08-01T18:00:00.000Z',
    data: clear,
    look: {
      measureId: planned.measureId,
      shuffles: 200,
      seed: planned.seed,
      priorCv: planned.priorCv,
    },
    input,
    judgement: judge(input),
  };
  const read = (changes: object = {}): unknown =>
    JSON.parse(JSON.stringify({ ...file, ...changes }));
  test('comes out of its own plan, data and seed again', () => {
    expect(checkFrozen(read())).toMatchObject({
      ok: true,
      value: { isSameInput: true, isSameJudgement: true, differences: [] },
    });
  });
  test('a gram changed afterwards is found, and so is a verdict that was touched', () => {
    const [first, ...others] = clear.picks;
    expect(
      checkFrozen(
        read({
          data: { ...clear, picks: [{ ...first, netG: (first?.netG ?? 0) + 1 }, ...others] },
        }),
      ),
    ).toMatchObject({ ok: true, value: { isSameInput: false, isSameJudgement: true } });
    const touched = {
      ...file.judgement,
      verdict: { ...file.judgement.verdict, headline: 'Everything works.' },
    };
    const found = checkFrozen(read({ judgement: touched }));
    expect(
      found.ok && [
        found.value.isSameJudgement,
        found.value.differences[0]?.startsWith('judgement.verdict.headline'),
      ],
    ).toEqual([false, true]);
  });
  test('what is no frozen verdict says so', () => {
    expect([checkFrozen(null).ok, checkFrozen({ format: 'other' }).ok]).toEqual([false, false]);
  });
});

describe('what a measure’s own page adds', () => {
  const one = trialFixture({ treatments: 3, unitsEach: 2 });
  const slugs = made('slugs', '00000000-0000-7000-8000-0000000000b1');
  const of = (
    data: TrialData,
    values: readonly number[],
    measure: typeof slugs,
    takenOn: string,
    changes = {},
  ) =>
    data.units.map(unit =>
      readingFixture(unit, measure, values[at(data, unit)] ?? 0, { takenOn, ...changes }),
    );
  test('efficacy without a count before is Abbott’s, with one before the first act Henderson and Tilton’s', () => {
    const data: TrialData = {
      ...one,
      measures: [...one.measures, slugs],
      readings: [
        ...of(one, [30, 29, 12], slugs, '2026-05-20'),
        ...of(one, [50, 5, 50], slugs, '2026-06-20'),
      ],
    };
    expect(trialEfficacy(data, slugs)).toMatchObject({
      method: 'abbott',
      treatments: [{ percent: 90 }, { percent: 0 }],
    });
    const remedy = careRuleFixture({ treatmentIds: one.treatments.slice(1).map(({ id }) => id) });
    const water = careRuleFixture({ kind: 'water' });
    const acts = [
      careActFixture(water, 0, '2026-05-10'),
      careActFixture(remedy, 0, '2026-05-12', { isSkipped: true }),
      careActFixture(remedy, 1, '2026-05-21'),
    ];
    const care = { ...data.care, rules: [remedy, water], acts };
    const treated = trialEfficacy({ ...data, care }, slugs);
    // 100 (1 − 5·30/(29·50)); 100 (1 − 50·30/(12·50)): they began unlike.
    expect(treated?.treatments.map(each => Math.round((each.percent ?? 0) * 100) / 100)).toEqual([
      89.66, -150,
    ]);
    expect([treated?.method, treated?.isUnlikeBefore]).toEqual(['henderson-tilton', true]);
  });
  test('what came up is what is new at each look', () => {
    const sown = made('germination', '00000000-0000-7000-8000-0000000000b2');
    const looks = (
      [
        [3, 1],
        [5, 5],
        [7, 8],
      ] as const
    ).flatMap(([day, up]) => of(one, [up, up, up], sown, `2026-05-0${1 + day}`, { outOf: 10 }));
    expect(
      trialGermination({ ...one, measures: [...one.measures, sown], readings: looks }, sown)?.[0],
    ).toMatchObject({
      treatment: 'plain water',
      sown: 20,
      percent: 80,
      t50Days: 3 + (6 / 8) * 2,
      meanDays: (2 * 3 + 8 * 5 + 6 * 7) / 16,
    });
  });
  test('an S is found where plants grew in one, and too few looks say nothing', () => {
    const height = made('height', '00000000-0000-7000-8000-0000000000b3');
    const size = (day: number): number => 300 / (1 + Math.exp((20 - day) / 5));
    const readings = [4, 8, 12, 16, 20, 24, 28].flatMap(day =>
      of(
        one,
        [size(day), size(day) * 1.1, size(day)],
        height,
        `2026-05-${String(1 + day).padStart(2, '0')}`,
      ),
    );
    const [plain] =
      trialGrowth({ ...one, measures: [...one.measures, height], readings }, height) ?? [];
    expect([plain?.fits[0]?.curve, Math.round(plain?.fits[0]?.parameters.xmid ?? 0)]).toEqual([
      'logistic',
      20,
    ]);
    expect(
      trialGrowth(
        { ...one, measures: [...one.measures, height], readings: readings.slice(0, 12) },
        height,
      ),
    ).toBeUndefined();
  });
});

const MEASURE = { summary: 'sound-weight', kindKey: null, better: 'higher' } as const;

test('seasons are taken together with those that could not tell, and a treatment of one season is not', () => {
  const judged = (data: TrialData) => judgeWithoutShuffle(judgeInputOf(data, spec(data))).contrasts;
  const own = {
    trialId: 'a',
    question: 'This year?',
    crop: 'beans',
    closedOn: '2026-10-01',
    measure: MEASURE,
    contrasts: judged(clear),
  };
  const before = {
    trialId: 'b',
    question: 'Last year?',
    crop: 'beans',
    closedOn: '2025-10-01',
    measure: MEASURE,
    contrasts: judged(
      grown((unit, i) => 300 + 30 * Number(at(trial, unit) === 1) + 40 * (i % 4)),
    ).filter(contrast => contrast.treatment === 'feed 1'),
  };
  const together = seasonsTogether(own, [before]);
  expect(
    together.map(each => [each.treatment, each.seasons.map(season => season.trialId)]),
  ).toEqual([['feed 1', ['b', 'a']]]);
  const seasons = together[0]?.seasons ?? [];
  const gaps = seasons.map(season => season.percent ?? Number.NaN);
  const pooled = poolSeasons(seasons)?.percent ?? Number.NaN;
  expect(pooled >= Math.min(...gaps) && pooled <= Math.max(...gaps)).toBe(true);
  expect(seasonsTogether(own, [])).toEqual([]);
});

test('rivals are named from the audit, the map and the mishaps, each with a test that would tell', () => {
  const finding = (code: string) =>
    ({ code, grade: 'weakens', says: '', why: '', remedy: '' }) as const;
  const data: TrialData = {
    ...clear,
    incidents: [leaveOutFixture(clear.units[0]!, { cause: 'frost', byTreatment: 'no' })],
  };
  const found = alternativeExplanationsOf(data, {
    findings: [finding('not-blind'), finding('differs-in-amount'), finding('few-each')],
    position: { gradientP: 0.01, towards: 'the left', neighbours: null },
    today: '2026-08-01',
  });
  expect(found.map(rival => rival.says)).toEqual([
    'Whoever measured may have favoured one.',
    'It was how much was fed, not what.',
    'The bench did it: it rose towards the left.',
    'A mishap did it: frost.',
  ]);
});

test('what a treatment costs a unit, as it was put down with the question, stands in where the shelf knows no price', () => {
  const money = { costEach: 3, worthPerKg: 2, presentKg: 1 };
  const data = { ...trial, trial: { ...trial.trial, money } };
  expect(treatmentCosts(data, data.trial.endsOn).map(({ materials }) => materials)).toEqual([
    0,
    ...data.treatments.slice(1).map(() => 3),
  ]);
  expect(treatmentCosts(trial, trial.trial.endsOn).map(({ materials }) => materials)).toEqual(
    trial.treatments.map(() => 0),
  );
});
