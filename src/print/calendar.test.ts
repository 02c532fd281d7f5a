import ICAL from 'ical.js';
import { datedSteps } from '@/core/blinding/dated-steps';
import { trackedTasks } from '@/core/schedule/tasks/task-state';
import { tasksOf } from '@/core/schedule/tasks/tasks';
import { careRuleFixture } from '@/core/trial/fixtures/care-fixture';
import { trialFixture } from '@/core/trial/fixtures/trial-fixture';
import { NO_CARE } from '@/core/trial/model/care-plan';
import { careCalendar } from './calendar';

// Read back by an independent reader of RFC 5545.
const fixture = trialFixture();
const { trial } = fixture;
const rule = careRuleFixture({
  name: 'feed, “half”; then full\nnew line',
  from: { kind: 'stage', stage: 'first flower', days: 0 },
});
const season = (flower: string) => ({
  startsOn: trial.startsOn,
  endsOn: '2026-07-01',
  stages: { 'first flower': flower },
  done: [],
});
const events = (flower: string, changes: number) => {
  const tasks = trackedTasks(tasksOf([rule], season(flower)), [], '2026-05-01', 'do-late');
  const calendar = new ICAL.Component(
    ICAL.parse(
      careCalendar(
        trial,
        datedSteps(tasks, {
          ...fixture,
          care: { ...NO_CARE, rules: [rule] },
        }),
        'http://garden.test/trials/1/tend',
        changes,
        new Date('2026-05-01T08:00:00Z'),
      ),
    ),
  );
  return calendar.getAllSubcomponents('vevent').map(event => ({
    ...textsOf(event),
    reminds: event
      .getAllSubcomponents('valarm')
      .map(alarm => String(alarm.getFirstPropertyValue('trigger'))),
  }));
};

function textsOf(event: ICAL.Component) {
  const of = (name: string): string => String(event.getFirstPropertyValue(name));
  return {
    uid: of('uid'),
    sequence: of('sequence'),
    summary: of('summary'),
    dtstart: of('dtstart'),
    dtend: of('dtend'),
    description: of('description'),
    url: of('url'),
  };
}

test('another program reads every step as a whole day, words and all', () => {
  const found = events('2026-06-10', 4);
  expect(found.map(event => event.dtstart)).toEqual([
    '2026-06-10',
    '2026-06-17',
    '2026-06-24',
    '2026-07-01',
  ]);
  expect(found[0]).toMatchObject({
    dtend: '2026-06-11',
    sequence: '4',
    summary: rule.name,
    description: `${trial.question}\nFor all.\nhttp://garden.test/trials/1/tend`,
    url: 'http://garden.test/trials/1/tend',
    reminds: ['PT8H'],
  });
});

test('taken in again after a stage moved, it moves what was there: the same UIDs, a higher sequence', () => {
  const [before, after] = [events('2026-06-10', 4), events('2026-06-12', 5)];
  expect(after.map(event => event.uid)).toEqual(
    before.slice(0, after.length).map(event => event.uid),
  );
  expect(new Set(before.map(event => event.uid)).size).toBe(before.length);
  expect(after[0]).toMatchObject({ dtstart: '2026-06-12', sequence: '5' });
});
