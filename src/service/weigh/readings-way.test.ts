import { v7 } from 'uuid';
import { addDays } from '@/core/time/garden-day';
import type { Measure } from '@/core/trial/model/measure';
import type { TrialData } from '@/core/trial/model/trial-data';
import { today } from '@/service/garden/clock';
import { freshGardenForEachTest } from '@/service/garden/garden-fixture';
import { dealTrial, lockPlan } from '@/service/layout/lay-out';
import { askTrial, changeQuestion } from '@/service/trial/ask';
import { addMeasureToTrial, removeMeasureFromTrial } from '@/service/trial/measures';
import { findTrial } from '@/service/trial/trials';
import { importReadings, undoImport } from './import-readings';
import { readingHistoryOf, takeReadings } from './readings';
import { findWalk } from './walk';

freshGardenForEachTest();

const question = {
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
};

async function dataOf(id: string): Promise<TrialData> {
  const data = await findTrial(id);
  if (!data) throw new Error('the trial must be there');
  return data;
}

async function planned(): Promise<TrialData> {
  const trial = await askTrial(question);
  if (!trial.ok) throw new Error(JSON.stringify(trial.trouble));
  return dataOf(trial.value.id);
}

async function walked(): Promise<{ readonly data: TrialData; readonly height: Measure }> {
  const { trial } = await planned();
  await dealTrial(trial.id, {
    kind: 'complete-randomisation',
    unitsEach: '3',
    blockCount: '2',
    blockWord: 'shelf',
    unitWidth: '25 cm',
    isBlind: true,
  });
  await lockPlan(trial.id);
  const added = await addMeasureToTrial(trial.id, { from: 'library', key: 'height' });
  if (!added.ok) throw new Error(JSON.stringify(added.trouble));
  return { data: await dataOf(trial.id), height: added.value };
}

const entry = (
  data: TrialData,
  measure: Measure,
  at: number,
  value: string,
  changes: Readonly<Record<string, unknown>> = {},
) => ({
  id: v7(),
  unitId: data.units[at]?.id,
  measureId: measure.id,
  takenOn: today(),
  value,
  ...changes,
});

test('a measure of the library or of one’s own is added, once, survives a changed question, and goes only while nothing is read of it', async () => {
  const { trial } = await planned();
  expect(await addMeasureToTrial(trial.id, { from: 'library', key: 'nonsense' })).toMatchObject({
    ok: false,
    trouble: { fields: { key: expect.any(String) } },
  });
  const added = await addMeasureToTrial(trial.id, { from: 'library', key: 'leaf-spot' });
  expect(added).toMatchObject({
    ok: true,
    value: { name: 'Leaf spot', summary: 'reading-area', parts: 5, better: 'lower', isMain: false },
  });
  expect(await addMeasureToTrial(trial.id, { from: 'library', key: 'leaf-spot' })).toMatchObject({
    ok: false,
  });
  const own = {
    from: 'own',
    name: 'Tendrils',
    definition: 'Tendrils over 1 cm that hold on to something.',
    scale: 'count',
  };
  expect(await addMeasureToTrial(trial.id, own)).toMatchObject({ ok: true });
  expect(
    await addMeasureToTrial(trial.id, { ...own, name: 'Curl', scale: 'ordinal', steps: 'flat' }),
  ).toMatchObject({ ok: false, trouble: { fields: { steps: expect.any(String) } } });
  expect(
    await addMeasureToTrial(trial.id, { ...own, name: 'x', definition: 'short' }),
  ).toMatchObject({
    ok: false,
    trouble: { fields: { definition: expect.any(String) } },
  });
  await changeQuestion(trial.id, { ...question, margin: '20' });
  const after = await dataOf(trial.id);
  expect(
    after.measures.filter(measure => measure.scale !== null).map(measure => measure.name),
  ).toEqual(['Leaf spot', 'Tendrils']);
  expect(after.measures.filter(measure => measure.scale === null)).toHaveLength(4);
  expect(
    await removeMeasureFromTrial(
      trial.id,
      after.measures.find(measure => measure.name === 'Tendrils')?.id ?? '',
    ),
  ).toEqual({ ok: true, value: true });
});

