import { judge } from '@/core/judge/outcomes/judge';
import { STARTING_GUESS_CV } from '@/core/judge/question/judge-input';
import { judgementJson } from '@/core/judge/verdict/judgement-json';
import { leaveOutFixture, pickFixture, trialFixture } from '@/core/trial/fixtures/trial-fixture';
import { demoSeason } from '@/demo/demo-season';
import {
  currentLeaveOuts,
  judgeInputOf,
  mainMeasure,
  plannedSpec,
  unitsToMention,
} from './trial-analysis';

const [, strawberries] = demoSeason('2026-11-25').trials;
if (!strawberries) throw new Error('the demo must have strawberries');

test('a factorial names its factors, its control and its blocks', () => {
  const input = judgeInputOf(strawberries, plannedSpec(strawberries, STARTING_GUESS_CV));
  expect(input).toMatchObject({
    treatmentName: 'medium:feed',
    control: 'loam, plain water',
    blockNames: ['row'],
    unitWord: 'trough',
    response: 'strawberries',
    responseUnit: 'g',
    isDeclared: true,
  });
  expect(input.factors?.levelsOf['bark mix, Heronsgill feed']).toEqual([
    'bark mix',
    'Heronsgill feed',
  ]);
  expect(input.units).toHaveLength(24);
});

test('a trial dealt over the whole bench has no blocks', () => {
  const trial = trialFixture();
  const input = judgeInputOf(trial, plannedSpec(trial, STARTING_GUESS_CV));
  expect(input.blockNames).toEqual([]);
  expect(input.factors).toBeUndefined();
});

test('the plan leaves out what is on record, by code', () => {
  const trial = trialFixture();
  const unit = trial.units[2];
  if (!unit) throw new Error('the fixture must have three units');
  const data = {
    ...trial,
    incidents: [
      leaveOutFixture(unit),
      leaveOutFixture(trial.units[0] ?? unit, { decision: 'keep' }),
    ],
  };
  expect(currentLeaveOuts(data).map(left => left.code)).toEqual([unit.code]);
  const judged = judgeInputOf(data, plannedSpec(data, STARTING_GUESS_CV)).units.find(
    each => each.id === unit.code,
  );
  expect(judged).toMatchObject({ value: null, isLeftOut: true });
});

test('another measure is judged as not declared', () => {
  const trial = trialFixture();
  const other = trial.measures.find(measure => !measure.isMain);
  expect(
    judgeInputOf(trial, { ...plannedSpec(trial, STARTING_GUESS_CV), measureId: other?.id ?? '' })
      .isDeclared,
  ).toBe(false);
  expect(() =>
    judgeInputOf(trial, { ...plannedSpec(trial, STARTING_GUESS_CV), measureId: 'nonsense' }),
  ).toThrow(RangeError);
});

test('units that want a word are those that died, were missed or never read', () => {
  const trial = trialFixture({ unitsEach: 2 });
  const [a, b, c] = trial.units;
  if (!a || !b || !c) throw new Error('the fixture must have three units');
  const data = {
    ...trial,
    picks: [
      pickFixture(a),
      pickFixture(b),
      pickFixture(b, { outcome: 'not-looked', netG: null, pieces: null, pickedOn: '2026-07-08' }),
      pickFixture(c, { outcome: 'dead', netG: null, pieces: null }),
    ],
  };
  expect(
    unitsToMention(data, plannedSpec(data, STARTING_GUESS_CV)).map(value => value.status),
  ).toEqual(['measured', 'dead', 'no-entry']);
  // Nothing is said of one that is in no sum.
  const without = { ...data, incidents: [leaveOutFixture(c)] };
  expect(
    unitsToMention(without, plannedSpec(without, STARTING_GUESS_CV)).map(value => value.status),
  ).toEqual(['measured', 'no-entry']);
});

test('a trial without a main measure is a defect', () => {
  const trial = trialFixture();
  expect(() =>
    mainMeasure({ ...trial, measures: trial.measures.filter(measure => !measure.isMain) }),
  ).toThrow(RangeError);
});

test('the open shape holds finite numbers and nulls only, whatever was lost', () => {
  const trial = trialFixture({ treatments: 3, unitsEach: 2 });
  for (const count of [0, 1, 2, 4, 6]) {
    const data = {
      ...trial,
      picks: trial.units.slice(0, count).map((unit, i) => pickFixture(unit, { netG: 100 + i })),
    };
    const input = judgeInputOf(data, { ...plannedSpec(data, STARTING_GUESS_CV), shuffles: 100 });
    const text = JSON.stringify(judgementJson(judge(input), input), (_, value: unknown) => {
      if (typeof value === 'number' && !Number.isFinite(value))
        throw new Error('a number must be finite');
      return value;
    });
    expect(JSON.parse(text)).toMatchObject({
      design: { units: count, treatments: 3 },
      verdict: { sentence: expect.any(String) },
    });
  }
});
