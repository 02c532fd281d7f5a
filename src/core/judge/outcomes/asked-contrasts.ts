import type { JudgeInput } from '@/core/judge/question/judge-input';
import { agreedContrast } from './agreed-contrast';
import { comparedWithControl } from './compared-with-control';
import { doseTrendOf } from './dose/dose-trend';
import { factorEffectsOf } from './factor-effects';
import type { Contrast, Judgement } from './judgement';
import { errorAnalysisOf } from './spread/error-strata';
import type { familiesOf } from './spread/families';
import { workingTrialOf } from './working/working-trial';

/** The question's own comparisons of a judgement: what was agreed on, each factor averaged, the line of a series, or all against the control. */
export function askedOf({
  agreed,
  effects,
  trend,
  contrasts,
}: Pick<Judgement, 'agreed' | 'effects' | 'trend' | 'contrasts'>): readonly Contrast[] {
  if (agreed) return [agreed];
  const averaged = effects.filter(effect => effect.within === null);
  if (averaged.length > 0) return averaged;
  return trend ? [trend] : contrasts;
}

/**
 * Only the question's own comparisons (`askedComparisonsOf`), in their order: enough for made-up seasons.
 *
 * @param jointly how the comparisons are covered together, where that is known beforehand
 */
export function askedContrastsOf(
  input: JudgeInput,
  jointly?: typeof familiesOf,
): readonly Contrast[] {
  const working = workingTrialOf(input);
  const { spread } = errorAnalysisOf(working.trial, working.model, working.leastSpread);
  const agreed = agreedContrast(input, working, spread, jointly);
  if (agreed) return [agreed];
  const effects = factorEffectsOf(input, working, spread, jointly);
  const trend = doseTrendOf(input, working, spread, jointly);
  const asked = askedOf({ agreed, effects, trend, contrasts: [] });
  return asked.length > 0 ? asked : comparedWithControl(input, working, spread, jointly).contrasts;
}
