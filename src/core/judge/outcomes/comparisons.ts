import { isOneEachCell, type TrialModel } from '@/core/design/linear/trial-model';
import { unitsNeeded } from '@/core/judge/planning/units-needed';
import type { JudgeInput } from '@/core/judge/question/judge-input';
import { callOf, marginAmount } from '@/core/judge/verdict/call';
import { tQuantile, tTwoSidedP } from '@/core/stats/distributions/distributions';
import { type LargestT, largestT } from '@/core/stats/distributions/multivariate-t';
import { fiellerInterval } from '@/core/stats/linear/fieller';
import type { Combination, LinearModel } from '@/core/stats/linear/linear-model';
import type { EffectError } from './error-strata';
import type { Contrast, EstimableContrast, Interval } from './judgement';

/** All comparisons with the control, and the critical value that covers them together. */
export interface ControlComparisons {
  readonly contrasts: readonly Contrast[];
  /** Where comparisons have different degrees of freedom, the largest one. */
  readonly criticalT: number | null;
}

/** Every treatment against the control: plain, Dunnett-adjusted, as percent of the control, and its call. */
export function compareWithControl(
  input: JudgeInput,
  trial: TrialModel,
  model: LinearModel,
  spread: EffectError | undefined,
): ControlComparisons {
  const tests = input.treatments.filter(name => name !== input.control);
  const combinations = tests.map(name => trial.differenceOf(model, name, input.control));
  const isReplicated = replicatedIn(input, trial);
  const isJudged = (combination: Combination | undefined, treatment: string): boolean =>
    combination !== undefined &&
    isReplicated(treatment) &&
    isReplicated(input.control) &&
    spread?.judges(combination) === true;
  const judged = combinations.filter((combination, i) => isJudged(combination, tests[i]!));
  const families = spread && familiesOf(judged, spread, input.confidence);
  const control = trial.meanOf(model, input.control);
  const contrasts = tests.map((treatment, i): Contrast => {
    const difference = combinations[i];
    if (!difference)
      return { estimable: false, treatment, control: input.control, call: 'no-test' };
    const mean = trial.meanOf(model, treatment);
    const unitCounts = [countOf(trial, treatment), countOf(trial, input.control)] as const;
    const controlName = input.control;
    const context = { input, model, treatment, controlName, difference, mean, control, unitCounts };
    return spread && families && isJudged(difference, treatment)
      ? testedContrast(context, spread, families(difference))
      : untestedContrast(context);
  });
  const criticals = judged.flatMap(difference =>
    difference && families ? [families(difference).criticalT] : [],
  );
  return { contrasts, criticalT: criticals.length > 0 ? Math.max(...criticals) : null };
}

/**
 * Whether a treatment stands in more than one unit. One alone has no spread of its own, and to lend it that of the others is
 * to take for granted what the trial was to show. Of combinations with one unit each the levels stand in several.
 */
export function replicatedIn(input: JudgeInput, trial: TrialModel): (treatment: string) => boolean {
  if (isOneEachCell(input, trial.units)) return () => true;
  return treatment => countOf(trial, treatment) > 1;
}

/** A difference with all that its call rests on. */
export interface ContrastContext {
  readonly input: JudgeInput;
  readonly model: LinearModel;
  readonly treatment: string;
  /** What the treatment is held against. */
  readonly controlName: string;
  readonly difference: Combination;
  readonly mean: Combination | undefined;
  readonly control: Combination | undefined;
  /** Units of the treatment and of the control. */
  readonly unitCounts: readonly [number, number];
}

export interface Family {
  readonly largest: LargestT;
  readonly criticalT: number;
  /** Of the interval at 1 − 2α, all comparisons together: two one-sided tests of each. */
  readonly equivalenceT: number;
}

/**
 * The joint distribution of all comparisons: a multivariate t, where one spread judges them all. In a split plot some rest on
 * other degrees of freedom, and no one t covers them together: there each is held to its equal share (Bonferroni).
 */
export function familiesOf(
  combinations: readonly (Combination | undefined)[],
  spread: EffectError,
  confidence: number,
): (combination: Combination) => Family {
  const known = combinations.filter(combination => combination !== undefined);
  const sizes = known.map(each => Math.sqrt(spread.covariance(each, each)));
  const correlations = known.map((a, i) =>
    known.map((b, j) => (i === j ? 1 : spread.covariance(a, b) / (sizes[i]! * sizes[j]!))),
  );
  const isMixed = new Set(known.map(each => spread.dfOf(each).toPrecision(9))).size > 1;
  const made = new Map<string, Family>();
  return combination => {
    const df = spread.dfOf(combination);
    const key = df.toPrecision(9);
    const standing = made.get(key);
    if (standing) return standing;
    const largest = isMixed ? equalShares(known.length, df) : largestT(correlations, df);
    const family = {
      largest,
      criticalT: largest.quantile(confidence),
      equivalenceT: largest.quantile(2 * confidence - 1),
    };
    made.set(key, family);
    return family;
  };
}

