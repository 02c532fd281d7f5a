import { v7 } from 'uuid';
import { isBottle, type SeenDue } from '@/core/blinding/bottle-steps';
import { givenShares } from '@/core/judge/units/given-share';
import { BLANK_PRODUCT } from '@/core/materials/label/product-form';
import { nutrientLedger } from '@/core/materials/ledger/nutrient-ledger';
import { success } from '@/core/result';
import { adherenceOf } from '@/core/schedule/adherence/adherence';
import { coverLines } from '@/core/schedule/adherence/covers';
import { BLANK_CARE } from '@/core/schedule/rules/care-draft';
import { careTasks, type DueTask } from '@/core/schedule/tasks/due-today';
import { addDays } from '@/core/time/garden-day';
import type { TrialData } from '@/core/trial/model/trial-data';
import { today } from '@/service/garden/clock';
import { freshGardenForEachTest } from '@/service/garden/garden-fixture';
import {
  listProducts,
  openBatch,
  removeProduct,
  saveProduct,
  stepUp,
  weighLoose,
} from '@/service/garden/shelf';
import { fetchStandIn, importWeather, weatherOf } from '@/service/garden/weather';
import { openKey } from '@/service/judge/close-trial';
import { dealTrial, lockPlan } from '@/service/layout/lay-out';
import { nameByDepth } from '@/service/layout/name-by-depth';
import { askTrial } from '@/service/trial/ask';
import { actHistoryOf } from '@/service/trial/entry-history';
import { predict } from '@/service/trial/predict';
import { findTrial, trialLog } from '@/service/trial/trials';
import { takePick } from '@/service/weigh/picks';
import { stateAllAsPlanned } from './as-planned';
import { tickBottle } from './bottle-tick';
import { calendarOf } from './calendar';
import { changeCareSettings, dateStage, removeCareRule, saveCareRule } from './care';
import { tickOff, undoAct } from './care-acts';
import { enterPaperLog } from './paper-log';
import { listDue, lookIntoBottles } from './today';
import { logCare } from './unplanned-acts';

freshGardenForEachTest();

const STARTS = addDays(today(), -14);

const named = ({ steps }: SeenDue): readonly DueTask[] =>
  steps.filter((step): step is DueTask => !isBottle(step));

async function locked(isBlind = false): Promise<TrialData> {
  const trial = await askTrial({
    question: 'Does a feed help?',
    crop: 'beans',
    picked: 'beans',
    unitWord: 'pot',
    startsOn: STARTS,
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
    isBlind,
  });
  await lockPlan(trial.value.id);
  return dataOf(trial.value.id);
}

async function dataOf(id: string): Promise<TrialData> {
  const data = await findTrial(id);
  if (!data) throw new Error('the trial must be there');
  return data;
}

async function product(changes: Readonly<Record<string, unknown>> = {}): Promise<string> {
  const saved = await saveProduct(null, {
    ...BLANK_PRODUCT,
    name: 'Tidewrack feed',
    grade: '5-5-5',
    per: 'w/v',
    rates: '20 ml in 4.5 l',
    ...changes,
  });
  if (!saved.ok) throw new Error(JSON.stringify(saved.trouble));
  return saved.value.id;
}

async function weekly(data: TrialData, productId: string): Promise<string> {
  const saved = await saveCareRule(
    data.trial.id,
    null,
    {
      ...BLANK_CARE,
      name: 'weekly feed',
      treatmentIds: [data.treatments[1]?.id],
      productId,
      water: '1 l',
    },
    'It was forgotten before the lock.',
  );
  if (!saved.ok) throw new Error(JSON.stringify(saved.trouble));
  return saved.value.id;
}

const act = (ruleId: string, nth: number, changes: Readonly<Record<string, unknown>> = {}) => ({
  id: v7(),
  ruleId,
  nth,
  doneOn: today(),
  isSkipped: false,
  ...changes,
});

test('a product goes on the shelf, is changed, and taken off; trials that use it still know it', async () => {
  const id = await product();
  expect((await listProducts()).map(each => each.name)).toEqual(['Tidewrack feed']);
  expect(
    await saveProduct(id, { ...BLANK_PRODUCT, name: 'Tidewrack', rates: '3 to 1' }),
  ).toMatchObject({ ok: false, trouble: { rates: expect.stringContaining('Say which') } });
  const data = await locked();
  await weekly(data, id);
  await removeProduct(id);
  expect(await listProducts()).toEqual([]);
  expect((await dataOf(data.trial.id)).products.map(each => each.id)).toEqual([id]);
  expect(await saveProduct(v7(), { ...BLANK_PRODUCT, name: 'x' })).toMatchObject({ ok: false });
});

