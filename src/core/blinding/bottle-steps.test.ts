import { dueToday } from '@/core/schedule/tasks/due-today';
import { caredTrialOf, openSteps } from '@/core/schedule/tasks/open-steps';
import { careActFixture, caredFixture, careRuleFixture } from '@/core/trial/fixtures/care-fixture';
import { trialFixture } from '@/core/trial/fixtures/trial-fixture';
import type { TrialData } from '@/core/trial/model/trial-data';
import { bottleParts, isBottle, seenDue } from './bottle-steps';

const plain = trialFixture({ treatments: 3, unitsEach: 4, blockCount: 4, isBlind: true });
const data = caredFixture(plain);
const shown = (changes: Partial<TrialData> = {}, trial: Partial<TrialData['trial']> = {}) => {
  const seen = { ...data, ...changes, trial: { ...data.trial, ...trial } };
  return seenDue(dueToday([caredTrialOf(seen)], seen.products, '2026-05-08'));
};
const twice = {
  ...data.care,
  rules: data.care.rules.flatMap((rule, i) =>
    i === 0
      ? [rule, careRuleFixture({ name: 'water', kind: 'water', treatmentIds: rule.treatmentIds })]
      : [rule],
  ),
};

test('bottles stand for treatments, and who does not mix sees neither names, kinds nor contents', () => {
  const due = shown();
  expect(due.steps.map(step => isBottle(step) && step.bottle)).toEqual(['bottle R', 'bottle T']);
  const secrets = [
    ...data.treatments.flatMap(treatment => [treatment.name, treatment.id]),
    ...data.products.flatMap(product => [product.name, product.id]),
    ...data.care.rules.flatMap(rule => [rule.id, rule.name, rule.kind]),
  ];
  expect(secrets.filter(secret => JSON.stringify(due).includes(`"${secret}`))).toEqual([]);
  expect(due.mixing).toEqual([]);
});

test('with an open key everything is named', () => {
  const opened = { keyOpenedAt: '2026-05-07T08:00:00.000Z' };
  const cared = caredTrialOf({ ...data, trial: { ...data.trial, ...opened } });
  const due = dueToday([cared], data.products, '2026-05-08');
  expect(shown({}, opened)).toEqual({
    steps: due.tasks,
    mixing: due.mixing,
    forbidden: due.forbidden,
  });
});

test('a bottle is one line, however many steps of the plan it is', () => {
  expect(shown({ care: twice })).toEqual(shown());
});

test('bottles come by their codes, not in the order of the plan', () => {
  const bottles = Object.fromEntries(
    data.treatments.map((treatment, i) => [treatment.id, ['Z', 'Y', 'K'][i] ?? 'W']),
  );
  const { steps } = shown({ care: { ...data.care, bottles } });
  expect(steps.map(step => isBottle(step) && step.bottle)).toEqual(['bottle K', 'bottle Y']);
});

test('before the lock there are no bottles: which pots would get something stays unseen', () => {
  expect(shown({ care: { ...data.care, bottles: {} } }).steps).toEqual([]);
});

test('what all get alike keeps its name, and tells nothing of which pots stand together', () => {
  const care = { ...data.care, rules: [careRuleFixture({ name: 'weeding', kind: 'other' })] };
  const [step] = shown({ care }).steps;
  if (!step || isBottle(step)) throw new Error('weeding must be named');
  expect(step.rule.name).toBe('weeding');
  expect(step.receivers).toEqual([
    {
      label: 'all alike',
      of: 12,
      codes: [...data.units].sort((a, b) => a.position - b.position).map(unit => unit.code),
    },
  ]);
});

describe('one rule for two bottles', () => {
  const [first, second] = [data.treatments[1]?.id, data.treatments[2]?.id];
  const rule = careRuleFixture({
    treatmentIds: [first, second].filter(id => id !== undefined),
  });
  const own = data.units.filter(unit => unit.treatmentId === first).map(unit => unit.id);
  const done = careActFixture(rule, 1, '2026-05-08', { unitIds: own });
  const before = shown({ care: { ...data.care, rules: [rule] } }).steps;
  const after = shown({ care: { ...data.care, rules: [rule], acts: [done] } }).steps;

  test('stands in two lines, and giving one leaves the other as it was', () => {
    expect(before.map(step => isBottle(step) && step.bottle)).toEqual(['bottle R', 'bottle T']);
    expect(after).toEqual(before.slice(1));
  });

  test('the one that was not given is missed later, with its own pots alone', () => {
    const care = { ...data.care, rules: [rule], acts: [done] };
    const open = openSteps({ ...data, care }, '2026-06-20');
    const { steps } = seenDue({ tasks: open, mixing: [], forbidden: [] });
    const late = steps.filter(isBottle).filter(step => step.dueOn === '2026-05-08');
    expect(late.map(({ bottle, codes }) => [bottle, codes.length])).toEqual([['bottle T', 4]]);
  });
});

test('giving a bottle is every step of the plan that it stands for, for its own pots or some of them', () => {
  const whole = { ...data, care: twice };
  const open = openSteps(whole, '2026-05-08');
  const bottle = { bottle: 'bottle R', dueOn: '2026-05-08' };
  const parts = bottleParts(data, open, bottle, null);
  const own = data.units.filter(unit => unit.treatmentId === data.treatments[1]?.id);
  expect(parts.map(part => part.ruleId)).toEqual(twice.rules.slice(0, 2).map(rule => rule.id));
  for (const part of parts)
    expect([...part.unitIds].sort()).toEqual(own.map(unit => unit.id).sort());
  const [one] = own;
  const all = data.units.map(unit => unit.code);
  expect(bottleParts(data, open, bottle, [one?.code ?? '']).map(part => part.unitIds)).toEqual([
    [one?.id],
    [one?.id],
  ]);
  expect(bottleParts(data, open, bottle, all)).toEqual(parts);
  expect(bottleParts(data, open, { ...bottle, dueOn: '2026-05-09' }, null)).toEqual([]);
});
