import type { ModelTerm } from '@/core/stats/linear/linear-model';

/**
 * What a re-deal may move, as the layout dealt. Units are those that were dealt, measured or not, in the order of
 * `ShuffleProblem.dealtUnits`.
 */
export type ReRandomisationRule =
  /** Labels change places within groups of units: over the whole trial, within blocks, within pairs. */
  | {
      readonly kind: 'within-strata';
      readonly stratum: readonly number[];
      readonly treatment: readonly number[];
    }
  /** Every treatment once in each row and each column. `square` holds the treatment of each cell, row by row. */
  | { readonly kind: 'latin-square'; readonly order: number; readonly square: readonly number[] }
  | SplitPlotRule;

/** Whole plots change their level within blocks; the units of a whole plot change theirs within it. */
export interface SplitPlotRule {
  readonly kind: 'split-plot';
  /** One entry a whole plot: the block it lies in, and its level. */
  readonly wholeStratum: readonly number[];
  readonly wholeLevel: readonly number[];
  /** One entry a unit: its whole plot, and its level within it. */
  readonly wholePlot: readonly number[];
  readonly subLevel: readonly number[];
  /** The treatment of whole level w and sub-level s, at [w][s]. */
  readonly treatmentOf: readonly (readonly number[])[];
}

/** A rule that a deal had to meet: start sizes spread over the treatments no less evenly than this. */
export interface BalanceRule {
  /** One entry a dealt unit. */
  readonly startSize: readonly number[];
  /** The largest sum of squares between treatments that was accepted. */
  readonly most: number;
}

/** A trial as the shuffle test sees it. Arrays are one entry a measured unit, unless said otherwise. */
export interface PermutationProblem {
  readonly y: readonly number[];
  /** Index of each unit's treatment; 0 is the control. */
  readonly treatment: readonly number[];
  /** How many treatments there are, the control included. */
  readonly treatments: number;
  readonly rule: ReRandomisationRule;
  /** Each measured unit's index among the dealt ones. */
  readonly dealtUnits: readonly number[];
  readonly balance?: BalanceRule | undefined;
  /** What the model holds besides the treatment and stays with the unit: blocks. */
  readonly blocks: readonly ModelTerm[];
  /** Start size or the like; stays with the unit too, and is fitted anew in each deal. */
  readonly covariate: readonly number[] | undefined;
  /** Where the units stand, where that is allowed for: columns that stay with the unit, and are fitted anew in each deal. */
  readonly placeColumns?: readonly (readonly number[])[];
  /** Each unit's whole plot, where there are two sizes of unit and with them two kinds of spread. */
  readonly wholePlot?: readonly number[] | undefined;
}
