import { distinct, isOneEachCell } from '@/core/design/linear/trial-model';
import { type JudgeInput, testsOf } from '@/core/judge/question/judge-input';
import type { PermutationProblem } from '@/core/stats/permutation/permutation-problem';
import { ruleOfLayout } from './re-randomisation-of';
import { scoredTrialOf } from './working/working-trial';

/** The trial as the shuffle test sees it; undefined without a measured unit. */
export function shuffleProblemOf(input: JudgeInput): PermutationProblem | undefined {
  const trial = scoredTrialOf(input);
  // One of each combination: every deal makes another table of the same kind, and the cells have no spread of their own.
  if (trial.units.length === 0 || isOneEachCell(input, trial.units)) return undefined;
  const levels = [input.control, ...testsOf(input)];
  const wholes = trial.wholePlot && distinct(trial.wholePlot);
  return {
    y: trial.units.map(unit => unit.value),
    treatment: trial.units.map(unit => levels.indexOf(unit.treatment)),
    treatments: levels.length,
    ...ruleOfLayout(input, trial),
    blocks: trial.blockTerms,
    covariate: trial.covariate,
    placeColumns: trial.placeColumns,
    wholePlot: wholes && trial.wholePlot?.map(name => wholes.indexOf(name)),
  };
}