test('two helpers who each did a part of one step both stand, whoever ticks last', async () => {
  const data = await locked();
  const ruleId = await weekly(data, await product());
  const own = data.units.filter(unit => unit.treatmentId === data.treatments[1]?.id);
  const [one = '', two = '', three = ''] = own.map(unit => unit.code);
  const part = (codes: readonly string[]) =>
    tickOff(data.trial.id, act(ruleId, 0, { codes, note: 'My shelf.' }));
  expect(await part([one])).toMatchObject({ ok: true });
  expect(await part([two, three])).toMatchObject({ ok: true });
  expect((await dataOf(data.trial.id)).care.acts.flatMap(each => each.unitIds ?? [])).toHaveLength(
    3,
  );
  // Said anew of a pot that stood in another’s part: nothing of theirs is written over.
  expect(await part([three])).toMatchObject({ ok: false, trouble: { kind: 'already-done' } });
  expect((await dataOf(data.trial.id)).care.acts).toHaveLength(2);
});

test('what one helper did on one shelf is due for the rest, on every page, until somebody did it or left it out', async () => {
  const data = await locked();
  const ruleId = await weekly(data, await product());
  const own = data.units
    .filter(unit => unit.treatmentId === data.treatments[1]?.id)
    .map(unit => unit.code);
  const [one = '', ...rest] = own;
  await tickOff(data.trial.id, act(ruleId, 2, { codes: [one], note: 'My shelf.', by: 'Ida' }));
  const [due] = named(await listDue());
  expect([due?.units, due?.receivers.flatMap(each => each.codes).sort()]).toEqual([
    2,
    [...rest].sort(),
  ]);
  // To all, from a page that was loaded before: Ida’s part is not written over.
  expect(await tickOff(data.trial.id, act(ruleId, 2))).toMatchObject({
    ok: false,
    trouble: { kind: 'already-done', by: 'Ida' },
  });
  // What completes it needs no reason.
  expect(await tickOff(data.trial.id, act(ruleId, 2, { codes: rest }))).toMatchObject({ ok: true });
  expect((await listDue()).steps).toEqual([]);
  const acts = (await dataOf(data.trial.id)).care.acts;
  await undoAct(data.trial.id, acts.at(-1)?.id ?? '', '');
  expect(
    await tickOff(
      data.trial.id,
      act(ruleId, 2, { codes: rest, isSkipped: true, note: 'The can ran dry.' }),
    ),
  ).toMatchObject({ ok: true });
  expect((await listDue()).steps).toEqual([]);
  expect(givenShares(await dataOf(data.trial.id))?.feed?.done).toBeCloseTo(1 / 3, 12);
});

test('one statement puts all that was missed on record, each on its own day, under who says so', async () => {
  const data = await locked();
  const ruleId = await weekly(data, await product());
  expect(await stateAllAsPlanned(data.trial.id, { by: ' ' })).toMatchObject({
    ok: false,
    trouble: { kind: 'invalid', fields: { by: expect.any(String) } },
  });
  expect(await stateAllAsPlanned(data.trial.id, { by: 'Ines' })).toEqual({ ok: true, value: 2 });
  const { acts } = (await dataOf(data.trial.id)).care;
  expect(acts.map(each => [each.ruleId, each.nth, each.doneOn, each.by])).toEqual([
    [ruleId, 0, STARTS, 'Ines'],
    [ruleId, 1, addDays(STARTS, 7), 'Ines'],
  ]);
  expect(await stateAllAsPlanned(data.trial.id, { by: 'Ines' })).toEqual({ ok: true, value: 0 });
  expect((await trialLog(data.trial.id)).map(each => each.what)).toContain(
    'all given as planned, by one statement',
  );
});

test('after the lock a change of care wants a reason, and stands as an amendment', async () => {
  const data = await locked();
  const rule = { ...BLANK_CARE, name: 'weekly look', kind: 'look' };
  expect(await saveCareRule(data.trial.id, null, rule, '')).toMatchObject({
    ok: false,
    trouble: { kind: 'invalid', fields: { why: expect.any(String) } },
  });
  const saved = await saveCareRule(data.trial.id, null, rule, 'We forgot it.');
  expect(saved.ok).toBe(true);
  expect(
    await removeCareRule(data.trial.id, saved.ok ? saved.value.id : '', 'Too much work.'),
  ).toEqual({ ok: true, value: true });
  const after = await dataOf(data.trial.id);
  expect([
    after.care.rules,
    after.amendments.map(amendment => [amendment.to, amendment.why]),
  ]).toEqual([
    [],
    [
      ['weekly look', 'We forgot it.'],
      ['—', 'Too much work.'],
    ],
  ]);
});

