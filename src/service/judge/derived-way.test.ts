// From the bed to the sentence: a harvest per plant is the main measure, sizes differ by treatment, picks come from a file.
import { v7 } from 'uuid';
import { addDays } from '@/core/time/garden-day';
import type { TrialData } from '@/core/trial/model/trial-data';
import { today } from '@/service/garden/clock';
import { freshGardenForEachTest } from '@/service/garden/garden-fixture';
import { dealTrial, lockPlan } from '@/service/layout/lay-out';
import { putAsBuilt } from '@/service/layout/put-as-built';
import { askTrial } from '@/service/trial/ask';
import { addMeasureToTrial } from '@/service/trial/measures';
import { findTrial, findTrialFor } from '@/service/trial/trials';
import { importReadings, undoImport } from '@/service/weigh/import-readings';
import { takeReadings } from '@/service/weigh/readings';
import { analysisSpecOf, verdictUnder } from './verdict';

freshGardenForEachTest();

const START = addDays(today(), -30);

async function dataOf(id: string): Promise<TrialData> {
  const data = await findTrial(id);
  if (!data) throw new Error('the trial must be there');
  return data;
}

async function locked(mainKey = 'per-plant'): Promise<TrialData> {
  const asked = await askTrial({
    question: 'Do sacks give more potatoes per seed tuber than rows?',
    crop: 'potatoes',
    picked: 'potatoes',
    unitWord: 'plot',
    startsOn: START,
    endsOn: addDays(today(), 60),
    treatments: [{ name: 'row' }, { name: 'sack' }],
    control: 0,
    summary: 'read',
    mainKey,
    better: 'higher',
    marginKind: 'percent',
    margin: '15',
  });
  if (!asked.ok) throw new Error(JSON.stringify(asked.trouble));
  const { id } = asked.value;
  const dealt = await dealTrial(id, {
    kind: 'complete-randomisation',
    unitsEach: '4',
    blockCount: '1',
    blockWord: 'shelf',
    unitWidth: '25 cm',
    isBlind: false,
  });
  if (!dealt.ok) throw new Error(JSON.stringify(dealt.trouble));
  await lockPlan(id);
  return dataOf(id);
}

const treatmentId = (data: TrialData, name: string): string =>
  data.treatments.find(treatment => treatment.name === name)?.id ?? '';

async function built(data: TrialData, name: string, changes: object): Promise<void> {
  const put = await putAsBuilt(data.trial.id, {
    which: `treatment:${treatmentId(data, name)}`,
    ...changes,
  });
  if (!put.ok) throw new Error(JSON.stringify(put.trouble));
}

/** Rows give 4.0, 4.2, 4.4, 4.6 kg of 4 seed tubers; sacks 1.6 … 1.9 kg of one. */
function harvestCsv(data: TrialData): string {
  const weights: Record<string, readonly number[]> = {
    row: [4000, 4200, 4400, 4600],
    sack: [1600, 1700, 1800, 1900],
  };
  const seen: Record<string, number> = {};
  const rows = data.units.map(unit => {
    const name = data.treatments.find(each => each.id === unit.treatmentId)?.name ?? '';
    const at = seen[name] ?? 0;
    seen[name] = at + 1;
    return `${unit.code},${today()},${weights[name]?.[at]},20`;
  });
  return ['plot,date,weight (g),pieces', ...rows].join('\n');
}

const ROLES = [
  { kind: 'unit' },
  { kind: 'day' },
  { kind: 'weight', unit: 'g' },
  { kind: 'pieces' },
] as const;

test('a harvest per seed tuber: sacks give less a plot and more a tuber, and the sentence says so', async () => {
  const data = await locked();
  await built(data, 'row', { size: '1 x 0.5 m', plants: '4', seed: '320 g' });
  await built(data, 'sack', { size: '45 cm', litres: '40 l', plants: '1', seed: '80 g' });
  const form = { id: v7(), csv: harvestCsv(data), roles: ROLES, day: today() };
  expect(await importReadings(data.trial.id, form)).toMatchObject({
    ok: true,
    value: { count: 8 },
  });
  // The same press again takes nothing twice.
  expect(await importReadings(data.trial.id, form)).toMatchObject({
    ok: true,
    value: { count: 8 },
  });
  const after = await dataOf(data.trial.id);
  expect(after.picks).toHaveLength(8);
  const { judgement, input } = verdictUnder(after, await analysisSpecOf(after));
  expect(input.responseUnit).toBe('g per plant');
  // Sums over sums: 17.2 kg of 16 tubers, 7 kg of 4.
  expect(judgement.groups.map(group => [group.treatment, group.mean])).toEqual([
    ['row', expect.closeTo(1075, 6)],
    ['sack', expect.closeTo(1750, 6)],
  ]);
  expect(judgement.verdict.call).toBe('clearly-better');
  expect(judgement.verdict.headline).toBe('Sack gave 63% more harvest per plant than row.');
});

