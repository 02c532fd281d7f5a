import { mkdtempSync, readdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { dirname, join } from 'node:path';
import { v7 } from 'uuid';
import {
  emptyPickFixture,
  leaveOutFixture,
  pickFixture,
  readingFixture,
  trialFixture,
} from '@/core/trial/fixtures/trial-fixture';
import { GardenId } from '@/core/trial/model/ids';
import { TrialData } from '@/core/trial/model/trial-data';
import { addAllEntries, addPick, currentPicks } from '@/store/entries';
import { addGarden } from '@/store/gardens';
import { putLayout } from '@/store/layouts';
import { up as decidedInTime } from '@/store/migrations/20261129d-decided-in-time';
import { migrationSource } from '@/store/migrations/migration-source';
import { putQuestion } from '@/store/questions';
import { lastDays, readCounts, unitCounts } from '@/store/trial-counts';
import { addTrial, findTrialData } from '@/store/trials';
import { checkDataFile } from './check-data-file';
import { type Database, openDatabase } from './database';
import { migrate } from './open-safely';

let folder = '';
let file = '';
let db: Database;

beforeEach(async () => {
  folder = mkdtempSync(join(tmpdir(), 'turnspit-'));
  file = join(folder, 'deep', 'garden.sqlite');
  db = openDatabase(file);
  await migrate(db, file);
});

afterEach(async () => {
  await db.destroy();
  rmSync(folder, { recursive: true, force: true });
});

async function keep(data: TrialData): Promise<TrialData> {
  await addGarden(db, {
    id: data.trial.gardenId,
    name: 'Cinder Row',
    system: 'uk',
    latitude: 51,
    altitudeM: 50,
    lastFrost: null,
    firstFrost: null,
  });
  await addTrial(db, data.trial);
  await putQuestion(db, data.trial.id, data);
  if (data.layout)
    await putLayout(db, data.trial, {
      layout: data.layout,
      places: data.places,
      blocks: data.blocks,
      units: data.units,
    });
  await addAllEntries(db, data.trial.id, data);
  return data;
}

function fullTrial(): TrialData {
  const trial = trialFixture({
    treatments: 3,
    unitsEach: 4,
    blockCount: 2,
    isBlind: true,
    seed: 4_294_967_295,
  });
  const [a, b, c] = trial.units;
  const measure = trial.measures[0];
  if (!a || !b || !c || !measure) throw new Error('the fixture must have three units');
  return {
    ...trial,
    picks: [
      pickFixture(a, { note: 'é ł 🌱 "quoted"', netG: 0.1 + 0.2 }),
      pickFixture(b, { grade: 'cull', cullReason: 'rot' }),
      emptyPickFixture(c, 'dead'),
    ],
    readings: [
      readingFixture(a, measure, 12.5),
      readingFixture(b, measure, null, { outcome: 'not-looked' }),
    ],
    incidents: [leaveOutFixture(c)],
  };
}

/** Ids order rows that were made within the same millisecond, so lists are compared as sets. */
function sorted(data: TrialData | undefined): unknown {
  return (
    data &&
    Object.fromEntries(
      Object.entries(data).map(([key, value]) => [
        key,
        Array.isArray(value)
          ? [...value].map(each => JSON.stringify(each, Object.keys(each).sort())).sort()
          : value,
      ]),
    )
  );
}

test('a whole trial comes back as it went in, to the last bit', async () => {
  const data = await keep(fullTrial());
  const found = await findTrialData(db, data.trial.id);
  expect(sorted(found)).toEqual(sorted(data));
  expect(TrialData.safeParse(JSON.parse(JSON.stringify(found))).success).toBe(true);
});

test('counts go by standing entries', async () => {
  const data = await keep(fullTrial());
  const { id } = data.trial;
  expect([(await unitCounts(db)).get(id), (await readCounts(db)).get(id)]).toEqual([12, 3]);
  expect((await lastDays(db)).get(id)).toMatchObject({ day: '2026-07-01', units: 3 });
  const first = data.picks[0];
  if (!first) throw new Error('there must be a pick');
  await addPick(db, id, {
    ...first,
    id: pickFixture(data.units[0] ?? fail()).id,
    supersedes: first.id,
    isRemoval: true,
  });
  expect((await readCounts(db)).get(id)).toBe(2);
  expect(await currentPicks(db, id)).toHaveLength(2);
});

function fail(): never {
  throw new Error('there must be a unit');
}

test('an entry of an unknown unit is refused by the file itself', async () => {
  const data = await keep(fullTrial());
  const stranger = trialFixture().units[0] ?? fail();
  await expect(addPick(db, data.trial.id, pickFixture(stranger))).rejects.toMatchObject({
    code: 'SQLITE_CONSTRAINT_FOREIGNKEY',
  });
});

test('a change that fails half way leaves nothing behind', async () => {
  const data = await keep(fullTrial());
  const half = db.transaction(async inner => {
    await addPick(inner, data.trial.id, pickFixture(data.units[5] ?? fail()));
    await addGarden(inner, {
      id: data.trial.gardenId,
      name: 'the same again',
      system: 'uk',
      latitude: 51,
      altitudeM: 50,
      lastFrost: null,
      firstFrost: null,
    });
  });
  await expect(half).rejects.toMatchObject({ code: expect.stringMatching(/^SQLITE_CONSTRAINT/) });
  expect(await currentPicks(db, data.trial.id)).toHaveLength(3);
});

test('a change that can’t be committed leaves nothing, and the next one can begin', async () => {
  const data = await keep(fullTrial());
  const orphan = db.transaction(async change => {
    await change.raw('pragma defer_foreign_keys = on');
    await change('picks').update({ trialId: 'of-nobody' });
  });
  await expect(orphan).rejects.toMatchObject({ code: 'SQLITE_CONSTRAINT_FOREIGNKEY' });
  await db.transaction(change =>
    change('trials').where('id', data.trial.id).update({ crop: 'rue' }),
  );
  expect((await findTrialData(db, data.trial.id))?.trial.crop).toBe('rue');
  expect(await currentPicks(db, data.trial.id)).toHaveLength(3);
});

test('written data is safe from a crash: write-ahead log, full sync, foreign keys', async () => {
  const pragma = async (name: string): Promise<unknown> =>
    Object.values((await db.raw(`pragma ${name}`))[0] ?? {})[0];
  expect([
    await pragma('journal_mode'),
    await pragma('synchronous'),
    await pragma('foreign_keys'),
  ]).toEqual(['wal', 2, 1]);
});

test('every migration can be taken back and made again on a filled file', async () => {
  await keep(fullTrial());
  await db.migrate.rollback(undefined, true);
  await db.migrate.latest();
  expect(await db.migrate.currentVersion()).toBe((await migrationSource.getMigrations([])).at(-1));
});

test('what earlier versions put down as late in an open trial is in time where nothing had been read yet', async () => {
  const decided = async (isBlind: boolean): Promise<readonly boolean[]> => {
    const trial = trialFixture({ unitsEach: 2, isBlind });
    const [a, b] = trial.units;
    const late = { afterKeyOpened: true };
    const data = await keep({
      ...trial,
      picks: [pickFixture(a ?? fail(), { takenAt: '2026-07-01T09:00:00.000Z' })],
      incidents: [
        leaveOutFixture(a ?? fail(), { ...late, recordedAt: '2026-06-20T09:00:00.000Z' }),
        leaveOutFixture(b ?? fail(), { ...late, recordedAt: '2026-07-02T09:00:00.000Z' }),
      ],
    });
    await decidedInTime(db);
    const found = await findTrialData(db, data.trial.id);
    return found?.incidents.map(incident => incident.afterKeyOpened) ?? [];
  };
  expect(await decided(false)).toEqual([false, true]);
  expect(await decided(true)).toEqual([true, true]);
});

describe('before a file is opened', () => {
  test('one that is not there is new, a good one sound', () => {
    expect(checkDataFile(join(folder, 'nothing.sqlite'))).toEqual({ ok: true, value: 'new' });
    expect(checkDataFile(file)).toEqual({ ok: true, value: 'sound' });
  });

  test('one with broken pages is refused and left as it is', async () => {
    await keep(fullTrial());
    await db.raw('pragma wal_checkpoint(truncate)');
    const bytes = readFileSync(file);
    bytes.fill(0x5a, 8192, 24_576);
    writeFileSync(file, bytes);
    expect(checkDataFile(file)).toMatchObject({ ok: false, trouble: { kind: 'damaged', file } });
    expect(readFileSync(file).equals(bytes)).toBe(true);
  });

  test('what is no data file, and a folder, are refused', () => {
    const text = join(folder, 'notes.sqlite');
    writeFileSync(text, 'beans 12 lb\n'.repeat(500));
    expect(checkDataFile(text)).toMatchObject({ ok: false, trouble: { kind: 'damaged' } });
    expect(checkDataFile(folder)).toMatchObject({ ok: false, trouble: { kind: 'unreadable' } });
  });

  test('one whose last start was cut off in mid-migration opens again', async () => {
    await db('knex_migrations_lock').update({ is_locked: 1 });
    await db.migrate.rollback(undefined, true).catch(() => undefined);
    expect(await migrate(db, file)).toEqual({ ok: true, value: 'migrated' });
  });

  test('one made by a newer version is refused', async () => {
    await db('knex_migrations').insert({
      name: '29991231-from-the-future',
      batch: 9,
      migration_time: new Date().toISOString(),
    });
    expect(await migrate(db, file)).toEqual({ ok: false, trouble: { kind: 'newer', file } });
  });
});

test('garden ids are UUIDv7', () => {
  expect(GardenId.safeParse(v7()).success).toBe(true);
  expect(GardenId.safeParse('1').success).toBe(false);
});

test('a file from before the last step is copied whole before it is brought forward', async () => {
  const data = await keep(trialFixture());
  await db.migrate.down();
  expect(await migrate(db, file)).toMatchObject({ ok: true });
  const copies = readdirSync(dirname(file)).filter(name => name.includes('.before-'));
  expect(copies).toHaveLength(1);
  const copy = openDatabase(join(dirname(file), copies[0] ?? ''));
  expect(await copy('trials').where({ id: data.trial.id }).first()).toMatchObject({
    question: data.trial.question,
  });
  await copy.destroy();
  expect((await findTrialData(db, data.trial.id))?.trial).toMatchObject({
    question: data.trial.question,
    rules: { end: 'date' },
    pattern: null,
  });
});