test('what is due is ticked off once however often it is sent, is not written over, and can be taken back', async () => {
  const data = await locked();
  const ruleId = await weekly(data, await product());
  const due = await listDue();
  expect(named(due).map(task => [task.rule.name, task.units, task.task.nth])).toEqual([
    ['weekly feed', 3, 2],
  ]);
  expect(due.mixing[0]).toMatchObject({ waterMl: expect.closeTo(3300, 6), units: 3 });
  const done = act(ruleId, 2);
  await tickOff(data.trial.id, done);
  expect(await tickOff(data.trial.id, done)).toMatchObject({ ok: true });
  expect((await dataOf(data.trial.id)).care.acts).toHaveLength(1);
  expect((await listDue()).steps).toEqual([]);
  expect(await tickOff(data.trial.id, act(ruleId, 2, { isSkipped: true }))).toMatchObject({
    ok: false,
    trouble: { fields: { note: expect.stringContaining('why') } },
  });
  const skip = act(ruleId, 2, { isSkipped: true, note: 'Rain all day.' });
  expect(await tickOff(data.trial.id, skip)).toMatchObject({
    ok: false,
    trouble: { kind: 'already-done', on: today() },
  });
  expect(await tickOff(data.trial.id, { ...done, amount: 5 })).toMatchObject({ ok: false });
  await undoAct(data.trial.id, done.id, 'Ida');
  expect(await tickOff(data.trial.id, skip)).toMatchObject({ ok: true });
  const [current] = (await dataOf(data.trial.id)).care.acts;
  expect(current).toMatchObject({ isSkipped: true, id: skip.id });
  expect(await undoAct(data.trial.id, current?.id ?? '', 'Ida')).toMatchObject({ ok: true });
  expect((await dataOf(data.trial.id)).care.acts).toEqual([]);
  expect(await undoAct(data.trial.id, current?.id ?? '', 'Ida')).toMatchObject({ ok: false });
  expect(
    await tickOff(data.trial.id, act(ruleId, 0, { doneOn: addDays(today(), 1) })),
  ).toMatchObject({ ok: false, trouble: { fields: { doneOn: expect.any(String) } } });
  expect(await tickOff(data.trial.id, act(v7(), 0))).toMatchObject({ ok: false });
});

test('in a blind trial only bottles are due, and a look into them is in the log', async () => {
  const data = await locked(true);
  const ruleId = await weekly(data, await product());
  const due = await listDue();
  expect(
    [ruleId, 'Tidewrack', ...data.treatments.map(treatment => treatment.id)].filter(secret =>
      JSON.stringify(due).includes(secret),
    ),
  ).toEqual([]);
  const [bottle] = due.steps.filter(isBottle);
  if (!bottle) throw new Error('a bottle must be due');
  expect(bottle.bottle).toMatch(/^bottle [A-Z]$/);
  expect((await lookIntoBottles()).mixing[0]?.product.name).toBe('Tidewrack feed');
  expect(
    (await trialLog(data.trial.id)).filter(({ what }) => what === 'bottles looked into'),
  ).toHaveLength(1);
  // By the plan's own name it could be tried on pot after pot.
  expect(await tickOff(data.trial.id, act(ruleId, 2))).toMatchObject({ ok: false });
  const { codes, dueOn } = bottle;
  const press = { id: v7(), bottle: bottle.bottle, dueOn, doneOn: today(), isSkipped: false };
  expect(await tickBottle(data.trial.id, press)).toEqual(success(true));
  expect(await tickBottle(data.trial.id, press)).toEqual(success(true));
  const [given, ...others] = (await dataOf(data.trial.id)).care.acts;
  expect(others).toEqual([]);
  expect([given?.ruleId, given?.unitIds?.length]).toEqual([ruleId, codes.length]);
  expect(await tickBottle(data.trial.id, { ...press, id: v7() })).toMatchObject({
    ok: false,
    trouble: { kind: 'already-done' },
  });
});

