import type { TrialModel } from '@/core/design/linear/trial-model';
import type { WorkingTrial } from '@/core/judge/outcomes/working/working-trial';
import { tQuantile } from '@/core/stats/distributions/distributions';
import { bartlettP, type GroupVariance } from '@/core/stats/linear/bartlett';
import type { Combination, LinearModel } from '@/core/stats/linear/linear-model';
import { brownForsythe, type SpreadTest } from '@/core/stats/linear/residual-checks';
import type { EffectError } from './error-strata';
import { ownSpreadOf } from './own-spread';

/** When the common spread is given up: with so little likeness alone, or with less doubt where the interval would be so much wider. */
const GIVEN_UP: readonly { readonly likeness: number; readonly widerThan: number }[] = [
  { likeness: 0.005, widerThan: 0 },
  { likeness: 0.2, widerThan: 1.2 },
  { likeness: 1, widerThan: 1.5 },
];

/** Whether treatments spread unlike each other, by the distances from their middles. */
export function spreadTestOf(trial: TrialModel, model: LinearModel): SpreadTest | undefined {
  const names = [...new Set(trial.units.map(unit => unit.treatment))];
  return brownForsythe(
    names.map(name => model.residuals.filter((_, i) => trial.units[i]?.treatment === name)),
  );
}

/** Of each treatment's residuals, over the degrees of freedom that the fit left it. */
function groupVariancesOf(trial: TrialModel, model: LinearModel): readonly GroupVariance[] {
  const names = [...new Set(trial.units.map(unit => unit.treatment))];
  return names.map(name => {
    const own = trial.units.flatMap((unit, i) => (unit.treatment === name ? [i] : []));
    const df = own.reduce((sum, i) => sum + 1 - model.leverages[i]!, 0);
    const square = own.reduce((sum, i) => sum + model.residuals[i]! ** 2, 0);
    return { df, variance: square / df };
  });
}

/**
 * What comparisons are judged by: one spread of all, as long as it serves; each treatment's own where they spread unlike each
 * other, or where that would make an interval noticeably wider. A test for unlike spreads alone misses half the trials that
 * need it; how often nothing is called something with this rule is measured by `npm run simulate`.
 */
export function judgedSpreadOf(
  { trial, model, leastSpread, isOfQuotients }: WorkingTrial,
  pooled: EffectError,
  combinations: readonly Combination[],
  confidence: number,
): EffectError {
  const own = leastSpread > 0 ? undefined : ownSpreadOf(trial, model);
  if (!own || combinations.length === 0 || !combinations.every(own.judges)) return pooled;
  // By the delta method: how a quotient spreads with what stands below the line is not taken for known.
  if (isOfQuotients) return own;
  const share = 1 - (1 - confidence ** (1 / combinations.length)) / 2;
  const reach = (spread: EffectError, combination: Combination): number =>
    tQuantile(share, spread.dfOf(combination)) *
    Math.sqrt(spread.covariance(combination, combination));
  const wider = Math.max(...combinations.map(each => reach(own, each) / reach(pooled, each)));
  const likeness = bartlettP(groupVariancesOf(trial, model));
  const isGivenUp = GIVEN_UP.some(rule => likeness <= rule.likeness && wider > rule.widerThan);
  return isGivenUp ? own : pooled;
}
