import fc from 'fast-check';
import { careTasks } from '@/core/schedule/tasks/due-today';
import { addDays } from '@/core/time/garden-day';
import { careActFixture, caredFixture } from '@/core/trial/fixtures/care-fixture';
import { trialFixture } from '@/core/trial/fixtures/trial-fixture';
import type { CareAct } from '@/core/trial/model/care-plan';
import { type LoggedStep, readPaperLog } from './paper-log';

const data = caredFixture(trialFixture({ treatments: 2, unitsEach: 3 }));
const [rule] = data.care.rules;
if (!rule) throw new Error('the fixture must have a feed');
const START = data.trial.startsOn;
const today = addDays(START, 40);
const [code] = data.units.map(unit => unit.code);

const read = (
  rows: readonly (readonly string[])[],
  acts: readonly CareAct[] = [],
  system: 'uk' | 'us' = 'uk',
) =>
  readPaperLog(rows, {
    rules: data.care.rules,
    tasks: careTasks({ ...data, care: { ...data.care, acts } }, today),
    units: data.units,
    system,
    startsOn: START,
    today,
  });
const HEADS = ['Day', 'What', 'To', 'Each', 'Note', 'Who'];

test('each line becomes the open step that lies nearest, with its own day, amount and hand', () => {
  const log = read([
    HEADS,
    [addDays(START, 1), rule.name.toUpperCase(), '', '25 ml', '', 'Ida'],
    ['', '', '', '', '', ''],
    [addDays(START, 13), rule.name, code ?? '', '', 'The rest was dry.', ''],
    [addDays(START, 22), rule.name, 'all', 'not given', 'We were away.', ''],
  ]);
  expect(log).toMatchObject({
    ok: true,
    value: [
      { nth: 0, doneOn: addDays(START, 1), amount: 25, unitIds: null, by: 'Ida' },
      { nth: 2, amount: null, unitIds: [data.units[0]?.id], isSkipped: false },
      { nth: 3, isSkipped: true, note: 'We were away.' },
    ],
  });
});

test.each<[string, readonly string[], RegExp]>([
  ['a day that is none', ['3 June', 'x'], /^“3 June” is no day/],
  ['a day to come', [addDays(today, 1), 'x'], /still to come/],
  ['a step that is not planned', [START, 'weeding'], /^“weeding” is no task of the plan: /],
  ['a code of no pot', [START, rule.name, 'QQ9'], /^“QQ9”: codes of this trial/],
  ['an amount of another kind', [START, rule.name, '', '3 m'], /./],
  ['some pots without a reason', [START, rule.name, code ?? ''], /say why/],
  ['nothing given without a reason', [START, rule.name, '', 'none'], /say why/],
  ['a day before the plan began', [addDays(START, -9), rule.name], /^No open task/],
])('%s is refused with its line, and nothing of the log is taken', (_, line, says) => {
  const log = read([HEADS, [START, rule.name], line]);
  expect(log).toMatchObject({
    ok: false,
    trouble: [{ row: 3, says: expect.stringMatching(says) }],
  });
});

test('a bare number is the rate’s grams or millilitres in a metric garden, and asked back in an American one', () => {
  const line = [HEADS, [START, rule.name, '', '25']];
  expect(read(line)).toMatchObject({ ok: true, value: [{ amount: 25 }] });
  expect(read(line, [], 'us')).toMatchObject({
    ok: false,
    trouble: [{ column: 'amount', says: expect.stringMatching(/has no unit\. Add one of tsp/) }],
  });
});

test('what stands on record is no open step: a log that is entered twice is refused line by line', () => {
  const lines = [0, 7, 14].map(days => [addDays(START, days), rule.name]);
  const first = read([HEADS, ...lines]);
  if (!first.ok) throw new Error('the log must be taken');
  const acts = first.value.map((step: LoggedStep) =>
    careActFixture(rule, step.nth, step.doneOn, step),
  );
  const again = read([HEADS, ...lines], acts);
  expect(again).toMatchObject({ ok: false, trouble: [{ row: 2 }, { row: 3 }, { row: 4 }] });
});

test('what several lines say of different pots is one step in parts; of the same pot it is said once', () => {
  const [one = '', two = ''] = data.units.map(unit => unit.code);
  const line = (to: string) => [START, rule.name, to, '', 'By shelves.', ''];
  expect(read([HEADS, line(one), line(two)])).toMatchObject({
    ok: true,
    value: [{ nth: 0 }, { nth: 0 }],
  });
  expect(read([HEADS, line(one), line(`${two} ${one}`)])).toMatchObject({
    ok: false,
    trouble: [{ row: 3, column: 'to' }],
  });
});

test('a first line without names is told what the columns are called', () => {
  expect(read([[START, rule.name]])).toMatchObject({
    ok: false,
    trouble: [{ row: 1, says: expect.stringContaining('names the columns') }],
  });
});

test('however late each was, no two lines take one step, and all are taken', () => {
  fc.assert(
    fc.property(
      fc.array(fc.integer({ min: 0, max: 3 }), { minLength: 5, maxLength: 5 }),
      fc.boolean(),
      (late, isReversed) => {
        const lines = late.map((days, i) => [addDays(START, 7 * i + days), rule.name]);
        const log = read([HEADS, ...(isReversed ? [...lines].reverse() : lines)]);
        if (!log.ok) throw new Error(JSON.stringify(log.trouble));
        expect(log.value.map(step => step.nth).sort()).toEqual([0, 1, 2, 3, 4]);
        for (const { nth, doneOn } of log.value)
          expect(doneOn).toBe(addDays(START, 7 * nth + (late[nth] ?? 0)));
      },
    ),
  );
});
