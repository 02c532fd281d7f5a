import type { Call, EstimableContrast } from '@/core/judge/outcomes/judgement';
import { shownInterval } from '@/core/judge/verdict/shown-interval';

/** The ink that a call is written in. */
export const CALL_TONES: Readonly<Record<Call, string>> = {
  'clearly-better': 'leaf',
  better: 'leaf',
  'no-difference-that-matters': 'ink',
  worse: 'beet',
  'clearly-worse': 'beet',
  'cant-tell': 'straw',
  'no-test': 'straw',
};

/** How large a difference is: in percent of the control where that has a level, else in the measure's unit. */
export function gapWords(
  { percent, difference }: EstimableContrast,
  printValue: (value: number) => string,
): string {
  const sign = difference < 0 ? '−' : '+';
  return percent === null
    ? `${sign}${printValue(Math.abs(difference))}`
    : `${sign}${Math.abs(percent).toFixed(1)}%`;
}

/** The interval that the call rests on; named where it is not the usual one. */
export function intervalWords(
  contrast: EstimableContrast,
  printValue: (value: number) => string,
): string {
  const { ci, percentCi, confidence } = shownInterval(contrast);
  const which = confidence === 95 ? '' : ` (${confidence}%)`;
  if (percentCi) return `${signed(percentCi[0])} to ${signed(percentCi[1])}${which}`;
  return ci ? `${printValue(ci[0])} to ${printValue(ci[1])}${which}` : '—';
}

function signed(percent: number): string {
  return `${percent < 0 ? '−' : '+'}${Math.abs(percent).toFixed(1)}%`;
}
