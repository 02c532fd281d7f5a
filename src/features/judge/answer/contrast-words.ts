import type { Call, EstimableContrast } from '@/core/judge/outcomes/judgement';
import type { JudgeInput } from '@/core/judge/question/judge-input';
import { intervalFigures } from '@/core/judge/verdict/gap-figures';
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

/** The interval that the call rests on; named where it is not the usual one. */
export function intervalWords(
  contrast: EstimableContrast,
  input: JudgeInput,
  printValue: (value: number) => string,
): string {
  const ends = intervalFigures(contrast, input, printValue);
  const { confidence } = shownInterval(contrast, input);
  return ends ? `${ends.join(' to ')}${confidence === 95 ? '' : ` (${confidence}%)`}` : '—';
}
