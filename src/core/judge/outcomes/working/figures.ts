import { figureOf, isRead, type JudgeInput } from '@/core/judge/question/judge-input';

/** Every unit's own figure: what was read, a count's rate, a share. */
export function figures({ units }: JudgeInput): readonly (number | null)[] {
  return units.map(unit => (isRead(unit) ? figureOf(unit) : null));
}

/**
 * Of quotients, what stands below the line: a unit's quotient is as sure as that is large, and the weighted mean of quotients is the
 * quotient of the sums (Cochran 1977, Sampling Techniques, 6.4). Undefined where nothing is a quotient.
 */
export function effortsOf({ units }: JudgeInput): readonly number[] | undefined {
  return units.some(unit => unit.effort !== undefined)
    ? units.map(unit => unit.effort ?? 1)
    : undefined;
}

/** What the shuffles move: of quotients how far the upper figure is from what the lower lets expect, so that hardly any below the line weighs hardly anything. */
export function scoresOfRatios(input: JudgeInput): readonly (number | null)[] {
  if (!effortsOf(input)) return figures(input);
  const read = input.units.filter(isRead);
  const sum = (of: (unit: (typeof read)[number]) => number): number =>
    read.reduce((total, unit) => total + of(unit), 0);
  const efforts = sum(unit => unit.effort ?? 1);
  const ratio = sum(unit => unit.value) / efforts;
  const usual = efforts / read.length;
  return input.units.map(unit =>
    isRead(unit) ? (unit.value - ratio * (unit.effort ?? 1)) / usual : null,
  );
}
