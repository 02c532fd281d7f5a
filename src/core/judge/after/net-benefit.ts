import type { EstimableContrast } from '@/core/judge/outcomes/judgement';
import { tQuantile, tTwoSidedP } from '@/core/stats/distributions/distributions';

/** What a treatment costs a unit beyond the control, and what a kilogram is worth, in one currency. */
export interface BenefitPrices {
  readonly extraCost: number;
  readonly worthPerKg: number;
}

/** Whether a treatment pays, a unit. */
export interface NetBenefit {
  /** Kilograms more, with the plain 95% interval. */
  readonly gainKg: number;
  readonly gainKgCi: readonly [number, number] | null;
  /** Money left a unit. */
  readonly net: number;
  readonly netCi: readonly [number, number] | null;
  /** What an extra kilogram costs; null where there is none. */
  readonly costPerExtraKg: number | null;
  /** Worth of a kilogram from which it pays; null where it never does. */
  readonly breakEvenWorth: number | null;
  /** Chance that the true gain pays, the readings alone speaking (flat prior); null without a spread. */
  readonly chanceItPays: number | null;
}

/** @param contrast of a harvest in g */
export function netBenefitOf(
  { difference, se, df }: Pick<EstimableContrast, 'difference' | 'se' | 'df'>,
  { extraCost, worthPerKg }: BenefitPrices,
  confidence = 0.95,
): NetBenefit {
  const gainKg = difference / 1000;
  const seKg = se === null ? null : se / 1000;
  const half = seKg === null ? null : tQuantile(1 - (1 - confidence) / 2, df) * seKg;
  const net = gainKg * worthPerKg - extraCost;
  return {
    gainKg,
    net,
    gainKgCi: half === null ? null : [gainKg - half, gainKg + half],
    netCi: half === null ? null : [net - half * worthPerKg, net + half * worthPerKg],
    costPerExtraKg: gainKg > 0 ? extraCost / gainKg : null,
    breakEvenWorth: gainKg > 0 ? Math.max(0, extraCost / gainKg) : null,
    chanceItPays:
      seKg === null || !(seKg > 0) || !(worthPerKg > 0)
        ? null
        : chanceAbove(net / (seKg * worthPerKg), df),
  };
}

/** P(T > −t) for Student's t. */
function chanceAbove(t: number, df: number): number {
  const half = tTwoSidedP(t, df) / 2;
  return t >= 0 ? 1 - half : half;
}
