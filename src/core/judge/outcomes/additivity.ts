import type { TrialModel } from '@/core/design/linear/trial-model';
import { fitLinearModel } from '@/core/stats/linear/linear-model';

/**
 * Whether effects of two factors add up, where there is one unit of each combination: one degree of freedom for their product.
 * Tukey (1949), Biometrics 5, 232-242.
 *
 * @returns the p that they do not; null where nothing is left to judge it by
 */
export function additivityP(trial: TrialModel): number | null {
  const values = trial.units.map(unit => unit.value);
  const additive = trial.fit(values);
  if (additive.residualDf < 2) return null;
  const squares = additive.fitted.map(value => value * value);
  return (
    fitLinearModel(values, [...trial.terms, { name: 'product', columns: [squares] }]).anova.find(
      row => row.term === 'product',
    )?.p ?? null
  );
}
