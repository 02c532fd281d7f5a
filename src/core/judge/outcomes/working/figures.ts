import { figureOf, isRead, type JudgeInput } from '@/core/judge/question/judge-input';

/** Every unit's own figure: what was read, a count's rate, a share. */
export function figures({ units }: JudgeInput): readonly (number | null)[] {
  return units.map(unit => (isRead(unit) ? figureOf(unit) : null));
}
