import type { Call, Interval, JudgeWarning } from './judgement';

/** Which sum stood behind a p. */
export type OutcomeMethod =
  | 'quasi-poisson'
  | 'fisher-exact'
  | 'cochran-mantel-haenszel'
  | 'wilcoxon-exact'
  | 'wilcoxon-shuffled'
  | 'van-elteren-exact'
  | 'van-elteren-shuffled'
  | 'log-rank'
  | 'stratified-log-rank'
  | 'sign-flip'
  | 'shuffle-exact'
  | 'shuffle-random';

/** Plain figures of one treatment. */
export interface OutcomeGroup {
  readonly treatment: string;
  /** Units. */
  readonly n: number;
  readonly mean: number | null;
  readonly sd: number | null;
  /** Of days: by which half have come; null where so many never did. */
  readonly median: number | null;
  /** Of shares: all items together, with Wilson's interval. */
  readonly share: { readonly k: number; readonly of: number; readonly ci: Interval } | null;
  /** Of days: how many have come, of all. */
  readonly came: number | null;
}

/** How large a difference is, on the scale of its kind. */
export interface Effect {
  readonly what: 'rate-ratio' | 'odds-ratio' | 'chance-of-larger' | 'hazard-ratio';
  readonly value: number;
  readonly ci: Interval | null;
}

/** A treatment against the control. */
export type OutcomeContrast =
  | TestedOutcomeContrast
  | {
      readonly estimable: false;
      readonly treatment: string;
      readonly control: string;
      readonly call: 'no-test';
    };

export interface TestedOutcomeContrast {
  readonly estimable: true;
  readonly treatment: string;
  readonly control: string;
  readonly method: OutcomeMethod;
  /** Treatment less control: mean counts, shares, the shift of steps, days waited up to a common day. */
  readonly difference: number;
  readonly ci: Interval | null;
  /** So wide that all comparisons together are covered (Bonferroni). */
  readonly ciAdjusted: Interval | null;
  /** Two one-sided tests of each comparison: the interval at 1 − 2α, all together (Bonferroni). */
  readonly ciEquivalence: Interval | null;
  readonly effect: Effect | null;
  /** The method's own. */
  readonly p: number;
  /** The same question asked of all deals of the units within their blocks. null where there is but one. */
  readonly shuffleP: number | null;
  /** What the call rests on: the larger of the two, and of all sets of treatments that hold it (closed testing). */
  readonly pAdjusted: number;
  readonly call: Call;
}

/** Whether the treatments differ at all. */
export interface Overall {
  readonly method: 'kruskal-wallis' | 'friedman' | 'chi-square-shuffled';
  readonly statistic: number;
  readonly df: number;
  readonly p: number;
}

/** What is said of a measure of another kind. Plain data; `null` for what is not defined, never NaN. */
export interface OutcomeJudgement {
  readonly groups: readonly OutcomeGroup[];
  readonly overall: Overall | null;
  readonly contrasts: readonly OutcomeContrast[];
  readonly blocks: number;
  readonly call: Call;
  /** The one that beat the control, where it is but one and there is no other test. */
  readonly best: string | null;
  readonly mayHoldTheBest: readonly string[];
  readonly headline: string;
  readonly detail: string;
  readonly warnings: readonly OutcomeWarning[];
}

export interface OutcomeWarning {
  readonly code: JudgeWarning['code'] | 'overdispersed' | 'all-alike';
  readonly message: string;
}
