import fc from 'fast-check';
import { rankSumP, signFlipP } from '@/core/judge/outcomes/against-r-fixture';
import { judgeWithoutShuffle } from '@/core/judge/outcomes/judge';
import type { EstimableContrast } from '@/core/judge/outcomes/judgement';
import type { Outcome } from '@/core/judge/question/judge-input';
import { judgeInputFixture } from '@/core/judge/question/judge-input-fixture';

const few = (least: number) =>
  fc.array(fc.integer({ min: 1, max: 20 }), { minLength: least, maxLength: 6 });

function contrastOf(
  outcome: Outcome,
  control: readonly number[],
  treated: readonly number[],
): EstimableContrast {
  const units = [control, treated].flatMap((values, t) =>
    values.map((value, i) => ({
      id: `${t} ${i}`,
      treatment: t === 0 ? 'none' : 'fed',
      blocks: [],
      value,
    })),
  );
  const [found] = judgeWithoutShuffle(judgeInputFixture(units, { outcome })).contrasts;
  if (!found?.estimable) throw new RangeError('the two must be comparable');
  return found;
}

const meanOf = (values: readonly number[]): number =>
  values.reduce((sum, value) => sum + value, 0) / values.length;

test('ranks: only the order counts, and any rising scale gives the same p', () => {
  fc.assert(
    fc.property(few(2), few(2), (treated, control) => {
      const bent = (values: readonly number[]): readonly number[] =>
        values.map(value => value ** 3 + 7);
      expect(rankSumP(bent(treated), bent(control))).toEqual(rankSumP(treated, control));
    }),
  );
});

test('steps: the shift of a moved sample is what it was moved by, and lies in its interval', () => {
  fc.assert(
    fc.property(few(3), fc.integer({ min: -9, max: 9 }), (control, by) => {
      const { difference, ciAdjusted, call } = contrastOf(
        'ordinal',
        control,
        control.map(value => value + by),
      );
      expect(difference).toBeCloseTo(by, 9);
      if (ciAdjusted === null) return;
      expect(ciAdjusted[0]).toBeLessThanOrEqual(by + 0.05);
      expect(ciAdjusted[1]).toBeGreaterThanOrEqual(by - 0.05);
      const isOffNothing = ciAdjusted[0] > 0 || ciAdjusted[1] < 0;
      expect(isOffNothing).toBe(call === 'better' || call === 'worse');
    }),
    { numRuns: 60 },
  );
});

test('counts: without blocks the ratio is that of the means', () => {
  fc.assert(
    fc.property(few(2), few(2), (control, treated) => {
      const { percent } = contrastOf('count', control, treated);
      expect(1 + (percent ?? 0) / 100).toBeCloseTo(meanOf(treated) / meanOf(control), 6);
    }),
  );
});

test('counts: the interval of the difference lies on the side that the ratio’s does', () => {
  fc.assert(
    fc.property(few(3), few(3), (control, treated) => {
      const { ciAdjusted, percentCiAdjusted } = contrastOf('count', control, treated);
      if (!ciAdjusted || !percentCiAdjusted) return;
      expect(ciAdjusted.map(end => Math.sign(end))).toEqual(
        percentCiAdjusted.map(end => Math.sign(end)),
      );
    }),
  );
});

test('pairs: a flip of the signs knows no order and no side', () => {
  fc.assert(
    fc.property(
      fc.array(fc.integer({ min: -9, max: 9 }), { minLength: 3, maxLength: 8 }),
      differences => {
        const p = signFlipP(differences) ?? 1;
        expect(signFlipP([...differences].reverse()) ?? 1).toBeCloseTo(p, 9);
        expect(signFlipP(differences.map(each => -each)) ?? 1).toBeCloseTo(p, 9);
        expect(p).toBeGreaterThanOrEqual(2 ** -(differences.length - 1) - 1e-12);
      },
    ),
    { numRuns: 40 },
  );
});
