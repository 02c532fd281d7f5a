import type { Call, Interval } from '@/core/judge/outcomes/judgement';
import type { BetterWay, Margin } from '@/core/judge/question/judge-input';

/** The intervals a call rests on, all in one scale: the measure's unit, or percent of the control. */
export interface CallIntervals {
  /** Adjusted for the number of comparisons, 95%. */
  readonly adjusted: Interval;
  /** Plain, 90%: two one-sided tests at 5%. */
  readonly equivalence: Interval;
  /** The smallest difference that matters in the same scale, ≥ 0. */
  readonly margin: number;
}

/**
 * The call of a treatment against the control, the first that fits in the order of the words: beyond the margin, off
 * zero, inside the margin, or none of these. A sure difference that is too small to matter stays `better`: its sentence
 * says that it is small.
 */
export function callOf(intervals: CallIntervals, better: BetterWay): Call {
  const [low, high] = inGoodDirection(intervals.adjusted, better);
  if (low > intervals.margin) return intervals.margin > 0 ? 'clearly-better' : 'better';
  if (high < -intervals.margin) return intervals.margin > 0 ? 'clearly-worse' : 'worse';
  if (low > 0) return 'better';
  if (high < 0) return 'worse';
  const [inner, outer] = intervals.equivalence;
  if (intervals.margin > 0 && inner > -intervals.margin && outer < intervals.margin)
    return 'no-difference-that-matters';
  return 'cant-tell';
}

function inGoodDirection([low, high]: Interval, better: BetterWay): Interval {
  return better === 'higher' ? [low, high] : [-high, -low];
}

/** What is said first: what was found, for good and then for ill; after that what is still open. */
const IN_ORDER: readonly Call[] = [
  'clearly-better',
  'better',
  'clearly-worse',
  'worse',
  'cant-tell',
  'no-difference-that-matters',
];

/** The call of a whole trial. “No difference” is said only where all comparisons say so: one that has no test leaves it open. */
export function overallCall(contrasts: readonly { readonly call: Call }[]): Call {
  const calls = new Set(contrasts.map(contrast => contrast.call));
  const found = IN_ORDER.find(call => calls.has(call)) ?? 'no-test';
  return found === 'no-difference-that-matters' && calls.has('no-test') ? 'cant-tell' : found;
}

/** Whether a call says that the treatment beats the control. */
export function isBetter(call: Call): boolean {
  return call === 'better' || call === 'clearly-better';
}

/** Whether a call says that the control beats the treatment. */
export function isWorse(call: Call): boolean {
  return call === 'worse' || call === 'clearly-worse';
}

/** Whether one of the two is called better. */
export function isFound({ call }: { readonly call: Call }): boolean {
  return isBetter(call) || isWorse(call);
}

/** The margin in the measure's unit, with a percentage taken of the control's mean. No margin is 0. */
export function marginAmount(margin: Margin | null, controlMean: number): number {
  if (!margin) return 0;
  return margin.kind === 'absolute'
    ? margin.amount
    : (Math.abs(controlMean) * margin.percent) / 100;
}
