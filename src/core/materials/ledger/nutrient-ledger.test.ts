import fc from 'fast-check';
import { v7 } from 'uuid';
import { equaliseRates } from '@/core/materials/dose/equalise-rates';
import { doseOf } from '@/core/materials/dose/given-dose';
import { forbiddenPairs, mixingList } from '@/core/schedule/supplies/mixing-list';
import { shoppingList } from '@/core/schedule/supplies/shopping-list';
import { trackedTasks } from '@/core/schedule/tasks/task-state';
import { tasksOf } from '@/core/schedule/tasks/tasks';
import {
  analysisFixture,
  productFixture,
  rateFixture,
} from '@/core/trial/fixtures/product-fixture';
import { trialFixture } from '@/core/trial/fixtures/trial-fixture';
import type { CareRule } from '@/core/trial/model/care-rule';
import type { Product } from '@/core/trial/model/product';
import { type FeedingAsked, heldByMix, ledgerFlags, nutrientLedger } from './nutrient-ledger';
import { releasedShare } from './release';

const { treatments, units } = trialFixture({ treatments: 3 });
const [water, first, second] = treatments;
if (!water || !first || !second) throw new Error('the fixture must have three treatments');
const unit = { areaM2: 0.07, mixMl: 10_000, plants: 1 };
const tide = productFixture();
const bone = productFixture({
  name: 'Kilnash meal',
  form: 'meal',
  analysis: analysisFixture(4, 20, 0),
  densityGPerMl: null,
  pack: { of: 'mass', amount: 2000, price: 6 },
});

const feeding = (
  treatmentId: CareRule['treatmentIds'][number],
  product: Product,
  low: number,
  high: number,
  changes: Partial<NonNullable<CareRule['material']>> = {},
): CareRule => ({
  id: v7(),
  name: `${product.name} weekly`,
  kind: 'feed',
  treatmentIds: [treatmentId],
  from: { kind: 'start', days: 0 },
  repeat: { kind: 'every', days: 7 },
  until: { kind: 'start', days: 63 },
  washedOffByMm: null,
  runsByItself: false,
  isUnplanned: false,
  minutesEach: 1,
  material: {
    productId: product.id,
    rate: rateFixture(
      low,
      high,
      product.form === 'meal' ? { kind: 'plant' } : undefined,
      product.form === 'meal' ? 'mass' : 'volume',
    ),
    choice: 'high',
    strength: 1,
    waterMl: product.form === 'meal' ? null : 1500,
    batchId: null,
    ...changes,
  },
});
const season = { startsOn: '2026-05-01', endsOn: '2026-09-01', stages: {}, done: [] };
const ledger = (
  rules: readonly CareRule[],
  products: readonly Product[],
  given: Parameters<typeof nutrientLedger>[0]['given'] = [],
) => {
  const done = given.map(act => ({
    ruleId: act.ruleId,
    nth: act.nth,
    on: '2026-05-01',
    isSkipped: false,
  }));
  return {
    treatments,
    rules,
    products,
    given,
    unit,
    units,
    by: '2026-09-01',
    tasks: trackedTasks(tasksOf(rules, { ...season, done }), done, '2026-09-01', 'do-late'),
  };
};
const given = (
  ruleId: string,
  nth: number,
  amount: number | null,
  unitIds: readonly string[] | null = null,
) => ({ ruleId, nth, amount, unitIds, doneOn: '2026-05-01' });
const ten = 10; // weekly over 63 days, both ends counted

test('an account is dose by analysis by times, and what is not known makes it a least', () => {
  const rules = [feeding(first.id, tide, 20, 20), feeding(second.id, bone, 30, 30)];
  const [none, byTide, byBone] = nutrientLedger(ledger(rules, [tide, bone]), 'planned');
  const doseMl = (20 / 4.5) * 1.5;
  expect(none).toMatchObject({
    name: 'plain water',
    lines: [],
    nutrients: {},
    isLeast: false,
    cost: 0,
  });
  expect(byTide?.nutrients.n).toBeCloseTo(ten * doseMl * 1.1 * 0.05, 9);
  expect(byTide?.cost).toBeCloseTo((ten * doseMl * 4) / 1000, 9);
  expect(byTide?.minutes).toBe(ten);
  expect(byBone).toMatchObject({
    nutrients: { n: expect.closeTo(ten * 30 * 0.04, 9) },
    cost: expect.closeTo((ten * 30 * 6) / 2000, 9),
  });
  const unknown = productFixture({ densityGPerMl: null, pack: null });
  expect(
    nutrientLedger(ledger([feeding(first.id, unknown, 20, 20)], [unknown]), 'planned')[1],
  ).toMatchObject({ isLeast: true, cost: null });
});