test('a stage moves what waits for it, settings hold for all, and the calendar goes out', async () => {
  const data = await locked();
  await saveCareRule(
    data.trial.id,
    null,
    { ...BLANK_CARE, name: 'full strength', from: 'stage', fromStage: 'first flower' },
    'As agreed in spring.',
  );
  expect((await listDue()).steps).toEqual([]);
  await dateStage(data.trial.id, { stage: 'first flower', day: today() });
  expect((await listDue()).steps).toHaveLength(1);
  await dateStage(data.trial.id, { stage: 'first flower', day: '' });
  expect((await listDue()).steps).toEqual([]);
  expect(await dateStage(data.trial.id, { stage: '', day: 'soon' })).toMatchObject({ ok: false });
  expect(await changeCareSettings(data.trial.id, { missed: 'skip', mixMl: 9000 })).toMatchObject({
    ok: true,
    value: { missed: 'skip', water: 'same', mixMl: 9000 },
  });
  expect(await changeCareSettings(data.trial.id, { mixMl: -3 })).toMatchObject({ ok: false });
  const calendar = await calendarOf(data.trial.id, 'http://garden.test');
  expect(calendar?.body).toContain('BEGIN:VCALENDAR');
  expect(calendar?.name).toMatch(/-calendar\.ics$/);
  expect(await calendarOf(v7(), 'http://garden.test')).toBeUndefined();
});

test('a harvest inside a waiting time is stopped with its date, and taken with a reason', async () => {
  const data = await locked();
  const ruleId = await weekly(data, await product({ waitingDays: '7' }));
  await tickOff(data.trial.id, act(ruleId, 2));
  await openKey(data.trial.id);
  const pick = (unitAt: number, note = '') =>
    takePick(data.trial.id, {
      id: v7(),
      unitId: data.units.filter(unit => unit.treatmentId === data.treatments[unitAt]?.id)[0]?.id,
      supersedes: null,
      pickedOn: today(),
      outcome: 'picked',
      pieces: '3',
      gross: '90',
      tare: '',
      grade: 'sound',
      cullReason: null,
      note,
    });
  expect(await pick(1)).toMatchObject({
    ok: false,
    trouble: {
      kind: 'invalid',
      fields: { pickedOn: expect.stringContaining(`before ${addDays(today(), 7)}`) },
    },
  });
  expect(await pick(0)).toMatchObject({ ok: true });
  expect(await pick(1, 'Weighed only, not eaten.')).toMatchObject({ ok: true });
});

test('weather comes from a file whole or not at all, and the stand-in never writes over it', async () => {
  expect(
    await importWeather('date,tmax,tmin,rain\n2026-06-01,20,10,0\n2026-06-02,hot,10,0'),
  ).toMatchObject({ ok: false, trouble: { kind: 'bad-row', row: 3 } });
  expect(await weatherOf('2026-06-01', '2026-06-30')).toEqual([]);
  expect(await importWeather('date;tmax;tmin;rain\n2026-06-02;20,5;10;3')).toEqual({
    ok: true,
    value: 1,
  });
  expect(await fetchStandIn('2026-06-01', '2026-06-03')).toBe(2);
  const days = await weatherOf('2026-06-01', '2026-06-30');
  expect(days.map(day => [day.day, day.source])).toEqual([
    ['2026-06-01', 'stand-in'],
    ['2026-06-02', 'file'],
    ['2026-06-03', 'stand-in'],
  ]);
  expect(await fetchStandIn('2026-06-01', '2026-06-03')).toBe(2);
  expect(await weatherOf('2026-06-01', '2026-06-30')).toEqual(days);
});

test('an act keeps the batch it came from, and a batch is not opened tomorrow', async () => {
  const id = await product();
  const data = await locked();
  const ruleId = await weekly(data, id);
  expect(await openBatch(id, { name: 'bottle 1', openedOn: addDays(today(), -20) })).toMatchObject({
    ok: true,
  });
  expect(await openBatch(id, { name: '', openedOn: addDays(today(), 1) })).toMatchObject({
    ok: false,
    trouble: { name: expect.any(String), openedOn: expect.any(String) },
  });
  expect(await tickOff(data.trial.id, act(ruleId, 2))).toMatchObject({ ok: true });
  expect((await dataOf(data.trial.id)).care.acts.at(-1)).toMatchObject({
    batchId: (await listProducts())[0]?.batches[0]?.id,
  });
  // Saving the pack’s print again loses neither batches nor the ladder.
  await saveProduct(id, { ...BLANK_PRODUCT, name: 'Tidewrack feed', rates: '20 ml in 4.5 l' });
  expect((await listProducts())[0]?.batches).toHaveLength(1);
});

