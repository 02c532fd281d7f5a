import type { EstimableContrast } from '@/core/judge/outcomes/judgement';
import { type JudgeInput, POINTS } from '@/core/judge/question/judge-input';
import { isToldInPercent, shownInterval, type ToldOf } from './shown-interval';

type Print = (value: number) => string;
type Told = ToldOf & Pick<JudgeInput, 'outcome'>;

/** A gap as a table shows it: `+34.1%`, `+25 points`, `−3 days`, `+1 step`. */
export function gapFigure(
  { percent, difference }: EstimableContrast,
  input: Told,
  printValue: Print,
): string {
  return percent === null || !isToldInPercent(input)
    ? signedGap(difference, input, printValue)
    : signedPercent(percent);
}

/** The ends of the interval that the call rests on, on the gap's own scale; null without a test. */
export function intervalFigures(
  contrast: EstimableContrast,
  input: Told,
  printValue: Print,
): readonly [string, string] | null {
  const { ci, percentCi } = shownInterval(contrast, input);
  if (percentCi) return [signedPercent(percentCi[0]), signedPercent(percentCi[1])];
  return ci && [signedGap(ci[0], input, printValue), signedGap(ci[1], input, printValue)];
}

/** More than this is no percentage that one can picture. */
const MOST_PERCENT = 999;

export function signedPercent(percent: number): string {
  if (percent > MOST_PERCENT) return `× ${Number((1 + percent / 100).toPrecision(2))}`;
  return `${percent < 0 ? '−' : '+'}${Math.abs(percent).toFixed(Math.abs(percent) < 99.95 ? 1 : 0)}%`;
}

export function signedGap(value: number, input: Told, printValue: Print): string {
  return `${value < 0 ? '−' : '+'}${gapSize(value, input, printValue)}`;
}

/** The same without its sign: `25 points`, `3 days`, `120 g`. */
export function gapSize(value: number, { outcome, responseUnit }: Told, printValue: Print): string {
  const size = Math.abs(value);
  const short = String(Number(size.toPrecision(2)));
  switch (outcome) {
    case 'proportion':
      return `${Math.round(100 * size)} points`;
    case 'time':
      return `${short} ${short === '1' ? 'day' : 'days'}`;
    case 'ordinal':
      return `${short} ${short === '1' ? 'step' : 'steps'}`;
    case 'count':
    case 'continuous':
      return responseUnit === POINTS
        ? `${short} ${short === '1' ? 'point' : 'points'}`
        : printValue(size);
  }
}
