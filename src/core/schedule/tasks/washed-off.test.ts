import fc from 'fast-check';
import { addDays } from '@/core/time/garden-day';
import { careRuleFixture } from '@/core/trial/fixtures/care-fixture';
import type { TaskDone } from '@/core/trial/model/care-plan';
import { trackedTasks } from './task-state';
import { tasksOf } from './tasks';
import { holding, washedOffSteps } from './washed-off';

const spray = careRuleFixture({
  kind: 'spray',
  name: 'suds',
  repeat: { kind: 'times', times: 3, days: 2 },
  washedOffByMm: 5,
  runsByItself: false,
  isUnplanned: false,
});
const done = (nth: number, on: string): TaskDone => ({
  ruleId: spray.id,
  nth,
  on,
  isSkipped: false,
});
const at = (
  acts: readonly TaskDone[],
  rain: readonly { readonly day: string; readonly rainMm: number }[],
  today: string,
) => {
  const washedOff = washedOffSteps([spray], acts, rain);
  const held = holding(acts, washedOff);
  return trackedTasks(
    tasksOf([spray], {
      startsOn: '2026-06-01',
      endsOn: '2026-08-01',
      stages: {},
      done: held,
      washedOff,
    }),
    held,
    today,
    'do-late',
  ).map(task => `${task.dueOn} ${task.state}`);
};

test('a spray that was rained on is due again on the day after the rain, and the next ones move with it', () => {
  expect(at([done(0, '2026-06-01')], [{ day: '2026-06-02', rainMm: 12 }], '2026-06-02')).toEqual([
    '2026-06-03 coming',
    '2026-06-05 coming',
    '2026-06-07 coming',
  ]);
  expect(at([done(0, '2026-06-01')], [{ day: '2026-06-02', rainMm: 12 }], '2026-06-03')[0]).toBe(
    '2026-06-03 due',
  );
});

test('done again after the rain it holds, and counts from that day; little rain, rain before it, and rain two days later undo nothing', () => {
  expect(
    at(
      [done(0, '2026-06-01'), done(0, '2026-06-04')],
      [{ day: '2026-06-02', rainMm: 12 }],
      '2026-06-05',
    ),
  ).toEqual(['2026-06-01 done', '2026-06-06 coming', '2026-06-08 coming']);
  expect(
    [
      ['2026-06-02', 4.9],
      ['2026-05-31', 30],
      ['2026-06-03', 30],
    ].map(
      ([day, rainMm]) =>
        at(
          [done(0, '2026-06-01')],
          [{ day: String(day), rainMm: Number(rainMm) }],
          '2026-06-04',
        )[0],
    ),
  ).toEqual(['2026-06-01 done', '2026-06-01 done', '2026-06-01 done']);
});

test('what was left out can’t be washed off', () => {
  expect(
    washedOffSteps(
      [spray],
      [{ ...done(0, '2026-06-01'), isSkipped: true }],
      [{ day: '2026-06-01', rainMm: 40 }],
    ),
  ).toEqual([]);
});

test('no rain loses or doubles a step', () => {
  fc.assert(
    fc.property(
      fc.array(
        fc.record({
          day: fc.integer({ min: 0, max: 12 }),
          rainMm: fc.integer({ min: 0, max: 20 }),
        }),
        { maxLength: 8 },
      ),
      fc.integer({ min: 0, max: 3 }),
      (rain, times) => {
        const acts = Array.from({ length: times }, (_, nth) =>
          done(nth, addDays('2026-06-01', 2 * nth)),
        );
        const days = rain.map(({ day, rainMm }) => ({ day: addDays('2026-06-01', day), rainMm }));
        const washedOff = washedOffSteps([spray], acts, days);
        const tasks = tasksOf([spray], {
          startsOn: '2026-06-01',
          endsOn: '2026-08-01',
          stages: {},
          done: holding(acts, washedOff),
          washedOff,
        });
        expect(tasks.map(task => task.nth).sort()).toEqual([0, 1, 2]);
        expect(holding(acts, washedOff).length + washedOff.length).toBe(acts.length);
      },
    ),
  );
});

test('as much rain as washes it off does, and a little less does not', () => {
  const washed = (rainMm: number) =>
    washedOffSteps([spray], [done(0, '2026-06-01')], [{ day: '2026-06-01', rainMm }]).length;
  expect([washed(5), washed(4.9)]).toEqual([1, 0]);
});