test('a new spray is stepped up only look by look', async () => {
  const id = await product({ form: 'spray-concentrate' });
  expect(await stepUp(id, 'no-harm')).toMatchObject({ ok: false });
  expect(await stepUp(id, 'start')).toMatchObject({
    ok: true,
    value: { stepUp: { startedOn: today(), looks: [] } },
  });
  expect(await stepUp(id, 'no-harm')).toMatchObject({
    ok: false,
    trouble: { stepUp: expect.stringContaining(addDays(today(), 3)) },
  });
  expect(await stepUp(v7(), 'start')).toMatchObject({ ok: false });
});

test('what was not planned is logged: for all at once, for some only with a reason that stands on the verdict', async () => {
  const data = await locked();
  const entry = () => ({
    id: v7(),
    name: 'hail cover on',
    kind: 'other',
    treatmentIds: [],
    doneOn: today(),
  });
  expect(await logCare(data.trial.id, entry())).toMatchObject({ ok: true });
  expect(
    await logCare(data.trial.id, { ...entry(), treatmentIds: [data.treatments[1]?.id] }),
  ).toMatchObject({
    ok: false,
    trouble: { fields: { note: expect.stringContaining('Not all got it') } },
  });
  expect(
    await logCare(data.trial.id, {
      ...entry(),
      treatmentIds: [data.treatments[1]?.id],
      note: 'Only one cover.',
    }),
  ).toMatchObject({ ok: true });
  expect(await logCare(data.trial.id, { ...entry(), doneOn: addDays(today(), 1) })).toMatchObject({
    ok: false,
  });
  const after = await dataOf(data.trial.id);
  expect([after.care.acts.length, after.amendments.map(amendment => amendment.why)]).toEqual([
    2,
    ['Only one cover.'],
  ]);
  expect((await listDue()).steps).toEqual([]);
});

describe('care of single units', () => {
  test('only some got it: a reason is asked, the rest of the plan stands, and it is in the log', async () => {
    const data = await locked();
    const ruleId = await weekly(data, await product());
    const [unit] = data.units.filter(each =>
      data.treatments.some(
        treatment => treatment.id === each.treatmentId && treatment.name === 'feed',
      ),
    );
    expect(await tickOff(data.trial.id, act(ruleId, 2, { codes: [unit?.code] }))).toMatchObject({
      ok: false,
      trouble: { fields: { note: expect.stringContaining('Not all') } },
    });
    expect(
      await tickOff(data.trial.id, act(ruleId, 2, { codes: ['ZZ9'], note: 'The can ran dry.' })),
    ).toMatchObject({ ok: false, trouble: { fields: { codes: expect.any(String) } } });
    expect(
      await tickOff(
        data.trial.id,
        act(ruleId, 2, { codes: [unit?.code], note: 'The can ran dry.' }),
      ),
    ).toMatchObject({ ok: true });
    expect((await dataOf(data.trial.id)).care.acts).toMatchObject([
      { unitIds: [unit?.id], note: 'The can ran dry.' },
    ]);
    expect(named(await listDue()).map(each => each.units)).toEqual([2]);
    expect(
      await logCare(data.trial.id, {
        id: v7(),
        name: 'tied in',
        kind: 'other',
        treatmentIds: [],
        codes: [unit?.code],
        doneOn: today(),
        note: 'It had fallen over.',
      }),
    ).toMatchObject({ ok: true });
    expect((await dataOf(data.trial.id)).amendments.map(amendment => amendment.why)).toContain(
      'It had fallen over.',
    );
  });
});

test('a net is put on for all and taken off one: who has it, and since when', async () => {
  const data = await locked();
  const [unit] = data.units;
  const net = { name: 'net', treatmentIds: [], note: 'Pigeons had gone.' };
  const on = addDays(today(), -9);
  const off = addDays(today(), -2);
  for (const step of [
    { ...net, id: v7(), kind: 'cover', doneOn: on },
    { ...net, id: v7(), kind: 'uncover', doneOn: off, codes: [unit?.code] },
  ])
    expect(await logCare(data.trial.id, step)).toMatchObject({ ok: true });
  expect(coverLines(await dataOf(data.trial.id))).toEqual([
    { name: 'net', on, off, codes: [unit?.code] },
    { name: 'net', on, off: null, codes: data.units.slice(1).map(({ code }) => code) },
  ]);
});

