import { careActFixture, caredFixture, careRuleFixture } from '@/core/trial/fixtures/care-fixture';
import { productFixture } from '@/core/trial/fixtures/product-fixture';
import { trialFixture } from '@/core/trial/fixtures/trial-fixture';
import { givenPart } from './given-part';
import { protocolOf } from './protocol';

const bare = trialFixture({ treatments: 3, unitsEach: 2 });
const cared = caredFixture(bare, [
  productFixture({ name: 'Tidewrack', waitingDays: 7, hazards: ['strong-acid'] }),
  productFixture({ name: 'Osmund', hazards: [] }),
]);
const partsOf = (data: typeof bare) =>
  new Map(protocolOf(data).map(part => [part.title, part.steps]));

test('a helper reads what is given, to whom, and what to mind', () => {
  const parts = partsOf({
    ...cared,
    care: {
      ...cared.care,
      rules: [...cared.care.rules, careRuleFixture({ name: 'look for aphids', kind: 'look' })],
    },
  });
  expect(parts.get('What is given and done')).toEqual([
    'feed 1 weekly, to B: weekly from the start. Tidewrack, as on the label, full strength, 1 l each.',
    'feed 2 weekly, to C: weekly from the start. Osmund, as on the label, full strength, 1 l each.',
    'look for aphids, to all: weekly from the start.',
    'A missed task is made up for until the next is due, for all alike.',
  ]);
  expect(parts.get('Take care')).toEqual([
    'Tidewrack: nothing is picked to eat until 7 days after it.',
    expect.stringContaining('Never together with bleach'),
    'The product’s label, local rules and licensed advice decide.',
  ]);
});

test('what is on record stands apart from the plan: by treatment, with what was done besides', () => {
  const [first, second] = cared.care.rules;
  if (!first || !second) throw new Error('the fixture must have two rules');
  const extra = careRuleFixture({
    name: 'a can of feed',
    isUnplanned: true,
    treatmentIds: first.treatmentIds,
    material: first.material,
    from: { kind: 'day', day: '2026-05-03' },
    repeat: { kind: 'once' },
  });
  const data = {
    ...cared,
    care: {
      ...cared.care,
      rules: [first, second, extra],
      acts: [
        careActFixture(first, 0, '2026-05-01'),
        careActFixture(first, 1, '2026-05-08', { isSkipped: true, note: 'Rain.' }),
        careActFixture(extra, 0, '2026-05-03', { amount: 12, note: 'They looked hungry.' }),
      ],
    },
  };
  expect(givenPart(data, '2026-05-16')).toEqual({
    title: 'What is on record',
    steps: [
      'feed 1: 1 of 3 planned tasks on record, 1 left out.',
      'feed 2: 0 of 3 planned tasks on record, 2 missed.',
      '2026-05-03, not planned: a can of feed, to feed 1, 12 ml each. They looked hungry.',
    ],
  });
  expect(partsOf(data).get('What is given and done')?.join(' ')).not.toContain('a can of feed');
  expect(givenPart(bare, '2026-05-16')).toBeUndefined();
});

test('without a care plan there is nothing to say of it', () => {
  const parts = partsOf(bare);
  expect([parts.has('What is given and done'), parts.has('Take care')]).toEqual([false, false]);
});

test('no protocol says which unit got which', () => {
  const said = JSON.stringify(protocolOf(cared));
  expect(cared.units.filter(unit => said.includes(unit.code))).toEqual([]);
});
