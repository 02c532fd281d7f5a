import { mkdtempSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { dirname, join } from 'node:path';
import { unzipSync } from 'fflate';
import { trialFixture } from '@/core/trial/fixtures/trial-fixture';
import { backupZip } from '@/service/files/backup-zip';
import { backUpNow, listBackups } from '@/service/files/daily-backups';
import { takeTrialIn, wholeTrial } from '@/service/files/whole-trials';
import { freshGardenForEachTest } from '@/service/garden/garden-fixture';
import { closeStore, startStore } from '@/service/garden/start';
import { listDue } from '@/service/tend/today';
import { database } from '@/store/connection/database';
import { keepPhotoFile, readPhotoFile } from '@/store/photo-files';
import { bringTrialBack, deleteTrial, putTrialAway } from './put-away';
import { findTrial, listBroken, listTrials } from './trials';

freshGardenForEachTest();

async function kept(): Promise<string> {
  const data = trialFixture({ treatments: 2, unitsEach: 3 });
  await takeTrialIn(data);
  return data.trial.id;
}

const marks = async () => (await listTrials()).map(each => [each.trial.id, each.isPutAway]);

test('what was put away is marked and brought back with all it held', async () => {
  const id = await kept();
  const before = await wholeTrial(id);
  expect((await putTrialAway(id)).ok).toBe(true);
  expect((await putTrialAway(id)).ok).toBe(true);
  expect(await marks()).toEqual([[id, true]]);
  expect((await bringTrialBack(id)).ok).toBe(true);
  expect(await marks()).toEqual([[id, false]]);
  expect(await wholeTrial(id)).toEqual(before);
});

test('only what was put away can be deleted, and the backup that is made first holds it, pictures and all', async () => {
  const id = await kept();
  await keepPhotoFile(id, 'one', 'large', new Uint8Array([1, 2, 3]));
  expect(await deleteTrial(id)).toMatchObject({ ok: false });
  expect(await findTrial(id)).toBeDefined();
  await putTrialAway(id);
  const deleted = await deleteTrial(id);
  if (!deleted.ok) throw new Error(deleted.trouble.kind);
  expect(await findTrial(id)).toBeUndefined();
  expect(await readPhotoFile(id, 'one', 'large')).toBeUndefined();
  expect((await listBackups()).map(each => each.name)).toContain(deleted.value);
  const home = join(dirname(process.env.TURNSPIT_DATA ?? ''), 'backups', deleted.value);
  await closeStore();
  process.env.TURNSPIT_DATA = join(home, 'turnspit.sqlite');
  await startStore();
  expect((await findTrial(id))?.trial.id).toBe(id);
  expect(await readPhotoFile(id, 'one', 'large')).toEqual(new Uint8Array([1, 2, 3]));
});

test('where no backup can be made nothing is deleted', async () => {
  const id = await kept();
  await putTrialAway(id);
  writeFileSync(join(dirname(process.env.TURNSPIT_DATA ?? ''), 'backups'), 'in the way');
  expect(await deleteTrial(id)).toMatchObject({ ok: false, trouble: { kind: 'no-backup' } });
  expect(await findTrial(id)).toBeDefined();
});

test('a backup is taken away as one zip file that holds a garden', async () => {
  const id = await kept();
  await keepPhotoFile(id, 'one', 'small', new Uint8Array(70_000).fill(7));
  const made = await backUpNow('by-hand');
  if (!made.ok) throw new Error(made.trouble.kind);
  const stream = await backupZip(made.value);
  if (!stream) throw new Error('there must be a zip');
  const files = unzipSync(new Uint8Array(await new Response(stream).arrayBuffer()));
  expect(files[`${made.value}/photos/${id}/one.small.jpg`]?.length).toBe(70_000);
  await closeStore();
  process.env.TURNSPIT_DATA = join(mkdtempSync(join(tmpdir(), 'turnspit-')), 'garden.sqlite');
  writeFileSync(process.env.TURNSPIT_DATA, files[`${made.value}/turnspit.sqlite`] ?? '');
  await startStore();
  expect((await findTrial(id))?.trial.id).toBe(id);
  expect(await backupZip('../photos')).toBeUndefined();
  expect(await backupZip('daily-1999-01-01')).toBeUndefined();
});

test.each([
  ['trials', 'rules', 'id'],
  ['care_plans', 'settings', 'trialId'],
] as const)(
  'one trial with broken data in %s is set aside by name, and the rest works',
  async (table, column, key) => {
    const [broken, sound] = [await kept(), await kept()];
    await database()('care_plans')
      .insert({ trialId: broken, settings: '{}', stages: '{}', bottles: '{}' })
      .onConflict('trialId')
      .ignore();
    await database()(table)
      .where({ [key]: broken })
      .update({ [column]: '{"half' });
    expect((await listBroken()).map(each => each.id)).toEqual([broken]);
    expect((await listTrials()).map(each => each.trial.id)).toContain(sound);
    expect(await listDue()).toMatchObject({ steps: [] });
    expect(await findTrial(sound)).toBeDefined();
  },
);