describe('sprays', () => {
  const suds = {
    name: 'Pewter Lane suds',
    form: 'spray-concentrate',
    grade: '',
    per: 'w/w',
    rates: '10 ml in 1 l',
    reentryHours: '4',
  };
  const spray = (productId: string, changes: Readonly<Record<string, unknown>> = {}) => ({
    ...BLANK_CARE,
    name: 'suds',
    kind: 'spray',
    repeat: 'once',
    fromDays: '14',
    productId,
    rate: '0',
    strength: '1',
    water: '100 ml',
    washedOffByMm: '5',
    ...changes,
  });

  test('what is new here goes on no trial until it was stepped up, or is known', async () => {
    const data = await locked();
    const id = await product(suds);
    expect(await saveCareRule(data.trial.id, null, spray(id), 'Aphids came.')).toMatchObject({
      ok: false,
      trouble: { fields: { productId: expect.stringContaining('step it up') } },
    });
    await stepUp(id, 'known');
    expect(await saveCareRule(data.trial.id, null, spray(id), 'Aphids came.')).toMatchObject({
      ok: true,
    });
  });

  test('rain undoes it: it is due again, and the second time stands beside the first', async () => {
    const data = await locked();
    const id = await product(suds);
    await stepUp(id, 'known');
    const saved = await saveCareRule(
      data.trial.id,
      null,
      spray(id, { fromDays: '11' }),
      'Aphids came.',
    );
    const ruleId = saved.ok ? saved.value.id : '';
    const sprayedOn = addDays(today(), -3);
    await tickOff(data.trial.id, act(ruleId, 0, { doneOn: sprayedOn }));
    expect((await listDue()).steps).toEqual([]);
    await importWeather(`date,tmax,tmin,rain\n${addDays(sprayedOn, 1)},18,9,14\n`);
    expect(named(await listDue()).map(task => [task.rule.name, task.task.dueOn])).toEqual([
      ['suds', addDays(sprayedOn, 2)],
    ]);
    await tickOff(data.trial.id, act(ruleId, 0));
    expect((await listDue()).steps).toEqual([]);
    expect((await dataOf(data.trial.id)).care.acts.map(each => each.doneOn)).toEqual([
      sprayedOn,
      today(),
    ]);
  });

  test('a bed just sprayed is left alone for the hours of the label, for picking and for other work, but for a reason', async () => {
    const data = await locked();
    const id = await product(suds);
    await stepUp(id, 'known');
    const saved = await saveCareRule(data.trial.id, null, spray(id), 'Aphids came.');
    const tied = await saveCareRule(
      data.trial.id,
      null,
      { ...BLANK_CARE, name: 'tie in', kind: 'prune', repeat: 'once', fromDays: '14' },
      'They fall over.',
    );
    await tickOff(data.trial.id, act(saved.ok ? saved.value.id : '', 0));
    expect(await tickOff(data.trial.id, act(tied.ok ? tied.value.id : '', 0))).toMatchObject({
      ok: false,
      trouble: { fields: { note: expect.stringContaining('Nobody is to go in') } },
    });
    const pick = {
      id: v7(),
      unitId: data.units[0]?.id,
      pickedOn: today(),
      outcome: 'picked',
      gross: '100 g',
      pieces: '4',
      tare: '',
      grade: 'sound',
      cullReason: null,
      supersedes: null,
    };
    expect(await takePick(data.trial.id, { ...pick, note: '' })).toMatchObject({
      ok: false,
      trouble: { fields: { pickedOn: expect.stringContaining('Nobody is to go in') } },
    });
    expect(
      await takePick(data.trial.id, { ...pick, note: 'With gloves, from the path.' }),
    ).toMatchObject({ ok: true });
    expect(
      await tickOff(
        data.trial.id,
        act(tied.ok ? tied.value.id : '', 0, { note: 'From the path.' }),
      ),
    ).toMatchObject({ ok: true });
  });
});

test('a handful that was weighed five times may stand in a rate', async () => {
  const id = await product();
  const draft = {
    ...BLANK_PRODUCT,
    name: 'Kilnash meal',
    form: 'meal',
    rates: 'a handful per plant',
  };
  expect(await saveProduct(id, draft)).toMatchObject({
    ok: false,
    trouble: { rates: expect.stringContaining('Weigh or measure five') },
  });
  expect(await weighLoose(id, { name: 'handful', of: 'mass', tries: [28] })).toMatchObject({
    ok: false,
  });
  expect(
    await weighLoose(id, { name: 'Handful', of: 'mass', tries: [28, 35, 40, 31, 36] }),
  ).toMatchObject({
    ok: true,
    value: { looseMeasures: [{ name: 'handful', mean: 34, tries: 5 }] },
  });
  expect(await saveProduct(id, draft)).toMatchObject({
    ok: true,
    value: { rates: [{ low: expect.closeTo(34, 9), of: 'mass' }] },
  });
});

