import { type DealPlan, deal } from '@/core/design/layouts/deal';
import type { JudgedUnit } from '@/core/design/linear/design-input';
import { callsOf, judge, judgeWithoutShuffle } from '@/core/judge/outcomes/judge';
import type { Call, Contrast } from '@/core/judge/outcomes/judgement';
import {
  type JudgeInput,
  type Outcome,
  STARTING_GUESS_CV,
} from '@/core/judge/question/judge-input';
import { normalDraw } from '@/core/stats/distributions/normal-draw';
import { type SeededRandom, seededRandom } from '@/core/stats/distributions/seeded-random';
import { simulateDoses } from './simulate-doses';
import { simulateGardens } from './simulate-gardens';
import { simulateMargin } from './simulate-margin';

// How often trials in which nothing works are called, and how often intervals hold the truth: `npm run simulate -- 5000`,
// or only one of them: `-- 5000 kinds`, `-- 5000 means`, `-- 5000 gardens`; or only some layouts: `-- 5000 kinds "split plot"`; or only one kind
// of reading in them: `-- 5000 kinds "split plot" days`.
const TRIALS = Number(process.argv[2] ?? 1000);
const WHICH = process.argv[3] ?? 'all';
const ONLY = process.argv[4] ?? '';
const ONLY_OF = process.argv[5] ?? '';

interface Layout {
  readonly name: string;
  readonly plan: DealPlan;
  readonly treatments: number;
  readonly blockNames: readonly string[];
  readonly isPaired?: boolean;
}

const ALL_LAYOUTS: readonly Layout[] = [
  {
    name: 'over the whole bench, 3 × 5',
    plan: { kind: 'complete-randomisation', copies: [5, 5, 5] },
    treatments: 3,
    blockNames: [],
  },
  {
    name: 'unequal, 8 + 4 + 4',
    plan: { kind: 'complete-randomisation', copies: [8, 4, 4] },
    treatments: 3,
    blockNames: [],
  },
  {
    name: 'blocks, 4 × 5',
    plan: { kind: 'complete-blocks', copies: [1, 1, 1, 1], blocks: 5 },
    treatments: 4,
    blockNames: ['shelf'],
  },
  {
    name: 'pairs, 8',
    plan: { kind: 'complete-blocks', copies: [1, 1], blocks: 8 },
    treatments: 2,
    blockNames: ['pair'],
    isPaired: true,
  },
  {
    name: 'Latin square, 4 × 4',
    plan: { kind: 'latin-square', treatments: 4 },
    treatments: 4,
    blockNames: ['row', 'column'],
  },
  {
    name: 'split plot, 2 × 3 in 4',
    plan: {
      kind: 'split-plot',
      blocks: 4,
      treatmentOf: [
        [0, 1, 2],
        [3, 4, 5],
      ],
    },
    treatments: 6,
    blockNames: ['strip'],
  },
  {
    name: 'incomplete blocks, 6 of 3 in 10',
    plan: { kind: 'incomplete-blocks', treatments: 6, blocks: 10, perBlock: 3 },
    treatments: 6,
    blockNames: ['shelf'],
  },
];
const LAYOUTS = ALL_LAYOUTS.filter(layout => layout.name.includes(ONLY));

const names = (count: number): readonly string[] =>
  Array.from({ length: count }, (_, i) => `t${i}`);
const isCalled = (call: Call): boolean =>
  call === 'better' || call === 'clearly-better' || call === 'worse' || call === 'clearly-worse';

interface Tally {
  called: number;
  held: number;
  ends: number;
  p05: number;
  p50: number;
  tested: number;
}

