import fc from 'fast-check';
import { normalCdf, normalQuantile } from './distributions';
import { quickNormalCdf, quickNormalQuantile } from './quick-normal';

// Against @stdlib's normal distribution, which is checked against R through every p-value of judge.test.ts.
test('the table stays within 1e-13 of the series', () => {
  fc.assert(
    fc.property(
      fc.double({ min: -12, max: 12, noNaN: true }),
      z => Math.abs(quickNormalCdf(z) - normalCdf(z)) < 1e-13,
    ),
    { numRuns: 2000 },
  );
});

test('the short quantile stays within 1e-6 of the long one, relative to its size', () => {
  const exponent = fc.double({ min: -10, max: -0.301, noNaN: true });
  fc.assert(
    fc.property(exponent, fc.boolean(), (log10, isUpper) => {
      const p = isUpper ? 1 - 10 ** log10 : 10 ** log10;
      const exact = normalQuantile(p);
      return Math.abs(quickNormalQuantile(p) - exact) <= 1e-6 * Math.max(1, Math.abs(exact));
    }),
    { numRuns: 2000 },
  );
});
