/** Which way the measure is good. */
export type BetterWay = 'higher' | 'lower';

/** The smallest difference that matters: in percent of the control, or in the measure's own unit. > 0. */
export type Margin =
  | { readonly kind: 'percent'; readonly percent: number }
  | { readonly kind: 'absolute'; readonly amount: number };

/** One experimental unit with its one value. */
export interface JudgedUnit {
  readonly id: string;
  readonly treatment: string;
  /** Its level in each of the input's block columns. */
  readonly blocks: readonly string[];
  /** null where the unit gave none: it is missing, which is not zero. */
  readonly value: number | null;
  readonly covariate?: number | undefined;
  /** Where it stands, across and along the bench in mm, where that is to be allowed for. */
  readonly place?: readonly [number, number] | undefined;
  /** The larger unit it lies in, where a factor was dealt to those; told apart within each block. */
  readonly wholePlot?: string | undefined;
  /** Its size before the deal, where the deal was balanced by it. */
  readonly startSize?: number | undefined;
  /** Taken out by a person: it has no value, and is spoken of elsewhere. */
  readonly isLeftOut?: boolean | undefined;
}

/** How treatments are made of crossed factors, where they are. */
export interface FactorStructure {
  readonly names: readonly string[];
  /** The level of each factor, by treatment. */
  readonly levelsOf: Readonly<Record<string, readonly string[]>>;
}

/** Everything the judge needs: one value a unit, and what was planned. */
export interface JudgeInput {
  /** What was measured, as a noun that “more” can stand before: `beans`, `weight`. */
  readonly response: string;
  /** The unit its figures are in, where they have one: `g`. */
  readonly responseUnit?: string | undefined;
  /** What a unit is called: `pot`. */
  readonly unitWord: string;
  /** The name of the treatment column or factor: `feed`. */
  readonly treatmentName: string;
  /** In their order; at least two. */
  readonly treatments: readonly string[];
  readonly control: string;
  readonly blockNames: readonly string[];
  readonly factors?: FactorStructure | undefined;
  /** Whether the blocks are pairs, dealt by the toss of a coin. */
  readonly isPaired?: boolean | undefined;
  /** The largest imbalance of start sizes that the deal was allowed. */
  readonly mostImbalance?: number | undefined;
  /** What the units' covariate is, in words: `its size at the start`. */
  readonly covariateName?: string | undefined;
  readonly units: readonly JudgedUnit[];
  /** How many rows or plants the units' values were made from. */
  readonly subsamples: number;
  readonly better: BetterWay;
  /** null where any difference matters. */
  readonly margin: Margin | null;
  /** In (0, 1), usually 0.95. */
  readonly confidence: number;
  /** Random deals where there are too many to look at all; 0 leaves the shuffle test out. */
  readonly shuffles: number;
  readonly seed: number;
  /** Whether this was the main measure before the lock. */
  readonly isDeclared: boolean;
  /** How much units treated alike usually differ (SD over mean), for trials that can't tell by themselves. */
  readonly priorCv: PriorCv;
}

/** A spread from elsewhere, with where it comes from. */
export interface PriorCv {
  readonly cv: number;
  readonly source: 'own-trials' | 'starting-guess';
}

/** Yields of single pots treated alike: common practice, no source. */
export const STARTING_GUESS_CV: PriorCv = { cv: 0.3, source: 'starting-guess' };

/** The treatments but the control, in their order: index i of a shuffle comparison is entry i − 1. */
export function testsOf(input: JudgeInput): readonly string[] {
  return input.treatments.filter(name => name !== input.control);
}