test('as done counts what was really given', () => {
  const rule = feeding(second.id, bone, 30, 30);
  const [, , account] = nutrientLedger(
    ledger([rule], [bone], [given(rule.id, 0, 25), given(rule.id, 1, null)]),
    'done',
  );
  expect(account?.lines[0]).toMatchObject({ times: 2, amount: 55 });
});

test('feeds that differ in amount, a rich mix, and gaps are told; a question of how much is not', () => {
  const rules = [feeding(first.id, tide, 20, 20), feeding(second.id, bone, 30, 30)];
  const accounts = nutrientLedger(ledger(rules, [tide, bone]), 'planned');
  const codes = (base: number, asked: FeedingAsked) =>
    ledgerFlags(accounts, { n: base }, asked).map(flag => flag.code);
  expect(codes(0, 'which')).toEqual(['differs-in-amount']);
  expect(codes(0, 'how-much')).toEqual([]);
  expect(codes(100, 'comes-along')).toEqual(['base-hides']);
  expect(heldByMix({ n: 200 }, 10_000).n).toBeCloseTo(2, 12);
});

describe('make it fair', () => {
  test('both give the same afterwards, each within its label', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 5, max: 40 }),
        fc.integer({ min: 0, max: 40 }),
        fc.integer({ min: 5, max: 60 }),
        fc.integer({ min: 0, max: 60 }),
        fc.constantFrom('n' as const, 'p' as const, 'money' as const),
        (lowA, moreA, lowB, moreB, by) => {
          const rules = [
            feeding(first.id, tide, lowA, lowA + moreA),
            feeding(second.id, bone, lowB, lowB + moreB),
          ];
          const accounts = nutrientLedger(ledger(rules, [tide, bone]), 'planned');
          const given = (i: number): number =>
            by === 'money' ? (accounts[i]?.cost ?? 0) : (accounts[i]?.nutrients[by] ?? 0);
          const fair = equaliseRates(accounts, rules, by);
          if (!fair.ok) {
            expect(fair.trouble).toMatchObject({ kind: 'out-of-range' });
            if (fair.trouble.kind === 'out-of-range')
              expect(fair.trouble.leastOfStrong).toBeGreaterThan(fair.trouble.mostOfWeak);
            return;
          }
          fair.value.changes.forEach((change, i) => {
            expect(given(i + 1) * change.factor).toBeCloseTo(fair.value.each, 6);
            expect(change.factor).toBeGreaterThanOrEqual(change.least - 1e-9);
            expect(change.factor).toBeLessThanOrEqual(change.most + 1e-9);
          });
        },
      ),
    );
  });
  test('a strength that one chose oneself is not the most that the label allows', () => {
    const own = feeding(first.id, tide, 20, 20);
    const weak = { ...own, material: own.material && { ...own.material, strength: 0.8 } };
    const rules = [weak, feeding(second.id, tide, 20, 20)];
    const found = equaliseRates(nutrientLedger(ledger(rules, [tide]), 'planned'), rules, 'n');
    expect(found.ok && found.value.changes.map(({ least, most }) => [least, most])).toEqual([
      [1, expect.closeTo(1.25, 9)],
      [1, 1],
    ]);
  });
  test('needs two that are fed, and numbers for both', () => {
    const one = [feeding(first.id, tide, 20, 20)];
    expect(equaliseRates(nutrientLedger(ledger(one, [tide]), 'planned'), one, 'n')).toMatchObject({
      ok: false,
      trouble: { kind: 'too-few' },
    });
    const unknown = productFixture({ analysis: null, form: 'home-made' });
    const two = [...one, feeding(second.id, unknown, 20, 20)];
    expect(
      equaliseRates(nutrientLedger(ledger(two, [tide, unknown]), 'planned'), two, 'n'),
    ).toMatchObject({ ok: false, trouble: { kind: 'not-known', names: [second.name] } });
  });
});

