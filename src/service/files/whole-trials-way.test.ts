import {
  existsSync,
  mkdirSync,
  mkdtempSync,
  readdirSync,
  readFileSync,
  rmSync,
  writeFileSync,
} from 'node:fs';
import { tmpdir } from 'node:os';
import { dirname, join } from 'node:path';
import fc from 'fast-check';
import { readMeasure } from '@/core/measure/library/own-measure';
import {
  leaveOutFixture,
  pickFixture,
  readingFixture,
  trialFixture,
} from '@/core/trial/fixtures/trial-fixture';
import { TrialData } from '@/core/trial/model/trial-data';
import { readWholeTrial, wholeTrialSentence } from '@/core/trial/whole-trial';
import { demoSeason } from '@/demo/demo-season';
import { freshGardenForEachTest } from '@/service/garden/garden-fixture';
import { closeStore, startStore } from '@/service/garden/start';
import { frozenVerdictOf } from '@/service/judge/close-trial';
import { backUp, backupSentence, restore } from './backup';
import { takeInSentence, takeTrialIn, trialNames, wholeTrial } from './whole-trials';

freshGardenForEachTest();

const asFile = (data: unknown): unknown => JSON.parse(JSON.stringify(data));
const trial = trialFixture({ treatments: 3, unitsEach: 4, blockCount: 4 });
const data: TrialData = {
  ...trial,
  picks: trial.units.map((unit, i) => pickFixture(unit, { netG: 300 + i })),
};

test('every trial of the demo season comes back from its own file as it was', async () => {
  for (const each of demoSeason('2026-08-01').trials) {
    const file = asFile(each);
    expect(await takeTrialIn(file)).toMatchObject({ ok: true, value: { id: each.trial.id } });
    const kept = await wholeTrial(each.trial.id);
    const sorted = (of: TrialData | undefined) =>
      of && {
        ...of,
        trial: { ...of.trial, gardenId: '' },
        products: [],
        picks: byId(of.picks),
        readings: byId(of.readings),
        incidents: byId(of.incidents),
        places: byId(of.places),
        units: byId(of.units),
        care: { ...of.care, acts: byId(of.care.acts) },
      };
    expect(sorted(kept)).toEqual(sorted(TrialData.parse(file)));
    expect((await frozenVerdictOf(each.trial.id)) !== undefined).toBe(
      each.trial.state === 'closed',
    );
  }
  expect(await trialNames()).toHaveLength(demoSeason('2026-08-01').trials.length);
});

test('a second time, or with the ids of another, nothing of it is taken', async () => {
  expect(await takeTrialIn(asFile(data))).toMatchObject({ ok: true });
  const again = await takeTrialIn(asFile(data));
  expect(again).toMatchObject({ ok: false, trouble: { kind: 'here-already' } });
  const other = await takeTrialIn(
    asFile({ ...data, trial: { ...data.trial, id: '00000000-0000-7000-8000-0000000000ff' } }),
  );
  expect(other).toMatchObject({ ok: false, trouble: { kind: 'clash' } });
  expect([again, other].map(each => (each.ok ? '' : takeInSentence(each.trouble)))).toEqual([
    expect.stringMatching(/is in this garden already\.$/),
    'Something in it has the id of something in another trial here.',
  ]);
  expect(await trialNames()).toHaveLength(1);
});

describe('a file that does not hang together', () => {
  const [unit] = data.units;
  const [pick] = data.picks;
  const strange = '00000000-0000-7000-8000-0000000000fe';
  const read = readMeasure({ from: 'library', key: 'height' }, [], strange);
  if (!read.ok) throw new Error('height must be in the library');
  const cases: readonly (readonly [string, object])[] = [
    ['two of its picks have the same id', { picks: [pick, pick] }],
    ['it compares fewer than two treatments', { treatments: data.treatments.slice(0, 1) }],
    [
      'it must have one control',
      { treatments: data.treatments.map(each => ({ ...each, role: 'test' })) },
    ],
    [
      'it must have one main measure',
      { measures: data.measures.map(each => ({ ...each, isMain: true })) },
    ],
    ['it was dealt or locked, but has no layout', { layout: null }],
    ['it has a layout, but no codes', { units: [], picks: [] }],
    ['it is closed, but not said when', { trial: { ...data.trial, state: 'closed' } }],
    [
      'it has picks or readings, but its plan was never locked',
      { trial: { ...data.trial, state: 'planned' } },
    ],
    [
      'two of its pots or beds have the same code',
      { units: data.units.map(each => ({ ...each, code: unit?.code })) },
    ],
    [
      'a pot or bed got a treatment that is not in it',
      { units: data.units.map(each => ({ ...each, treatmentId: strange })) },
    ],
    [
      'a pot or bed stands at a place or in a block that is not in it',
      { units: data.units.map(each => ({ ...each, placeId: strange })) },
    ],
    ['a place stands on one that does not come before it', { places: [...data.places].reverse() }],
    [
      'a block lies at a place that is not in it',
      { blocks: data.blocks.map(each => ({ ...each, placeId: strange })) },
    ],
    [
      'a pick or reading is of a pot or bed that is not in it',
      { incidents: unit ? [{ ...leaveOutFixture(unit), unitId: strange }] : [] },
    ],
    [
      'a reading is of a measure that is not in it',
      { readings: unit ? [readingFixture(unit, read.value, 3)] : [] },
    ],
    [
      'a reading is of a measure that is made from picks',
      { readings: unit && data.measures[0] ? [readingFixture(unit, data.measures[0], 3)] : [] },
    ],
  ];
  test.each(cases)('%s', (finding, changes) => {
    const found = readWholeTrial(asFile({ ...data, ...changes }));
    expect(found).toEqual({ ok: false, trouble: { kind: 'does-not-hang-together', finding } });
  });
  test('as it stands it does', () => {
    expect(readWholeTrial(asFile(data)).ok).toBe(true);
  });
});