/** A trial in which treatment 1 truly does so much more than the rest; blocks differ, units of one bed share its luck. */
function continuousInput(
  { plan, treatments, blockNames, isPaired }: Layout,
  effect: number,
  seed: number,
  shuffles: number,
): JudgeInput {
  const random = seededRandom(seed);
  const blockLuck = new Map<string, number>();
  const luckOf = (key: string, sd: number): number => {
    const standing = blockLuck.get(key) ?? sd * normalDraw(random);
    blockLuck.set(key, standing);
    return standing;
  };
  const units = deal(plan, seed).map(
    (dealt, i): JudgedUnit => ({
      id: String(i),
      treatment: `t${dealt.treatment}`,
      blocks: blockNames.map((_, b) => String(b === 0 ? dealt.block : dealt.column)),
      ...(plan.kind === 'split-plot' ? { wholePlot: String(dealt.wholePlot) } : {}),
      value:
        100 +
        (dealt.treatment === 1 ? effect : 0) +
        luckOf(`block ${dealt.block}`, 10) +
        luckOf(`column ${dealt.column}`, plan.kind === 'latin-square' ? 10 : 0) +
        luckOf(`bed ${dealt.wholePlot}`, plan.kind === 'split-plot' ? 8 : 0) +
        10 * normalDraw(random),
    }),
  );
  return {
    outcome: 'continuous',
    response: 'yield',
    unitWord: 'pot',
    treatmentName: 'feed',
    treatments: names(treatments),
    control: 't0',
    blockNames,
    isPaired,
    units,
    subsamples: units.length,
    better: 'higher',
    margin: null,
    confidence: 0.95,
    shuffles,
    seed: 1,
    isDeclared: true,
    priorCv: STARTING_GUESS_CV,
    ...(plan.kind === 'split-plot'
      ? {
          factors: {
            names: ['soil', 'feed'],
            levelsOf: Object.fromEntries(
              names(treatments).map((name, i) => [name, [i < 3 ? 'a' : 'b', String(i % 3)]]),
            ),
          },
        }
      : {}),
  };
}

/** Whether the intervals that the calls rest on hold the truth, all together. */
function hold(tally: Tally, contrasts: readonly Contrast[], truth: number): void {
  const intervals = contrasts.flatMap(contrast =>
    contrast.estimable && contrast.ciAdjusted ? [contrast.ciAdjusted] : [],
  );
  if (intervals.length === 0) return;
  tally.ends += 1;
  if (intervals.every(([low, high]) => low <= truth && high >= truth)) tally.held += 1;
}

/** Treatments that spread unlike each other, some in fewer pots: nothing is at work. */
interface Unlike {
  readonly name: string;
  readonly copies: readonly number[];
  readonly sds: readonly number[];
  /** Each stands once in so many blocks. */
  readonly blocks?: number;
}

const UNLIKE: readonly Unlike[] = [
  { name: '12 + 4 pots, SD 5 and 20', copies: [12, 4], sds: [5, 20] },
  { name: '4 + 12 pots, SD 20 and 5', copies: [4, 12], sds: [20, 5] },
  { name: '4 + 8 + 8 pots, SD 20, 5, 5', copies: [4, 8, 8], sds: [20, 5, 5] },
  {
    name: '5 × 5 pots, a noisy control (20, 5, 5, 5, 5)',
    copies: [5, 5, 5, 5, 5],
    sds: [20, 5, 5, 5, 5],
  },
  {
    name: '5 × 5 pots, one noisy treatment (5, 20, 5, 5, 5)',
    copies: [5, 5, 5, 5, 5],
    sds: [5, 20, 5, 5, 5],
  },
  { name: '3 × 4 pots, a noisy control (20, 5, 5)', copies: [4, 4, 4], sds: [20, 5, 5] },
  { name: '5 + 5 pots alike', copies: [5, 5], sds: [10, 10] },
  {
    name: '4 in 5 blocks, a noisy control (20, 5, 5, 5)',
    copies: [1, 1, 1, 1],
    sds: [20, 5, 5, 5],
    blocks: 5,
  },
  {
    name: '3 in 8 blocks, a noisy control (20, 5, 5)',
    copies: [1, 1, 1],
    sds: [20, 5, 5],
    blocks: 8,
  },
  { name: '4 in 5 blocks alike', copies: [1, 1, 1, 1], sds: [10, 10, 10, 10], blocks: 5 },
];

function unlike({ name, copies, sds, blocks }: Unlike): void {
  const tally: Tally = { called: 0, held: 0, ends: 0, p05: 0, p50: 0, tested: 0 };
  const plan: DealPlan = blocks
    ? { kind: 'complete-blocks', copies, blocks }
    : { kind: 'complete-randomisation', copies };
  const layout = { name, plan, treatments: copies.length, blockNames: blocks ? ['shelf'] : [] };
  for (let seed = 1; seed <= TRIALS; seed++) {
    const random = seededRandom(seed);
    const input = continuousInput(layout, 0, seed, 0);
    const units = input.units.map(unit => ({
      ...unit,
      value: 100 + (sds[Number(unit.treatment.slice(1))] ?? 1) * normalDraw(random),
    }));
    const { contrasts } = callsOf({ ...input, units });
    if (contrasts.some(contrast => isCalled(contrast.call))) tally.called += 1;
    hold(tally, contrasts, 0);
  }
  say(`unlike spreads, ${name}`, tally);
}

