import type { BetterWay, JudgeInput, Margin } from '@/core/judge/question/judge-input';
import { outcomeOf } from '@/core/judge/question/unit-outcome';
import { responseIn } from '@/core/judge/units/trial-analysis';
import type { MeasureSystem } from '@/core/quantity/unit-of-measure';
import type { Measure } from '@/core/trial/model/measure';

/** What is asked of all gardens: the main measure of the plan, and what its figures are told in. */
export interface TogetherMeasure
  extends Pick<JudgeInput, 'outcome' | 'response' | 'responseUnit' | 'responseBase'> {
  readonly name: string;
  readonly better: BetterWay;
  readonly margin: Margin | null;
}

/** A plan’s main measure as all gardens are asked for it. @throws {RangeError} a plan without one, which its reader lets through nowhere */
export function togetherMeasure(
  measures: readonly Measure[],
  system?: MeasureSystem,
): TogetherMeasure {
  const main = measures.find(measure => measure.isMain);
  if (!main) throw new RangeError('measures must hold a main one');
  const { name, response, better, margin, scale } = main;
  return { name, response, better, margin, outcome: outcomeOf(scale), ...responseIn(main, system) };
}
