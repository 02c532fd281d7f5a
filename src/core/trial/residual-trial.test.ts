import fc from 'fast-check';
import { v7 } from 'uuid';
import { careRuleFixture } from './fixtures/care-fixture';
import { pickFixture, trialFixture } from './fixtures/trial-fixture';
import { NO_CARE } from './model/care-plan';
import { TrialData } from './model/trial-data';
import { residualTrial } from './residual-trial';
import { protocolOf } from './shared/protocol';

const closed = (changes: Parameters<typeof trialFixture>[0] = {}): TrialData => {
  const data = trialFixture(changes);
  return {
    ...data,
    picks: data.units.map(unit => pickFixture(unit, { netG: 100 })),
    care: { ...NO_CARE, rules: [careRuleFixture({ treatmentIds: [data.treatments[1]!.id] })] },
    trial: { ...data.trial, state: 'closed', closedAt: '2026-09-01T08:00:00.000Z' },
  };
};

test('every unit holds what it was dealt, in its place and with its code; all else begins anew', () => {
  fc.assert(
    fc.property(
      fc.integer({ min: 2, max: 5 }),
      fc.integer({ min: 1, max: 3 }),
      fc.integer({ min: 0, max: 3 }),
      (treatments, each, blockCount) => {
        const before = closed({
          treatments,
          unitsEach: each * Math.max(1, blockCount),
          blockCount,
        });
        const after = residualTrial(before, () => v7(), '2027-02-01');
        if (!after) throw new Error('it is closed and dealt');
        expect(TrialData.safeParse(after).success).toBe(true);
        const dealt = (data: TrialData) =>
          data.units.map(unit => ({
            code: unit.code,
            got: data.treatments.findIndex(({ id }) => id === unit.treatmentId),
            block: data.blocks.find(({ id }) => id === unit.blockId)?.name,
            place: data.places.findIndex(({ id }) => id === unit.placeId),
          }));
        expect(dealt(after)).toEqual(dealt(before));
        expect(after.layout).toMatchObject({
          seed: before.layout?.seed,
          keptFrom: before.trial.id,
        });
        expect([after.picks, after.readings, after.care.rules]).toEqual([[], [], []]);
        // No id stands in both: they lie in one data file.
        const ids = (data: TrialData) =>
          [...data.units, ...data.places, ...data.blocks, ...data.treatments, ...data.measures].map(
            ({ id }) => id as string,
          );
        const old = new Set([...ids(before), before.trial.id as string]);
        expect([...ids(after), after.trial.id].filter(id => old.has(id))).toEqual([]);
      },
    ),
    { numRuns: 30 },
  );
});

test('treatments are called by last season, so that no verdict says what was given is given now', () => {
  const after = residualTrial(closed({ treatments: 2 }), () => v7(), '2026-10-01');
  expect(after?.treatments.map(({ name }) => name)).toEqual([
    'last season’s plain water',
    'last season’s feed 1',
  ]);
  expect(after?.factors[0]?.levels).toEqual(after?.treatments.map(({ name }) => name));
  expect(after?.trial.question).toBe('What is left in the ground after “Does a feed help?”');
  expect(after?.trial).toMatchObject({ state: 'planned', isBlind: false, protocolId: null });
  // No other garden has this ground: the plan goes nowhere.
  expect(after && protocolOf(after, { garden: '', person: '', madeAt: '' })).toBeUndefined();
});

test('it begins in a season to come, a whole number of weeks after the first', () => {
  const before = closed();
  const after = residualTrial(before, () => v7(), '2029-01-01');
  expect(after && after.trial.startsOn >= '2029-01-01').toBe(true);
  const days =
    (Date.parse(after?.trial.startsOn ?? '') - Date.parse(before.trial.startsOn)) / 864e5;
  expect(days % 7).toBe(0);
});

test('a trial that runs, or was never dealt, leaves nothing to ask yet', () => {
  const data = closed();
  const running = { ...data, trial: { ...data.trial, state: 'locked' as const } };
  expect(residualTrial(running, () => v7(), '2027-01-01')).toBeUndefined();
  expect(residualTrial({ ...data, layout: null }, () => v7(), '2027-01-01')).toBeUndefined();
});
