import fc from 'fast-check';
import { adherenceOf, isUneven } from '@/core/schedule/adherence/adherence';
import { addDays, daysBetween } from '@/core/time/garden-day';
import type { CareRule, Moment, Repeat } from '@/core/trial/model/care-rule';
import { trackedTasks } from './task-state';
import { type Season, tasksOf, weekdayOf } from './tasks';

const id = (n: number): string => `00000000-0000-7000-8000-${String(n).padStart(12, '0')}`;
const rule = (n: number, changes: Partial<CareRule> = {}): CareRule => ({
  id: id(n),
  name: `rule ${n}`,
  kind: 'feed',
  treatmentIds: [],
  from: { kind: 'start', days: 0 },
  repeat: { kind: 'every', days: 7 },
  until: null,
  material: null,
  washedOffByMm: null,
  runsByItself: false,
  isUnplanned: false,
  minutesEach: null,
  ...changes,
});
const season = (changes: Partial<Season> = {}): Season => ({
  startsOn: '2026-05-01',
  endsOn: '2026-09-15',
  stages: {},
  done: [],
  ...changes,
});
const days = (tasks: ReturnType<typeof tasksOf>) => tasks.map(task => task.dueOn);
const stage = (name: string, after = 0): Moment => ({ kind: 'stage', stage: name, days: after });

const repeats: fc.Arbitrary<Repeat> = fc.oneof(
  fc.constant({ kind: 'once' as const }),
  fc.integer({ min: 1, max: 40 }).map(every => ({ kind: 'every' as const, days: every })),
  fc.record({
    kind: fc.constant('times' as const),
    times: fc.integer({ min: 2, max: 9 }),
    days: fc.integer({ min: 1, max: 20 }),
  }),
  fc
    .uniqueArray(fc.integer({ min: 1, max: 7 }), { minLength: 1 })
    .map(weekdays => ({ kind: 'weekdays' as const, weekdays })),
);
const moments: fc.Arbitrary<Moment> = fc.oneof(
  fc.integer({ min: -30, max: 100 }).map(from => ({ kind: 'start' as const, days: from })),
  fc.constantFrom('first flower', 'first truss').map(name => stage(name)),
  fc.integer({ min: 1, max: 4 }).map(n => ({ kind: 'after' as const, ruleId: id(n), days: 3 })),
);
const ruleSets = fc
  .array(fc.record({ from: moments, repeat: repeats }), { minLength: 1, maxLength: 4 })
  .map(all => all.map((changes, i) => rule(i + 1, changes)));
// Around the last Sunday of October the clocks change; 2026 has 53 weeks.
const starts = fc.constantFrom('2026-03-01', '2026-10-20', '2026-12-20', '2028-02-20');

test('rules that repeat: every so many days, weekdays, a number of times, once', () => {
  expect(
    days(
      tasksOf(
        [
          rule(1, {
            repeat: { kind: 'every', days: 14 },
            until: { kind: 'day', day: '2026-05-29' },
          }),
        ],
        season(),
      ),
    ),
  ).toEqual(['2026-05-01', '2026-05-15', '2026-05-29']);
  expect(
    days(
      tasksOf(
        [
          rule(1, {
            repeat: { kind: 'weekdays', weekdays: [1, 4] },
            until: { kind: 'day', day: '2026-05-12' },
          }),
        ],
        season(),
      ),
    ),
  ).toEqual(['2026-05-04', '2026-05-07', '2026-05-11']);
  expect(
    days(
      tasksOf(
        [rule(1, { repeat: { kind: 'once' }, from: { kind: 'start', days: -42 } })],
        season(),
      ),
    ),
  ).toEqual(['2026-03-20']);
});

test('a late spray moves the next one, a late feed does not', () => {
  const done = [{ ruleId: id(1), nth: 0, on: '2026-05-04', isSkipped: false }];
  expect(
    days(
      tasksOf(
        [rule(1, { kind: 'spray', repeat: { kind: 'times', times: 3, days: 2 } })],
        season({ done }),
      ),
    ),
  ).toEqual(['2026-05-01', '2026-05-06', '2026-05-08']);
  expect(days(tasksOf([rule(1)], season({ done }))).slice(0, 2)).toEqual([
    '2026-05-01',
    '2026-05-08',
  ]);
});

test('what waits for a stage says so, and falls into place when it comes; the day of the stage belongs to what begins', () => {
  const rules = [
    rule(1, { repeat: { kind: 'every', days: 7 }, until: stage('first flower') }),
    rule(2, { from: stage('first flower') }),
  ];
  expect(tasksOf(rules, season()).at(-1)).toEqual({
    ruleId: id(2),
    nth: 0,
    dueOn: null,
    waitsFor: 'first flower',
  });
  const dated = tasksOf(rules, season({ stages: { 'first flower': '2026-05-15' } }));
  expect(dated.filter(task => task.dueOn === '2026-05-15').map(task => task.ruleId)).toEqual([
    id(2),
  ]);
  expect(days(dated).slice(0, 4)).toEqual(['2026-05-01', '2026-05-08', '2026-05-15', '2026-05-22']);
});

test('rules that wait for each other wait for good, whoever is asked first', () => {
  const rules = [
    rule(1, { from: { kind: 'after', ruleId: id(2), days: 1 } }),
    rule(2, { from: { kind: 'after', ruleId: id(1), days: 1 } }),
    rule(3, { from: { kind: 'after', ruleId: id(9), days: 1 } }),
  ];
  expect(days(tasksOf(rules, season()))).toEqual([null, null, null]);
});

