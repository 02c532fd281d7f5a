import fc from 'fast-check';
import { v7 } from 'uuid';
import { aliasingOf } from '@/core/design/audit/aliasing';
import { readBench } from '@/core/design/layouts/bench-form';
import { closedPower } from '@/core/design/power/closed-power';
import { missingControls } from '@/core/design/question/control-advice';
import { readQuestion } from '@/core/design/question/question-form';
import { QUESTION_PATTERNS } from '@/core/design/question/question-patterns';
import { QuestionForm } from '@/core/design/question/question-shape';
import { chiSquareDraw } from '@/core/stats/distributions/chi-square-draw';
import { tQuantile } from '@/core/stats/distributions/distributions';
import { powerOfT } from '@/core/stats/distributions/power-of-t';
import { seededRandom } from '@/core/stats/distributions/seeded-random';
import { trialFixture } from '@/core/trial/fixtures/trial-fixture';
import { BLANK_LAYOUT } from '@/core/trial/model/blank-facts';
import { dryRuns } from './dry-run';
import { type PlannedTrial, plannedInput } from './planned-input';
import { plannedReadingOf } from './planning-guess';
import { WHOLE_PLOT_SHARE } from './season-noise';
import { seasonsOf } from './simulate-seasons';
import { simulateVerdicts } from './simulate-verdicts';
import { sizeCurve, sizesFor, splitsOf } from './size-curve';

const WEIGHED = { outcome: 'continuous' } as const;

const planOf = (
  treatments: number,
  each: number,
  margin: PlannedTrial['margin'] = null,
  blocks = 0,
): PlannedTrial => ({
  request: {
    ...BLANK_LAYOUT,
    kind: blocks > 0 ? 'complete-blocks' : 'complete-randomisation',
    each,
    blockCount: blocks,
    blockWord: 'shelf',
  },
  treatments: trialFixture({ treatments }).treatments,
  unitWord: 'pot',
  response: 'beans',
  better: 'higher',
  margin,
  reading: WEIGHED,
});

// Without a margin the rule is Dunnett’s test: the share of simulated trials that see it is its closed power.
test.each([
  [2, 6, 0.5],
  [4, 5, 0.5],
  [4, 8, 0.3],
])(
  '%d treatments of %d, %d better: the rule sees it as often as the closed form says',
  (treatments, each, effect) => {
    const run = simulateVerdicts(
      plannedInput(planOf(treatments, each), 1),
      WEIGHED,
      { cv: 0.3, level: 1, effect },
      3,
    );
    run?.run(20_000);
    const closed = closedPower(
      { kind: 'dunnett', groups: treatments, delta: effect, sd: 0.3, alpha: 0.05 },
      each,
    );
    expect(Math.abs((run?.shares().seen ?? 9) - closed)).toBeLessThan(3 * Math.sqrt(0.25 / 20_000));
  },
);

test('when nothing works, five in a hundred trials see something', () => {
  const run = simulateVerdicts(
    plannedInput(planOf(4, 6), 1),
    WEIGHED,
    { cv: 0.3, level: 1, effect: 0 },
    5,
  );
  run?.run(20_000);
  const shares = run?.shares();
  // The three tests together have 5%; the two that are left to alarm beside the first have somewhat less.
  expect(shares?.falseAlarm).toBeGreaterThan(0.02);
  expect(shares?.falseAlarm).toBeLessThan(0.05);
});

test('a margin in percent is judged by Fieller’s interval, and asks for more', () => {
  const shares = [null, { kind: 'percent', percent: 15 } as const].map(margin => {
    const run = simulateVerdicts(
      plannedInput(planOf(3, 8, margin, 0), 1),
      WEIGHED,
      { cv: 0.2, level: 1, effect: 0.4 },
      7,
    );
    run?.run(4000);
    return run?.shares();
  });
  expect(shares[1]?.clearlySeen).toBeGreaterThan(0.2);
  expect(shares[1]?.clearlySeen).toBeLessThan(shares[0]?.seen ?? 0);
});

