import fc from 'fast-check';
import { v7 } from 'uuid';
import { aliasingOf } from '@/core/design/audit/aliasing';
import { readBench } from '@/core/design/layouts/bench-form';
import { closedPower } from '@/core/design/power/closed-power';
import { missingControls } from '@/core/design/question/control-advice';
import { readQuestion } from '@/core/design/question/question-form';
import { QUESTION_PATTERNS } from '@/core/design/question/question-patterns';
import { QuestionForm } from '@/core/design/question/question-shape';
import { judgeWithoutShuffle } from '@/core/judge/outcomes/judge';
import { chiSquareDraw } from '@/core/stats/distributions/chi-square-draw';
import { tQuantile } from '@/core/stats/distributions/distributions';
import { normalDraw } from '@/core/stats/distributions/normal-draw';
import { powerOfT } from '@/core/stats/distributions/power-of-t';
import { seededRandom } from '@/core/stats/distributions/seeded-random';
import { trialFixture } from '@/core/trial/fixtures/trial-fixture';
import { BLANK_LAYOUT } from '@/core/trial/model/blank-facts';
import { dryRuns } from './dry-run';
import { type PlannedTrial, plannedInput } from './planned-input';
import { WHOLE_PLOT_SHARE } from './season-noise';
import { simulateVerdicts } from './simulate-verdicts';
import { sizeCurve, sizesFor, splitsOf } from './size-curve';

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
});

// Without a margin the rule is Dunnett’s test: the share of simulated trials that see it is its closed power.
test.each([
  [2, 6, 0.5],
  [4, 5, 0.5],
  [4, 8, 0.3],
])(
  '%d treatments of %d, %d better: the rule sees it as often as the closed form says',
  (treatments, each, effect) => {
    const run = simulateVerdicts(plannedInput(planOf(treatments, each), 1), { cv: 0.3, effect }, 3);
    run?.run(20_000);
    const closed = closedPower(
      { kind: 'dunnett', groups: treatments, delta: effect, sd: 0.3, alpha: 0.05 },
      each,
    );
    expect(Math.abs((run?.shares().seen ?? 9) - closed)).toBeLessThan(3 * Math.sqrt(0.25 / 20_000));
  },
);

test('when nothing works, five in a hundred trials see something', () => {
  const run = simulateVerdicts(plannedInput(planOf(4, 6), 1), { cv: 0.3, effect: 0 }, 5);
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
      { cv: 0.2, effect: 0.4 },
      7,
    );
    run?.run(4000);
    return run?.shares();
  });
  expect(shares[1]?.clearlySeen).toBeGreaterThan(0.2);
  expect(shares[1]?.clearlySeen).toBeLessThan(shares[0]?.seen ?? 0);
});

// Two covers on whole beds, two feeds within. The first comparison lies within beds: 2b − 2 degrees of freedom, a variance of
// 2 σ²/b, and, as the judge has it where comparisons have several degrees of freedom, an equal share of the 5% for each of three.
test('in a split plot what lies within beds is seen as often as the closed form says', () => {
  const covers = ['bare', 'mulched'].flatMap(cover =>
    ['water', 'feed'].map(feed => ({ cover, feed })),
  );
  const treatments = trialFixture({ treatments: 4 }).treatments.map((treatment, i) => ({
    ...treatment,
    levels: { ...covers[i] },
    name: `${covers[i]?.cover} ${covers[i]?.feed}`,
  }));
  const b = 5;
  const plan: PlannedTrial = {
    ...planOf(4, 1),
    treatments,
    request: {
      ...BLANK_LAYOUT,
      kind: 'split-plot',
      each: 1,
      blockCount: b,
      blockWord: 'strip',
      wholeFactor: 'cover',
      wholeWord: 'bed',
    },
  };
  const run = simulateVerdicts(plannedInput(plan, 1), { cv: 0.2, effect: 0.4 }, 3);
  run?.run(20_000);
  const critical = tQuantile(1 - 0.05 / 6, 2 * b - 2);
  expect(
    Math.abs(
      (run?.shares().seen ?? 9) - powerOfT(0.4 / (0.2 * Math.sqrt(2 / b)), critical, 2 * b - 2),
    ),
  ).toBeLessThan(3 * Math.sqrt(0.25 / 20_000));
  expect(run?.shares().falseAlarm).toBeLessThan(0.06);
});

test('the planner calls a split plot as often as the judge does of seasons drawn plot by plot', () => {
  const covers = ['bare', 'mulched'].flatMap(cover =>
    ['water', 'feed'].map(feed => ({ cover, feed })),
  );
  const treatments = trialFixture({ treatments: 4 }).treatments.map((treatment, i) => ({
    ...treatment,
    levels: { ...covers[i] },
    name: `${covers[i]?.cover} ${covers[i]?.feed}`,
  }));
  const plan: PlannedTrial = {
    ...planOf(4, 1),
    treatments,
    request: {
      ...BLANK_LAYOUT,
      kind: 'split-plot',
      each: 1,
      blockCount: 5,
      blockWord: 'strip',
      wholeFactor: 'cover',
      wholeWord: 'bed',
    },
  };
  const input = plannedInput(plan, 1);
  const planned = simulateVerdicts(input, { cv: 0.2, effect: 0.4 }, 3);
  planned?.run(20_000);
  const SEASONS = 200;
  let seen = 0;
  for (let seed = 1; seed <= SEASONS; seed++) {
    const random = seededRandom(seed);
    const bedError = new Map<string, number>();
    const units = input.units.map(unit => {
      const bed = `${unit.blocks.join()} ${unit.wholePlot}`;
      const luck = bedError.get(bed) ?? WHOLE_PLOT_SHARE * 0.2 * normalDraw(random);
      bedError.set(bed, luck);
      return {
        ...unit,
        value:
          1 + (unit.treatment === input.treatments[1] ? 0.4 : 0) + luck + 0.2 * normalDraw(random),
      };
    });
    const call = judgeWithoutShuffle({ ...input, units }).contrasts.find(
      contrast => contrast.treatment === input.treatments[1],
    )?.call;
    seen += Number(call === 'better' || call === 'clearly-better');
  }
  // The comparison lies within beds, so that their luck does not touch it.
  const share = planned?.shares().seen ?? 9;
  expect(Math.abs(seen / SEASONS - share)).toBeLessThan(
    4 * Math.sqrt((share * (1 - share)) / SEASONS),
  );
});

test('one unit each leaves nothing to simulate', () => {
  expect(
    simulateVerdicts(plannedInput(planOf(3, 1), 1), { cv: 0.3, effect: 0.5 }, 1),
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
  const growing = sizeCurve({ plan, cv: 0.2, effect: 0.4, sizes, own: 4, seed: 1 });
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
