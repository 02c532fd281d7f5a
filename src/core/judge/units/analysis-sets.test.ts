import fc from 'fast-check';
import { judgeWithoutShuffle } from '@/core/judge/outcomes/judge';
import { STARTING_GUESS_CV } from '@/core/judge/question/judge-input';
import { leaveOutFixture, pickFixture, trialFixture } from '@/core/trial/fixtures/trial-fixture';
import type { Incident } from '@/core/trial/model/incident';
import type { TrialData } from '@/core/trial/model/trial-data';
import { cutWords, isDecidedLate, leftOutOf, withCuts } from './analysis-sets';
import { judgeInputOf, judgementOfSound, judgementWithAllIn, plannedSpec } from './trial-analysis';

const trial = trialFixture({ treatments: 2, unitsEach: 4 });
const [a, b, c] = trial.units;
if (!a || !b || !c) throw new Error('the fixture must have three units');
const withMishaps = (...incidents: readonly Incident[]): TrialData => ({
  ...trial,
  incidents,
  picks: trial.units.flatMap((unit, i) => [
    pickFixture(unit, { netG: 100 + 7 * i }),
    pickFixture(unit, { netG: 60 + 5 * i, pickedOn: '2026-07-15' }),
  ]),
});
const mishap = (unit: typeof a, changes: Partial<Incident>) =>
  leaveOutFixture(unit, {
    decision: 'keep',
    cause: 'frost',
    byTreatment: 'no',
    happenedOn: '2026-07-10',
    ...changes,
  });

test('all keeps everyone; planned what was decided before the key; sound none that had a mishap of its own', () => {
  const data = withMishaps(
    leaveOutFixture(a),
    leaveOutFixture(b, { afterKeyOpened: true }),
    mishap(c, {}),
  );
  expect([leftOutOf(data, 'all'), leftOutOf(data, 'planned'), leftOutOf(data, 'sound')]).toEqual([
    [],
    [a.code],
    [a.code, b.code, c.code],
  ]);
});

test('what the treatment did stays in every set; where nobody knows whether it did, the unit had a mishap', () => {
  const data = withMishaps(
    mishap(a, { byTreatment: 'yes' }),
    mishap(b, { byTreatment: 'unknown' }),
  );
  expect((['all', 'planned', 'sound'] as const).map(set => leftOutOf(data, set))).toEqual([
    [],
    [],
    [b.code],
  ]);
});

test('a unit that is judged on a shorter season is named', () => {
  const data = withMishaps(
    mishap(a, { decision: 'leave-out-from' }),
    mishap(b, { decision: 'start-anew' }),
    mishap(c, { decision: 'start-anew', afterKeyOpened: true }),
  );
  expect(cutWords(data)).toEqual([
    `${a.code} counts only with what it gave before 2026-07-10: a shorter season than the others.`,
    `${b.code} counts only from 2026-07-10 on: a shorter season than the others.`,
  ]);
});

test('what was cut too late is not cut in the verdict', () => {
  const data = withMishaps(
    mishap(a, { decision: 'leave-out-from', afterKeyOpened: true }),
    mishap(b, { decision: 'start-anew', afterKeyOpened: true }),
  );
  expect(withCuts(data)).toBe(data);
});

test('a decision after the key, or in an open trial after the first reading, moves no headline; it stands beside it', () => {
  const before = withMishaps();
  const spec = (data: TrialData) => plannedSpec(data, STARTING_GUESS_CV);
  const late = withMishaps(leaveOutFixture(a, { afterKeyOpened: true }));
  const [planned, then] = [late, before].map(data =>
    judgeWithoutShuffle(judgeInputOf(data, spec(data))),
  );
  expect(planned).toEqual(then);
  expect(
    judgementOfSound(late, spec(late))
      ?.groups.map(group => group.n)
      .sort(),
  ).toEqual([3, 4]);
  const open = { ...before, trial: { ...before.trial, isBlind: false, keyOpenedAt: null } };
  expect([
    isDecidedLate(open),
    isDecidedLate({ ...open, picks: [] }),
    isDecidedLate({ ...open, trial: { ...open.trial, isBlind: true } }),
    isDecidedLate({
      ...open,
      picks: [],
      trial: { ...open.trial, isBlind: true, keyOpenedAt: '2026-07-20T08:00:00.000Z' },
    }),
  ]).toEqual([true, false, false, true]);
});

test('no more from a day on, or only from a day on: that unit’s entries alone are cut', () => {
  const days = (data: TrialData, unit: typeof a) =>
    withCuts(data)
      .picks.filter(pick => pick.unitId === unit.id)
      .map(pick => pick.pickedOn);
  const data = withMishaps(
    mishap(a, { decision: 'leave-out-from' }),
    mishap(b, { decision: 'start-anew' }),
  );
  expect([days(data, a), days(data, b), days(data, c)]).toEqual([
    ['2026-07-01'],
    ['2026-07-15'],
    ['2026-07-01', '2026-07-15'],
  ]);
  const kept = withMishaps(mishap(a, {}));
  expect(withCuts(kept)).toBe(kept);
});

test('each set is a part of the one before, whatever happened', () => {
  const incidents = fc.array(
    fc.record({
      at: fc.integer({ min: 0, max: 7 }),
      decision: fc.constantFrom<Incident['decision']>(
        'keep',
        'leave-out',
        'leave-out-from',
        'replace',
        'start-anew',
      ),
      byTreatment: fc.constantFrom<Incident['byTreatment']>('yes', 'no', 'unknown'),
      afterKeyOpened: fc.boolean(),
    }),
    { maxLength: 6 },
  );
  fc.assert(
    fc.property(incidents, list => {
      const data = withMishaps(
        ...list.map(({ at, ...changes }) => mishap(trial.units[at] ?? a, changes)),
      );
      const [all, planned, sound] = (['all', 'planned', 'sound'] as const).map(set =>
        leftOutOf(data, set),
      );
      expect(all).toEqual([]);
      expect(planned?.every(code => sound?.includes(code))).toBe(true);
    }),
  );
});

test('the verdict comes with everything back in, and with the sound ones only, where those differ', () => {
  const spec = (data: TrialData) => plannedSpec(data, STARTING_GUESS_CV);
  const cut = withMishaps(mishap(a, { decision: 'leave-out-from', byTreatment: 'yes' }));
  expect(judgementWithAllIn(cut, spec(cut))?.groups[0]?.n).toBe(4);
  expect(judgementOfSound(cut, spec(cut))).toBeUndefined();
  const frosted = withMishaps(mishap(a, {}));
  expect(judgementWithAllIn(frosted, spec(frosted))).toBeUndefined();
  expect(
    judgementOfSound(frosted, spec(frosted))
      ?.groups.map(group => group.n)
      .sort(),
  ).toEqual([3, 4]);
});

test('on the day itself: what ends ends before it, what begins begins with it', () => {
  const onTheDay = (decision: Incident['decision']) => {
    const data = withMishaps(mishap(a, { decision, happenedOn: '2026-07-15' }));
    return withCuts(data)
      .picks.filter(pick => pick.unitId === a.id)
      .some(pick => pick.pickedOn === '2026-07-15');
  };
  expect([onTheDay('leave-out-from'), onTheDay('start-anew'), onTheDay('replace')]).toEqual([
    false,
    true,
    true,
  ]);
});