test('entries are taken one by one: a bad one keeps none back, the same sent twice is one', async () => {
  const { data, height } = await walked();
  const good = entry(data, height, 0, '21.3 cm', { device: 'phone' });
  const sent = [
    good,
    entry(data, height, 1, 'tall'),
    entry(data, height, 2, '', { outcome: 'dead' }),
    { ...entry(data, height, 3, '5'), unitId: v7() },
  ];
  const answer = await takeReadings(data.trial.id, sent);
  expect(
    answer.ok &&
      answer.value.map(each =>
        each.result.ok ? each.result.value.value : each.result.trouble.kind,
      ),
  ).toEqual([213, 'invalid', null, 'no-such-unit']);
  const again = await takeReadings(data.trial.id, [good]);
  expect(again).toMatchObject({
    ok: true,
    value: [{ result: { ok: true, value: { id: good.id } } }],
  });
  const { readings } = await dataOf(data.trial.id);
  expect(
    readings.map(reading => [reading.value, reading.outcome, reading.asWritten, reading.device]),
  ).toEqual([
    [213, 'picked', '21.3 cm', 'phone'],
    [null, 'dead', '', ''],
  ]);
  expect(await removeMeasureFromTrial(data.trial.id, height.id)).toMatchObject({
    ok: false,
    trouble: { fields: { measure: expect.stringContaining('stay') } },
  });
});

test('two devices at one pot: the second is told what stands there, and may take its place, stand beside it as a second reading, or give way', async () => {
  const { data, height } = await walked();
  const mine = entry(data, height, 0, '213', { device: 'phone' });
  await takeReadings(data.trial.id, [mine]);
  const theirs = entry(data, height, 0, '231', { device: 'tablet' });
  const clash = await takeReadings(data.trial.id, [theirs]);
  expect(clash).toMatchObject({
    ok: true,
    value: [
      {
        result: {
          ok: false,
          trouble: { kind: 'already-read', standing: { id: mine.id, value: 213 } },
        },
      },
    ],
  });
  expect((await dataOf(data.trial.id)).readings).toHaveLength(1);
  await takeReadings(data.trial.id, [
    { ...theirs, supersedes: mine.id },
    entry(data, height, 0, '230', { isRepeat: true }),
  ]);
  const after = (await dataOf(data.trial.id)).readings;
  expect(after.map(reading => [reading.value, reading.isRepeat])).toEqual([
    [231, false],
    [230, true],
  ]);
  expect(
    await takeReadings(data.trial.id, [entry(data, height, 0, '999', { supersedes: mine.id })]),
  ).toMatchObject({ ok: true, value: [{ result: { ok: false } }] });
  expect(
    (await readingHistoryOf(data.units[0]?.id ?? '')).map(reading => reading.value).sort(),
  ).toEqual([213, 230, 231]);
  const removal = { id: v7(), removes: theirs.id, by: 'Kit' };
  await takeReadings(data.trial.id, [removal]);
  expect(await takeReadings(data.trial.id, [removal])).toMatchObject({
    ok: true,
    value: [{ result: { ok: true } }],
  });
  expect((await dataOf(data.trial.id)).readings.map(reading => reading.value)).toEqual([230]);
  const [last] = await readingHistoryOf(data.units[0]?.id ?? '');
  expect(last).toMatchObject({ isRemoval: true, by: 'Kit' });
});

test('parts of one pot stand beside each other', async () => {
  const { data, height } = await walked();
  await takeReadings(data.trial.id, [
    entry(data, height, 0, '10', { subsample: '1' }),
    entry(data, height, 0, '12', { subsample: '2' }),
  ]);
  expect((await dataOf(data.trial.id)).readings).toHaveLength(2);
});

test.each([
  ['nothing', null],
  ['no list', { id: 'x' }],
  ['an empty one', []],
  ['too many', Array.from({ length: 501 }, () => ({ id: 'x' }))],
])('%s is refused', async (_, input) => {
  const { data } = await walked();
  expect(await takeReadings(data.trial.id, input)).toMatchObject({
    ok: false,
    trouble: { kind: 'invalid' },
  });
});

test('nothing is read before the lock', async () => {
  const { trial } = await planned();
  const added = await addMeasureToTrial(trial.id, { from: 'library', key: 'height' });
  const sent = await takeReadings(trial.id, [
    {
      id: v7(),
      unitId: v7(),
      measureId: added.ok ? added.value.id : '',
      takenOn: today(),
      value: '5',
    },
  ]);
  expect(sent).toMatchObject({
    ok: true,
    value: [{ result: { ok: false, trouble: { kind: 'not-locked' } } }],
  });
});

