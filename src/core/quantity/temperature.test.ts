import fc from 'fast-check';
import { celsiusOf, degreeDaysIn, printTemperature, readTemperature } from './temperature';

// The two fixed points, and where the scales meet: NIST Special Publication 811 (2008), B.8, t/°C = (t/°F − 32) / 1.8.
test.each([
  [32, 0],
  [212, 100],
  [-40, -40],
  [131, 55],
])('%d °F are %d °C', (f, c) => {
  expect(celsiusOf(f, 'F')).toBeCloseTo(c, 12);
  expect(printTemperature(c, 'us')).toBe(`${String(f).replace('-', '−')} °F`);
  expect(printTemperature(c, 'uk')).toBe(`${String(c).replace('-', '−')} °C`);
});

test.each([
  ['25', 'uk', 25],
  ['77', 'us', 25],
  ['25°', 'uk', 25],
  ['25 °C', 'us', 25],
  ['77F', 'uk', 25],
  ['-3,5', 'uk', -3.5],
  ['−3.5 °c', 'uk', -3.5],
])('%s in a garden of %s is %d °C', (written, system, celsius) => {
  expect(readTemperature(written, system === 'us' ? 'us' : 'uk')).toBeCloseTo(celsius, 12);
});

test.each(['', 'warm', '25 K', '1e3', '--3', '25 C F'])('“%s” is none', written => {
  expect(readTemperature(written, 'uk')).toBeUndefined();
});

test('what is printed is read as the same, on either scale; nothing is ever −0', () => {
  fc.assert(
    fc.property(
      fc.double({ min: -60, max: 120, noNaN: true }),
      fc.constantFrom('uk' as const, 'us' as const),
      (celsius, system) => {
        const printed = printTemperature(celsius, system, 2);
        expect(printed).not.toMatch(/^−0 /);
        expect(readTemperature(printed, system === 'us' ? 'uk' : 'us')).toBeCloseTo(celsius, 2);
      },
    ),
  );
});

test('warmth added up keeps no zero', () => {
  expect(degreeDaysIn(100, 'us')).toBeCloseTo(180, 12);
  expect(degreeDaysIn(100, 'uk')).toBe(100);
});
