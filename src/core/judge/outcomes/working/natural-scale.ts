import type { TrialModel } from '@/core/design/linear/trial-model';
import type { Interval, LogRatio } from '@/core/judge/outcomes/judgement';
import type { JudgeInput } from '@/core/judge/question/judge-input';
import type { Covariance } from '@/core/stats/linear/fieller';
import type { Combination, LinearModel } from '@/core/stats/linear/linear-model';

/** Two sets of treatments beside each other on the working scale. */
export interface Compared {
  readonly input: JudgeInput;
  readonly trial: TrialModel;
  readonly model: LinearModel;
  /** Treatments of either side; more than one where an average is compared. */
  readonly treated: readonly string[];
  readonly controls: readonly string[];
  readonly difference: Combination;
  readonly mean: Combination | undefined;
  readonly control: Combination | undefined;
}

/** How wide an interval reaches: a critical value of t on so many degrees of freedom, and the errors it goes with. */
export interface Reach {
  readonly covariance: Covariance;
  readonly critical: number;
  readonly df: number;
}

/** From a working scale to what a gardener reads: a difference in the measure's own unit, and in percent of the control. */
export interface NaturalScale {
  /** What a mean on the working scale comes to. */
  readonly level: (mean: Combination) => number;
  readonly difference: (compared: Compared) => number;
  readonly interval: (compared: Compared, reach: Reach) => Interval | null;
  /** null where a percentage of the control says nothing, or that is not above zero. */
  readonly percent: (compared: Compared) => number | null;
  readonly percentInterval: (compared: Compared, reach: Reach) => Interval | null;
  /** The logarithm of treated over control with its variance; null where either is not above zero, or a ratio says nothing. */
  readonly logRatio: (compared: Compared, covariance: Covariance) => LogRatio | null;
  /** A margin on the working scale, for how many units would settle it; null where that can't be reckoned. */
  readonly workingMargin: (margin: number, level: number) => number | null;
}
