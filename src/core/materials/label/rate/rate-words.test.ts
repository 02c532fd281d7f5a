import fc from 'fast-check';
import { parseQuantity } from '@/core/quantity/parse-quantity';
import { printArea, printDoseMass, printLength, printVolume } from '@/core/quantity/print-quantity';
import type { LabelRate, RatePer } from '@/core/trial/model/label-rate';
import { parseLabelRate } from './parse-label-rate';
import { rateSentence } from './rate-trouble';
import { rateWords } from './rate-words';

const SYSTEMS = fc.constantFrom('us' as const, 'uk' as const);
const size = fc.double({ min: 0.05, max: 90_000, noNaN: true });

test.each([
  ['mass', printDoseMass],
  ['volume', printVolume],
  ['length', printLength],
  ['area', printArea],
] as const)(
  'what is printed of a %s is read as the same, on either side of the water',
  (dimension, print) => {
    fc.assert(
      fc.property(size, SYSTEMS, (base, system) => {
        const read = parseQuantity(print(base, system), { system, dimension });
        expect(read.ok && Math.abs(read.value.base / base - 1)).toBeLessThan(0.0051);
      }),
    );
  },
);

test('a metric garden never reads an ounce, an American one never a gram', () => {
  fc.assert(
    fc.property(size, base => {
      for (const print of [printDoseMass, printVolume, printLength, printArea]) {
        expect(print(base, 'uk')).toMatch(/^[\d.e+-]+ (?:g|kg|ml|l|mm|cm|m|m²)$/);
        expect(print(base, 'us')).toMatch(/^[\d.e+-]+ (?:oz|lb|tsp|tbsp|fl oz|gal|in|ft|sq ft)$/);
      }
    }),
  );
});

const per: fc.Arbitrary<RatePer> = fc.oneof(
  size.map(ml => ({ kind: 'water' as const, ml })),
  fc.constant({ kind: 'plant' as const }),
  fc.constant({ kind: 'container' as const }),
  size.map(m2 => ({ kind: 'area' as const, m2 })),
  size.map(ml => ({ kind: 'mix' as const, ml })),
  size.map(mm => ({ kind: 'row' as const, mm })),
  fc.constant({ kind: 'row' as const, mm: null }),
);
const rate: fc.Arbitrary<Omit<LabelRate, 'asWritten'>> = fc
  .record({
    of: fc.constantFrom('mass' as const, 'volume' as const),
    low: size,
    more: fc.constantFrom(1, 1.5, 2),
    per,
    everyDays: fc.option(fc.integer({ min: 1, max: 60 }), { nil: undefined }),
  })
  .map(({ more, everyDays, ...each }) => ({
    ...each,
    high: each.low * more,
    ...(everyDays === undefined ? {} : { everyDays }),
  }));

test('what is printed of a rate is read as the same rate', () => {
  fc.assert(
    fc.property(rate, SYSTEMS, (known, system) => {
      const words = rateWords(known, system);
      const read = parseLabelRate(words, { system });
      if (!read.ok)
        throw new Error(`${words}: ${rateSentence(read.trouble, { system: undefined })}`);
      expect([words, read.value.of, read.value.per.kind, read.value.everyDays]).toEqual([
        words,
        known.of,
        known.per.kind,
        known.everyDays,
      ]);
      expect(read.value.low / known.low).toBeCloseTo(1, 1.99);
      expect(read.value.high / known.high).toBeCloseTo(1, 1.99);
      const [a, b] = [sizeOf(read.value.per), sizeOf(known.per)];
      expect(a / b).toBeCloseTo(1, 1.99);
    }),
  );
});

function sizeOf(each: RatePer): number {
  if (each.kind === 'area') return each.m2;
  if (each.kind === 'row') return each.mm ?? 1;
  return each.kind === 'water' || each.kind === 'mix' ? each.ml : 1;
}
