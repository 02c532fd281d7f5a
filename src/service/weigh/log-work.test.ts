import { v7 } from 'uuid';
import { treatmentCosts } from '@/core/judge/after/treatment-cost';
import { unitValues } from '@/core/measure/unit-value/unit-values';
import { trialFixture } from '@/core/trial/fixtures/trial-fixture';
import type { TrialData } from '@/core/trial/model/trial-data';
import { takeTrialIn } from '@/service/files/whole-trials';
import { today } from '@/service/garden/clock';
import { freshGardenForEachTest } from '@/service/garden/garden-fixture';
import { findTrial } from '@/service/trial/trials';
import { logWork, undoWork } from './log-work';

freshGardenForEachTest();

async function locked(): Promise<TrialData> {
  const data = trialFixture({ treatments: 2, unitsEach: 2 });
  const { trial } = data;
  const taken = await takeTrialIn({
    ...data,
    trial: { ...trial, state: 'locked', startsOn: '2026-05-01', endsOn: '2026-12-20' },
  });
  if (!taken.ok) throw new Error(JSON.stringify(taken.trouble));
  return dataOf(trial.id);
}

async function dataOf(id: string): Promise<TrialData> {
  const data = await findTrial(id);
  if (!data) throw new Error('the trial must be there');
  return data;
}

const work = (codes: readonly string[], minutes: string, changes: object = {}) => ({
  id: v7(),
  minutes,
  codes,
  on: today(),
  what: 'weeding',
  by: 'Ana',
  ...changes,
});

const minutesOf = (data: TrialData): Readonly<Record<string, number | null>> => {
  const measure = data.measures.find(each => each.kindKey === 'labour');
  if (!measure) return {};
  return Object.fromEntries(unitValues(data, measure).map(({ unit, value }) => [unit.code, value]));
};

test('work is shared out to its units, several pieces of one day are added, and a press sent twice counts once', async () => {
  const { trial, units } = await locked();
  const [a = '', b = ''] = units.map(unit => unit.code);
  const first = work([a, b], '1 h', { people: 2 });
  expect(await logWork(trial.id, first)).toEqual({ ok: true, value: { minutes: 120, each: 60 } });
  await logWork(trial.id, first);
  await logWork(trial.id, work([a], '25 min'));
  const after = await dataOf(trial.id);
  expect(minutesOf(after)).toMatchObject({ [a]: 85, [b]: 60 });
  expect(after.measures.filter(each => each.kindKey === 'labour')).toHaveLength(1);
});

test('hours by treatment reach the money', async () => {
  const { trial, units, treatments } = await locked();
  const own = units.filter(unit => unit.treatmentId === treatments[1]?.id).map(unit => unit.code);
  await logWork(trial.id, work(own, '90'));
  const costs = treatmentCosts(await dataOf(trial.id), today());
  expect(costs.map(({ treatment, minutes }) => [treatment, minutes])).toEqual([
    [treatments[0]?.name, 0],
    [treatments[1]?.name, 45],
  ]);
});

test('a piece of work is taken back whole, once', async () => {
  const { trial, units } = await locked();
  const codes = units.map(unit => unit.code);
  const form = work(codes, '40 min');
  await logWork(trial.id, form);
  expect(await undoWork(trial.id, form.id)).toMatchObject({ ok: true });
  expect(Object.values(minutesOf(await dataOf(trial.id)))).toEqual(codes.map(() => null));
  expect(await undoWork(trial.id, form.id)).toMatchObject({
    ok: false,
    trouble: { kind: 'changed-meanwhile' },
  });
});

test.each([
  [{ minutes: 'a while' }, 'minutes'],
  [{ minutes: '0' }, 'minutes'],
  [{ minutes: '30 h' }, 'minutes'],
  [{ codes: [] }, 'codes'],
  [{ codes: ['ZZ9'] }, 'codes'],
  [{ people: 'many' }, 'people'],
  [{ on: '2027-01-01' }, 'on'],
])('%j is asked back at its field', async (changes, field) => {
  const { trial, units } = await locked();
  const refused = await logWork(trial.id, work([units[0]?.code ?? ''], '10 min', changes));
  expect(refused).toMatchObject({ ok: false, trouble: { kind: 'invalid' } });
  if (!refused.ok && refused.trouble.kind === 'invalid')
    expect(Object.keys(refused.trouble.fields)).toEqual([field]);
});
