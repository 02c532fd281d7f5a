import { mkdirSync, mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { dirname, join } from 'node:path';
import { Package } from 'datapackage';
import { strFromU8, unzipSync } from 'fflate';
import { pickFixture, trialFixture } from '@/core/trial/fixtures/trial-fixture';
import type { TrialData } from '@/core/trial/model/trial-data';
import { readWholeTrial } from '@/core/trial/whole-trial';
import { freshGardenForEachTest } from '@/service/garden/garden-fixture';
import { gardenPackage, type PackageFile, trialPackage } from './data-package';
import { takeTrialIn } from './whole-trials';

freshGardenForEachTest();

const folders: string[] = [];
afterAll(() => {
  for (const folder of folders) rmSync(folder, { recursive: true, force: true });
});

async function weighed(isBlind: boolean): Promise<TrialData> {
  const made = trialFixture({ treatments: 3, unitsEach: 4, blockCount: 4, isBlind });
  const data: TrialData = {
    ...made,
    picks: made.units.map((unit, i) =>
      pickFixture(unit, {
        netG: 100 + i,
        note: i === 0 ? 'a note, with “quotes”' : '',
        by: 'Ottilie',
      }),
    ),
  };
  const taken = await takeTrialIn(data);
  if (!taken.ok) throw new Error(JSON.stringify(taken.trouble));
  return data;
}

function unpacked({ zip }: PackageFile): string {
  const folder = mkdtempSync(join(tmpdir(), 'turnspit-package-'));
  folders.push(folder);
  for (const [name, bytes] of Object.entries(unzipSync(zip))) {
    mkdirSync(dirname(join(folder, name)), { recursive: true });
    writeFileSync(join(folder, name), bytes);
  }
  return folder;
}

// The Frictionless project's own reader and validator.
test('another reader takes the package as valid, and reads every table of it', async () => {
  const data = await weighed(false);
  const made = await trialPackage(data.trial.id, true);
  if (!made) throw new Error('there is such a trial');
  expect(made.name).toMatch(/^[a-z-]+-does-a-feed-help-\d{4}-\d{2}-\d{2}\.zip$/);
  const folder = unpacked(made);
  const read = await Package.load(join(folder, 'datapackage.json'), {
    basePath: folder,
    strict: true,
  });
  expect(read.errors).toEqual([]);
  expect(read.valid).toBe(true);
  const tables = Object.fromEntries(
    await Promise.all(
      read.resources.map(
        async resource =>
          [resource.name.split('-').at(-1), await resource.read({ keyed: true })] as const,
      ),
    ),
  );
  expect(Object.keys(tables).sort()).toEqual([
    'acts',
    'entries',
    'layout',
    'measures',
    'mishaps',
    'units',
  ]);
  expect(tables.units).toHaveLength(12);
  expect(tables.entries?.[0]).toMatchObject({
    kind: 'pick',
    code: data.units[0]?.code,
    treatment: data.treatments.find(({ id }) => id === data.units[0]?.treatmentId)?.name,
    block: '1',
    value: 100,
    note: 'a note, with “quotes”',
    observer: 'Ottilie',
  });
});

test('the trial in it comes in again, the same content gives the same bytes, and names can stay out', async () => {
  const data = await weighed(false);
  const [one, two] = [
    await trialPackage(data.trial.id, true),
    await trialPackage(data.trial.id, true),
  ];
  expect(one && two && Buffer.compare(one.zip, two.zip)).toBe(0);
  const files = unzipSync(one?.zip ?? new Uint8Array());
  const whole = Object.entries(files).find(([name]) => name.endsWith('/trial.json'));
  expect(readWholeTrial(JSON.parse(strFromU8(whole?.[1] ?? new Uint8Array())))).toMatchObject({
    ok: true,
  });
  const unnamed = await trialPackage(data.trial.id, false);
  expect(Buffer.from(unnamed?.zip ?? []).includes('Ottilie')).toBe(false);
  for (const bytes of Object.values(unzipSync(unnamed?.zip ?? new Uint8Array())))
    expect(strFromU8(bytes)).not.toContain('Ottilie');
});

test('a blind trial goes out by its codes alone, in the garden’s package too', async () => {
  const data = await weighed(true);
  for (const made of [await trialPackage(data.trial.id, true), await gardenPackage(true)]) {
    const files = unzipSync(made?.zip ?? new Uint8Array());
    expect(Object.keys(files).some(name => name.endsWith('trial.json'))).toBe(false);
    const [units = ''] = Object.entries(files)
      .filter(([name]) => name.endsWith('units.csv'))
      .map(([, bytes]) => strFromU8(bytes));
    expect(units).toContain(data.units[0]?.code);
    for (const [name, bytes] of Object.entries(files))
      for (const { name: treatment } of data.treatments)
        expect([name, strFromU8(bytes).includes(treatment)]).toEqual([name, false]);
  }
});
