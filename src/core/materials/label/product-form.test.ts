import fc from 'fast-check';
import { v7 } from 'uuid';
import { Hazard } from '@/core/trial/model/product';
import { BLANK_PRODUCT, productDraft, readProduct } from './product-form';

const good = {
  ...BLANK_PRODUCT,
  name: 'Tidewrack feed',
  grade: '5-3-8',
  others: 'Mg 1.2, Fe 0,05',
  density: '1.1',
  packSize: '1 l',
  packPrice: '4.20',
  rates: '20 ml in 4.5 l\n5-10 ml per litre',
  waitingDays: '3',
  hazards: ['concentrate'],
};
const read = (changes: Readonly<Record<string, unknown>>) =>
  readProduct({ ...good, ...changes }, 'uk', v7());

test('a pack is read as it is printed', () => {
  expect(read({})).toMatchObject({
    ok: true,
    value: {
      analysis: { n: 5, p: 3, k: 8, basis: 'oxide', others: { mg: 1.2, fe: 0.05 } },
      densityGPerMl: 1.1,
      pack: { of: 'volume', amount: 1000, price: 4.2 },
      rates: [{ low: 20 }, { low: 5, high: 10 }],
      waitingDays: 3,
    },
  });
  expect(
    read({ grade: '', others: '', density: '', packSize: '', packPrice: '', rates: '' }),
  ).toMatchObject({ ok: true, value: { analysis: null, pack: null, rates: [] } });
});

test.each([
  ['name', { name: '' }],
  ['grade', { grade: '60-30-20' }],
  ['grade', { grade: 'strong' }],
  ['others', { others: 'Xx 3' }],
  ['others', { others: 'Mg 130' }],
  ['density', { density: '0' }],
  ['density', { density: '-1' }],
  ['packPrice', { packPrice: '-4' }],
  ['packSize', { packSize: '0 l' }],
  ['packSize', { packSize: '3 m' }],
  ['packSize', { packSize: '' }],
  ['rates', { rates: '20 ml' }],
  ['rates', { rates: '3 to 1' }],
  ['waitingDays', { waitingDays: 'a week' }],
  ['activePercent', { activePercent: '120' }],
  ['mostApplications', { mostApplications: '0' }],
  ['keepsMonths', { keepsMonths: '0' }],
])('trouble at %s: %j', (field, changes) => {
  const found = read(changes);
  expect(found.ok ? {} : found.trouble).toHaveProperty([field]);
});

test('a product in its form and read again is the same product', () => {
  const numbers = fc.tuple(
    fc.integer({ min: 0, max: 30 }),
    fc.integer({ min: 0, max: 30 }),
    fc.integer({ min: 0, max: 30 }),
  );
  fc.assert(
    fc.property(
      numbers,
      fc.constantFrom('oxide', 'element'),
      fc.constantFrom('w/w', 'w/v'),
      fc.subarray(Hazard.options),
      ([n, p, k], basis, per, hazards) => {
        const first = read({ grade: `${n}-${p}-${k}`, basis, per, hazards });
        if (!first.ok) throw new Error(JSON.stringify(first.trouble));
        expect(readProduct(productDraft(first.value, 'uk'), 'uk', first.value.id)).toEqual(first);
      },
    ),
  );
});

test('whatever comes from outside, it is a product or a sentence', () => {
  fc.assert(
    fc.property(fc.anything(), input => {
      const found = readProduct(input, 'uk', v7());
      expect(found.ok || Object.values(found.trouble).every(sentence => sentence !== '')).toBe(
        true,
      );
    }),
  );
});

test.each([
  ['25', 'uk', 25, '25 °C'],
  ['77', 'us', 25, '77 °F'],
  ['77 °F', 'uk', 25, '25 °C'],
  ['', 'uk', null, ''],
] as const)(
  'kept below “%s” in a garden of %s is %d °C, and comes back as %s',
  (keepBelow, system, celsius, back) => {
    const made = readProduct({ ...BLANK_PRODUCT, name: 'tea', keepBelow }, system, v7());
    if (!made.ok) throw new Error(JSON.stringify(made.trouble));
    expect(made.value.keepBelowC).toBe(celsius);
    expect(productDraft(made.value, system).keepBelow).toBe(back);
  },
);

test('what is no temperature of a store is said so, in the garden’s own degrees', () => {
  const of = (keepBelow: string, system: 'uk' | 'us') =>
    readProduct({ ...BLANK_PRODUCT, name: 'tea', keepBelow }, system, v7());
  expect(of('cool', 'uk')).toMatchObject({
    trouble: { keepBelow: 'A temperature from 1 °C to 60 °C.' },
  });
  expect(of('200', 'us')).toMatchObject({
    trouble: { keepBelow: 'A temperature from 34 °F to 140 °F.' },
  });
});
