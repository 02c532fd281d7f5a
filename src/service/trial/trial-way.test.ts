import { v7 } from 'uuid';
import { success } from '@/core/result';
import type { Pick } from '@/core/trial/model/pick';
import type { Trial } from '@/core/trial/model/trial';
import type { TrialData } from '@/core/trial/model/trial-data';
import { currentGarden, saveGarden } from '@/service/garden/garden';
import { freshGardenForEachTest } from '@/service/garden/garden-fixture';
import {
  closeTrial,
  frozenVerdictOf,
  leaveOut,
  openKey,
  undoLeaveOut,
} from '@/service/judge/close-trial';
import { dealTrial, lockPlan, lookAtKey } from '@/service/layout/lay-out';
import { historyOf, removePick, takePick, undoRevision } from '@/service/weigh/picks';
import { askTrial, changeQuestion } from './ask';
import { findTrial, listTrials, trialLog } from './trials';

freshGardenForEachTest();

const QUESTION = {
  question: 'Does a feed help?',
  crop: 'beans',
  picked: 'beans',
  unitWord: 'pot',
  startsOn: '2026-05-01',
  endsOn: '2026-08-01',
  treatments: [{ name: 'plain water' }, { name: 'feed' }],
  control: 0,
  summary: 'sound-weight',
  better: 'higher',
  marginKind: 'percent',
  margin: '15',
};
const BENCH = {
  kind: 'complete-randomisation',
  unitsEach: '3',
  blockCount: '2',
  blockWord: 'shelf',
  unitWidth: '25 cm',
  isBlind: true,
};

async function asked(): Promise<Trial> {
  const trial = await askTrial(QUESTION);
  if (!trial.ok) throw new Error(JSON.stringify(trial.trouble));
  return trial.value;
}

async function locked(): Promise<TrialData> {
  const trial = await asked();
  expect(await dealTrial(trial.id, BENCH)).toMatchObject({ ok: true });
  expect(await lockPlan(trial.id)).toMatchObject({ ok: true });
  return dataOf(trial.id);
}

async function dataOf(id: string): Promise<TrialData> {
  const data = await findTrial(id);
  if (!data) throw new Error('the trial must be there');
  return data;
}

function pickForm(unitId: string | undefined, changes: Readonly<Record<string, unknown>> = {}) {
  return {
    id: v7(),
    unitId,
    supersedes: null,
    pickedOn: '2026-06-20',
    outcome: 'picked',
    pieces: '10',
    gross: '150',
    tare: '50',
    grade: 'sound',
    cullReason: null,
    note: '',
    ...changes,
  };
}

async function taken(trialId: string, form: unknown): Promise<Pick> {
  const pick = await takePick(trialId, form);
  if (!pick.ok) throw new Error(JSON.stringify(pick.trouble));
  return pick.value;
}

test('a trial goes from question to frozen verdict, and the log tells the way', async () => {
  const { trial, units, treatments } = await locked();
  const fed = treatments.find(treatment => treatment.name === 'feed')?.id;
  for (const [i, unit] of units.entries())
    await taken(
      trial.id,
      pickForm(unit.id, { gross: String((unit.treatmentId === fed ? 300 : 200) + i) }),
    );
  expect(await closeTrial(trial.id)).toMatchObject({ ok: true, value: { state: 'closed' } });
  expect((await frozenVerdictOf(trial.id))?.verdict.headline).toMatch(
    /^Feed gave \d+% more beans than plain water\.$/,
  );
  expect((await listTrials())[0]).toMatchObject({
    units: 6,
    unitsRead: 6,
    headline: expect.stringContaining('Feed gave'),
  });
  expect((await trialLog(trial.id)).map(change => change.what)).toEqual([
    'closed',
    ...units.map(() => 'pick'),
    'plan locked',
    'dealt',
    'asked',
  ]);
});

test('each step waits for the one before, and nothing changes after the lock or the close', async () => {
  const trial = await asked();
  expect(await lockPlan(trial.id)).toMatchObject({ ok: false, trouble: { kind: 'not-dealt' } });
  await dealTrial(trial.id, BENCH);
  const { units } = await dataOf(trial.id);
  expect(await takePick(trial.id, pickForm(units[0]?.id))).toMatchObject({
    ok: false,
    trouble: { kind: 'not-locked' },
  });
  expect(await openKey(trial.id)).toMatchObject({ ok: false, trouble: { kind: 'not-locked' } });
  await lockPlan(trial.id);
  expect(await dealTrial(trial.id, BENCH)).toMatchObject({
    ok: false,
    trouble: { kind: 'already-locked' },
  });
  expect(await changeQuestion(trial.id, QUESTION)).toMatchObject({
    ok: false,
    trouble: { kind: 'already-locked' },
  });
  const pick = await taken(trial.id, pickForm(units[0]?.id));
  await closeTrial(trial.id);
  expect(await takePick(trial.id, pickForm(units[0]?.id))).toMatchObject({
    ok: false,
    trouble: { kind: 'closed' },
  });
  expect(await removePick(trial.id, pick.id, 'Ida')).toMatchObject({
    ok: false,
    trouble: { kind: 'closed' },
  });
  expect(await closeTrial(trial.id)).toMatchObject({ ok: false, trouble: { kind: 'closed' } });
});

