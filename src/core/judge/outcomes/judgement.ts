import type { RatioInterval } from '@/core/stats/linear/fieller';
import type { AnovaRow } from '@/core/stats/linear/linear-model';
import type { PermutationResult } from '@/core/stats/permutation/permutation-test';

/** What is said of a treatment beside the control. */
export type Call =
  | 'clearly-better'
  | 'better'
  | 'no-difference-that-matters'
  | 'worse'
  | 'clearly-worse'
  | 'cant-tell'
  | 'no-test';

export type DesignKind =
  | 'complete-randomisation'
  | 'complete-blocks'
  | 'incomplete-blocks'
  | 'pairs'
  | 'latin-square'
  | 'split-plot'
  | 'several-blockings';

/** A closed interval, low end first. */
export type Interval = readonly [number, number];

/** Plain figures of one treatment, from its units' own figures: what was read, a rate, a share, a step, days. */
export interface TreatmentGroup {
  readonly treatment: string;
  readonly n: number;
  /** Of days: up to a day at which all curves are known. */
  readonly mean: number;
  /** null for a single unit. */
  readonly sd: number | null;
  /** Of days: by which half have come; null where so many never did. */
  readonly median: number | null;
  /** Of shares: all items together, with Wilson's interval. */
  readonly share: { readonly k: number; readonly of: number; readonly ci: Interval } | null;
  /** Of days: how many have come, of all. */
  readonly came: number | null;
}

/** How large a difference is on the scale that its outcome's literature reads. */
export interface Effect {
  readonly what: 'rate-ratio' | 'odds-ratio' | 'chance-of-larger' | 'hazard-ratio';
  readonly value: number;
  /** So wide that all comparisons together are covered. */
  readonly ci: Interval | null;
}

/** Whether the treatments differ at all, of steps and classes. */
export interface Overall {
  readonly method: 'kruskal-wallis' | 'friedman' | 'chi-square-shuffled';
  readonly statistic: number;
  readonly df: number;
  readonly p: number;
}

/** A treatment against the control, as the layout can show it. */
export type Contrast =
  | EstimableContrast
  | {
      readonly estimable: false;
      readonly treatment: string;
      readonly control: string;
      readonly call: 'no-test';
    };

/**
 * Differences are treatment minus control, adjusted for blocks, in the measure's own unit; intervals and p are null where no
 * spread is left. `se`, `df`, `t` and `p` are those of the working model: of a count on its logarithm, of steps on their ranks.
 */
export interface EstimableContrast {
  readonly estimable: true;
  readonly treatment: string;
  readonly control: string;
  readonly difference: number;
  readonly se: number | null;
  readonly df: number;
  readonly t: number | null;
  readonly p: number | null;
  readonly ci: Interval | null;
  /** Dunnett. */
  readonly pAdjusted: number | null;
  readonly ciAdjusted: Interval | null;
  /** Two one-sided tests of each comparison: the interval at 1 − 2α, all together. */
  readonly ciEquivalence: Interval | null;
  /** Difference in % of the control's adjusted mean; null where that is not above zero. */
  readonly percent: number | null;
  /** Fieller, plain and with Dunnett's critical value. */
  readonly percentCi: RatioInterval;
  readonly percentCiAdjusted: RatioInterval;
  readonly percentCiEquivalence: RatioInterval;
  /** What seasons are taken together on; null where there is no ratio, or nothing to judge it by. */
  readonly logRatio: LogRatio | null;
  readonly effect: Effect | null;
  /** What the intervals of all together rest on, on the working model's scale; null without a test. */
  readonly reach: JudgedReach | null;
  readonly shuffleP: number | null;
  readonly shufflePAdjusted: number | null;
  readonly call: Call;
  /** Units of each treatment that would probably settle a “can't tell”; null where none is needed or too many. */
  readonly unitsNeeded: number | null;
}

/** The natural logarithm of treated over control, and its standard error. */
export interface LogRatio {
  readonly estimate: number;
  readonly se: number;
}

