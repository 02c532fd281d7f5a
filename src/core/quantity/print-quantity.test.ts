import fc from 'fast-check';
import { parseQuantity } from './parse-quantity';
import { writeAmount } from './print-quantity';

test.each([
  [750, 'volume', 'uk', '750 ml'],
  [1500, 'volume', 'uk', '1.5 l'],
  [3785.411784, 'volume', 'us', '1 gal'],
  [59.14706, 'volume', 'us', '2 fl oz'],
  [4.928922, 'volume', 'us', '1 tsp'],
  [152.4, 'length', 'us', '6 in'],
  [150, 'length', 'uk', '15 cm'],
  [5, 'length', 'uk', '5 mm'],
  [840, 'mass', 'uk', '840 g'],
  [453.59237, 'mass', 'us', '1 lb'],
  [198.44666, 'mass', 'us', '7 oz'],
] as const)('%d of %s stands in a field of a %s garden as “%s”', (base, of, system, words) => {
  expect(writeAmount(base, of, system)).toBe(words);
});

test('what a field shows is read back the same, to a millionth', () => {
  fc.assert(
    fc.property(
      fc.double({ min: 0.01, max: 1e6, noNaN: true }),
      fc.constantFrom('volume', 'length', 'mass'),
      fc.constantFrom('uk', 'us'),
      (base, of, system) => {
        const read = parseQuantity(writeAmount(base, of, system), { system, dimension: of });
        expect(read.ok && Math.abs(read.value.base / base - 1)).toBeLessThan(1e-6);
      },
    ),
  );
});