test('dealing again replaces the bench and counts the deals; a changed question takes the deal away', async () => {
  const trial = await asked();
  await dealTrial(trial.id, BENCH);
  const first = await dataOf(trial.id);
  await dealTrial(trial.id, { ...BENCH, unitsEach: '4' });
  const second = await dataOf(trial.id);
  expect(second.units).toHaveLength(8);
  expect(second.places).toHaveLength(8 + 2);
  expect([first.layout?.deals, second.layout?.deals]).toEqual([1, 2]);
  expect(
    await changeQuestion(trial.id, {
      ...QUESTION,
      treatments: [...QUESTION.treatments, { name: 'tea' }],
    }),
  ).toMatchObject({ ok: true });
  expect(await dataOf(trial.id)).toMatchObject({ layout: null, units: [], places: [] });
});

test('the same pick sent twice is one pick', async () => {
  const { trial, units } = await locked();
  const form = pickForm(units[0]?.id);
  await taken(trial.id, form);
  await taken(trial.id, form);
  expect((await dataOf(trial.id)).picks).toHaveLength(1);
});

test('a revision supersedes, a second one of the same entry is told of it, and undo brings back the older values', async () => {
  const { trial, units } = await locked();
  const first = await taken(trial.id, pickForm(units[0]?.id));
  const second = await taken(
    trial.id,
    pickForm(units[0]?.id, { gross: '250', supersedes: first.id }),
  );
  expect((await dataOf(trial.id)).picks.map(pick => pick.netG)).toEqual([200]);
  expect(
    await takePick(trial.id, pickForm(units[0]?.id, { gross: '999', supersedes: first.id })),
  ).toMatchObject({ ok: false, trouble: { kind: 'changed-meanwhile' } });
  expect(await undoRevision(trial.id, second.id, 'Ida')).toMatchObject({
    ok: true,
    value: { netG: 100 },
  });
  expect((await dataOf(trial.id)).picks.map(pick => pick.netG)).toEqual([100]);
  expect((await historyOf(units[0]?.id ?? '')).map(pick => pick.netG)).toEqual([100, 200, 100]);
});

test('a pick taken out leaves the sums, stays in the history, and can be brought back', async () => {
  const { trial, units } = await locked();
  const pick = await taken(trial.id, pickForm(units[0]?.id));
  const removal = await removePick(trial.id, pick.id, 'Ida');
  expect((await dataOf(trial.id)).picks).toEqual([]);
  expect(await removePick(trial.id, pick.id, 'Ida')).toMatchObject({
    ok: false,
    trouble: { kind: 'changed-meanwhile' },
  });
  if (!removal.ok) throw new Error('the pick must go');
  expect(await undoRevision(trial.id, removal.value.id, 'Ida')).toMatchObject({ ok: true });
  expect((await dataOf(trial.id)).picks.map(standing => standing.netG)).toEqual([100]);
});

test('who weighed, changed and took out stands with each entry', async () => {
  const { trial, units } = await locked();
  const pick = await taken(trial.id, pickForm(units[0]?.id, { by: ' Ida ' }));
  await taken(trial.id, pickForm(units[0]?.id, { gross: '250', supersedes: pick.id, by: 'Jory' }));
  const [standing] = (await dataOf(trial.id)).picks;
  await removePick(trial.id, standing?.id ?? '', 'Kit');
  const history = await historyOf(units[0]?.id ?? '');
  expect(history.map(each => each.by)).toEqual(['Kit', 'Jory', 'Ida']);
});

test('a pot of another trial, a trial that isn’t there, and nonsense are refused', async () => {
  const { trial } = await locked();
  const other = await locked();
  expect(await takePick(trial.id, pickForm(other.units[0]?.id))).toMatchObject({
    ok: false,
    trouble: { kind: 'no-such-unit' },
  });
  expect(await takePick(v7(), pickForm(other.units[0]?.id))).toMatchObject({
    ok: false,
    trouble: { kind: 'no-such-trial' },
  });
  for (const nonsense of [null, 7, 'x', [], {}, { id: "'; drop table picks; --" }]) {
    expect(await takePick(trial.id, nonsense)).toMatchObject({
      ok: false,
      trouble: { kind: 'invalid' },
    });
  }
});