describe('what to mix today', () => {
  test('the same product at the same strength is made once, with a tenth to spare', () => {
    const material = feeding(first.id, tide, 20, 20).material;
    const half = feeding(first.id, tide, 20, 20, { strength: 0.5 }).material;
    if (!material || !half) throw new Error('both must have a material');
    const list = mixingList(
      [
        { material, units: 8, unit, forWhom: 'bottle K' },
        { material: { ...material, waterMl: 500 }, units: 4, unit, forWhom: 'bottle R' },
        { material: half, units: 2, unit, forWhom: 'bottle S' },
      ],
      [tide],
    );
    expect(list.map(each => [each.strength, each.units])).toEqual([
      [1, 12],
      [0.5, 2],
    ]);
    expect(list[0]).toMatchObject({
      waterMl: expect.closeTo(14_000 * 1.1, 6),
      amount: expect.closeTo((14_000 * 1.1 * 20) / 4500, 6),
      each: [{ forWhom: 'bottle K' }, { forWhom: 'bottle R', waterMl: 2000 }],
    });
  });
  test('what must not meet in a can is said with why', () => {
    const [vinegar, bleach, soap] = [
      productFixture({ name: 'Verjuice spray', hazards: ['strong-acid'] }),
      productFixture({ name: 'Whitewash', hazards: ['bleach'] }),
      productFixture({ name: 'Suds', hazards: ['soap'] }),
    ];
    expect(forbiddenPairs([vinegar, bleach, soap])).toEqual([
      { a: 'Verjuice spray', b: 'Whitewash', why: expect.stringContaining('chlorine') },
    ]);
  });
});

test('what to buy is in whole packs with a tenth to spare, over the density where pack and rate differ', () => {
  const rules = [
    feeding(first.id, tide, 20, 20),
    feeding(
      second.id,
      productFixture({ ...tide, id: tide.id, pack: { of: 'mass', amount: 500, price: 3 } }),
      20,
      20,
    ),
  ];
  const accounts = nutrientLedger(ledger(rules, [tide]), 'planned');
  const need = 2 * 8 * ten * (20 / 4.5) * 1.5;
  expect(shoppingList(accounts, [tide], () => 8)).toEqual([
    {
      product: tide.name,
      need: expect.closeTo(need, 6),
      of: 'volume',
      packs: Math.ceil((need * 1.1) / 1000),
      price: 4 * Math.ceil((need * 1.1) / 1000),
    },
  ]);
  const byMass = productFixture({ ...tide, pack: { of: 'mass', amount: 500, price: 3 } });
  expect(shoppingList(accounts, [byMass], () => 8)[0]?.packs).toBe(
    Math.ceil((need * 1.1 * 1.1) / 500),
  );
});

test('a dose that its unit has no measure for is none', () => {
  const material = feeding(first.id, tide, 20, 20).material;
  expect(
    material &&
      doseOf({ ...material, rate: rateFixture(70, 70, { kind: 'area', m2: 1 }, 'mass') }, tide, {}),
  ).toBeUndefined();
});

describe('slow feeds', () => {
  const slow = productFixture({
    name: 'Slatehill granules',
    form: 'slow-release',
    releaseMonths: 5,
    densityGPerMl: null,
    pack: { of: 'mass', amount: 2000, price: 14 },
  });
  const once = {
    ...feeding(first.id, slow, 30, 30),
    repeat: { kind: 'once' as const },
    material: {
      productId: slow.id,
      rate: rateFixture(30, 30, { kind: 'plant' }, 'mass'),
      choice: 'high' as const,
      strength: 1,
      waterMl: null,
      batchId: null,
    },
  };
  test('have given by the end what their months allow: 123 of 152 days', () => {
    const [, account] = nutrientLedger(ledger([once], [slow]), 'planned');
    expect(account?.nutrients.n).toBeCloseTo(30 * 0.05, 9);
    expect(account?.released.n).toBeCloseTo((30 * 0.05 * 123) / (5 * 30.4), 9);
    expect(ledgerFlags([account!], {}, 'how-much').map(flag => flag.code)).toEqual(['still-held']);
  });
  test('never give more than they hold, nor less as days go by', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.5, max: 36, noNaN: true }),
        fc.integer({ min: -50, max: 2000 }),
        fc.integer({ min: 0, max: 300 }),
        (months, days, more) => {
          const [early, late] = [releasedShare(months, days), releasedShare(months, days + more)];
          expect(early).toBeGreaterThanOrEqual(0);
          expect(late).toBeGreaterThanOrEqual(early);
          expect(late).toBeLessThanOrEqual(1);
        },
      ),
    );
  });
});

