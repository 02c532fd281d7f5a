import type { Treatment } from '@/core/trial/model/treatment';
import { isYesNo, type JudgeInput, type Outcome } from './judge-input';

/** Treatments with the weight that each has. */
export type Weighed = readonly (readonly [treatment: string, weight: number])[];

/** A straight line through what the doses of a series came to, each dose with equal weight. */
export interface DoseLine {
  /** The treatments with the smallest and the largest dose. */
  readonly least: string;
  readonly most: string;
  readonly from: number;
  readonly to: number;
  /** What the line says at the smallest and at the largest dose. */
  readonly atLeast: Weighed;
  readonly atMost: Weighed;
}

const FEWEST = 3;

/**
 * @param doses by treatment
 * @returns undefined for fewer than three different doses
 */
export function doseLine(doses: ReadonlyMap<string, number>): DoseLine | undefined {
  const rising = [...doses].sort(([, a], [, b]) => a - b);
  const [lowest, highest] = [rising[0], rising.at(-1)];
  if (!lowest || !highest || new Set(doses.values()).size < FEWEST) return undefined;
  const mean = rising.reduce((sum, [, dose]) => sum + dose, 0) / rising.length;
  const square = rising.reduce((sum, [, dose]) => sum + (dose - mean) ** 2, 0);
  const at = (dose: number): Weighed =>
    rising.map(([name, own]) => [
      name,
      1 / rising.length + ((dose - mean) * (own - mean)) / square,
    ]);
  return {
    least: lowest[0],
    most: highest[0],
    from: lowest[1],
    to: highest[1],
    atLeast: at(lowest[1]),
    atMost: at(highest[1]),
  };
}

/** The line through an input's doses, of the treatments that stand in it; undefined where it is no series, or its outcome has no line. */
export function doseLineOf({
  doses,
  treatments,
  outcome,
}: Pick<JudgeInput, 'doses' | 'treatments' | 'outcome'>): DoseLine | undefined {
  if (!doses || !HAS_LINE[outcome]) return undefined;
  const own = treatments.flatMap(name => {
    const dose = doses[name];
    return dose === undefined ? [] : [[name, dose] as const];
  });
  return own.length === treatments.length ? doseLine(new Map(own)) : undefined;
}

/** A step or a yes or no has no middle that a straight line could go through. */
const HAS_LINE: Readonly<Record<Outcome, boolean>> = {
  continuous: true,
  count: true,
  proportion: true,
  time: true,
  ordinal: false,
};

/** A series' doses by treatment; undefined where they are no series. */
export function dosesOf(
  treatments: readonly Pick<Treatment, 'name' | 'dose'>[],
): JudgeInput['doses'] {
  const doses = treatments.flatMap(({ name, dose }) =>
    dose === null ? [] : [[name, dose] as const],
  );
  return doses.length === treatments.length && doseLine(new Map(doses))
    ? Object.fromEntries(doses)
    : undefined;
}

/** The input with its doses, unless each unit says yes or no once. */
export function withDoses(input: JudgeInput, doses: JudgeInput['doses']): JudgeInput {
  return doses && !isYesNo(input) ? { ...input, doses } : input;
}