/** A standard error, its degrees of freedom, and how many of it an interval of all together reaches to either side. */
export interface JudgedReach {
  readonly estimate: number;
  readonly se: number;
  readonly df: number;
  readonly critical: number;
  /** By the spread of the treatments' own units, not the common one. */
  readonly isOwnSpread: boolean;
}

/** What a level of a crossed factor does beside the factor's own control level. */
export interface FactorEffect extends EstimableContrast {
  readonly factor: string;
  readonly level: string;
  readonly against: string;
  /** The other factors' levels that it is told within; null where it is averaged over them. */
  readonly within: Readonly<Record<string, string>> | null;
}

/** The largest dose of a series beside the smallest, along a straight line through all of them. */
export interface DoseTrend extends EstimableContrast {
  /** The smallest and the largest dose. */
  readonly from: number;
  readonly to: number;
}

/** Between which doses more of it begins to bring next to nothing. */
export interface LevelsOff {
  readonly from: number;
  readonly to: number;
}

/** Whether factors depend on each other: `crop:char`. */
export interface Interaction {
  readonly term: string;
  readonly p: number | null;
}

/** Two treatments beside each other: a minus b. Tukey-Kramer. */
export type Pair =
  | {
      readonly estimable: true;
      readonly a: string;
      readonly b: string;
      readonly difference: number;
      readonly p: number | null;
      readonly ci: Interval | null;
      readonly ciAdjusted: Interval | null;
      readonly pAdjusted: number | null;
    }
  | { readonly estimable: false; readonly a: string; readonly b: string };

export type WarningCode =
  | 'no-replication'
  | 'pseudo-replication'
  | 'one-block'
  | 'unequal-variance'
  | 'odd-unit'
  | 'tiny-sample'
  | 'unbalanced'
  | 'not-declared'
  | 'additive-only'
  | 'zero-spread'
  | 'not-comparable'
  | 'overdispersed'
  | 'all-alike'
  | 'differs-by-block'
  | 'these-gardens'
  | 'aliased'
  | 'repeated-units'
  | 'doubled-rows'
  | 'missing-units';

export interface JudgeWarning {
  readonly code: WarningCode;
  readonly message: string;
}

/** A treatment's direction when the same readings are looked at on another scale. */
export interface OtherScale {
  readonly scale: 'log' | 'ranks';
  readonly directions: readonly {
    readonly treatment: string;
    readonly direction: 'up' | 'down' | 'cant-tell';
  }[];
  /** Whether any direction differs from the one on the plain scale. */
  readonly changes: boolean;
}

export interface Verdict {
  readonly call: Call;
  /** The best treatment, where the units support naming one. */
  readonly best: string | null;
  readonly mayHoldTheBest: readonly string[];
  readonly headline: string;
  readonly detail: string;
  readonly unitsNeeded: number | null;
}

/** The judge's whole answer. Plain data; `null` for what is not defined, never NaN. */
export interface Judgement {
  readonly design: {
    readonly kind: DesignKind;
    readonly units: number;
    readonly subsamples: number;
    readonly blocks: number;
    readonly treatments: number;
  };
  readonly groups: readonly TreatmentGroup[];
  /** Means adjusted for blocks, by treatment; null where the layout can't give one. */
  readonly adjustedMeans: Readonly<Record<string, number | null>>;
  readonly anova: readonly AnovaRow[];
  readonly overall: Overall | null;
  readonly contrasts: readonly Contrast[];
  /** The comparison that was agreed on before the lock, by itself; null where there was none. */
  readonly agreed: Contrast | null;
  /** Of crossed factors: each averaged over the others first, then within their levels. Empty where nothing is crossed. */
  readonly effects: readonly FactorEffect[];
  readonly interactions: readonly Interaction[];
  /** Of a series of doses; null where it is none. */
  readonly trend: DoseTrend | null;
  readonly levelsOff: LevelsOff | null;
  readonly pairs: readonly Pair[];
  readonly letters: Readonly<Record<string, string>> | null;
  readonly shuffle: PermutationResult | null;
  readonly otherScales: readonly OtherScale[];
  /** Dunnett's critical value that widened the intervals; null without a test. */
  readonly criticalT: number | null;
  readonly verdict: Verdict;
  readonly warnings: readonly JudgeWarning[];
}