function continuous(layout: Layout): void {
  const tally: Tally = { called: 0, held: 0, ends: 0, p05: 0, p50: 0, tested: 0 };
  for (let seed = 1; seed <= TRIALS; seed++) {
    const none = judgeWithoutShuffle(continuousInput(layout, 0, seed, 0));
    if (none.contrasts.some(contrast => isCalled(contrast.call))) tally.called += 1;
    const some = judgeWithoutShuffle(
      continuousInput(layout, 15, seed + 1_000_000, 0),
    ).contrasts.find(contrast => contrast.treatment === 't1');
    if (some?.estimable && some.ci) {
      tally.ends += 1;
      if (some.ci[0] <= 15 && some.ci[1] >= 15) tally.held += 1;
    }
    if (seed > TRIALS / 5) continue; // shuffles take longer
    const shuffled = judge(continuousInput(layout, 0, seed, 400)).contrasts[0];
    if (!shuffled?.estimable || shuffled.shufflePAdjusted === null) continue;
    tally.tested += 1;
    if (shuffled.shufflePAdjusted <= 0.05) tally.p05 += 1;
    if (shuffled.shufflePAdjusted <= 0.5) tally.p50 += 1;
  }
  say(`continuous, ${layout.name}`, tally);
}

interface Draw {
  readonly name: string;
  readonly kind: Outcome;
  /** `luck` of the block, and of a remedy that works, on the scale of the draw. */
  readonly of: (
    random: SeededRandom,
    luck: number,
  ) => Pick<JudgedUnit, 'value' | 'outOf' | 'hasCome'>;
}

const poisson = (mean: number, random: SeededRandom): number => {
  let [k, product] = [0, random.share()];
  const limit = Math.exp(-mean);
  while (product > limit) {
    k += 1;
    product *= random.share();
  }
  return k;
};
const binomial = (n: number, p: number, random: SeededRandom): number =>
  Array.from({ length: n }, () => random.share() < p).filter(Boolean).length;
const plain = {} as const;

const DRAWS: readonly Draw[] = [
  {
    name: 'counts like Poisson’s',
    kind: 'count',
    of: (random, luck) => ({ value: poisson(8 * Math.exp(0.3 * luck), random), ...plain }),
  },
  {
    name: 'counts that crowd',
    kind: 'count',
    of: (random, luck) => ({
      value: poisson(8 * Math.exp(0.3 * luck + 0.6 * normalDraw(random)), random),
      ...plain,
    }),
  },
  {
    name: 'shares of 20',
    kind: 'proportion',
    of: (random, luck) => ({
      value: binomial(20, 1 / (1 + Math.exp(-0.5 * luck)), random),
      outOf: 20,
      hasCome: false,
    }),
  },
  {
    name: 'shares of 20 that crowd',
    kind: 'proportion',
    of: (random, luck) => ({
      value: binomial(20, 1 / (1 + Math.exp(-0.5 * luck - normalDraw(random))), random),
      outOf: 20,
      hasCome: false,
    }),
  },
  {
    name: 'yes or no',
    kind: 'proportion',
    of: (random, luck) => ({
      value: binomial(1, 1 / (1 + Math.exp(-0.5 * luck)), random),
      outOf: 1,
      hasCome: false,
    }),
  },
  {
    name: 'steps of five',
    kind: 'ordinal',
    of: (random, luck) => ({
      value: Math.min(5, Math.max(1, Math.round(3 + luck + normalDraw(random)))),
      ...plain,
    }),
  },
  {
    name: 'days, some still waiting',
    kind: 'time',
    of: (random, luck) => {
      const days = Math.round(20 * Math.exp(0.2 * luck) * -Math.log(1 - random.share()));
      return { value: Math.min(40, days), hasCome: days <= 40 };
    },
  },
];

