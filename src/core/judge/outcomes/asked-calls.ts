import type { JudgeInput } from '@/core/judge/question/judge-input';
import { agreedContrast } from './agreed-contrast';
import { comparedWithControl } from './compared-with-control';
import { doseTrendOf } from './dose/dose-trend';
import { factorEffectsOf } from './factor-effects';
import type { Call } from './judgement';
import { errorAnalysisOf } from './spread/error-strata';
import type { familiesOf } from './spread/families';
import { workingTrialOf } from './working/working-trial';

/**
 * Only what is called of the question's own comparisons (`askedComparisonsOf`), in their order: enough for made-up seasons.
 *
 * @param jointly how the comparisons are covered together, where that is known beforehand
 */
export function askedCallsOf(input: JudgeInput, jointly?: typeof familiesOf): readonly Call[] {
  const working = workingTrialOf(input);
  const { spread } = errorAnalysisOf(working.trial, working.model, working.leastSpread);
  const agreed = agreedContrast(input, working, spread, jointly);
  if (agreed) return [agreed.call];
  const averaged = factorEffectsOf(input, working, spread, jointly).filter(
    effect => effect.within === null,
  );
  if (averaged.length > 0) return averaged.map(each => each.call);
  const trend = doseTrendOf(input, working, spread, jointly);
  const asked = trend ? [trend] : comparedWithControl(input, working, spread, jointly).contrasts;
  return asked.map(each => each.call);
}
