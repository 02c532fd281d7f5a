import { v7 } from 'uuid';
import { addDays } from '@/core/time/garden-day';
import { careActFixture, careRuleFixture } from '@/core/trial/fixtures/care-fixture';
import {
  leaveOutFixture,
  pickFixture,
  readingFixture,
  trialFixture,
} from '@/core/trial/fixtures/trial-fixture';
import { IncidentId, PickId, ReadingId } from '@/core/trial/model/ids';
import { takeTrialIn } from '@/service/files/whole-trials';
import { freshGardenForEachTest } from '@/service/garden/garden-fixture';
import { addCareAct, carePlanOf, putCareRule } from '@/store/care';
import { type Database, database } from '@/store/connection/database';
import { addIncident, addPick, currentIncidents, currentPicks } from '@/store/entries';
import { addReading, currentReadings } from '@/store/readings';

freshGardenForEachTest();

// Picks, readings, acts and mishaps are one kind of thing: what holds for one holds for all.

const data = trialFixture({ treatments: 2, unitsEach: 2 });
const [unit] = data.units;
const [measure] = data.measures;
if (!unit || !measure) throw new Error('the fixture must have a unit and a measure');
const rule = careRuleFixture({ from: { kind: 'day', day: data.trial.startsOn } });
const trialId = data.trial.id;

/** Of each kind: how one is added, and what stands, by id and by who wrote it. */
interface Kind {
  readonly add: (
    db: Database,
    entry: {
      readonly id: string;
      readonly supersedes: string | null;
      readonly by: string;
      readonly isRemoval?: boolean;
    },
  ) => Promise<boolean>;
  readonly standing: (
    db: Database,
  ) => Promise<readonly { readonly id: string; readonly by: string }[]>;
}

const KINDS: Readonly<Record<string, Kind>> = {
  picks: {
    add: (db, { id, supersedes, ...rest }) =>
      addPick(
        db,
        trialId,
        pickFixture(unit, {
          ...rest,
          id: PickId.parse(id),
          supersedes: PickId.nullable().parse(supersedes),
        }),
      ),
    standing: db => currentPicks(db, trialId),
  },
  readings: {
    add: (db, { id, supersedes, ...rest }) =>
      addReading(
        db,
        trialId,
        readingFixture(unit, measure, 7, {
          ...rest,
          id: ReadingId.parse(id),
          supersedes: ReadingId.nullable().parse(supersedes),
        }),
      ),
    standing: db => currentReadings(db, trialId),
  },
  mishaps: {
    add: (db, { id, supersedes, ...rest }) =>
      addIncident(
        db,
        trialId,
        leaveOutFixture(unit, {
          ...rest,
          id: IncidentId.parse(id),
          supersedes: IncidentId.nullable().parse(supersedes),
        }),
      ),
    standing: db => currentIncidents(db, trialId),
  },
  acts: {
    add: (db, entry) =>
      addCareAct(db, trialId, careActFixture(rule, 0, addDays(data.trial.startsOn, 1), entry)),
    standing: async db => (await carePlanOf(db, trialId)).acts,
  },
};

beforeEach(async () => {
  const taken = await takeTrialIn(data);
  if (!taken.ok) throw new Error(JSON.stringify(taken.trouble));
  await putCareRule(database(), trialId, rule, 0);
});

describe.each(Object.entries(KINDS))('%s', (_, { add, standing }) => {
  const bys = async () => (await standing(database())).map(each => each.by);

  test('the same id sent twice is one entry, with who made it', async () => {
    const entry = { id: v7(), supersedes: null, by: 'Ida' };
    expect(await add(database(), entry)).toBe(true);
    expect(await add(database(), entry)).toBe(true);
    expect(await bys()).toEqual(['Ida']);
  });

  test('a revision stands in place of what it names; a second one of the same is told, and writes over nothing', async () => {
    const [first, second, third] = [v7(), v7(), v7()];
    await add(database(), { id: first, supersedes: null, by: 'Ida' });
    expect(await add(database(), { id: second, supersedes: first, by: 'Jory' })).toBe(true);
    expect(await add(database(), { id: second, supersedes: first, by: 'Jory' })).toBe(true);
    expect(await add(database(), { id: third, supersedes: first, by: 'Kit' })).toBe(false);
    expect(await bys()).toEqual(['Jory']);
  });

  test('a removal is an entry, and what was removed can be brought back by another', async () => {
    const [first, removal, back] = [v7(), v7(), v7()];
    await add(database(), { id: first, supersedes: null, by: 'Ida' });
    await add(database(), { id: removal, supersedes: first, by: 'Jory', isRemoval: true });
    expect(await bys()).toEqual([]);
    await add(database(), { id: back, supersedes: removal, by: 'Ida' });
    expect(await bys()).toEqual(['Ida']);
  });

  test('several beside each other all stand, in whatever order they come', async () => {
    const ids = [v7(), v7(), v7()];
    for (const [i, id] of [...ids].reverse().entries())
      await add(database(), { id, supersedes: null, by: String(i) });
    expect((await standing(database())).map(each => each.id)).toEqual(ids);
  });
});
