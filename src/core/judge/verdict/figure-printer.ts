import type { JudgeInput } from '@/core/judge/question/judge-input';

/**
 * Prints a unit's figure as it is looked at: of means in the measure's own unit, of shares in percent, of all else as a number.
 *
 * @param printMeasured a value of a measure that has a mean
 */
export function figurePrinter(
  { outcome }: Pick<JudgeInput, 'outcome'>,
  printMeasured: (value: number) => string,
): (value: number) => string {
  if (outcome === 'continuous') return printMeasured;
  if (outcome === 'proportion') return value => `${Math.round(100 * value)}%`;
  return value => String(Number(value.toPrecision(3)));
}