// Two covers on whole beds, two feeds within. What is asked is each averaged over the other; as the judge has it where
// comparisons have several degrees of freedom, each has an equal share of the 5%. Of b strips: covers by b − 1 degrees of freedom,
// variance (2/b)(σ²/2 + that of beds); feeds by 2b − 2, variance σ²/b.
const STRIPS = 5;
const crossedPlan = (order: readonly ['cover' | 'feed', 'cover' | 'feed']): PlannedTrial => {
  const cells = ['bare', 'mulched'].flatMap(cover =>
    ['water', 'feed'].map(feed => ({ cover, feed })),
  );
  const treatments = trialFixture({ treatments: 4 }).treatments.map((treatment, i) => ({
    ...treatment,
    levels: Object.fromEntries(order.map(name => [name, cells[i]?.[name] ?? ''])),
    name: `${cells[i]?.cover} ${cells[i]?.feed}`,
  }));
  return {
    ...planOf(4, 1),
    treatments,
    request: {
      ...BLANK_LAYOUT,
      kind: 'split-plot',
      each: 1,
      blockCount: STRIPS,
      blockWord: 'strip',
      wholeFactor: 'cover',
      wholeWord: 'bed',
    },
  };
};
test.each([
  [
    'covers',
    ['cover', 'feed'],
    STRIPS - 1,
    (2 / STRIPS) * (0.2 ** 2 / 2 + (WHOLE_PLOT_SHARE * 0.2) ** 2),
  ],
  ['feeds', ['feed', 'cover'], 2 * STRIPS - 2, 0.2 ** 2 / STRIPS],
] as const)(
  'in a split plot %s are seen as often as the closed form says',
  (_, order, df, variance) => {
    const run = simulateVerdicts(
      plannedInput(crossedPlan(order), 1),
      WEIGHED,
      { cv: 0.2, level: 1, effect: 0.3 },
      3,
    );
    run?.run(20_000);
    const closed = powerOfT(0.3 / Math.sqrt(variance), tQuantile(1 - 0.05 / 4, df), df);
    expect(Math.abs((run?.shares().seen ?? 9) - closed)).toBeLessThan(3 * Math.sqrt(0.25 / 20_000));
  },
);

test.each([
  ['anywhere on the bench', planOf(3, 6)],
  ['blocks, a margin in percent', planOf(4, 1, { kind: 'percent', percent: 15 }, 5)],
  ['blocks, a margin in its own unit', planOf(2, 1, { kind: 'absolute', amount: 30 }, 6)],
  [
    'two taken together, which was agreed on',
    { ...planOf(4, 1, null, 6), agreed: { one: ['feed 1', 'feed 2'], other: ['plain water'] } },
  ],
  [
    'a pair that was agreed on',
    { ...planOf(3, 1, null, 6), agreed: { one: ['feed 2'], other: ['feed 1'] } },
  ],
  ['a split plot', crossedPlan(['feed', 'cover'])],
] as const)(
  'the planner calls as often as the judge does of seasons drawn unit by unit: %s',
  (_, plan) => {
    const input = plannedInput(plan, 1);
    const truth = { cv: 0.2, level: 200, effect: 70 };
    const planned = simulateVerdicts(input, WEIGHED, truth, 3);
    planned?.run(20_000);
    const season = seasonsOf(input, WEIGHED, truth, 4);
    const SEASONS = 300;
    const first = Array.from({ length: SEASONS }, () => season()[0]);
    const shareOf = (...calls: readonly string[]): number =>
      first.filter(call => call !== undefined && calls.includes(call)).length / SEASONS;
    const shares = planned?.shares();
    for (const [drawn, expected] of [
      [shareOf('better', 'clearly-better'), shares?.seen ?? 9],
      [shareOf('clearly-better'), shares?.clearlySeen ?? 9],
    ] as const)
      expect(Math.abs(drawn - expected)).toBeLessThan(
        4 * Math.sqrt(Math.max(0.01, expected * (1 - expected)) / SEASONS),
      );
  },
);

test('one unit each leaves nothing to simulate', () => {
  expect(
    simulateVerdicts(plannedInput(planOf(3, 1), 1), WEIGHED, { cv: 0.3, level: 1, effect: 0.5 }, 1),
  ).toBeUndefined();
});

// Mean df and variance 2 df, each within five standard errors.
test.each([1, 2, 5, 35])('chi-square draws on %d degrees of freedom', df => {
  const random = seededRandom(9);
  const draws = Array.from({ length: 40_000 }, () => chiSquareDraw(df, random));
  const mean = draws.reduce((sum, value) => sum + value, 0) / draws.length;
  const variance = draws.reduce((sum, value) => sum + (value - mean) ** 2, 0) / draws.length;
  expect(Math.abs(mean - df)).toBeLessThan(5 * Math.sqrt((2 * df) / draws.length));
  expect(Math.abs(variance / (2 * df) - 1)).toBeLessThan(
    5 * Math.sqrt((2 + 12 / df) / draws.length),
  );
});

const form = (changes: Partial<QuestionForm>): QuestionForm => ({
  ...QuestionForm.parse({
    question: 'Q?',
    crop: 'beans',
    picked: 'beans',
    unitWord: 'pot',
    startsOn: '2026-05-01',
    endsOn: '2026-09-01',
    treatments: [{ name: 'a' }, { name: 'b' }],
    control: 0,
    summary: 'sound-weight',
    better: 'higher',
    marginKind: 'percent',
    margin: '15',
  }),
  ...changes,
});
const BENCH = {
  kind: 'complete-blocks',
  unitsEach: '1',
  blockCount: '4',
  blockWord: 'shelf',
  unitWidth: '25 cm',
  isBlind: true,
} as const;

