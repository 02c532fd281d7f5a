import { isYesNo, type JudgeInput } from '@/core/judge/question/judge-input';
import { calledByDeals } from './called-by-deals';
import { type ControlComparisons, compareWithControl } from './comparisons';
import { shuffleProblemOf } from './shuffle-problem';
import type { EffectError } from './spread/error-strata';
import type { familiesOf } from './spread/families';
import type { WorkingTrial } from './working/working-trial';

/** Where units treated alike gave all the same, what can be counted still has its deals; so has one yes or no a unit. */
export function comparedWithControl(
  input: JudgeInput,
  working: WorkingTrial,
  pooled: EffectError | undefined,
  jointly?: typeof familiesOf,
): ControlComparisons {
  const compared = compareWithControl(input, working, pooled, jointly);
  const isFlat = pooled === undefined && working.model.residualDf > 0;
  if (!isYesNo(input) && (!isFlat || input.outcome === 'continuous')) return compared;
  const control = working.trial.meanOf(working.model, input.control);
  const level = control ? working.scale.level(control) : 0;
  const contrasts = calledByDeals(input, compared.contrasts, shuffleProblemOf(input), level);
  return { ...compared, contrasts };
}