test('where nobody said how many were planted there is no number, and no guess', async () => {
  const data = await locked();
  await importReadings(data.trial.id, {
    id: v7(),
    csv: harvestCsv(data),
    roles: ROLES,
    day: today(),
  });
  const after = await dataOf(data.trial.id);
  const { input } = verdictUnder(after, await analysisSpecOf(after));
  expect(input.units.every(unit => unit.value === null)).toBe(true);
});

test('a harvest from a file is taken back whole; one that stands already refuses the file', async () => {
  const data = await locked();
  const form = { id: v7(), csv: harvestCsv(data), roles: ROLES, day: today() };
  await importReadings(data.trial.id, form);
  expect(await importReadings(data.trial.id, { ...form, id: v7() })).toMatchObject({
    ok: false,
    trouble: { kind: 'rows', rows: [{ says: expect.stringContaining('the same pick') }] },
  });
  expect(await undoImport(data.trial.id, form.id)).toEqual({ ok: true, value: 8 });
  expect((await dataOf(data.trial.id)).picks).toEqual([]);
});

test('what a derived measure is worked out of is read along with it, once', async () => {
  const data = await locked('internode');
  const keys = data.measures.map(measure => measure.kindKey);
  expect(keys).toEqual(expect.arrayContaining(['internode', 'shoot-length', 'buds-above-cut']));
  await addMeasureToTrial(data.trial.id, { from: 'library', key: 'per-hour' });
  const after = await dataOf(data.trial.id);
  const labour = after.measures.filter(measure => measure.kindKey === 'labour');
  expect(labour).toHaveLength(1);
  const taken = await takeReadings(data.trial.id, [
    {
      id: v7(),
      unitId: after.units[0]?.id,
      measureId: labour[0]?.id,
      takenOn: today(),
      value: '1 h 10 min',
    },
  ]);
  expect(taken).toMatchObject({
    ok: true,
    value: [{ result: { ok: true, value: { value: 70 } } }],
  });
  const wrong = await takeReadings(data.trial.id, [
    {
      id: v7(),
      unitId: after.units[0]?.id,
      measureId: after.measures.find(measure => measure.isMain)?.id,
      takenOn: today(),
      value: '12',
    },
  ]);
  expect(JSON.stringify(wrong)).toContain('worked out of two others');
});

test.each([
  ['the main one', undefined],
  ['one found along the way', 'dry-share'],
])(
  'a page that loads a trial as far as a verdict asks judges it as the whole trial would: %s',
  async (_, alongKey) => {
    const data = await locked('internode');
    if (alongKey) await addMeasureToTrial(data.trial.id, { from: 'library', key: alongKey });
    const planned = await dataOf(data.trial.id);
    const read = alongKey
      ? { 'trimmed-fresh': 240, 'trimmed-dry': 30 }
      : { 'shoot-length': 240, 'buds-above-cut': 8 };
    const entries = planned.units.flatMap((unit, i) =>
      Object.entries(read).map(([key, value]) => ({
        id: v7(),
        unitId: unit.id,
        measureId: planned.measures.find(({ kindKey }) => kindKey === key)?.id,
        takenOn: today(),
        value: String(value + (key === 'buds-above-cut' ? 0 : i)),
      })),
    );
    expect(await takeReadings(data.trial.id, entries)).toMatchObject({ ok: true });
    const whole = await dataOf(data.trial.id);
    const asked = whole.measures.find(({ kindKey, isMain }) =>
      alongKey ? kindKey === alongKey : isMain,
    )?.id;
    const part = await findTrialFor(data.trial.id, alongKey && asked);
    if (!part) throw new Error('the trial must be there');
    const judged = verdictUnder(part, await analysisSpecOf(part, asked));
    expect(judged).toEqual(verdictUnder(whole, await analysisSpecOf(whole, asked)));
    expect(JSON.stringify(judged)).not.toContain('Nothing to judge yet');
  },
);
