import type { DesignInput, JudgedUnit } from '@/core/design/linear/design-input';

/** Which way the measure is good. */
export type BetterWay = 'higher' | 'lower';

/** The smallest difference that matters: in percent of the control, or in the measure's own unit. > 0. */
export type Margin =
  | { readonly kind: 'percent'; readonly percent: number }
  | { readonly kind: 'absolute'; readonly amount: number };

/** One side is held against the other: a treatment, or several taken together with equal weight. */
export interface AgreedComparison {
  readonly one: readonly string[];
  readonly other: readonly string[];
}

/** What a reading is, and so what does it justice: a mean, a ratio, a difference of shares, ranks, days waited. */
export type Outcome = 'continuous' | 'count' | 'proportion' | 'ordinal' | 'time';

/** What gaps of a percentage are counted in: from 40% to 30% are ten of them. */
export const POINTS = 'points';

/** Everything the judge needs: one value a unit, and what was planned. */
export interface JudgeInput extends DesignInput {
  readonly outcome: Outcome;
  /** What was measured, as a noun that “more” can stand before: `beans`, `weight`. */
  readonly response: string;
  /** The unit its figures are in, where they have one: `g`. */
  readonly responseUnit?: string | undefined;
  /** How much of the figures' own unit one of that is: ounces are shown of grams. 1 where it is not said. */
  readonly responseBase?: number | undefined;
  /** What a unit is called: `pot`. */
  readonly unitWord: string;
  /** Whether the blocks are pairs, dealt by the toss of a coin. */
  readonly isPaired?: boolean | undefined;
  /** The largest imbalance of start sizes that the deal was allowed. */
  readonly mostImbalance?: number | undefined;
  /** What the units' covariate is, in words: `its size at the start`. */
  readonly covariateName?: string | undefined;
  /** How many rows or plants the units' values were made from. */
  readonly subsamples: number;
  readonly better: BetterWay;
  /** Neither way is a gain: then what is found is more or less, not better or worse. */
  readonly hasNoGoodDirection?: boolean | undefined;
  /** Of classes: the one that is counted. */
  readonly countedClass?: string | undefined;
  /** null where any difference matters. */
  readonly margin: Margin | null;
  /** In (0, 1), usually 0.95. */
  readonly confidence: number;
  /** What was agreed on before the lock as what the question is about; then the headline is its. */
  readonly agreed?: AgreedComparison | undefined;
  /** Of a series of doses: each treatment's, in the series' own unit. */
  readonly doses?: Readonly<Record<string, number>> | undefined;
  /** How much of what was planned for a treatment is on record, by treatment; of those that had something planned. */
  readonly given?: Readonly<Record<string, GivenShare>> | undefined;
  /** What this trial can't tell apart: a treatment and a batch, a water, a person; each in words, without a full stop. */
  readonly confounded?: readonly string[] | undefined;
  /** Random deals where there are too many to look at all; 0 leaves the shuffle test out. */
  readonly shuffles: number;
  readonly seed: number;
  /** Whether this was the main measure before the lock. */
  readonly isDeclared: boolean;
  /** How much units treated alike usually differ (SD over mean), for trials that can't tell by themselves. */
  readonly priorCv: PriorCv;
}

/** Steps up to the last entry; those that some units got count by their share. */
export interface GivenShare {
  readonly planned: number;
  readonly done: number;
}

/** What is compared, whatever is read of it. */
export type QuestionInput = Pick<
  JudgeInput,
  'factors' | 'treatments' | 'control' | 'agreed' | 'doses'
>;

/** A spread from elsewhere, with where it comes from. */
export interface PriorCv {
  readonly cv: number;
  readonly source: 'own-trials' | 'starting-guess';
}

/** Yields of single pots treated alike: common practice, no source. */
export const STARTING_GUESS_CV: PriorCv = { cv: 0.3, source: 'starting-guess' };

/** The treatments but the control, in their order: index i of a shuffle comparison is entry i − 1. */
export function testsOf(input: Pick<JudgeInput, 'treatments' | 'control'>): readonly string[] {
  return input.treatments.filter(name => name !== input.control);
}

/** A unit that gave something. */
export type ReadUnit = JudgedUnit & { readonly value: number };

export function isRead(unit: JudgedUnit): unit is ReadUnit {
  return unit.value !== null;
}

/** A unit's own figure, as one looks at it: a share of n, a count of one whole unit, else what was read. */
export function figureOf(unit: ReadUnit): number {
  return unit.value / (unit.outOf ?? unit.effort ?? 1);
}

/** Whether each unit says yes or no once. */
export function isYesNo({ outcome, units }: Pick<JudgeInput, 'outcome' | 'units'>): boolean {
  return (
    outcome === 'proportion' &&
    units.every(
      unit => unit.value === null || ((unit.outOf ?? 1) === 1 && Number.isInteger(unit.value)),
    )
  );
}
