import { normalDraw } from '@/core/stats/distributions/normal-draw';
import { seededRandom } from '@/core/stats/distributions/seeded-random';
import { trialFixture } from '@/core/trial/fixtures/trial-fixture';
import { BLANK_LAYOUT } from '@/core/trial/model/blank-facts';
import { dryRuns } from './dry-run';
import { type PlannedTrial, plannedInput } from './planned-input';
import { madeUpUnit, type PlannedReading, type PlannedTruth } from './planned-reading';
import { gainWords, guessedTruth, plannedGain, plannedReadingOf } from './planning-guess';
import { simulateVerdicts } from './simulate-verdicts';

const planned = (reading: PlannedReading, treatments: number, blocks: number): PlannedTrial => ({
  request: {
    ...BLANK_LAYOUT,
    kind: 'complete-blocks',
    each: 1,
    blockCount: blocks,
    blockWord: 'shelf',
  },
  treatments: trialFixture({ treatments }).treatments,
  unitWord: 'pot',
  response: 'beans',
  better: 'higher',
  margin: null,
  reading,
});
const COUNT = { outcome: 'count' } as const;
const SHARES = { outcome: 'proportion', outOf: 20 } as const;
const YES_NO = { outcome: 'proportion', outOf: 1 } as const;
const STEPS = { outcome: 'ordinal', lowest: 1, highest: 9 } as const;
const DAYS = { outcome: 'time', watchedDays: 60 } as const;

function shares(
  plan: PlannedTrial,
  truth: PlannedTruth,
  trials: number,
): { readonly seen: number; readonly falseAlarm: number | null } {
  const run = simulateVerdicts(plannedInput(plan, 1), plan.reading, truth, 3);
  run?.run(trials);
  return run?.shares() ?? { seen: Number.NaN, falseAlarm: null };
}

// Mean and variance of made-up units, within five standard errors: Poisson 8 and 8; 12 of 20 with variance 4.8; steps 5 and 1.
test.each([
  ['counts', COUNT, 8, 0, 8, 8],
  ['shares', SHARES, 0.6, 0, 12, 4.8],
  ['what is weighed', { outcome: 'continuous' }, 100, 0.2, 100, 400],
  ['days', DAYS, 20, 0, 20, 0],
] as const)(
  'made-up %s have the mean and the variance they should',
  (_, reading, plain, spread, mean, variance) => {
    const random = seededRandom(2);
    const DRAWS = 20_000;
    const values = Array.from(
      { length: DRAWS },
      () =>
        madeUpUnit(reading, { plain, gain: 0 }, spread, normalDraw(random), random).value ??
        Number.NaN,
    );
    const average = values.reduce((sum, value) => sum + value, 0) / DRAWS;
    const square = values.reduce((sum, value) => sum + (value - average) ** 2, 0) / DRAWS;
    expect(Math.abs(average - mean)).toBeLessThanOrEqual(5 * Math.sqrt(variance / DRAWS));
    expect(Math.abs(square - variance)).toBeLessThanOrEqual(5 * variance * Math.sqrt(3 / DRAWS));
  },
);

test('steps stay on their scale, and days that nobody watches any more have not come', () => {
  const random = seededRandom(3);
  const step = (plain: number) => madeUpUnit(STEPS, { plain, gain: 0 }, 1, 0, random).value;
  expect([step(-4), step(5.2), step(30)]).toEqual([1, 5, 9]);
  expect(madeUpUnit(DAYS, { plain: 50, gain: 30 }, 0, 0, random)).toEqual({
    value: 60,
    hasCome: false,
  });
});

describe.each([
  ['counts', COUNT, { cv: 0.3, level: 10 }, 20],
  ['shares', SHARES, { cv: 0.3, level: 0.5 }, 0.45],
  ['steps', STEPS, { cv: 1, level: 4 }, 4],
  ['days', DAYS, { cv: 0.2, level: 20 }, 25],
] as const)('a plan of %s', (_, reading, truth, large) => {
  const TRIALS = 150;
  test('is called one time in twenty when nothing works, and nearly always when a lot does', () => {
    const plan = planned(reading, 2, 8);
    const nothing = shares(plan, { ...truth, effect: 0 }, TRIALS).seen;
    // Of both ways half is “better”: 2.5 of 100, and four standard errors of the 150.
    expect(nothing).toBeLessThan(0.025 + 4 * Math.sqrt((0.025 * 0.975) / TRIALS));
    expect(shares(plan, { ...truth, effect: large }, TRIALS).seen).toBeGreaterThan(0.9);
  });
  test('sees more with more', () => {
    const [few, many] = [4, 12].map(
      blocks => shares(planned(reading, 3, blocks), { ...truth, effect: large / 2 }, TRIALS).seen,
    );
    expect(many).toBeGreaterThan(few ?? 1);
  });
});

test('one yes or no a pot: four pairs can’t see anything, twelve see all against none', () => {
  const sure = { cv: 0, level: 0.02, effect: 0.96 };
  expect(shares(planned(YES_NO, 2, 4), sure, 40).seen).toBe(0);
  expect(shares(planned(YES_NO, 2, 12), sure, 40).seen).toBeGreaterThan(0.9);
});

test('one of each leaves nothing to judge counts by', () => {
  const plan = planned(COUNT, 3, 1);
  expect(
    simulateVerdicts(plannedInput(plan, 1), COUNT, { cv: 0.3, level: 10, effect: 5 }, 1),
  ).toBeUndefined();
});

test('a dry run of counts speaks of counts, and of the comparison that was agreed on', () => {
  const plan = {
    ...planned(COUNT, 3, 8),
    margin: { kind: 'percent', percent: 60 },
    agreed: { one: ['feed 2'], other: ['feed 1'] },
  } as const;
  const [nothing, good, harm] = dryRuns(plan, 0.2, 1);
  expect(good?.story).toBe('If feed 2 gives twice what is worth having');
  expect(good?.headline).toMatch(/^Feed 2 gave .* times as many beans as feed 1/);
  expect(harm?.headline).toMatch(/^Feed 2 gave .* (less|fewer)|^Feed 2 did worse/);
  expect(nothing?.headline).not.toBe(good?.headline);
});

test('what a measure’s readings will be is taken from its scale', () => {
  expect(plannedReadingOf(null, 60)).toEqual({ outcome: 'continuous' });
  expect(plannedReadingOf({ kind: 'yes-no' }, 60)).toEqual(YES_NO);
  expect(plannedReadingOf({ kind: 'proportion', outOf: 20 }, 60)).toEqual(SHARES);
  expect(plannedReadingOf({ kind: 'date' }, 60)).toEqual(DAYS);
  expect(
    plannedReadingOf({ kind: 'ordinal', from: 0, steps: ['a', 'b', 'c'], hasBeyond: false }, 60),
  ).toEqual({ outcome: 'ordinal', lowest: 0, highest: 2 });
});

test.each([
  [COUNT, { kind: 'percent', percent: 20 }, '20%'],
  [SHARES, { kind: 'absolute', amount: 0.1 }, '10 points'],
  [STEPS, null, '1 step'],
  [DAYS, { kind: 'absolute', amount: 3 }, '3 days'],
  [{ outcome: 'continuous' }, { kind: 'absolute', amount: 40 }, '40 g'],
] as const)('the gain of a plan is said as it is read: %j', (reading, margin, words) => {
  const { level } = guessedTruth(reading, margin, 'higher');
  const effect = plannedGain(reading, margin, level);
  expect(gainWords(reading, margin, { effect, level }, 'g')).toBe(words);
});
