import type { Interval } from '@/core/judge/outcomes/judgement';
import type { Effect, OutcomeMethod } from '@/core/judge/outcomes/outcome-judgement';
import { type BlockOfTwo, effortOf, type ReadUnit } from '@/core/judge/question/outcome-input';

/** What one kind's test says of a treatment beside the control, before it is called. */
export interface OutcomeTest {
  readonly method: OutcomeMethod;
  readonly p: number;
  /** By all deals of the units; null where there is only one. */
  readonly shuffleP: number | null;
  /** What speaks of units and not of items: a call needs it beside `p`. */
  readonly unitP: number;
  readonly difference: number;
  readonly intervalAt: (confidence: number) => Interval | null;
  /** The difference in percent of the control, where it has an interval of its own. */
  readonly percentAt?: (confidence: number) => Interval;
  readonly effectAt: (confidence: number) => Effect | null;
}

/** A unit's own figure, as shuffles and pairs take it: of fewer parts, their rate. */
export function figureOf(unit: ReadUnit): number {
  return unit.value / (unit.outOf ?? effortOf(unit));
}

export const both = (
  blocks: readonly BlockOfTwo[],
): { readonly treated: readonly ReadUnit[]; readonly control: readonly ReadUnit[] } => ({
  treated: blocks.flatMap(block => block.treated),
  control: blocks.flatMap(block => block.control),
});

export const meanFigure = (units: readonly ReadUnit[]): number =>
  units.reduce((sum, unit) => sum + figureOf(unit), 0) / units.length;