/** As if the largest of so many t were covered by their sum: never too little. */
export function equalShares(count: number, df: number): LargestT {
  return {
    upperTail: t => Math.min(1, count * tTwoSidedP(t, df)),
    quantile: p => tQuantile(1 - (1 - p) / (2 * count), df),
  };
}

function untestedContrast({
  treatment,
  controlName,
  difference,
  control,
  model,
}: ContrastContext): EstimableContrast {
  return {
    estimable: true,
    treatment,
    control: controlName,
    difference: difference.estimate,
    se: null,
    df: model.residualDf,
    t: null,
    p: null,
    ci: null,
    pAdjusted: null,
    ciAdjusted: null,
    ciEquivalence: null,
    percent: percentOf(difference, control),
    percentCi: null,
    percentCiAdjusted: null,
    percentCiEquivalence: null,
    shuffleP: null,
    shufflePAdjusted: null,
    call: 'no-test',
    unitsNeeded: null,
  };
}

export function testedContrast(
  context: ContrastContext,
  spread: EffectError,
  { largest, criticalT, equivalenceT }: Family,
): EstimableContrast {
  const { input, difference, control, controlName, treatment, unitCounts } = context;
  const estimate = difference.estimate;
  const se = Math.sqrt(spread.covariance(difference, difference));
  const df = spread.dfOf(difference);
  const t = estimate / se;
  const alpha = 1 - input.confidence;
  const plainT = tQuantile(1 - alpha / 2, df);
  const around = (critical: number): Interval => [
    estimate - critical * se,
    estimate + critical * se,
  ];
  const percentAround = (critical: number) => percentInterval(context, spread, critical);

  const percentCiAdjusted = percentAround(criticalT);
  const percentCiEquivalence = percentAround(equivalenceT);
  const ciAdjusted = around(criticalT);
  const ciEquivalence = around(equivalenceT);
  const smallest = marginAmount(input.margin, control?.estimate ?? 0);
  const call =
    input.margin?.kind === 'percent' && percentCiAdjusted && percentCiEquivalence
      ? callOf(
          {
            adjusted: percentCiAdjusted,
            equivalence: percentCiEquivalence,
            margin: input.margin.percent,
          },
          input.better,
        )
      : callOf(
          { adjusted: ciAdjusted, equivalence: ciEquivalence, margin: smallest },
          input.better,
        );
  const undecided = {
    difference: estimate,
    se,
    residualDf: df,
    margin: smallest,
    confidence: input.confidence,
    unitsEach: unitsEach(unitCounts),
    treatments: input.treatments.length,
  };
  return {
    estimable: true,
    treatment,
    control: controlName,
    difference: estimate,
    se,
    df,
    t,
    p: tTwoSidedP(t, df),
    ci: around(plainT),
    pAdjusted: Math.max(tTwoSidedP(t, df), largest.upperTail(t)),
    ciAdjusted,
    ciEquivalence,
    percent: percentOf(difference, control),
    percentCi: percentAround(plainT),
    percentCiAdjusted,
    percentCiEquivalence,
    shuffleP: null,
    shufflePAdjusted: null,
    call,
    // Without a margin no number of units settles it: a difference of nothing can't be ruled out.
    unitsNeeded: call === 'cant-tell' && smallest > 0 ? unitsNeeded(undecided) : null,
  };
}

/** Harmonic mean of two treatments' counts: what the variance of their difference rests on. */
function unitsEach(counts: readonly [number, number]): number {
  return counts.length / counts.reduce((sum, count) => sum + 1 / Math.max(1, count), 0);
}

function countOf(trial: TrialModel, treatment: string): number {
  return trial.units.filter(unit => unit.treatment === treatment).length;
}

function percentOf(difference: Combination, control: Combination | undefined): number | null {
  return control && control.estimate > 0 ? (100 * difference.estimate) / control.estimate : null;
}

function percentInterval(
  { mean, control }: ContrastContext,
  spread: EffectError,
  critical: number,
): Interval | null {
  if (!mean || !control || control.estimate <= 0) return null;
  const ratio = fiellerInterval(mean, control, spread.covariance, critical);
  return ratio && [100 * (ratio[0] - 1), 100 * (ratio[1] - 1)];
}
