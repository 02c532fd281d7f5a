import type { EstimableContrast, Interval } from '@/core/judge/outcomes/judgement';

/** The interval that a call rests on, which is the one that is shown. */
export interface ShownInterval {
  /** In the measure's unit; null without a test. */
  readonly ci: Interval | null;
  /** In percent of the control; null where that has no level above zero. */
  readonly percentCi: Interval | null;
  /** In percent. */
  readonly confidence: 90 | 95;
}

/** “No difference that matters” rests on two one-sided tests, hence on the 90% interval; every other call on the 95% one. */
export function shownInterval(contrast: EstimableContrast): ShownInterval {
  return contrast.call === 'no-difference-that-matters'
    ? { ci: contrast.ciEquivalence, percentCi: contrast.percentCiEquivalence, confidence: 90 }
    : { ci: contrast.ciAdjusted, percentCi: contrast.percentCiAdjusted, confidence: 95 };
}
