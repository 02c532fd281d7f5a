import type { JudgedUnit } from '@/core/design/linear/design-input';
import { figureOf, isRead, type JudgeInput } from '@/core/judge/question/judge-input';

/** What a unit gave, as one says it. */
export function unitWords(
  unit: JudgedUnit,
  { outcome }: Pick<JudgeInput, 'outcome'>,
  printValue: (value: number) => string,
): string {
  if (unit.isLeftOut) return 'left out';
  if (!isRead(unit)) return 'no reading';
  if (outcome === 'proportion' && unit.outOf !== undefined && unit.outOf > 1)
    return `${unit.value} of ${unit.outOf}`;
  if (outcome === 'proportion' && unit.outOf === 1) return unit.value === 1 ? 'yes' : 'no';
  if (outcome === 'time' && !unit.hasCome) return `not yet after ${printValue(unit.value)} days`;
  return printValue(figureOf(unit));
}
