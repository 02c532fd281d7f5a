import {
  emptyPickFixture,
  leaveOutFixture,
  pickFixture,
  trialFixture,
} from '@/core/trial/fixtures/trial-fixture';
import { trialFrameOf } from './trial-view';

const trial = trialFixture({ treatments: 3, unitsEach: 4, blockCount: 4 });
const [first, second] = trial.units;
if (!first || !second) throw new Error('the fixture must have two units');

test('each step shows its one fact', () => {
  const data = {
    ...trial,
    picks: [
      pickFixture(first),
      pickFixture(first, { pickedOn: '2026-07-08' }),
      emptyPickFixture(second, 'nothing-there'),
    ],
  };
  expect(trialFrameOf(data, '2026-07-10', null).facts).toEqual({
    ask: '3 treatments',
    'lay-out': '12 pots, 4 shelves',
    tend: 'nothing planned',
    weigh: '2 of 12 pots read',
    judge: 'so far',
  });
  expect(
    trialFrameOf(
      { ...trial, layout: null, trial: { ...trial.trial, state: 'planned' } },
      '2026-07-10',
      null,
    ).facts,
  ).toMatchObject({ 'lay-out': 'not dealt yet', weigh: 'after the lock' });
  expect(trialFrameOf(data, '2026-07-10', '1 better').facts.judge).toBe('1 better');
});

test.each([
  ['2026-04-28', 'locked · begins in 3 days'],
  ['2026-05-01', 'locked · day 0 of 92'],
  ['2026-06-01', 'locked · day 31 of 92'],
  ['2026-09-01', 'locked · the season is over'],
])('on %s it stands: %s', (today, stateWords) => {
  expect(trialFrameOf(trial, today, null).stateWords).toBe(stateWords);
});

test('blind and closed are said', () => {
  expect(
    trialFrameOf({ ...trial, trial: { ...trial.trial, isBlind: true } }, '2026-06-01', null)
      .stateWords,
  ).toContain('blind');
  expect(
    trialFrameOf(
      {
        ...trial,
        trial: { ...trial.trial, state: 'closed', closedAt: '2026-08-02T10:00:00.000Z' },
      },
      '2026-09-01',
      null,
    ).stateWords,
  ).toBe('closed, verdict frozen');
});

test('the season line holds each pick day once, with the units picked, and the mishaps', () => {
  const data = {
    ...trial,
    picks: [
      pickFixture(first),
      pickFixture(second),
      pickFixture(first, { pickedOn: '2026-07-08' }),
    ],
    incidents: [leaveOutFixture(second)],
  };
  const { season } = trialFrameOf(data, '2026-07-10', null);
  expect(season.picks.map(({ at, units }) => [at, units])).toEqual([
    [61, 2],
    [68, 1],
  ]);
  expect(season.mishaps).toEqual([
    { at: 50, on: '2026-06-20', words: `${second.code}: Knocked over.` },
  ]);
  expect(season).toMatchObject({ lengthDays: 92, todayAt: 70 });
});
