import { taskState } from './task-state';

const due = { ruleId: 'feed', nth: 0, dueOn: '2026-06-01', waitsFor: null };
const stateOn = (today: string, nextDueOn: string | null = null) =>
  taskState(due, undefined, today, 'do-late', nextDueOn);

// A week, as common practice has it: no source.
test.each([
  ['2026-05-31', 'coming'],
  ['2026-06-01', 'due'],
  ['2026-06-02', 'overdue'],
  ['2026-06-08', 'overdue'],
  ['2026-06-09', 'missed'],
])('what may be made up for is, on %s, %s', (today, state) => {
  expect(stateOn(today)).toBe(state);
});

test('the next of its rule ends the time to make one up, on its own day', () => {
  expect([stateOn('2026-06-04', '2026-06-05'), stateOn('2026-06-05', '2026-06-05')]).toEqual([
    'overdue',
    'missed',
  ]);
});

test.each(['skip', 'stop'] as const)('under “%s” a day that has gone by is missed', policy => {
  expect(taskState(due, undefined, '2026-06-02', policy, null)).toBe('missed');
});

test('what was done or left out is so on whatever day', () => {
  const done = { ruleId: 'feed', nth: 0, on: '2026-06-20' };
  expect(taskState(due, { ...done, isSkipped: false }, '2026-06-21', 'stop', null)).toBe('done');
  expect(taskState(due, { ...done, isSkipped: true }, '2026-06-21', 'stop', null)).toBe('skipped');
  expect(taskState({ ...due, dueOn: null }, undefined, '2026-06-21', 'stop', null)).toBe('waits');
});
