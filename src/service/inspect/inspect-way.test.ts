/** @jest-environment node */
import { existsSync, readdirSync } from 'node:fs';
import { dirname, join } from 'node:path';
import sharp from 'sharp';
import { v7 } from 'uuid';
import { addDays } from '@/core/time/garden-day';
import type { TrialData } from '@/core/trial/model/trial-data';
import { today } from '@/service/garden/clock';
import { freshGardenForEachTest } from '@/service/garden/garden-fixture';
import { newId } from '@/service/garden/new-id';
import { dealTrial, lockPlan } from '@/service/layout/lay-out';
import { askTrial } from '@/service/trial/ask';
import { addMeasureToTrial } from '@/service/trial/measures';
import { predict } from '@/service/trial/predict';
import { findTrial } from '@/service/trial/trials';
import { recordMishap } from '@/service/weigh/mishaps';
import { takeReadings } from '@/service/weigh/readings';
import { keepPhoto, photoFile, photosOfTrial, removePhoto, scalePhoto } from './photos';
import { askLaboratory, fillBags, samplesOfTrial, takeReport } from './soil';
import { countCups, layCups, tastingsOfTrial } from './tastings';

freshGardenForEachTest();

async function locked(rules: Readonly<Record<string, unknown>> = {}): Promise<TrialData> {
  const trial = await askTrial({
    question: 'Does a feed help?',
    crop: 'beans',
    picked: 'beans',
    unitWord: 'pot',
    startsOn: addDays(today(), -30),
    endsOn: addDays(today(), 60),
    treatments: [{ name: 'plain water' }, { name: 'feed' }],
    control: 0,
    summary: 'sound-weight',
    better: 'higher',
    marginKind: 'percent',
    margin: '15',
    rules: {
      end: 'date',
      endStage: '',
      leaveOut: 'Only by rule.',
      replace: 'Early.',
      cull: 'Rotten.',
      ...rules,
    },
  });
  if (!trial.ok) throw new Error(JSON.stringify(trial.trouble));
  await dealTrial(trial.value.id, {
    kind: 'complete-randomisation',
    unitsEach: '3',
    blockCount: '2',
    blockWord: 'shelf',
    unitWidth: '25 cm',
    isBlind: true,
  });
  await lockPlan(trial.value.id);
  return dataOf(trial.value.id);
}

async function dataOf(id: string): Promise<TrialData> {
  const data = await findTrial(id);
  if (!data) throw new Error('the trial must be there');
  return data;
}

const grey = (width: number, height: number) =>
  sharp({ create: { width, height, channels: 3, background: '#777' } });
const saysOf = (kept: Awaited<ReturnType<typeof keepPhoto>>): string =>
  !kept.ok && kept.trouble.kind === 'invalid' ? (Object.values(kept.trouble.fields)[0] ?? '') : '';

