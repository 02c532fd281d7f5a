import { buildTrialModel } from '@/core/design/linear/trial-model';
import type { JudgeInput } from '@/core/judge/question/judge-input';

/**
 * What is left of each read unit's value once blocks and treatments are taken out: the residuals of the verdict's own linear model, in
 * the measure's unit, by the unit's code. Empty for what is no mean, and where nothing is left to differ.
 */
export function leftOver(input: JudgeInput): ReadonlyMap<string, number> {
  const trial = buildTrialModel(input);
  if (input.outcome !== 'continuous' || trial.units.length === 0) return new Map();
  const model = trial.fit(trial.units.map(unit => unit.value));
  if (model.residualDf < 1 || !(model.residualSs > 0)) return new Map();
  return new Map(trial.units.map((unit, i) => [unit.id, model.residuals[i] ?? 0]));
}