/** @param strong how much treatment 1 does: then only the others count as called for nothing */
function kind({ name, kind: kindName, of }: Draw, layout: Layout, strong = 0): void {
  const tally: Tally = { called: 0, held: 0, ends: 0, p05: 0, p50: 0, tested: 0 };
  for (let seed = 1; seed <= TRIALS; seed++) {
    const random = seededRandom(seed);
    const luck = Array.from({ length: 20 }, () =>
      layout.blockNames.length > 0 ? normalDraw(random) : 0,
    );
    const lines = Array.from({ length: 20 }, () =>
      layout.plan.kind === 'latin-square' || layout.plan.kind === 'split-plot'
        ? normalDraw(random)
        : 0,
    );
    // A column of the square, or the bed that a unit lies in.
    const lineLuck = (dealt: ReturnType<typeof deal>[number]): number =>
      lines[layout.plan.kind === 'split-plot' ? dealt.wholePlot : dealt.column] ?? 0;
    const units = deal(layout.plan, seed).map(
      (dealt, i): JudgedUnit => ({
        id: String(i),
        treatment: `t${dealt.treatment}`,
        blocks: layout.blockNames.map((_, b) => String(b === 0 ? dealt.block : dealt.column)),
        ...(layout.plan.kind === 'split-plot' ? { wholePlot: String(dealt.wholePlot) } : {}),
        ...of(
          random,
          (luck[dealt.block] ?? 0) + lineLuck(dealt) + (dealt.treatment === 1 ? strong : 0),
        ),
      }),
    );
    const input: JudgeInput = {
      outcome: kindName,
      response: 'it',
      unitWord: 'pot',
      treatmentName: 'feed',
      treatments: names(layout.treatments),
      control: 't0',
      blockNames: layout.blockNames,
      isPaired: layout.isPaired ?? false,
      units,
      better: 'higher',
      margin: null,
      confidence: 0.95,
      shuffles: 0,
      seed,
      isDeclared: true,
      subsamples: units.length,
      priorCv: STARTING_GUESS_CV,
    };
    const found = callsOf(input);
    const idle =
      strong === 0
        ? found.contrasts
        : found.contrasts.filter(contrast => contrast.treatment !== 't1');
    if (idle.some(contrast => isCalled(contrast.call))) tally.called += 1;
    hold(tally, idle, 0);
  }
  say(`${name}, ${layout.name}${strong === 0 ? '' : ', one remedy strong'}`, tally);
}

/** One of the designs that home trials mostly have, with something at work: the same as in reference/r/power.R. */
interface PowerRow {
  readonly name: string;
  readonly outcome: Outcome;
  readonly pots: number;
  readonly isBlocked: boolean;
  /** The control first; where nothing is at work all are as the control. */
  readonly effects: readonly number[];
  readonly of: (random: SeededRandom, effect: number, luck: number) => Partial<JudgedUnit>;
}

const logit = (share: number): number => Math.log(share / (1 - share));
const share20 =
  (block: number) =>
  (random: SeededRandom, effect: number, luck: number): Partial<JudgedUnit> => ({
    value: binomial(20, 1 / (1 + Math.exp(-effect - block * luck)), random),
    outOf: 20,
  });
const slugs =
  (crowding: number) =>
  (random: SeededRandom, effect: number): Partial<JudgedUnit> => ({
    value: poisson(effect * Math.exp(crowding * normalDraw(random) - crowding ** 2 / 2), random),
  });
const steps5 = (random: SeededRandom, effect: number, luck: number): Partial<JudgedUnit> => ({
  value: Math.min(5, Math.max(1, Math.round(2.5 + effect + 0.5 * luck + 0.7 * normalDraw(random)))),
});
const daysIn = (random: SeededRandom, effect: number, luck: number): Partial<JudgedUnit> => ({
  value: Math.round((15 + effect) * Math.exp(0.15 * luck + 0.25 * normalDraw(random))),
  hasCome: true,
});

const POWER: readonly PowerRow[] = [
  {
    name: '4 pots × 20 seeds, 60 v 85%',
    outcome: 'proportion',
    pots: 4,
    isBlocked: false,
    effects: [logit(0.6), logit(0.85)],
    of: share20(0),
  },
  {
    name: '5 blocks × 20 seeds, 60 v 80%',
    outcome: 'proportion',
    pots: 5,
    isBlocked: true,
    effects: [logit(0.6), logit(0.8)],
    of: share20(0.4),
  },
  {
    name: '6 blocks × 20 seeds, 60 v 80%',
    outcome: 'proportion',
    pots: 6,
    isBlocked: true,
    effects: [logit(0.6), logit(0.8)],
    of: share20(0.4),
  },
  {
    name: 'slugs 8 v 3, 4 pots, crowding',
    outcome: 'count',
    pots: 4,
    isBlocked: false,
    effects: [8, 3],
    of: slugs(0.5),
  },
  {
    name: 'slugs 3 v 1, 8 pots',
    outcome: 'count',
    pots: 8,
    isBlocked: false,
    effects: [3, 1],
    of: slugs(0),
  },
  {
    name: 'steps 1 to 5, 8 blocks, one step up',
    outcome: 'ordinal',
    pots: 8,
    isBlocked: true,
    effects: [0, 1],
    of: steps5,
  },
  {
    name: 'steps 1 to 5, 5 blocks, one step up',
    outcome: 'ordinal',
    pots: 5,
    isBlocked: true,
    effects: [0, 1],
    of: steps5,
  },
  {
    name: 'steps 1 to 5, 5 blocks, four arms, one a step up',
    outcome: 'ordinal',
    pots: 5,
    isBlocked: true,
    effects: [0, 1, 0, 0],
    of: steps5,
  },
  {
    name: 'days, 5 blocks, 15 v 21',
    outcome: 'time',
    pots: 5,
    isBlocked: true,
    effects: [0, 6],
    of: daysIn,
  },
];

