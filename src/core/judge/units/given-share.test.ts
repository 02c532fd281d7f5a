import { judgeWithoutShuffle } from '@/core/judge/outcomes/judge';
import { STARTING_GUESS_CV } from '@/core/judge/question/judge-input';
import { addDays } from '@/core/time/garden-day';
import { careActFixture, caredFixture, careRuleFixture } from '@/core/trial/fixtures/care-fixture';
import { pickFixture, trialFixture } from '@/core/trial/fixtures/trial-fixture';
import type { CareAct } from '@/core/trial/model/care-plan';
import type { TrialData } from '@/core/trial/model/trial-data';
import { givenShares } from './given-share';
import { judgeInputOf, plannedSpec } from './trial-analysis';

const bare = trialFixture({ treatments: 2, unitsEach: 6 });
const planned = caredFixture(bare);
const [rule] = planned.care.rules;
const fed = bare.treatments[1];
if (!rule || !fed) throw new Error('the fixture must have a feed');
const START = bare.trial.startsOn;

/** Ten weeks fed; the last pick is on their last day. */
function trial(acts: readonly CareAct[]): TrialData {
  const last = addDays(START, 63);
  return {
    ...planned,
    trial: { ...planned.trial, endsOn: last },
    care: { ...planned.care, acts },
    picks: bare.units.map((unit, i) =>
      pickFixture(unit, {
        netG: (unit.treatmentId === fed?.id ? 400 : 200) + 5 * (i % 4),
        pickedOn: last,
      }),
    ),
  };
}

const given = (times: number, changes: Partial<CareAct> = {}) =>
  Array.from({ length: times }, (_, nth) =>
    careActFixture(rule, nth, addDays(START, 7 * nth), changes),
  );
const verdictOf = (data: TrialData) =>
  judgeWithoutShuffle(judgeInputOf(data, plannedSpec(data, STARTING_GUESS_CV))).verdict;

test('where none of it is on record the headline says so', () => {
  const { headline } = verdictOf(trial([]));
  expect(headline).toMatch(
    new RegExp(
      `^${fed.name} gave \\d+% more beans than plain water, though none of the \\d+ planned tasks of ${fed.name} is on record\\.$`,
      'i',
    ),
  );
});

test('where less than nine in ten is on record the first lines say how much', () => {
  const all = givenShares(trial(given(5)))?.[fed.name]?.planned ?? 0;
  const { headline, detail } = verdictOf(trial(given(5)));
  expect(headline).not.toContain('on record');
  expect(detail).toContain(`Planned tasks on record: ${fed.name} 5 of ${all}.`);
});

test('where it was given as planned nothing is said', () => {
  const { headline, detail } = verdictOf(trial(given(10)));
  expect(`${headline} ${detail}`).not.toContain('on record');
});

test('what half of its units got counts by half', () => {
  const own = bare.units.filter(unit => unit.treatmentId === fed.id).map(unit => unit.id);
  const { done } = givenShares(trial(given(10, { unitIds: own.slice(0, 3) })))?.[fed.name] ?? {};
  expect(done).toBe(5);
});

test('what all get alike tells no treatment from another', () => {
  const rules = [careRuleFixture({ kind: 'water' })];
  expect(givenShares({ ...trial([]), care: { ...planned.care, rules, acts: [] } })).toBeUndefined();
});

test('it is reckoned up to the last entry, whenever it is read', () => {
  const early = { ...trial(given(1)), picks: [] };
  expect(givenShares(early)?.[fed.name]).toEqual({ planned: 1, done: 1 });
});
