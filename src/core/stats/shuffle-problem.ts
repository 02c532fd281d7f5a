import type { ModelTerm } from './linear-model';

/** A trial as the shuffle test sees it. Arrays are one entry a unit. */
export interface ShuffleProblem {
  readonly y: readonly number[];
  /** Index of each unit's treatment; 0 is the control. */
  readonly treatment: readonly number[];
  /** How many treatments there are, the control included. */
  readonly treatments: number;
  /** Index of the group of units within which the layout dealt: all 0 where it dealt over the whole trial. */
  readonly stratum: readonly number[];
  /** What the model holds besides the treatment and stays with the unit: blocks. */
  readonly blocks: readonly ModelTerm[];
  /** Start size or the like; stays with the unit too, and is fitted anew in each deal. */
  readonly covariate: readonly number[] | undefined;
}