/** How often treatment 1 is called where it does something, and any where nothing does. */
function power(row: PowerRow): void {
  const calledIn = (isAtWork: boolean): number => {
    let called = 0;
    for (let seed = 1; seed <= TRIALS; seed++) {
      const random = seededRandom(isAtWork ? seed : seed + 5_000_000);
      const luck = Array.from({ length: row.pots }, () => normalDraw(random));
      const units = row.effects.flatMap((effect, t) =>
        Array.from(
          { length: row.pots },
          (_, i): JudgedUnit => ({
            id: `${t} ${i}`,
            treatment: `t${t}`,
            blocks: row.isBlocked ? [String(i)] : [],
            value: null,
            ...row.of(random, isAtWork ? effect : (row.effects[0] ?? 0), luck[i] ?? 0),
          }),
        ),
      );
      const { contrasts } = callsOf({
        ...continuousInput({ ...ALL_LAYOUTS[0]!, treatments: row.effects.length }, 0, 1, 0),
        outcome: row.outcome,
        treatments: names(row.effects.length),
        blockNames: row.isBlocked ? ['shelf'] : [],
        units,
      });
      if (
        isAtWork
          ? isCalled(contrasts[0]?.call ?? 'no-test')
          : contrasts.some(each => isCalled(each.call))
      )
        called += 1;
    }
    return (100 * called) / TRIALS;
  };
  process.stdout.write(
    `${row.name.padEnd(52)} called ${calledIn(true).toFixed(1)}%  with nothing at work ${calledIn(false).toFixed(1)}%\n`,
  );
}

const began = { at: performance.now() };

function say(what: string, { called, held, ends, p05, p50, tested }: Tally): void {
  const share = (part: number, of: number): string =>
    of === 0 ? '   —  ' : `${((100 * part) / of).toFixed(1)}%`.padStart(6);
  process.stdout.write(
    `${what.padEnd(78)} called ${share(called, TRIALS)}  interval holds the truth ${share(held, ends)}  shuffle p ≤ 0.05: ${share(p05, tested)}, ≤ 0.5: ${share(p50, tested)}  ${((performance.now() - began.at) / TRIALS).toFixed(1)} ms a trial\n`,
  );
  began.at = performance.now();
}

process.stdout.write(
  `${TRIALS} trials each; the shuffles of means in a fifth of them. Twice the Monte Carlo error of 5% is ${(200 * Math.sqrt((0.05 * 0.95) / TRIALS)).toFixed(1)} points.\n`,
);
if (WHICH === 'all' || WHICH === 'means') for (const layout of LAYOUTS) continuous(layout);
if (WHICH === 'all' || WHICH === 'unlike')
  for (const each of UNLIKE) if (each.name.includes(ONLY)) unlike(each);
if (WHICH === 'all' || WHICH === 'kinds')
  for (const draw of DRAWS.filter(({ name }) => name.includes(ONLY_OF))) {
    for (const layout of LAYOUTS) kind(draw, layout);
    for (const layout of ALL_LAYOUTS.slice(0, 3))
      if (LAYOUTS.includes(layout)) kind(draw, layout, 4);
  }
if (WHICH === 'all' || WHICH === 'margin') simulateMargin(TRIALS);
if (WHICH === 'all' || WHICH === 'doses') simulateDoses(TRIALS);
if (WHICH === 'all' || WHICH === 'gardens') simulateGardens(TRIALS);
if (WHICH === 'power') for (const row of POWER) if (row.name.includes(ONLY)) power(row);
