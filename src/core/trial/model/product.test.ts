import fc from 'fast-check';
import { v7 } from 'uuid';
import { addDays } from '@/core/time/garden-day';
import { productFixture } from '@/core/trial/fixtures/product-fixture';
import { batchOn, isPastKeeping } from './product';

const batch = (name: string, openedOn: string | null) => ({
  id: v7(),
  name,
  madeOn: null,
  openedOn,
});

test('what is given comes from the batch opened last by then', () => {
  const product = productFixture({
    batches: [
      batch('first', '2026-03-01'),
      batch('unopened', null),
      batch('third', '2026-07-01'),
      batch('second', '2026-05-01'),
    ],
  });
  expect(
    ['2026-02-01', '2026-03-01', '2026-06-30', '2026-07-01'].map(
      day => batchOn(product, day)?.name,
    ),
  ).toEqual([undefined, 'first', 'second', 'third']);
});

test('a batch is past keeping once its months are over, and never where the label gives none', () => {
  fc.assert(
    fc.property(
      fc.integer({ min: 1, max: 48 }),
      fc.integer({ min: 0, max: 2000 }),
      (months, days) => {
        const opened = batch('a', '2026-01-01');
        const today = addDays('2026-01-01', days);
        expect(isPastKeeping({ keepsMonths: months }, opened, today)).toBe(days > months * 30.4);
        expect(isPastKeeping({ keepsMonths: null }, opened, today)).toBe(false);
      },
    ),
  );
});