describe('a table from a file', () => {
  const roles = (height: Measure) => [
    { kind: 'unit' },
    { kind: 'day' },
    { kind: 'measure', measureId: height.id, unit: 'cm' },
  ];
  const csv = (data: TrialData, values: readonly string[]): string =>
    [
      'pot,date,height (cm)',
      ...values.map((value, i) => `${data.units[i]?.code},${today()},${value}`),
    ].join('\n');

  test('is taken whole, with units from its heads, and taken back whole', async () => {
    const { data, height } = await walked();
    const steps: number[] = [];
    const taken = await importReadings(
      data.trial.id,
      { id: v7(), csv: csv(data, ['21', '22.5', '-']), roles: roles(height), day: today() },
      done => steps.push(done),
    );
    expect(taken).toMatchObject({ ok: true, value: { count: 3 } });
    expect(steps).toEqual([3]);
    expect((await dataOf(data.trial.id)).readings.map(reading => reading.value)).toEqual([
      210,
      225,
      null,
    ]);
    const importId = taken.ok ? taken.value.importId : '';
    expect(await undoImport(data.trial.id, importId)).toEqual({ ok: true, value: 3 });
    expect((await dataOf(data.trial.id)).readings).toEqual([]);
    expect(await undoImport(data.trial.id, importId)).toMatchObject({ ok: false });
  });

  test('is taken once, however often a lost answer has it sent', async () => {
    const { data, height } = await walked();
    const form = { id: v7(), csv: csv(data, ['21', '22']), roles: roles(height), day: today() };
    const [first, again] = [
      await importReadings(data.trial.id, form),
      await importReadings(data.trial.id, form),
    ];
    expect(again).toEqual(first);
    expect((await dataOf(data.trial.id)).readings).toHaveLength(2);
  });

  test.each([
    ['a value that can’t be read', ['21', 'tall']],
    ['a day to come', ['21', '22', `5\nx,${addDays(today(), 3)},4`]],
  ])('%s refuses all of it', async (_, values) => {
    const { data, height } = await walked();
    expect(
      await importReadings(data.trial.id, {
        id: v7(),
        csv: csv(data, values),
        roles: roles(height),
        day: today(),
      }),
    ).toMatchObject({
      ok: false,
      trouble: {
        kind: 'rows',
        rows: expect.arrayContaining([expect.objectContaining({ row: expect.any(Number) })]),
      },
    });
    expect((await dataOf(data.trial.id)).readings).toEqual([]);
  });

  test('what stands already is not written over', async () => {
    const { data, height } = await walked();
    await takeReadings(data.trial.id, [entry(data, height, 1, '213')]);
    expect(
      await importReadings(data.trial.id, {
        id: v7(),
        csv: csv(data, ['21', '22']),
        roles: roles(height),
        day: today(),
      }),
    ).toMatchObject({
      ok: false,
      trouble: { rows: [{ says: expect.stringContaining('already') }] },
    });
    expect((await dataOf(data.trial.id)).readings).toHaveLength(1);
  });

  test.each([
    [null],
    [{ id: v7(), csv: '', roles: [], day: 'x' }],
    [{ id: v7(), csv: 'a,b', roles: [{ kind: 'nothing' }], day: '2026-06-01' }],
  ])('nonsense is refused: %j', async input => {
    const { data } = await walked();
    expect(await importReadings(data.trial.id, input)).toMatchObject({
      ok: false,
      trouble: { kind: 'roles' },
    });
  });
});

test('a walk gets what stands of the last three days before today and of today: no more, however long the season was', async () => {
  const { data, height } = await walked();
  const on = (days: number, at: number, value: string, changes = {}) =>
    entry(data, height, at, value, { takenOn: addDays(today(), -days), ...changes });
  const revised = on(3, 0, '120');
  await takeReadings(data.trial.id, [
    on(12, 0, '80'),
    on(9, 0, '100'),
    revised,
    on(5, 1, '90'),
    on(0, 1, '130'),
    on(0, 2, '140', { isRepeat: true }),
    { ...on(3, 0, '125'), supersedes: revised.id },
  ]);
  const light = await findWalk(data.trial.id);
  expect(light?.readings.map(reading => reading.value).sort()).toEqual(
    [100, 125, 130, 140, 90].sort(),
  );
  expect([light?.units.length, light?.measures.length]).toEqual([
    data.units.length,
    data.measures.length,
  ]);
  expect(await findWalk(v7())).toBeUndefined();
});
