import type { Judgement } from '@/core/judge/outcomes/judgement';
import type { JudgeInput } from '@/core/judge/question/judge-input';
import { isWorse } from '@/core/judge/verdict/call';
import { pluralOf } from '@/core/words/plural';

/** What to do with a treatment now. */
export interface NextStep {
  readonly treatment: string;
  readonly step: 'keep' | 'drop' | 'again' | 'cheapest';
  readonly says: string;
}

type Judged = Pick<Judgement['contrasts'][number], 'treatment' | 'call'> & {
  readonly unitsNeeded?: number | null;
};

/** Keep, drop, or test again, from the calls; never a step that the calls do not carry. */
export function nextSteps(
  { contrasts }: { readonly contrasts: readonly Judged[] },
  {
    outcome,
    control,
    unitWord,
    margin,
  }: Pick<JudgeInput, 'outcome' | 'control' | 'unitWord' | 'margin'>,
): readonly NextStep[] {
  return contrasts.map((contrast): NextStep => {
    const { treatment, call } = contrast;
    if (call === 'clearly-better')
      return {
        treatment,
        step: 'keep',
        says: `Keep it, and try it once more next season: one season is one season.`,
      };
    if (call === 'better')
      return {
        treatment,
        step: 'keep',
        says: margin
          ? `Keep it if it costs little: that it is worth the trouble is not shown.`
          : 'Keep it, and try it once more next season.',
      };
    if (isWorse(call)) return { treatment, step: 'drop', says: `Drop it: ${control} did better.` };
    if (call === 'no-difference-that-matters')
      return {
        treatment,
        step: 'cheapest',
        says: `Take whichever is cheaper or less work: it makes no difference that matters.`,
      };
    if (call === 'no-test')
      return {
        treatment,
        step: 'again',
        says: `Test it again with at least four of each: this was a story.`,
      };
    const needed = contrast.unitsNeeded ?? null;
    // Without a margin nothing can be ruled out, and of ranks it is not known how many would do.
    if (needed === null && (!margin || outcome === 'ordinal'))
      return {
        treatment,
        step: 'again',
        says: `Test it again with more ${pluralOf(unitWord)} of each: these could not tell.`,
      };
    return {
      treatment,
      step: 'again',
      says:
        needed === null
          ? `More than 200 of each would be needed: leave it, or look for a larger difference.`
          : `Test it again with about ${needed} ${pluralOf(unitWord)} of each.`,
    };
  });
}
