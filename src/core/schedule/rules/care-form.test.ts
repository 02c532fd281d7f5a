import fc from 'fast-check';
import { v7 } from 'uuid';
import { careRuleFixture } from '@/core/trial/fixtures/care-fixture';
import { productFixture, rateFixture } from '@/core/trial/fixtures/product-fixture';
import { trialFixture } from '@/core/trial/fixtures/trial-fixture';
import { CareRule } from '@/core/trial/model/care-rule';
import { BLANK_CARE, careDraft } from './care-draft';
import { readCare, strengthOf } from './care-form';

const { treatments } = trialFixture({ treatments: 2 });
const product = productFixture({
  rates: [rateFixture(10, 20), rateFixture(70, 70, { kind: 'area', m2: 1 }, 'mass')],
});
const bare = productFixture({ name: 'Bare' });
const other = careRuleFixture({ name: 'first feed' });
const context = { system: 'uk' as const, products: [product, bare], treatments, rules: [other] };
const good = { ...BLANK_CARE, name: 'weekly feed', productId: product.id, water: '1.5 l' };
const read = (changes: Readonly<Record<string, unknown>>) =>
  readCare({ ...good, ...changes }, context, v7());

test('a rule is read as it is typed', () => {
  expect(read({ strength: '1/2', treatmentIds: [treatments[1]?.id] })).toMatchObject({
    ok: true,
    value: {
      treatmentIds: [treatments[1]?.id],
      repeat: { kind: 'every', days: 7 },
      until: null,
      material: { strength: 0.5, waterMl: 1500, choice: 'high' },
    },
  });
  expect(
    read({
      from: 'stage',
      fromStage: ' first flower ',
      repeat: 'times',
      times: '3',
      everyDays: '2',
      productId: '',
    }),
  ).toMatchObject({
    ok: true,
    value: {
      from: { kind: 'stage', stage: 'first flower', days: 0 },
      repeat: { kind: 'times', times: 3, days: 2 },
      material: null,
    },
  });
  expect(read({ from: 'after', fromRule: other.id, fromDays: '21', repeat: 'once' })).toMatchObject(
    { ok: true, value: { from: { kind: 'after', ruleId: other.id, days: 21 } } },
  );
  expect(read({ fromDays: '-42', rate: '1', water: '' })).toMatchObject({
    ok: true,
    value: { from: { kind: 'start', days: -42 }, material: { waterMl: null } },
  });
});

test.each([
  ['name', { name: ' ' }],
  ['everyDays', { everyDays: '0' }],
  ['everyDays', { everyDays: '2.5' }],
  ['times', { repeat: 'times', times: '1' }],
  ['weekdays', { repeat: 'weekdays' }],
  ['fromDay', { from: 'day', fromDay: 'tomorrow' }],
  ['fromStage', { from: 'stage' }],
  ['fromRule', { from: 'after', fromRule: v7() }],
  ['untilDay', { until: 'day' }],
  ['untilStage', { until: 'stage' }],
  ['productId', { productId: v7() }],
  ['rate', { productId: bare.id }],
  ['rate', { rate: '7' }],
  ['strength', { strength: 'strong' }],
  ['strength', { strength: '0' }],
  ['water', { water: '' }],
  ['water', { water: '0 l' }],
  ['water', { water: '3 kg' }],
  ['treatmentIds', { treatmentIds: [v7()] }],
  ['minutesEach', { minutesEach: '-1' }],
  ['washedOffByMm', { washedOffByMm: 'lots' }],
  ['fromDays', { from: 'after', fromRule: other.id, fromDays: '-3' }],
])('trouble at %s: %j', (field, changes) => {
  const found = read(changes);
  expect(found.ok ? {} : found.trouble).toHaveProperty([field]);
});

test('a rule in its form and read again is the same rule', () => {
  const moments = fc.oneof(
    fc.integer({ min: -30, max: 90 }).map(days => ({ kind: 'start' as const, days })),
    fc.constant({ kind: 'day' as const, day: '2026-06-01' }),
    fc
      .integer({ min: -9, max: 9 })
      .map(days => ({ kind: 'stage' as const, stage: 'first flower', days })),
    fc.constant({ kind: 'after' as const, ruleId: other.id, days: 4 }),
  );
  const repeats = fc.oneof(
    fc.constant({ kind: 'once' as const }),
    fc.integer({ min: 1, max: 60 }).map(days => ({ kind: 'every' as const, days })),
    fc.constant({ kind: 'times' as const, times: 3, days: 2 }),
    fc
      .subarray([1, 2, 3, 4, 5, 6, 7], { minLength: 1 })
      .map(weekdays => ({ kind: 'weekdays' as const, weekdays })),
  );
  fc.assert(
    fc.property(moments, repeats, fc.constantFrom(1, 0.5, 0.25, 2), (from, repeat, strength) => {
      const rule = CareRule.parse(
        careRuleFixture({
          from,
          repeat,
          material: {
            productId: product.id,
            rate: product.rates[0]!,
            choice: 'middle',
            strength,
            waterMl: 750,
            batchId: null,
          },
        }),
      );
      // Both rates of the fixture are written alike: only the first is looked for.
      expect(readCare(careDraft(rule, [product], context.system), context, rule.id)).toEqual({
        ok: true,
        value: rule,
      });
    }),
  );
});

test('an American garden types inches of rain and gallons, and finds them again', () => {
  const american = { ...context, system: 'us' as const };
  const typed = { ...good, kind: 'spray', water: '1/2 gal', washedOffByMm: '0.2' };
  const rule = readCare(typed, american, v7());
  expect(rule).toMatchObject({ ok: true });
  if (!rule.ok) return;
  expect(rule.value.washedOffByMm).toBeCloseTo(5.08, 9);
  const again = careDraft(rule.value, [product], 'us');
  expect([again.washedOffByMm, again.water]).toEqual(['0.2 in', '0.5 gal']);
  expect(readCare({ ...typed, washedOffByMm: '5' }, american, v7())).toMatchObject({
    ok: false,
    trouble: { washedOffByMm: 'Inches of rain, from 0.01 to 4.' },
  });
  expect(readCare({ ...typed, washedOffByMm: '5 mm' }, american, v7())).toMatchObject({ ok: true });
});

test.each([
  ['1', 1],
  ['1/2', 0.5],
  ['50%', 0.5],
  ['half', 0.5],
  ['0,25', 0.25],
  ['', 1],
  ['200 %', 2],
  ['x', undefined],
  ['11', undefined],
  ['1/0', undefined],
])('strength “%s”', (written, strength) => {
  expect(strengthOf(written)).toBe(strength);
});
