import fc from 'fast-check';
import type { Call } from '@/core/judge/outcomes/judgement';
import { type CallIntervals, callOf, isBetter, isWorse, marginAmount } from './call';

const MIRROR: Readonly<Record<Call, Call>> = {
  'clearly-better': 'clearly-worse',
  better: 'worse',
  worse: 'better',
  'clearly-worse': 'clearly-better',
  'no-difference-that-matters': 'no-difference-that-matters',
  'cant-tell': 'cant-tell',
  'no-test': 'no-test',
};

/** An estimate with its two intervals, the narrower inside the wider, as a real comparison gives them. */
const intervals = fc
  .record({
    estimate: fc.double({ min: -100, max: 100, noNaN: true }),
    reach: fc.double({ min: 0.01, max: 80, noNaN: true }),
    share: fc.double({ min: 0.3, max: 0.95, noNaN: true }),
    margin: fc.double({ min: 0, max: 60, noNaN: true }),
  })
  .map(
    ({ estimate, reach, share, margin }): CallIntervals => ({
      adjusted: [estimate - reach, estimate + reach],
      equivalence: [estimate - share * reach, estimate + share * reach],
      margin,
    }),
  );

test('each call says what its interval does', () => {
  fc.assert(
    fc.property(intervals, found => {
      const call = callOf(found, 'higher');
      const [low, high] = found.adjusted;
      if (call === 'clearly-better') expect(low).toBeGreaterThan(found.margin);
      if (isBetter(call)) expect(low).toBeGreaterThan(0);
      if (isWorse(call)) expect(high).toBeLessThan(0);
      if (call === 'clearly-worse') expect(high).toBeLessThan(-found.margin);
      if (call === 'cant-tell') expect(low <= 0 && high >= 0).toBe(true);
      if (call === 'no-difference-that-matters')
        expect(Math.max(...found.equivalence.map(Math.abs))).toBeLessThan(found.margin);
    }),
  );
});

test('where less is better, every call is the mirror of the mirrored interval’s', () => {
  fc.assert(
    fc.property(intervals, found => {
      const flipped = {
        ...found,
        adjusted: [-found.adjusted[1], -found.adjusted[0]] as const,
        equivalence: [-found.equivalence[1], -found.equivalence[0]] as const,
      };
      expect(callOf(found, 'lower')).toBe(callOf(flipped, 'higher'));
      expect(callOf(flipped, 'higher')).toBe(MIRROR[callOf(found, 'higher')]);
    }),
  );
});

test('a wider margin never makes a call clearer', () => {
  fc.assert(
    fc.property(intervals, fc.double({ min: 0, max: 50, noNaN: true }), (found, more) => {
      const call = callOf({ ...found, margin: found.margin + more }, 'higher');
      if (call === 'clearly-better') expect(isBetter(callOf(found, 'higher'))).toBe(true);
      if (callOf(found, 'higher') === 'no-difference-that-matters')
        expect(call).toBe('no-difference-that-matters');
    }),
  );
});

test.each([
  [[12, 30], [14, 28], 10, 'clearly-better'],
  [[2, 30], [4, 28], 10, 'better'],
  [[1, 9], [2, 8], 10, 'better'],
  [[-9, 8], [-7, 6], 10, 'no-difference-that-matters'],
  [[-12, 8], [-9.9, 7], 10, 'no-difference-that-matters'],
  [[-12, 8], [-10.1, 7], 10, 'cant-tell'],
  [[-30, -12], [-28, -14], 10, 'clearly-worse'],
  [[-30, -2], [-28, -4], 10, 'worse'],
  [[2, 30], [4, 28], 0, 'better'],
  [[-2, 2], [-1, 1], 0, 'cant-tell'],
] as const)('interval %j, narrower %j, margin %d: %s', (adjusted, equivalence, margin, call) => {
  expect(callOf({ adjusted, equivalence, margin }, 'higher')).toBe(call);
});

test('a percentage of a control below zero is still a width', () => {
  expect(marginAmount({ kind: 'percent', percent: 10 }, -50)).toBe(5);
});