describe('pictures', () => {
  const facts = (data: TrialData, changes: Readonly<Record<string, unknown>> = {}) => ({
    id: newId(),
    unitId: data.units[0]?.id,
    takenOn: today(),
    shows: 'plant',
    note: '',
    ...changes,
  });

  test('are made smaller, turned as they were taken, and lose where they were taken', async () => {
    const data = await locked();
    const taken = await grey(3000, 2000)
      .withExif({
        IFD0: { Make: 'Camera', Orientation: '6' },
        IFD3: { GPSLatitudeRef: 'N', GPSLatitude: '51/1 30/1 0/1' },
      })
      .jpeg()
      .withMetadata({ orientation: 6 })
      .toBuffer();
    expect((await sharp(taken).metadata()).exif?.length).toBeGreaterThan(0);
    const kept = await keepPhoto(data.trial.id, facts(data), taken);
    expect(kept).toMatchObject({ ok: true, value: { width: 1067, height: 1600 } });
    const id = kept.ok ? kept.value.id : '';
    for (const size of ['large', 'small'] as const) {
      const file = Buffer.from((await photoFile(data.trial.id, id, size)) ?? []);
      const { format, exif, orientation, icc } = await sharp(file).metadata();
      expect([format, exif, orientation, icc]).toEqual(['jpeg', undefined, undefined, undefined]);
      expect(file.includes('GPS') || file.includes('Exif') || file.includes('Camera')).toBe(false);
    }
  });

  test('a picture sent twice is kept once; taken away, its files go too', async () => {
    const data = await locked();
    const [form, jpeg] = [facts(data), await grey(60, 40).png().toBuffer()];
    for (let i = 0; i < 2; i++)
      expect(await keepPhoto(data.trial.id, form, jpeg)).toMatchObject({ ok: true });
    expect(await photosOfTrial(data.trial.id)).toHaveLength(1);
    expect(await scalePhoto(data.trial.id, { photoId: form.id, share: 0.25, mm: 100 })).toEqual({
      ok: true,
      value: 400,
    });
    const folder = join(dirname(process.env.TURNSPIT_DATA ?? ''), 'photos', data.trial.id);
    expect(readdirSync(folder)).toHaveLength(2);
    expect(await removePhoto(data.trial.id, form.id)).toMatchObject({ ok: true });
    expect([
      await photosOfTrial(data.trial.id),
      readdirSync(folder),
      await photoFile(data.trial.id, form.id, 'small'),
    ]).toEqual([[], [], undefined]);
  });

  test('a text called .jpg, a drawing with script, a broken picture and one of 100 megapixels are refused, and nothing is left of them', async () => {
    const data = await locked();
    const whole = await grey(400, 300).jpeg().toBuffer();
    const huge = await grey(10_000, 10_000).png({ compressionLevel: 9 }).toBuffer();
    const said = await Promise.all(
      [
        Buffer.from('a text file'),
        Buffer.from('<svg xmlns="http://www.w3.org/2000/svg"><script>alert(1)</script></svg>'),
        whole.subarray(0, whole.length / 2),
        huge,
      ].map(async bytes => saysOf(await keepPhoto(data.trial.id, facts(data), bytes))),
    );
    expect(said).toEqual([
      'That is no picture this can read: a JPEG, PNG or WebP from a camera.',
      'That is no picture this can read: a JPEG, PNG or WebP from a camera.',
      'That picture is damaged: it begins as a JPEG, and can’t be read to its end.',
      'That picture has more than 60 megapixels. Take it smaller.',
    ]);
    expect(existsSync(join(dirname(process.env.TURNSPIT_DATA ?? ''), 'photos'))).toBe(false);
  });

  test.each([
    ['another trial’s pot', { unitId: '00000000-0000-7000-8000-000000000001' }],
    ['a day to come', { takenOn: addDays(today(), 1) }],
    ['something else', { shows: 'a cat' }],
    ['an id that is a path', { id: '../../../etc/passwd' }],
  ])('%s is refused', async (_, changes) => {
    const data = await locked();
    expect(
      await keepPhoto(data.trial.id, facts(data, changes), await grey(20, 20).png().toBuffer()),
    ).toMatchObject({ ok: false });
    expect(await photosOfTrial(data.trial.id)).toEqual([]);
  });
});

describe('soil', () => {
  const bags = (data: TrialData, changes: Readonly<Record<string, unknown>> = {}) => ({
    codes: data.units.map(unit => unit.code),
    takenOn: addDays(today(), -20),
    depthMm: '150',
    cores: '5',
    ...changes,
  });

  test('numbered bags go to the laboratory and come back as readings of the units they are of', async () => {
    const data = await locked();
    expect(await fillBags(data.trial.id, bags(data))).toMatchObject({ ok: true });
    expect((await samplesOfTrial(data.trial.id)).map(sample => sample.number)).toEqual([
      'S001',
      'S002',
      'S003',
      'S004',
      'S005',
      'S006',
    ]);
    const taken = await askLaboratory(data.trial.id);
    expect(taken).toEqual({ ok: true, value: 36 });
    const after = await dataOf(data.trial.id);
    const ph = after.measures.find(measure => measure.kindKey === 'lab-ph');
    expect(ph?.optimum).toEqual({ low: 6, high: 7 });
    expect(
      after.readings
        .filter(reading => reading.measureId === ph?.id)
        .map(reading => reading.unitId)
        .sort(),
    ).toEqual(data.units.map(unit => unit.id as string).sort());
    expect(await askLaboratory(data.trial.id)).toMatchObject({
      ok: false,
      trouble: { kind: 'waiting' },
    });
  });

  test('it takes its time', async () => {
    const data = await locked();
    await fillBags(data.trial.id, bags(data, { takenOn: today() }));
    expect(await askLaboratory(data.trial.id)).toMatchObject({
      ok: false,
      trouble: { kind: 'waiting', says: expect.stringContaining('10 days') },
    });
  });

  test('a report with a bag that nobody filled is refused whole, and one that comes twice, too', async () => {
    const data = await locked();
    await fillBags(data.trial.id, bags(data));
    const report = (...rows: readonly string[]): string =>
      ['sample,analyte,value,unit', ...rows].join('\n');
    expect(await takeReport(data.trial.id, report('S001,pH,6.1,', 'S077,pH,6.3,'))).toMatchObject({
      ok: false,
      trouble: { kind: 'rows', rows: [{ row: 3 }] },
    });
    expect((await dataOf(data.trial.id)).readings).toEqual([]);
    expect((await dataOf(data.trial.id)).measures).toHaveLength(data.measures.length);
    expect(await takeReport(data.trial.id, report('S001,pH,6.1,'))).toEqual({ ok: true, value: 1 });
    expect(await takeReport(data.trial.id, report('S001,pH,6.1,'))).toMatchObject({
      ok: false,
      trouble: { kind: 'rows', rows: [{ says: 'The values of bag S001 are here already.' }] },
    });
  });
});

