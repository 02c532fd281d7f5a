import { v7 } from 'uuid';
import { addDays } from '@/core/time/garden-day';
import { INTERIM_LOOK } from '@/core/trial/interim-look';
import type { TrialData } from '@/core/trial/model/trial-data';
import { today } from '@/service/garden/clock';
import { freshGardenForEachTest } from '@/service/garden/garden-fixture';
import { noteInterimLook, openKey, undoLeaveOut } from '@/service/judge/close-trial';
import { dealTrial, lockPlan } from '@/service/layout/lay-out';
import { askTrial } from '@/service/trial/ask';
import { mishapHistoryOf } from '@/service/trial/entry-history';
import { findTrial, trialLog } from '@/service/trial/trials';
import { recordMishap } from './mishaps';

freshGardenForEachTest();

async function locked(): Promise<TrialData> {
  const trial = await askTrial({
    question: 'Does a feed help?',
    crop: 'beans',
    picked: 'beans',
    unitWord: 'pot',
    startsOn: addDays(today(), -14),
    endsOn: addDays(today(), 60),
    treatments: [{ name: 'plain water' }, { name: 'feed' }],
    control: 0,
    summary: 'sound-weight',
    better: 'higher',
    marginKind: 'percent',
    margin: '15',
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

const mishap = (
  codes: readonly (string | undefined)[],
  changes: Readonly<Record<string, unknown>> = {},
) => ({
  id: v7(),
  codes,
  cause: 'frost',
  byTreatment: 'no',
  decision: 'leave-out-from',
  happenedOn: today(),
  why: 'The lid blew off.',
  by: 'Ines',
  ...changes,
});

test('a mishap stands for each pot it happened to, with what was decided, and can be taken back', async () => {
  const data = await locked();
  const [first, second] = data.units;
  expect(await recordMishap(data.trial.id, mishap([first?.code, second?.code]))).toMatchObject({
    ok: true,
  });
  const { incidents } = await dataOf(data.trial.id);
  expect(
    incidents.map(each => [
      each.unitId,
      each.what,
      each.decision,
      each.cause,
      each.byTreatment,
      each.afterKeyOpened,
    ]),
  ).toEqual(
    [first, second].map(unit => [unit?.id, 'frost', 'leave-out-from', 'frost', 'no', false]),
  );
  await undoLeaveOut(data.trial.id, incidents[0]?.id ?? '');
  expect((await dataOf(data.trial.id)).incidents.map(each => each.unitId)).toEqual([second?.id]);
  expect((await mishapHistoryOf(data.trial.id)).map(({ says }) => says)).toEqual([
    `${first?.code}, ${today()}: frost, undone`,
    `${second?.code}, ${today()}: frost. The lid blew off.`,
    `${first?.code}, ${today()}: frost. The lid blew off.`,
  ]);
});

test('sent twice, since its answer was lost, a mishap is one; with another decision it is not taken unseen', async () => {
  const data = await locked();
  const codes = data.units.slice(0, 3).map(unit => unit.code);
  const sent = mishap(codes);
  await recordMishap(data.trial.id, sent);
  expect(await recordMishap(data.trial.id, sent)).toMatchObject({ ok: true });
  expect((await dataOf(data.trial.id)).incidents).toHaveLength(3);
  expect(await recordMishap(data.trial.id, { ...sent, decision: 'keep' })).toMatchObject({
    ok: false,
    trouble: { fields: { why: expect.stringContaining('as it was first sent') } },
  });
});

test('what is decided once the key is open is marked so', async () => {
  const data = await locked();
  await openKey(data.trial.id);
  await recordMishap(data.trial.id, mishap([data.units[0]?.code]));
  expect((await dataOf(data.trial.id)).incidents[0]?.afterKeyOpened).toBe(true);
});

test.each([
  ['what the treatment did', { byTreatment: 'yes', decision: 'leave-out' }, 'decision'],
  ['a day to come', { happenedOn: addDays(today(), 1) }, 'happenedOn'],
  ['no reason', { why: '' }, 'why'],
  ['no pot', { codes: [] }, 'codes'],
  ['another trial’s pot', { codes: ['ZZ9'] }, 'codes'],
])('%s is refused beside its field', async (_, changes, field) => {
  const data = await locked();
  expect(await recordMishap(data.trial.id, mishap([data.units[0]?.code], changes))).toMatchObject({
    ok: false,
    trouble: { fields: { [field]: expect.any(String) } },
  });
  expect((await dataOf(data.trial.id)).incidents).toEqual([]);
});

test('a look at the verdict of a running trial is noted, once a day', async () => {
  const data = await locked();
  await noteInterimLook(data.trial.id);
  await noteInterimLook(data.trial.id);
  expect(
    (await trialLog(data.trial.id)).filter(change => change.what === INTERIM_LOOK),
  ).toHaveLength(1);
});