test('no task is lost or doubled: each rule counts from 0, day after day', () => {
  fc.assert(
    fc.property(ruleSets, starts, (rules, startsOn) => {
      const tasks = tasksOf(
        rules,
        season({
          startsOn,
          endsOn: addDays(startsOn, 120),
          stages: { 'first flower': addDays(startsOn, 30) },
        }),
      );
      for (const each of rules) {
        const own = tasks.filter(task => task.ruleId === each.id);
        expect(own.map(task => task.nth).sort((a, b) => a - b)).toEqual(own.map((_, i) => i));
        const dated = own.flatMap(task => task.dueOn ?? []);
        expect(new Set(dated).size).toBe(dated.length);
      }
      expect(
        tasksOf(
          rules,
          season({
            startsOn,
            endsOn: addDays(startsOn, 120),
            stages: { 'first flower': addDays(startsOn, 30) },
          }),
        ),
      ).toEqual(tasks);
    }),
  );
});

test('steps lie as far apart as the rule says, over clock changes, leap days and years of 53 weeks', () => {
  fc.assert(
    fc.property(starts, fc.integer({ min: 1, max: 30 }), (startsOn, every) => {
      const own = days(
        tasksOf(
          [rule(1, { repeat: { kind: 'every', days: every } })],
          season({ startsOn, endsOn: addDays(startsOn, 400) }),
        ),
      );
      expect(own).toHaveLength(Math.floor(400 / every) + 1);
      expect(own.slice(1).every((day, i) => daysBetween(own[i] ?? '', day ?? '') === every)).toBe(
        true,
      );
      const weekly = days(
        tasksOf(
          [rule(1, { repeat: { kind: 'weekdays', weekdays: [7] } })],
          season({ startsOn, endsOn: addDays(startsOn, 400) }),
        ),
      );
      expect(
        weekly.every(
          day => weekdayOf(day ?? '') === 7 && new Date(`${day}T12:00:00Z`).getUTCDay() === 0,
        ),
      ).toBe(true);
    }),
  );
});

test('a stage that moves keeps what was done done, and moves the rest', () => {
  fc.assert(
    fc.property(
      fc.integer({ min: 10, max: 60 }),
      fc.integer({ min: 10, max: 60 }),
      fc.integer({ min: 0, max: 5 }),
      (before, after, doneCount) => {
        const rules = [rule(1, { from: stage('first flower') })];
        const done = Array.from({ length: doneCount }, (_, nth) => ({
          ruleId: id(1),
          nth,
          on: addDays('2026-05-01', before + 7 * nth),
          isSkipped: false,
        }));
        const at = (day: number) =>
          trackedTasks(
            tasksOf(
              rules,
              season({ done, stages: { 'first flower': addDays('2026-05-01', day) } }),
            ),
            done,
            '2026-09-15',
            'do-late',
          );
        expect(
          at(after)
            .filter(task => task.state === 'done')
            .map(task => task.nth),
        ).toEqual(done.map(each => each.nth));
        expect(at(after)[0]?.dueOn).toBe(addDays('2026-05-01', after));
      },
    ),
  );
});

describe('missed steps', () => {
  const tasks = tasksOf([rule(1)], season());
  const states = (today: string, policy: 'do-late' | 'skip' | 'stop', done: Season['done'] = []) =>
    trackedTasks(tasks, done, today, policy)
      .slice(0, 4)
      .map(task => task.state);
  test('are made up until the next is due, or skipped, or end it: by one rule for all', () => {
    expect(states('2026-05-03', 'do-late')).toEqual(['overdue', 'coming', 'coming', 'coming']);
    expect(states('2026-05-08', 'do-late')).toEqual(['missed', 'due', 'coming', 'coming']);
    expect(
      states('2026-05-09', 'skip', [{ ruleId: id(1), nth: 0, on: '2026-05-01', isSkipped: false }]),
    ).toEqual(['done', 'missed', 'coming', 'coming']);
    expect(states('2026-05-09', 'stop')).toEqual(['missed', 'missed', 'missed', 'missed']);
    expect(
      states('2026-05-01', 'skip', [
        { ruleId: id(1), nth: 0, on: '2026-05-01', isSkipped: true },
      ])[0],
    ).toBe('skipped');
  });
});

describe('planned against done', () => {
  const [a, b] = [
    '00000000-0000-7000-8000-00000000000a',
    '00000000-0000-7000-8000-00000000000b',
  ] as const;
  const rules = [
    rule(1, { treatmentIds: [a] as unknown as CareRule['treatmentIds'] }),
    rule(2, { treatmentIds: [b] as unknown as CareRule['treatmentIds'] }),
    rule(3, { kind: 'photo' }),
  ];
  test('is counted for each treatment; looks and photos don’t count; one that missed many is told', () => {
    const done = [0, 1, 2]
      .map(nth => ({ ruleId: id(1), nth, on: addDays('2026-05-02', 7 * nth), isSkipped: false }))
      .concat([
        { ruleId: id(2), nth: 0, on: '2026-05-01', isSkipped: false },
        { ruleId: id(2), nth: 1, on: '2026-05-08', isSkipped: true },
      ]);
    const found = adherenceOf(
      rules,
      trackedTasks(tasksOf(rules, season({ done })), done, '2026-05-16', 'skip'),
      [a, b],
    );
    expect(found).toEqual([
      { treatmentId: a, planned: 3, done: 3, skipped: 0, missed: 0, daysLate: 1, share: 1 },
      { treatmentId: b, planned: 3, done: 1, skipped: 1, missed: 1, daysLate: 0, share: 1 / 3 },
    ]);
    expect(isUneven(found)).toBe(true);
    expect(isUneven(found.slice(0, 1))).toBe(false);
  });
});
