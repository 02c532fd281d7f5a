import fc from 'fast-check';
import { READING_KINDS } from '@/core/measure/library/reading-library';
import { readValue, valueWords } from '@/core/measure/reading/read-value';
import { valuePrinter } from './print-measure';
import { shownUnit } from './shown-unit';

test.each([
  ['g', 'oz', 28.349523125],
  ['mm', 'in', 25.4],
  ['g per m²', 'oz per sq ft', 28.349523125 / 0.09290304],
  ['l per kg', 'gal per lb', 3.785411784 / 0.45359237],
  ['h per kg', 'h per lb', 1 / 0.45359237],
  ['g per g', 'oz per oz', 1],
  ['mg/kg', 'mg/kg', 1],
  ['min', 'min', 1],
])('%s is %s in an American garden', (unit, name, base) => {
  expect(shownUnit(unit, 'us')).toEqual({ name, base: expect.closeTo(base, 9) });
  expect(shownUnit(unit, 'uk')).toEqual({ name: unit, base: 1 });
});

const METRIC = /\d\s*(?:g|kg|mm|cm|m|ml|l|m²)(?![a-z])/;
const AMERICAN = /\d\s*(?:oz|lb|in|ft|gal|sq ft)(?![a-z])/;

test('an American garden reads no gram and no millimetre of any measure, a metric one no ounce', () => {
  for (const kind of READING_KINDS) {
    const measure = { scale: kind.scale, unit: kind.unit, summary: 'reading-mean' as const };
    const shown = { value: 12.5, outOf: null, outcome: 'picked' as const };
    expect(valuePrinter(measure, 'pounds-and-ounces')(12.5)).not.toMatch(METRIC);
    expect(valuePrinter(measure, 'metric')(12.5)).not.toMatch(AMERICAN);
    expect(valueWords(measure, shown, 'us')).not.toMatch(METRIC);
    expect(valueWords(measure, shown, 'uk')).not.toMatch(AMERICAN);
  }
});

test('what is shown of a reading is read again as the same, on either side of the water', () => {
  const kinds = READING_KINDS.filter(kind => kind.scale.kind === 'continuous');
  fc.assert(
    fc.property(
      fc.constantFrom(...kinds),
      fc.constantFrom('us' as const, 'uk' as const),
      fc.double({ min: 0.01, max: 0.99, noNaN: true }),
      (kind, system, share) => {
        if (kind.scale.kind !== 'continuous') return;
        const value = share * kind.scale.most;
        const shown = valueWords(kind, { value, outOf: null, outcome: 'picked' }, system);
        const figure = shown.split(' ')[0] ?? '';
        const context = { measure: kind, system, startsOn: '2026-05-01', today: '2026-06-01' };
        for (const written of [shown, figure]) {
          const read = readValue(written, '', kind.scale, context);
          expect([kind.key, written, read.ok && read.value.value! / value]).toEqual([
            kind.key,
            written,
            expect.closeTo(1, 4),
          ]);
        }
      },
    ),
  );
});