describe('a tasting', () => {
  test('is laid out, and counted once', async () => {
    const data = await locked();
    const [a, b] = data.units;
    expect(
      await layCups(data.trial.id, { codeA: a?.code, codeB: b?.code, tasters: '8' }),
    ).toMatchObject({ ok: true });
    const [tasting] = await tastingsOfTrial(data.trial.id);
    expect(await countCups(data.trial.id, { tastingId: tasting?.id, correct: '9' })).toMatchObject({
      ok: false,
      trouble: { fields: { correct: 'There were 8 tasters.' } },
    });
    expect(await countCups(data.trial.id, { tastingId: tasting?.id, correct: '6' })).toEqual({
      ok: true,
      value: 6,
    });
    expect(await countCups(data.trial.id, { tastingId: tasting?.id, correct: '8' })).toMatchObject({
      ok: false,
      trouble: { kind: 'changed-meanwhile' },
    });
    expect((await tastingsOfTrial(data.trial.id))[0]?.correct).toBe(6);
  });

  test('wants two units that differ, and more than two tasters', async () => {
    const data = await locked();
    const [a, b] = data.units;
    expect(
      await layCups(data.trial.id, { codeA: a?.code, codeB: a?.code, tasters: '8' }),
    ).toMatchObject({ ok: false });
    expect(
      await layCups(data.trial.id, { codeA: a?.code, codeB: b?.code, tasters: '2' }),
    ).toMatchObject({ ok: false });
  });
});

test('what is dug up can be foretold until something was found, after picks, too', async () => {
  const data = await locked();
  const foretelling = { by: 'Ines', about: 'Worms', expects: '', why: 'There were none before.' };
  expect(await predict(data.trial.id, foretelling)).toMatchObject({ ok: true });
  const worms = await addMeasureToTrial(data.trial.id, { from: 'library', key: 'worms' });
  await takeReadings(data.trial.id, [
    {
      id: newId(),
      unitId: data.units[0]?.id,
      measureId: worms.ok ? worms.value.id : '',
      subsample: '',
      takenOn: today(),
      value: '3',
      outcome: 'picked',
      supersedes: null,
    },
  ]);
  expect(await predict(data.trial.id, foretelling)).toMatchObject({
    ok: false,
    trouble: { kind: 'too-late-to-guess' },
  });
  expect((await dataOf(data.trial.id)).predictions.map(each => each.about)).toEqual(['Worms']);
});

test('no spare stands in after the day that was agreed', async () => {
  const data = await locked({ replaceUntil: addDays(today(), -10) });
  const spare = (happenedOn: string) =>
    recordMishap(data.trial.id, {
      id: v7(),
      codes: [data.units[0]?.code],
      cause: 'death',
      byTreatment: 'no',
      decision: 'replace',
      happenedOn,
      why: 'A vole took it.',
      by: '',
    });
  expect(await spare(today())).toMatchObject({
    ok: false,
    trouble: { fields: { decision: expect.stringContaining('no spare stands in after') } },
  });
  expect(await spare(addDays(today(), -12))).toMatchObject({ ok: true });
});