test('a level is called by the depth that was really laid: factor, dose and prediction follow, and it is an amendment', async () => {
  const trial = await askTrial({
    question: 'How much leaf-mould?',
    crop: 'beetroot',
    picked: 'roots',
    unitWord: 'bed',
    startsOn: STARTS,
    endsOn: addDays(today(), 60),
    treatments: [{ name: '0 cm leaf-mould' }, { name: '5 cm leaf-mould' }],
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
    unitWidth: '100 cm',
    isBlind: false,
  });
  await predict(trial.value.id, { by: 'Ines', expects: '5 cm leaf-mould', why: 'It holds water.' });
  await lockPlan(trial.value.id);
  const data = await dataOf(trial.value.id);
  const [none, five] = data.treatments;
  expect(
    await nameByDepth(data.trial.id, {
      treatmentId: five?.id,
      bags: 1,
      bagMl: 40_000,
      name: none?.name,
    }),
  ).toMatchObject({ ok: false, trouble: { fields: { name: expect.any(String) } } });
  expect(
    await nameByDepth(data.trial.id, { treatmentId: five?.id, bags: 0, bagMl: 40_000, name: 'x' }),
  ).toMatchObject({ ok: false });
  expect(
    await nameByDepth(data.trial.id, {
      treatmentId: five?.id,
      bags: 1,
      bagMl: 40_000,
      name: '4 cm leaf-mould',
    }),
  ).toMatchObject({ ok: true });
  const after = await dataOf(data.trial.id);
  expect([
    after.treatments.map(treatment => treatment.name),
    after.factors[0]?.levels,
    after.predictions.map(prediction => prediction.expects),
  ]).toEqual([
    ['0 cm leaf-mould', '4 cm leaf-mould'],
    ['0 cm leaf-mould', '4 cm leaf-mould'],
    ['4 cm leaf-mould'],
  ]);
  expect(after.amendments.map(amendment => [amendment.from, amendment.to])).toEqual([
    ['5 cm leaf-mould', '4 cm leaf-mould'],
  ]);
});

describe('what was done besides the plan', () => {
  const logged = (data: TrialData, changes: Readonly<Record<string, unknown>>) =>
    logCare(data.trial.id, {
      id: v7(),
      name: 'a can of feed',
      kind: 'feed',
      treatmentIds: [data.treatments[1]?.id],
      doneOn: today(),
      note: 'They looked hungry.',
      ...changes,
    });
  const fedShare = async (id: string) => givenShares(await dataOf(id))?.feed;

  test('with product and amount it counts in the ledger of what was done, and plans nothing', async () => {
    const data = await locked();
    const productId = await product();
    await weekly(data, productId);
    expect(
      await logged(data, { productId, amount: '12 ml', is: 'besides', by: 'Ida' }),
    ).toMatchObject({ ok: true });
    const after = await dataOf(data.trial.id);
    expect(after.care.acts).toMatchObject([{ amount: 12, by: 'Ida' }]);
    const rule = after.care.rules.at(-1);
    expect(rule).toMatchObject({ isUnplanned: true, material: { productId } });
    expect(await fedShare(data.trial.id)).toEqual({ planned: 2, done: 0 });
    const amountOf = (which: 'planned' | 'done') =>
      nutrientLedger(
        {
          treatments: after.treatments,
          rules: after.care.rules,
          tasks: careTasks(after, today()),
          products: after.products,
          given: after.care.acts,
          units: after.units,
          unit: { plants: 1 },
          by: today(),
        },
        which,
      )
        .flatMap(account => account.lines)
        .find(line => line.ruleId === rule?.id)?.amount;
    expect([amountOf('planned'), amountOf('done')]).toEqual([0, 12]);
  });

  test('what may be a planned step is asked about: that step, or besides', async () => {
    const data = await locked();
    const productId = await product();
    await weekly(data, productId);
    const can = { productId, doneOn: addDays(today(), -6) };
    expect(await logged(data, can)).toMatchObject({
      ok: false,
      trouble: { fields: { planned: expect.stringContaining('“weekly feed”') } },
    });
    expect(await logged(data, { ...can, is: 'planned' })).toMatchObject({
      ok: true,
    });
    expect((await dataOf(data.trial.id)).care.acts).toMatchObject([{ nth: 1 }]);
    expect((await dataOf(data.trial.id)).care.rules).toHaveLength(1);
    expect((await fedShare(data.trial.id))?.done).toBe(1);
    // The step is taken now: the same again is given besides.
    expect(await logged(data, can)).toMatchObject({ ok: true });
    expect((await dataOf(data.trial.id)).care.rules).toHaveLength(2);
  });

  test.each([
    ['much', /./],
    ['3 m', /How much each got/],
    ['0 g', /More than none/],
  ])('an amount of “%s” is asked for anew', async (amount, says) => {
    const data = await locked();
    const productId = await product();
    expect(await logged(data, { productId, amount })).toMatchObject({
      ok: false,
      trouble: { fields: { amount: expect.stringMatching(says) } },
    });
  });

  test('sent twice it is one act; changed under the same press it is not taken unseen', async () => {
    const data = await locked();
    const id = v7();
    expect(await logged(data, { id })).toMatchObject({ ok: true });
    expect(await logged(data, { id })).toMatchObject({ ok: true });
    const after = await dataOf(data.trial.id);
    expect([after.care.acts.length, after.care.rules.length, after.amendments.length]).toEqual([
      1, 1, 1,
    ]);
    expect(await logged(data, { id, note: 'Quite another thing.' })).toMatchObject({
      ok: false,
      trouble: { kind: 'already-done' },
    });
  });

  test('one act to three pots leaves every treatment with all of its planned steps', async () => {
    const data = await locked();
    const codes = data.units.slice(0, 3).map(unit => unit.code);
    await logged(data, { treatmentIds: [], codes, name: 'tied in', kind: 'other' });
    const after = await dataOf(data.trial.id);
    const kept = adherenceOf(
      after.care.rules,
      careTasks(after, today()),
      after.treatments.map(treatment => treatment.id),
      after.units,
    );
    expect(kept.map(each => each.planned)).toEqual([0, 0]);
  });
});

