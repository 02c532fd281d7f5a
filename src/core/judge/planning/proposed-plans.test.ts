import fc from 'fast-check';
import { closedPower } from '@/core/design/power/closed-power';
import { proposedPlans, START_SIZE_TELLS, unitsForGain } from './proposed-plans';

test('18 pots on two treatments at a spread of 22%: 9 of each, better matched, and again next season', () => {
  const plans = proposedPlans({ units: 18, treatments: 2, cv: 0.22 });
  expect(plans.map(({ kind, each }) => [kind, each])).toEqual([
    ['one-season', 9],
    ['matched', 9],
    ['two-seasons', 9],
  ]);
  // R: power.t.test(n = 9, sd = 22, power = 0.8)$delta is 30.9524; n = 18: 21.1485.
  expect(100 * (plans[0]?.smallestSeen ?? 0)).toBeCloseTo(30.9524, 2);
  expect(100 * (plans[2]?.smallestSeen ?? 0)).toBeCloseTo(21.1485, 2);
  expect((plans[1]?.smallestSeen ?? 0) / (plans[0]?.smallestSeen ?? 1)).toBeCloseTo(
    Math.sqrt(1 - START_SIZE_TELLS ** 2),
    6,
  );
});

test('of four treatments the second plan is two of them, with half of the pots each', () => {
  const [one, fewer] = proposedPlans({ units: 24, treatments: 4, cv: 0.3 });
  expect([one?.each, fewer?.kind, fewer?.treatments, fewer?.each]).toEqual([6, 'fewer', 2, 12]);
  expect(fewer?.smallestSeen).toBeLessThan(one?.smallestSeen ?? 0);
});

test('fewer than two of each is no plan', () => {
  expect(proposedPlans({ units: 7, treatments: 4, cv: 0.3 })).toEqual([]);
  expect(proposedPlans({ units: 0, treatments: 2, cv: 0.3 })).toEqual([]);
});

test('what a plan is likely to see it sees four times in five, and more pots never see less', () => {
  fc.assert(
    fc.property(
      fc.integer({ min: 2, max: 6 }),
      fc.integer({ min: 2, max: 15 }),
      fc.double({ min: 0.05, max: 0.8, noNaN: true }),
      (treatments, each, cv) => {
        const [plan] = proposedPlans({ units: treatments * each, treatments, cv });
        const [more] = proposedPlans({ units: treatments * (each + 1), treatments, cv });
        const delta = plan?.smallestSeen ?? 0;
        expect(
          closedPower({ kind: 'dunnett', groups: treatments, sd: cv, alpha: 0.05, delta }, each),
        ).toBeCloseTo(0.8, 4);
        expect(more?.smallestSeen).toBeLessThan(delta);
      },
    ),
    { numRuns: 25 },
  );
});

test('so many pots as it says are enough, and one less of each is not', () => {
  const means = { units: 0, treatments: 2, cv: 0.22 };
  const units = unitsForGain(means, 0.15) ?? 0;
  // R: power.t.test(delta = 15, sd = 22, power = 0.8)$n is 34.75, so 35 of each.
  expect(units).toBe(70);
  expect(proposedPlans({ ...means, units })[0]?.smallestSeen).toBeLessThanOrEqual(0.15);
  expect(proposedPlans({ ...means, units: units - 2 })[0]?.smallestSeen).toBeGreaterThan(0.15);
});
