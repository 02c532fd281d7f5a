import fc from 'fast-check';
import { remindersFor } from '@/core/schedule/tasks/reminders';
import { addDays, daysBetween } from '@/core/time/garden-day';
import { trialFixture } from '@/core/trial/fixtures/trial-fixture';
import { BLANK_CARE } from './care-draft';
import { readCare } from './care-form';
import { seasonLimits } from './season-limits';

const frosts = { lastFrost: '05-14', firstFrost: '10-20' };

test('a season that runs into the frost says by when to lift, and when it should have begun', () => {
  const limits = seasonLimits({ startsOn: '2026-08-01', endsOn: '2026-11-09' }, frosts);
  expect(limits).toMatchObject({
    frostOn: '2026-10-20',
    lastSowing: '2026-07-12',
    lastFeed: '2026-10-26',
  });
  expect(limits.says.join(' ')).toContain('start by 2026-07-12');
});

test('a start before the last frost is told; a season between the frosts, and a garden without any, are left alone', () => {
  expect(seasonLimits({ startsOn: '2026-05-01', endsOn: '2026-08-01' }, frosts).says).toEqual([
    'It starts 13 days before the last frost is usually over, 2026-05-14: cover all alike, or start later.',
  ]);
  expect(seasonLimits({ startsOn: '2026-05-20', endsOn: '2026-09-01' }, frosts).says).toEqual([]);
  expect(
    seasonLimits(
      { startsOn: '2026-08-01', endsOn: '2027-06-09' },
      { lastFrost: null, firstFrost: null },
    ),
  ).toMatchObject({ frostOn: null, lastSowing: null, says: [] });
});

test('sown by the last sowing day, every season is over by the frost', () => {
  fc.assert(
    fc.property(
      fc.integer({ min: 0, max: 365 }),
      fc.integer({ min: 1, max: 200 }),
      (offset, length) => {
        const startsOn = addDays('2026-01-01', offset);
        const { lastSowing } = seasonLimits(
          { startsOn, endsOn: addDays(startsOn, length) },
          frosts,
        );
        const again = seasonLimits(
          { startsOn: lastSowing ?? '', endsOn: addDays(lastSowing ?? '', length) },
          frosts,
        );
        expect(
          again.frostOn === null ||
            daysBetween(again.frostOn, addDays(lastSowing ?? '', length)) === 0,
        ).toBe(true);
      },
    ),
  );
});

describe('what is easily forgotten', () => {
  const data = trialFixture({ treatments: 2, unitsEach: 3 });
  const limits = seasonLimits(data.trial, frosts);
  test('is offered once, ready to go into the plan', () => {
    const offered = remindersFor(data, limits, data.trial.startsOn);
    expect(offered.map(each => each.key)).toEqual(
      expect.arrayContaining(['fill', 'baseline', 'check', 'looks', 'promise']),
    );
    const context = { system: 'uk' as const, products: [], treatments: data.treatments, rules: [] };
    const rules = offered.map((each, i) =>
      readCare(each.draft, context, `00000000-0000-7000-8000-00000000000${i}`),
    );
    expect(rules.filter(read => !read.ok)).toEqual([]);
    const taken = {
      ...data,
      care: { ...data.care, rules: rules.flatMap(read => (read.ok ? [read.value] : [])) },
    };
    expect(remindersFor(taken, limits, data.trial.startsOn).map(each => each.key)).toEqual([]);
  });
  test('what was before can be put down only before', () => {
    expect(
      remindersFor(data, limits, addDays(data.trial.startsOn, 1))
        .map(each => each.key)
        .filter(key => key === 'fill' || key === 'baseline'),
    ).toEqual([]);
  });
  test('barriers only where the question names one; a last feed only where something is fed', () => {
    const slugs = { ...data, trial: { ...data.trial, question: 'Do collars keep slugs off?' } };
    expect(
      [
        remindersFor(slugs, limits, data.trial.startsOn),
        remindersFor(data, limits, data.trial.startsOn),
      ].map(all => all.some(each => each.key === 'barrier')),
    ).toEqual([true, false]);
    const fed = readCare(
      { ...BLANK_CARE, name: 'feed' },
      { system: 'uk', products: [], treatments: data.treatments, rules: [] },
      '00000000-0000-7000-8000-000000000009',
    );
    expect(
      remindersFor(
        { ...data, care: { ...data.care, rules: fed.ok ? [fed.value] : [] } },
        limits,
        data.trial.startsOn,
      ).some(each => each.key === 'last-feed'),
    ).toBe(true);
  });
});

test.each([
  ['2027-01-10', '2027-02-28'],
  ['2028-01-10', '2028-02-29'],
])('a frost of 29 February comes, in a season from %s, on %s', (startsOn, on) => {
  const limits = seasonLimits(
    { startsOn, endsOn: addDays(startsOn, 90) },
    { lastFrost: null, firstFrost: '02-29' },
  );
  expect(limits.frostOn).toBe(on);
});
