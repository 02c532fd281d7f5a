import { fUpperTail, tTwoSidedP } from '@/core/stats/distributions/distributions';
import { median } from '@/core/stats/median';
import type { LinearModel } from './linear-model';

/** A unit whose value lies far from what its treatment and block would give. */
export interface OddUnit {
  readonly index: number;
  /** Studentised deleted residual. */
  readonly t: number;
  /** Bonferroni over all units. */
  readonly pAdjusted: number;
}

/**
 * Units whose studentised deleted residual is too large for the number of units looked at.
 * Cook & Weisberg (1982), Residuals and Influence in Regression, §2.2.2: t = r √((df − 1)/(df − r²)).
 */
export function oddUnits(model: LinearModel, alpha: number): readonly OddUnit[] {
  return deletedResiduals(model).flatMap((t, index): OddUnit[] => {
    if (t === null) return [];
    const pAdjusted = Math.min(1, tTwoSidedP(t, model.residualDf - 1) * model.residuals.length);
    return pAdjusted < alpha ? [{ index, t, pAdjusted }] : [];
  });
}

/** Studentised deleted residuals, one a unit; null where the unit alone decides its own fit. */
export function deletedResiduals(model: LinearModel): readonly (number | null)[] {
  const { residualDf: df, residualSs } = model;
  if (df < 2 || residualSs <= 0) return model.residuals.map(() => null);
  return model.residuals.map((residual, index) => {
    const free = 1 - model.leverages[index]!;
    if (free < 1e-9) return null;
    const square = (residual * residual) / (free * (residualSs / df));
    // All of the spread is this one unit's: the rest fit exactly.
    if (df - square < 1e-9) return Math.sign(residual) * Number.MAX_VALUE;
    return Math.sign(residual) * Math.sqrt((square * (df - 1)) / (df - square));
  });
}

/** F test that groups spread alike. */
export interface SpreadTest {
  readonly f: number;
  readonly df1: number;
  readonly df2: number;
  readonly p: number;
}

/**
 * Brown & Forsythe (1974), Journal of the American Statistical Association 69, 364-367: one-way analysis of the
 * distances from the group medians. Undefined where no group has three values, or nothing varies.
 */
export function brownForsythe(groups: readonly (readonly number[])[]): SpreadTest | undefined {
  const used = groups.filter(group => group.length > 0);
  if (used.length < 2 || !used.some(group => group.length >= 3)) return undefined;
  const distances = used.map(group => {
    const middle = median(group);
    return group.map(value => Math.abs(value - middle));
  });
  const all = distances.flat();
  const grand = meanOf(all);
  const between = distances.reduce(
    (sum, group) => sum + group.length * (meanOf(group) - grand) ** 2,
    0,
  );
  const within = distances.reduce((sum, group) => {
    const mean = meanOf(group);
    return sum + group.reduce((square, value) => square + (value - mean) ** 2, 0);
  }, 0);
  const df1 = used.length - 1;
  const df2 = all.length - used.length;
  if (df2 < 1 || within <= 0) return undefined;
  const f = between / df1 / (within / df2);
  return { f, df1, df2, p: fUpperTail(f, df1, df2) };
}

function meanOf(values: readonly number[]): number {
  return values.reduce((sum, value) => sum + value, 0) / values.length;
}
