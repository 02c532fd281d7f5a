import { v7 } from 'uuid';
import { BLANK_PRODUCT } from '@/core/materials/label/product-form';
import { BLANK_CARE } from '@/core/schedule/rules/care-draft';
import { trialFixture } from '@/core/trial/fixtures/trial-fixture';
import { takeTrialIn } from '@/service/files/whole-trials';
import { fillBags, samplesOfTrial } from '@/service/inspect/soil';
import { saveCareRule } from '@/service/tend/care';
import { askTrial } from '@/service/trial/ask';
import { findTrial, listTrials } from '@/service/trial/trials';
import { today } from './clock';
import { derivedId } from './derived-id';
import { freshGardenForEachTest } from './garden-fixture';
import { pressId } from './press-id';
import { listProducts, openBatch, saveProduct } from './shelf';

// Where an answer is lost, the same press is sent again: whatever a form makes, it makes once, and what was typed since is kept.
freshGardenForEachTest();

const data = trialFixture({ treatments: 2, unitsEach: 3 });

test('a trial that was asked twice is begun once, as it was asked last', async () => {
  const asked = {
    id: v7(),
    question: 'Does a feed help?',
    crop: 'beans',
    picked: 'beans',
    unitWord: 'pot',
    startsOn: today(),
    endsOn: '2099-01-01'.replace('2099', String(Number(today().slice(0, 4)) + 1)),
    treatments: [{ name: 'plain water' }, { name: 'feed' }],
    control: 0,
    summary: 'sound-weight',
    better: 'higher',
    marginKind: 'percent',
    margin: '15',
  };
  expect(await askTrial(asked)).toMatchObject({ ok: true });
  expect(await askTrial({ ...asked, question: 'Does the feed help?' })).toMatchObject({ ok: true });
  expect((await listTrials()).map(({ trial }) => [trial.id, trial.question])).toEqual([
    [asked.id, 'Does the feed help?'],
  ]);
});

test('a product, and a bottle of it, stand on the shelf once', async () => {
  const sent = { ...BLANK_PRODUCT, id: v7(), name: 'Tidewrack' };
  await saveProduct(null, sent);
  await saveProduct(null, { ...sent, name: 'Tidewrack feed' });
  const bottle = { id: v7(), name: 'bottle 2', openedOn: today() };
  await openBatch(sent.id, bottle);
  await openBatch(sent.id, bottle);
  const shelf = await listProducts();
  expect(shelf.map(({ name }) => name)).toEqual(['Tidewrack feed']);
  expect(shelf[0]?.batches.map(({ name }) => name)).toEqual(['bottle 2']);
});

test('a rule of care and the bags of a round are made once', async () => {
  await takeTrialIn(data);
  const { id } = data.trial;
  const rule = { ...BLANK_CARE, id: v7(), name: 'weeding', kind: 'other' };
  await saveCareRule(id, null, rule, 'The weeds came.');
  await saveCareRule(id, null, rule, 'The weeds came.');
  const after = await findTrial(id);
  expect(after?.care.rules.map(({ name }) => name)).toEqual(['weeding']);
  expect(after?.amendments).toHaveLength(1);
  const bags = {
    id: v7(),
    codes: data.units.slice(0, 2).map(unit => unit.code),
    takenOn: today(),
    depthMm: '150',
    cores: '5',
  };
  const [first, again] = [await fillBags(id, bags), await fillBags(id, bags)];
  expect([first.ok, again.ok]).toEqual([true, true]);
  expect(await samplesOfTrial(id)).toHaveLength(2);
});

test('what is no id of a press gets a new one; further ids of one press are the same each time, and ids', () => {
  const id = v7();
  expect(pressId({ id })).toBe(id);
  for (const odd of [null, 7, {}, { id: 'x' }, { id: 7 }])
    expect(pressId(odd)).toMatch(/^[0-9a-f-]{36}$/);
  const ids = [1, 2, 3].map(nth => derivedId(id, nth));
  expect(ids).toEqual([1, 2, 3].map(nth => derivedId(id, nth)));
  expect(new Set([id, ...ids]).size).toBe(4);
  for (const each of ids)
    expect(each).toMatch(/^[0-9a-f]{8}-[0-9a-f]{4}-7[0-9a-f]{3}-[89ab][0-9a-f]{3}-[0-9a-f]{12}$/);
});
