import { readFileSync } from 'node:fs';
import fc from 'fast-check';
import { z } from 'zod';
import { tQuantile } from '@/core/stats/distributions/distributions';
import { powerOfT } from '@/core/stats/distributions/power-of-t';
import { closedPower, differenceSeen, type PlannedComparison, unitsForPower } from './closed-power';

// Expected: R 4.2.2, reference/r/layouts.R: power.t.test (both tails), power.anova.test with two groups delta apart and the
// rest midway; Dunnett by 200,000 simulated trials at mvtnorm's critical value.
const reference = z
  .object({
    power: z.array(
      z.object({
        kind: z.enum(['t', 'anova']),
        groups: z.number(),
        n: z.number(),
        delta: z.number(),
        sd: z.number(),
        alpha: z.number(),
        power: z.number(),
      }),
    ),
    dunnett: z.array(
      z.object({ groups: z.number(), n: z.number(), delta: z.number(), power: z.number() }),
    ),
  })
  .parse(JSON.parse(readFileSync('reference/results/layouts.json', 'utf8')));

test('a hundred settings within 0.001 of R', () => {
  expect(reference.power).toHaveLength(100);
  for (const setting of reference.power)
    expect(Math.abs(closedPower(setting, setting.n) - setting.power)).toBeLessThan(1e-5);
});

test.each(reference.dunnett)(
  'Dunnett, $groups groups of $n, $delta apart: within 1 point of a long simulation',
  setting => {
    const found = closedPower(
      { kind: 'dunnett', groups: setting.groups, delta: setting.delta, sd: 1, alpha: 0.05 },
      setting.n,
    );
    expect(Math.abs(found - setting.power)).toBeLessThan(0.004); // its own error is 0.0011
  },
);

// Two-sided 5% unpaired t test, 80% power; recomputed arithmetic, no source needed.
test.each([
  [0.25, 0.2, 26],
  [0.25, 0.25, 17],
  [0.25, 0.3, 12],
  [0.25, 0.5, 6],
  [0.3, 0.3, 17],
  [0.3, 0.5, 7],
  [0.3, 1, 3],
])('CV %d, difference %d: %d of each', (sd, delta, n) => {
  expect(unitsForPower({ kind: 't', groups: 2, delta, sd, alpha: 0.05 }, 0.8)?.n).toBe(n);
});
test.each([
  [2, 170],
  [3, 92],
  [4, 71],
  [6, 54],
  [8, 45],
])('CV 30%%, %d of each: a difference of %d%%', (n, percent) => {
  expect(
    Math.round(100 * differenceSeen({ kind: 't', groups: 2, sd: 0.3, alpha: 0.05 }, n, 0.8)),
  ).toBe(percent);
});

// By Dunnett's value; sharing 5% out equally over the seven asks for 81% instead.
test('seven tests with one control, four each, CV 30%: a difference of 78%', () => {
  expect(
    Math.round(100 * differenceSeen({ kind: 'dunnett', groups: 8, sd: 0.3, alpha: 0.05 }, 4, 0.8)),
  ).toBe(78);
  const shared = 1 - 0.95 ** (1 / 7);
  expect(powerOfT(0.81 / (0.3 * Math.sqrt(2 / 4)), tQuantile(1 - shared / 2, 24), 24)).toBeCloseTo(
    0.8,
    2,
  );
});

const plans = fc.record({
  kind: fc.constantFrom('t' as const, 'anova' as const, 'dunnett' as const),
  groups: fc.integer({ min: 2, max: 8 }),
  delta: fc.double({ min: 0.4, max: 3, noNaN: true }),
  sd: fc.constant(1),
  alpha: fc.constantFrom(0.01, 0.05),
});

test('the units it asks for are the fewest that do', () => {
  fc.assert(
    fc.property(plans, fc.constantFrom(0.7, 0.8, 0.9), (plan: PlannedComparison, power) => {
      const found = unitsForPower(plan, power);
      if (!found) return;
      expect(found.power).toBeGreaterThanOrEqual(power);
      if (found.n > 2) expect(closedPower(plan, found.n - 1)).toBeLessThan(power);
    }),
    { numRuns: 40 },
  );
});

test('more pots for the control are worth more there than anywhere', () => {
  const plan = { kind: 'dunnett', groups: 5, delta: 1.5, sd: 1, alpha: 0.05 } as const;
  // 30 pots: six each, or ten for the control (√4 times a test’s five).
  expect(closedPower(plan, 5, 10)).toBeGreaterThan(closedPower(plan, 6));
});

test('one unit each is no plan', () => {
  expect(() => closedPower({ kind: 't', groups: 2, delta: 1, sd: 1, alpha: 0.05 }, 1)).toThrow(
    RangeError,
  );
});