test('what is left out has a reason, says whether the key was open, and can be put back', async () => {
  const { trial, units } = await locked();
  expect(await leaveOut(trial.id, { unitId: units[0]?.id, why: '', by: '' })).toMatchObject({
    ok: false,
    trouble: { kind: 'invalid', fields: { why: expect.stringContaining('Say why') } },
  });
  const before = await leaveOut(trial.id, {
    unitId: units[0]?.id,
    why: 'Knocked over by a cat.',
    by: 'Ines',
  });
  await openKey(trial.id);
  await leaveOut(trial.id, { unitId: units[1]?.id, why: 'Looked poor.', by: '' });
  expect((await dataOf(trial.id)).incidents.map(incident => incident.afterKeyOpened)).toEqual([
    false,
    true,
  ]);
  if (!before.ok) throw new Error('the pot must be left out');
  expect(await leaveOut(trial.id, { unitId: units[0]?.id, why: 'Again.', by: '' })).toMatchObject({
    ok: false,
    trouble: { kind: 'changed-meanwhile' },
  });
  await undoLeaveOut(trial.id, before.value.id);
  expect((await dataOf(trial.id)).incidents).toHaveLength(1);
});

test('looking at the key is logged, and opening it is final', async () => {
  const { trial } = await locked();
  expect(await lookAtKey(trial.id)).toMatchObject({ ok: true });
  await openKey(trial.id);
  const opened = (await dataOf(trial.id)).trial.keyOpenedAt;
  await openKey(trial.id);
  expect((await dataOf(trial.id)).trial.keyOpenedAt).toBe(opened);
  expect((await trialLog(trial.id)).map(change => change.what)).toContain('key looked at');
});

test('the garden’s measures decide what a bare weight is', async () => {
  const { trial, units } = await locked();
  const garden = await currentGarden();
  expect(await saveGarden({ name: 'Cinder Row', system: 'us' })).toEqual(
    success({ ...garden, name: 'Cinder Row', system: 'us' }),
  );
  expect(
    (await taken(trial.id, pickForm(units[0]?.id, { gross: '10', tare: '' }))).netG,
  ).toBeCloseTo(283.495, 3);
  expect(await saveGarden({ name: '', system: 'metric' })).toMatchObject({
    ok: false,
    trouble: { name: expect.any(String), system: expect.any(String) },
  });
});

describe('the same pick twice', () => {
  const AGAIN = { ok: false, trouble: { kind: 'invalid', fields: { again: expect.any(String) } } };

  test('sent again under its id is one; with another weight it is not answered as if it were stored', async () => {
    const { trial, units } = await locked();
    const form = pickForm(units[0]?.id, { gross: '200' });
    const first = await taken(trial.id, form);
    expect(await takePick(trial.id, form)).toMatchObject({ ok: true, value: { id: first.id } });
    expect(await takePick(trial.id, { ...form, gross: '230' })).toMatchObject({
      ok: false,
      trouble: {
        kind: 'invalid',
        fields: { form: expect.stringContaining('as it was first sent') },
      },
    });
    expect((await dataOf(trial.id)).picks.map(pick => pick.netG)).toEqual([150]);
  });
  test('to the gram on one day is asked about, and taken when it is said to be a second one', async () => {
    const { trial, units } = await locked();
    await taken(trial.id, pickForm(units[0]?.id, { gross: '200' }));
    const twin = pickForm(units[0]?.id, { gross: '200' });
    expect(await takePick(trial.id, twin)).toMatchObject(AGAIN);
    expect(await takePick(trial.id, { ...twin, isSecond: true })).toMatchObject({ ok: true });
    await taken(trial.id, pickForm(units[1]?.id, { gross: '200' }));
    await taken(trial.id, pickForm(units[0]?.id, { gross: '201' }));
    expect((await dataOf(trial.id)).picks).toHaveLength(4);
  });
  test('a change of one unit’s pick is not taken for another unit’s', async () => {
    const { trial, units } = await locked();
    const first = await taken(trial.id, pickForm(units[0]?.id, { gross: '200' }));
    expect(
      await takePick(trial.id, pickForm(units[1]?.id, { gross: '90', supersedes: first.id })),
    ).toMatchObject({ ok: false, trouble: { kind: 'changed-meanwhile' } });
    expect((await dataOf(trial.id)).picks.map(pick => [pick.unitId, pick.netG])).toEqual([
      [units[0]?.id, 150],
    ]);
  });
});