test('a drip on a timer is done by itself; a day on which it stood still is put in from the log', async () => {
  const data = await locked();
  const saved = await saveCareRule(
    data.trial.id,
    null,
    { ...BLANK_CARE, name: 'drip', kind: 'water', everyDays: '1', runsByItself: true },
    'It runs since the start.',
  );
  if (!saved.ok) throw new Error(JSON.stringify(saved.trouble));
  const kept = async () => {
    const after = await dataOf(data.trial.id);
    const [first] = adherenceOf(
      after.care.rules,
      careTasks(after, today()),
      after.treatments.map(treatment => treatment.id),
      after.units,
    );
    return first;
  };
  expect((await listDue()).steps).toEqual([]);
  expect(await kept()).toMatchObject({ planned: 15, done: 15, missed: 0 });
  const line = `${addDays(today(), -3)},drip,not given,The tap was shut.`;
  expect(
    await enterPaperLog(data.trial.id, { table: `day,step,amount,note\n${line}` }),
  ).toMatchObject({ ok: true, value: 1 });
  expect(await kept()).toMatchObject({ done: 14, skipped: 1 });
});

test('a paper log is entered with its true days, all of it or nothing', async () => {
  const data = await locked();
  await weekly(data, await product());
  const log = (table: string) => enterPaperLog(data.trial.id, { table, by: 'Ida' });
  const day = (ago: number) => addDays(today(), -ago);
  expect(await log(`day,step\n${day(14)},weekly feed\n${day(6)},feed`)).toMatchObject({
    ok: false,
    trouble: { fields: { table: expect.stringMatching(/^Line 3, task: “feed” is no task/) } },
  });
  expect((await dataOf(data.trial.id)).care.acts).toEqual([]);
  expect(
    await log(`day,step,who\n${day(14)},weekly feed,\n${day(6)},weekly feed,Jory`),
  ).toMatchObject({ ok: true, value: 2 });
  expect(
    (await dataOf(data.trial.id)).care.acts.map(({ nth, doneOn, by }) => [nth, doneOn, by]),
  ).toEqual([
    [0, day(14), 'Ida'],
    [1, day(6), 'Jory'],
  ]);
});

test('the history of the care tells who ticked, left out and took back, newest first', async () => {
  const data = await locked();
  const ruleId = await weekly(data, await product());
  const done = act(ruleId, 0, { doneOn: STARTS, by: 'Ida' });
  await tickOff(data.trial.id, done);
  await undoAct(data.trial.id, done.id, 'Jory');
  await tickOff(
    data.trial.id,
    act(ruleId, 1, { doneOn: addDays(STARTS, 7), isSkipped: true, note: 'Rain.', by: 'Kit' }),
  );
  expect((await actHistoryOf(data.trial.id)).map(({ by, says }) => `${by}: ${says}`)).toEqual([
    `Kit: weekly feed of ${addDays(STARTS, 7)}, left out. Rain.`,
    `Jory: weekly feed of ${STARTS}, undone`,
    `Ida: weekly feed of ${STARTS}, done`,
  ]);
});