test('a step that one of three units got counts a third, in grams, money and minutes', () => {
  const rule = feeding(second.id, bone, 30, 30);
  const own = units.filter(unit => unit.treatmentId === second.id);
  const [, , account] = nutrientLedger(
    ledger(
      [rule],
      [bone],
      [
        given(rule.id, 0, null),
        given(
          rule.id,
          1,
          null,
          own.slice(0, 1).map(unit => unit.id),
        ),
      ],
    ),
    'done',
  );
  const share = 1 + 1 / own.length;
  expect(account).toMatchObject({
    minutes: expect.closeTo(share, 9),
    cost: expect.closeTo((share * 30 * 6) / 2000, 9),
    nutrients: { n: expect.closeTo(share * 30 * 0.04, 9) },
  });
});

test('equal dry mass in spite of water: wet compost is given twice as much as dry', () => {
  const wet = productFixture({
    name: 'Fen compost',
    form: 'bulk',
    moisturePercent: 60,
    densityGPerMl: null,
  });
  const dry = productFixture({
    name: 'Loft compost',
    form: 'bulk',
    moisturePercent: 20,
    densityGPerMl: null,
  });
  const grams = (id: typeof first.id, product: Product) => ({
    ...feeding(id, product, 100, 1000),
    material: {
      productId: product.id,
      rate: rateFixture(100, 1000, { kind: 'plant' }, 'mass'),
      choice: 'middle' as const,
      strength: 1,
      waterMl: null,
      batchId: null,
    },
  });
  const rules = [grams(first.id, wet), grams(second.id, dry)];
  const fair = equaliseRates(
    nutrientLedger(ledger(rules, [wet, dry]), 'planned'),
    rules,
    'dry-mass',
  );
  if (!fair.ok) throw new Error(fair.trouble.kind);
  const [a, b] = fair.value.changes;
  expect((a?.factor ?? 0) / (b?.factor ?? 1)).toBeCloseTo(2, 9);
  const unknown = productFixture({ ...wet, moisturePercent: null });
  expect(
    equaliseRates(nutrientLedger(ledger(rules, [unknown, dry]), 'planned'), rules, 'dry-mass'),
  ).toMatchObject({ ok: false, trouble: { kind: 'not-known' } });
});

test.each([
  ['volume', 'mass', 2, 20],
  ['mass', 'volume', 2, 5],
] as const)('a rate by %s from packs by %s goes by the density', (of, packOf, density, packs) => {
  const heavy = productFixture({
    densityGPerMl: density,
    pack: { of: packOf, amount: 110, price: null },
  });
  // 1,000 g or ml in all, a tenth to spare: 2,000 g in packs of 110 g, or 500 ml in packs of 110 ml.
  const nothing = { nutrients: {}, released: {}, dryG: null, cost: null };
  const line = { ruleId: v7(), name: 'feed', product: heavy.name, times: 1, amount: 125, of };
  const account = {
    ...nothing,
    treatmentId: first.id,
    name: first.name,
    lines: [{ ...nothing, ...line }],
    isLeast: false,
    minutes: 0,
  };
  expect(shoppingList([account], [heavy], () => 8)[0]?.packs).toBe(packs);
});

test('where feeding is not asked about, a feed that one arm gets beside the rest is told', () => {
  const accounts = nutrientLedger(
    ledger([feeding(first.id, tide, 20, 20), feeding(second.id, bone, 30, 30)], [tide, bone]),
    'planned',
  );
  const [none, byTide, byBone] = accounts;
  const sayings = (of: typeof accounts) => ledgerFlags(of, {}, 'not-asked').map(flag => flag.says);
  expect(sayings(accounts)).toEqual([
    `The question is not about feeding, but ${byBone?.name} is given nitrogen, ${none?.name} none. What wins may be the feed.`,
  ]);
  expect(sayings([byTide!, byBone!])[0]).toMatch(
    /^The question is not about feeding, but .* gives \d+\.\d times the nitrogen of /,
  );
  expect(sayings([byBone!, byBone!])).toEqual([]);
});
