import { v7 } from 'uuid';
import type { TrackedTask } from '@/core/schedule/tasks/task-state';
import { careRuleFixture } from '@/core/trial/fixtures/care-fixture';
import { TreatmentId, UnitId } from '@/core/trial/model/ids';
import { type Adherence, adherenceOf, isUneven } from './adherence';

const feed = careRuleFixture();
const look = careRuleFixture({ kind: 'look' });

function task(changes: Partial<TrackedTask>): TrackedTask {
  return {
    ruleId: feed.id,
    nth: 0,
    dueOn: '2026-06-10',
    waitsFor: null,
    state: 'done',
    doneOn: '2026-06-10',
    doneUnitIds: null,
    ...changes,
  };
}

const treatment = TreatmentId.parse(v7());
const units = [v7(), v7()].map(id => ({ id: UnitId.parse(id), treatmentId: treatment }));

const of = (...tasks: readonly TrackedTask[]): Adherence | undefined =>
  adherenceOf([feed, look], tasks, [treatment], units)[0];

test('early is not late, and makes nothing else less late', () => {
  expect(of(task({ doneOn: '2026-06-07' }), task({ nth: 1, doneOn: '2026-06-14' }))?.daysLate).toBe(
    2,
  );
});

test('what is due, to come or waiting was not missed yet', () => {
  const open = (['due', 'coming', 'waits'] as const).map((state, nth) =>
    task({ nth, state, doneOn: null }),
  );
  expect(of(...open)).toMatchObject({ planned: 0, share: 1 });
  expect(of(task({ state: 'missed', doneOn: null }), task({ nth: 1 }))).toMatchObject({
    planned: 2,
    missed: 1,
    share: 0.5,
  });
});

test('what half the units got counts by half, and a look is no act', () => {
  expect(of(task({ doneUnitIds: [units[0]?.id ?? ''] }), task({ ruleId: look.id }))).toMatchObject({
    planned: 1,
    done: 0.5,
  });
});

// A tenth, as common practice has it: no source.
test.each([
  [1, 0.9, false],
  [1, 0.89, true],
])('shares of %p and %p are uneven: %p', (one, other, is) => {
  const base = { treatmentId: 'a', planned: 10, done: 0, skipped: 0, missed: 0, daysLate: 0 };
  expect(
    isUneven([
      { ...base, share: one },
      { ...base, share: other },
    ]),
  ).toBe(is);
  expect(
    isUneven([
      { ...base, share: one },
      { ...base, share: 0, planned: 0 },
    ]),
  ).toBe(false);
});