describe.each(QUESTION_PATTERNS.map(pattern => [pattern.asks, pattern] as const))(
  '%s',
  (_, pattern) => {
    const question = readQuestion(form(pattern.form), 'uk', v7);
    if (!question.ok) throw new Error(JSON.stringify(question.trouble));
    const request = readBench({ ...BENCH, ...pattern.bench }, 'uk', question.value.treatments);
    if (!request.ok) throw new Error(JSON.stringify(request.trouble));
    const main = question.value.measures.find(measure => measure.isMain);
    const plan: PlannedTrial = {
      request: request.value,
      treatments: question.value.treatments,
      unitWord: 'pot',
      response: 'beans',
      better: main?.better ?? 'higher',
      margin: main?.margin ?? null,
      reading: plannedReadingOf(main?.scale ?? null, 60),
    };

    test('makes a trial that can be laid out and judged, and has the control it needs', () => {
      const runs = dryRuns(plan, 0.1, 4);
      expect(runs).toHaveLength(3);
      for (const run of runs) expect(run.headline).not.toBe('These readings can’t be judged.');
      expect(runs[1]).not.toEqual({ ...runs[2], story: runs[1]?.story });
    });
  },
);

test('there are at least twelve, each told apart', () => {
  expect(QUESTION_PATTERNS.length).toBeGreaterThanOrEqual(12);
  expect(new Set(QUESTION_PATTERNS.map(pattern => pattern.id)).size).toBe(QUESTION_PATTERNS.length);
});

test('cells that were left out say what can’t be told', () => {
  const factors = ['A', 'B', 'C'].map(name => ({ name, levels: ['no', 'yes'] }));
  const cell = (a: number, b: number, c: number) => ({
    A: a ? 'yes' : 'no',
    B: b ? 'yes' : 'no',
    C: c ? 'yes' : 'no',
  });
  // None, each alone, and all three: five of eight cells.
  const five = aliasingOf(factors, [
    cell(0, 0, 0),
    cell(1, 0, 0),
    cell(0, 1, 0),
    cell(0, 0, 1),
    cell(1, 1, 1),
  ]);
  // With A, B, C and all three together each pair would take what the other two share.
  expect(five.mainEffects.map(effect => effect.share)).toEqual(['part', 'part', 'part']);
  expect(five.interactions.map(each => each.share)).toEqual(['none', 'none', 'none']);
  expect(
    aliasingOf(factors.slice(0, 2), [cell(0, 0, 0), cell(1, 1, 0)]).mainEffects.map(
      effect => effect.share,
    ),
  ).toEqual(['none', 'none']);
  expect(
    aliasingOf(factors.slice(0, 2), [cell(0, 0, 0), cell(1, 0, 0), cell(0, 1, 0)]).interactions,
  ).toEqual([{ factors: ['A', 'B'], share: 'none' }]);
  expect(
    aliasingOf(factors.slice(0, 2), [cell(0, 0, 0), cell(1, 0, 0), cell(0, 1, 0), cell(1, 1, 0)])
      .interactions,
  ).toEqual([{ factors: ['A', 'B'], share: 'whole' }]);
});

test('a spray without a plain-water spray is missing its control', () => {
  expect(missingControls('remedy', ['nothing']).map(need => need.kind)).toEqual(['carrier']);
  expect(missingControls('remedy', ['carrier'])).toEqual([]);
});

test('the same plan and seed run dry the same way', () => {
  fc.assert(
    fc.property(fc.integer({ min: 0, max: 1000 }), seed => {
      expect(dryRuns(planOf(3, 3), 0.3, seed)).toEqual(dryRuns(planOf(3, 3), 0.3, seed));
    }),
    { numRuns: 5 },
  );
});

test('a curve grows size by size, rises with the size, and adds up its trials', () => {
  const plan = planOf(3, 4, { kind: 'percent', percent: 15 });
  const sizes = sizesFor(plan);
  expect(sizes).toContain(4);
  const growing = sizeCurve({
    plan,
    truth: { cv: 0.2, level: 1, effect: 0.4 },
    sizes,
    own: 4,
    seed: 1,
  });
  expect(growing.curve()).toEqual([]);
  growing.advance(sizes.indexOf(12), 300);
  growing.advance(sizes.indexOf(3), 100);
  growing.advance(sizes.indexOf(3), 200);
  const [small, large] = growing.curve();
  expect([small?.size, large?.size, small?.shares?.trials, small?.units]).toEqual([3, 12, 300, 9]);
  expect(large?.shares?.seen).toBeGreaterThan(small?.shares?.seen ?? 1);
  expect(large?.smallestSeen).toBeLessThan(small?.smallestSeen ?? 0);
});

test('the same pots on fewer treatments show smaller gains', () => {
  const splits = splitsOf(24, 0.3).filter(split => split.smallest !== null);
  expect(splits.map(split => split.treatments)).toEqual([8, 6, 4, 3, 2]);
  for (const [i, split] of splits.slice(1).entries())
    expect(split.smallest).toBeLessThan(splits[i]?.smallest ?? 0);
  expect(splitsOf(8, 0.3)[0]).toEqual({ treatments: 8, each: 1, smallest: null });
});

test('a square has one size only', () => {
  const plan = planOf(4, 1);
  expect(
    sizesFor({ ...plan, request: { ...plan.request, kind: 'latin-square', blockCount: 4 } }),
  ).toEqual([4]);
});
