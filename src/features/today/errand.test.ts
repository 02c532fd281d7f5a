import { trialFixture } from '@/core/trial/fixtures/trial-fixture';
import type { TrialSummary } from '@/core/trial/trial-summary';
import { errandOf } from './errand';

const { trial } = trialFixture({ treatments: 2, unitsEach: 6 });
const summary = (changes: Partial<TrialSummary> = {}): TrialSummary => ({
  trial: { ...trial, state: 'locked', startsOn: '2026-05-01', endsOn: '2026-09-30' },
  units: 12,
  unitsRead: 0,
  lastDay: null,
  headline: null,
  isPutAway: false,
  isUnsettled: false,
  isWeighed: true,
  ...changes,
});
const said = (changes: Partial<TrialSummary>, today = '2026-06-10') =>
  errandOf(summary(changes), today).map(({ act, amount, href }) => [
    act,
    amount,
    href.split('/').at(-1),
  ]);
const on = (day: string, units: number) => ({ lastDay: { day, units } });

test.each([
  [{}, [['Pick, once it is ripe', '12 pots', 'weigh']]],
  [on('2026-06-08', 12), [['Pick what is ripe', '12 pots', 'weigh']]],
  [on('2026-06-10', 9), [['Go on picking', '3 pots', 'weigh']]],
  [on('2026-06-10', 12), []],
  [{ isWeighed: false }, [['Go round and read', '12 pots', 'walk']]],
  [{ isWeighed: false, ...on('2026-06-10', 11) }, [['Go on reading', '1 pot', 'walk']]],
])('%o wants %o', (changes, wants) => {
  expect(said(changes)).toEqual(wants);
});

test('before the lock it is laid out, after its season it is judged, and when closed it wants nothing', () => {
  const of = (state: 'planned' | 'closed', units: number) =>
    said({ trial: { ...summary().trial, state }, units });
  expect(of('planned', 0)).toEqual([['Lay it out', '—', 'lay-out']]);
  expect(of('planned', 12)).toEqual([['Lock the plan', '12 pots', 'lay-out']]);
  expect(said({}, '2026-10-01')).toEqual([['Judge it', '12 pots', 'judge']]);
  expect(of('closed', 12)).toEqual([]);
});

test('when it was last done is said in its own word', () => {
  const [errand] = errandOf(summary({ isWeighed: false, ...on('2026-06-09', 12) }), '2026-06-10');
  expect(errand?.why).toBe(`${trial.question} Last read yesterday.`);
});
