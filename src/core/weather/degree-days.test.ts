import fc from 'fast-check';
import { type DegreeDayMethod, degreeDays } from './degree-days';

const fahrenheit = (degrees: number): number => ((degrees - 32) * 5) / 9;
const days = fc
  .tuple(fc.double({ min: -10, max: 30, noNaN: true }), fc.double({ min: 0, max: 20, noNaN: true }))
  .map(([low, range]) => ({ low, high: low + range }));

// McMaster & Wilhelm (1997), Agricultural and Forest Meteorology 87: the two methods differ where the lowest lies under the base; from memory.
test('method 1 takes the mean first, method 2 holds both ends first', () => {
  expect(degreeDays('simple', 20, 4, 10)).toBeCloseTo(2, 12);
  expect(degreeDays('capped', 20, 4, 10)).toBeCloseTo(5, 12);
  expect(degreeDays('simple', 14, 2, 10)).toBe(0);
});

// The 86/50 rule for maize of many US extension services: 90 and 48 °F count as 86 and 50, 18 degree days Fahrenheit.
test('the 86/50 rule', () => {
  expect(
    (degreeDays('capped', fahrenheit(90), fahrenheit(48), fahrenheit(50), fahrenheit(86)) * 9) / 5,
  ).toBeCloseTo(18, 9);
});

// Baskerville & Emin (1969): half a sine above its own mean has the area of half the range over pi.
test('a sine whose mean is the base', () => {
  expect(degreeDays('sine', 16, 4, 10)).toBeCloseTo(6 / Math.PI, 12);
  expect(degreeDays('sine', 30, 20, 10)).toBeCloseTo(15, 12);
});

test('the sine is the area that summing a curve gives', () => {
  fc.assert(
    fc.property(
      days,
      fc.double({ min: -5, max: 15, noNaN: true }),
      fc.double({ min: 1, max: 20, noNaN: true }),
      ({ low, high }, base, above) => {
        const upper = base + above;
        const steps = 20_000;
        let sum = 0;
        for (let i = 0; i < steps; i++)
          sum +=
            Math.min(
              upper,
              Math.max(
                base,
                (low + high) / 2 + ((high - low) / 2) * Math.sin((2 * Math.PI * (i + 0.5)) / steps),
              ),
            ) - base;
        expect(degreeDays('sine', high, low, base, upper)).toBeCloseTo(sum / steps, 4);
      },
    ),
    { numRuns: 30 },
  );
});

test('never below zero, never more than the room to the upper limit, and warmer is never less', () => {
  fc.assert(
    fc.property(
      days,
      fc.constantFrom<DegreeDayMethod>('capped', 'sine'),
      ({ low, high }, method) => {
        const at = (more: number): number => degreeDays(method, high + more, low + more, 5, 25);
        expect(at(0)).toBeGreaterThanOrEqual(-1e-9);
        expect(at(0)).toBeLessThanOrEqual(20 + 1e-9);
        expect(at(1)).toBeGreaterThanOrEqual(at(0) - 1e-9);
      },
    ),
  );
});
