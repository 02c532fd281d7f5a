import type { EstimableContrast, Interval } from '@/core/judge/outcomes/judgement';
import { type JudgeInput, POINTS } from '@/core/judge/question/judge-input';

/** The interval that a call rests on, which is the one that is shown. */
export interface ShownInterval {
  /** In the measure's unit; null without a test. */
  readonly ci: Interval | null;
  /** In percent of the control; null where that has no level above zero. */
  readonly percentCi: Interval | null;
  /** In percent. */
  readonly confidence: 90 | 95;
}

/** What says how a gap is told. */
export type ToldOf = Pick<JudgeInput, 'margin' | 'responseUnit'>;

/**
 * Whether gaps are told in percent of the control. Not where an amount was worth having: 34% can't be held against 50 g. Nor of
 * what is a percentage itself: “51% less cover” could mean either.
 */
export function isToldInPercent({ margin, responseUnit }: ToldOf): boolean {
  return margin ? margin.kind === 'percent' : responseUnit !== POINTS;
}

/** “No difference that matters” rests on two one-sided tests, hence on the 90% interval; every other call on the 95% one. */
export function shownInterval(contrast: EstimableContrast, told: ToldOf): ShownInterval {
  const isEquivalence = contrast.call === 'no-difference-that-matters';
  const percentCi = isEquivalence ? contrast.percentCiEquivalence : contrast.percentCiAdjusted;
  return {
    ci: isEquivalence ? contrast.ciEquivalence : contrast.ciAdjusted,
    percentCi: isToldInPercent(told) ? percentCi : null,
    confidence: isEquivalence ? 90 : 95,
  };
}