test('whatever a file holds, it is a trial or a sentence that says where it is none', async () => {
  const found = readWholeTrial({ ...(asFile(data) as object), treatments: [{ name: 3 }] });
  expect(found.ok ? '' : wholeTrialSentence(found.trouble)).toMatch(
    /^That is no file of a trial: at treatments\.0\./,
  );
  await fc.assert(
    fc.asyncProperty(
      fc.oneof(
        fc.jsonValue(),
        fc.record({
          format: fc.constant('turnspit-trial'),
          version: fc.constant(1),
          trial: fc.jsonValue(),
          units: fc.jsonValue(),
        }),
      ),
      async input => {
        const taken = await takeTrialIn(input);
        expect(taken.ok || takeInSentence(taken.trouble).length > 10).toBe(true);
      },
    ),
    { numRuns: 40 },
  );
  expect(await trialNames()).toHaveLength(0);
});

describe('a backup', () => {
  let outside = '';
  beforeEach(() => {
    outside = mkdtempSync(join(tmpdir(), 'turnspit-backup-'));
  });
  afterEach(() => rmSync(outside, { recursive: true, force: true }));

  test('holds the data and the pictures, and comes back with what stood there moved aside', async () => {
    await takeTrialIn(asFile(data));
    const home = dirname(process.env.TURNSPIT_DATA ?? '');
    mkdirSync(join(home, 'photos', 'a'), { recursive: true });
    writeFileSync(join(home, 'photos', 'a', 'b.large.jpg'), 'picture');
    const folder = join(outside, 'monday');
    expect(await backUp(folder)).toMatchObject({ ok: true });
    expect(readFileSync(join(folder, 'photos', 'a', 'b.large.jpg'), 'utf8')).toBe('picture');
    const second = await backUp(folder);
    expect(second.ok ? '' : backupSentence(second.trouble)).toMatch(/is not empty/);

    await takeTrialIn(
      asFile({
        ...trialFixture({ treatments: 2 }),
        trial: { ...trialFixture({ treatments: 2 }).trial, question: 'Entered after the backup?' },
      }),
    );
    const refused = await restore(folder, false);
    expect(refused.ok ? '' : backupSentence(refused.trouble)).toMatch(/stands there already/);
    const done = await restore(folder, true);
    if (!done.ok || done.value === null) throw new Error(JSON.stringify(done));
    expect(readdirSync(done.value)).toEqual(expect.arrayContaining(['garden.sqlite', 'photos']));
    await startStore();
    expect((await trialNames()).map(each => each.question)).toEqual([data.trial.question]);
    expect(existsSync(join(home, 'photos', 'a', 'b.large.jpg'))).toBe(true);
  });

  test('a folder that holds none, or a damaged one, changes nothing', async () => {
    await takeTrialIn(asFile(data));
    const none = await restore(outside, true);
    expect(none.ok ? '' : backupSentence(none.trouble)).toMatch(/holds no backup/);
    writeFileSync(
      join(outside, 'turnspit.sqlite'),
      'no database at all, but long enough to be looked at as one '.repeat(200),
    );
    expect(await restore(outside, true)).toMatchObject({ ok: false, trouble: { kind: 'damaged' } });
    await closeStore();
    await startStore();
    expect(await trialNames()).toHaveLength(1);
  });
});

function byId<Entry extends { readonly id: string }>(entries: readonly Entry[]): readonly Entry[] {
  return [...entries].sort((a, b) => (a.id < b.id ? -1 : 1));
}
