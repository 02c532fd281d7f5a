import { tQuantile, tTwoSidedP } from '@/core/stats/distributions';
import { fiellerInterval } from '@/core/stats/fieller';
import { type Combination, dot, type LinearModel } from '@/core/stats/linear-model';
import { type LargestT, largestT } from '@/core/stats/multivariate-t';
import { studentizedRange } from '@/core/stats/studentized-range';
import { callOf, marginAmount } from './call';
import type { JudgeInput } from './judge-input';
import type { Contrast, EstimableContrast, Interval, Pair } from './judgement';
import type { TrialModel } from './trial-model';
import { unitsNeeded } from './units-needed';

/** What the residuals give to judge by. */
export interface Spread {
  readonly ms: number;
  readonly df: number;
}

/** All comparisons with the control, and the critical value that covers them together. */
export interface ControlComparisons {
  readonly contrasts: readonly Contrast[];
  readonly criticalT: number | null;
}

/** Every treatment against the control: plain, Dunnett-adjusted, as percent of the control, and its call. */
export function compareWithControl(input: JudgeInput, trial: TrialModel, model: LinearModel, spread: Spread | undefined): ControlComparisons {
  const tests = input.treatments.filter(name => name !== input.control);
  const combinations = tests.map(name => trial.differenceOf(model, name, input.control));
  const family = spread && largestOf(combinations, spread.df);
  const criticalT = family ? family.quantile(input.confidence) : null;
  const control = trial.meanOf(model, input.control);
  const contrasts = tests.map((treatment, i): Contrast => {
    const difference = combinations[i];
    if (!difference) return { estimable: false, treatment, control: input.control, call: 'no-test' };
    const mean = trial.meanOf(model, treatment);
    const context = { input, model, trial, treatment, difference, mean, control };
    return spread && family && criticalT !== null
      ? testedContrast(context, spread, family, criticalT)
      : untestedContrast(context);
  });
  return { contrasts, criticalT };
}

interface ContrastContext {
  readonly input: JudgeInput;
  readonly model: LinearModel;
  readonly trial: TrialModel;
  readonly treatment: string;
  readonly difference: Combination;
  readonly mean: Combination | undefined;
  readonly control: Combination | undefined;
}

function largestOf(combinations: readonly (Combination | undefined)[], df: number): LargestT | undefined {
  const directions = combinations.flatMap(combination => (combination ? [combination.direction] : []));
  if (directions.length === 0) return undefined;
  const lengths = directions.map(direction => Math.sqrt(dot(direction, direction)));
  return largestT(directions.map((a, i) => directions.map((b, j) => (i === j ? 1 : dot(a, b) / (lengths[i]! * lengths[j]!)))), df);
}

function untestedContrast({ input, treatment, difference, control, model }: ContrastContext): EstimableContrast {
  return {
    estimable: true, treatment, control: input.control, difference: difference.estimate, se: null, df: model.residualDf,
    t: null, p: null, ci: null, pAdjusted: null, ciAdjusted: null, ciEquivalence: null,
    percent: percentOf(difference, control), percentCi: null, percentCiAdjusted: null, percentCiEquivalence: null,
    shuffleP: null, shufflePAdjusted: null, call: 'no-test', unitsNeeded: null,
  };
}

function testedContrast(context: ContrastContext, spread: Spread, family: LargestT, criticalT: number): EstimableContrast {
  const { input, difference, control, trial, treatment } = context;
  const estimate = difference.estimate;
  const se = Math.sqrt(spread.ms * dot(difference.direction, difference.direction));
  const t = estimate / se;
  const alpha = 1 - input.confidence;
  const plainT = tQuantile(1 - alpha / 2, spread.df);
  const equivalenceT = tQuantile(1 - alpha, spread.df);
  const around = (critical: number): Interval => [estimate - critical * se, estimate + critical * se];
  const percentAround = (critical: number) => percentInterval(context, spread.ms, critical);

  const percentCiAdjusted = percentAround(criticalT);
  const percentCiEquivalence = percentAround(equivalenceT);
  const ciAdjusted = around(criticalT);
  const ciEquivalence = around(equivalenceT);
  const smallest = marginAmount(input.margin, control?.estimate ?? 0);
  const call = input.margin?.kind === 'percent' && percentCiAdjusted && percentCiEquivalence
    ? callOf({ adjusted: percentCiAdjusted, equivalence: percentCiEquivalence, margin: input.margin.percent }, input.better)
    : callOf({ adjusted: ciAdjusted, equivalence: ciEquivalence, margin: smallest }, input.better);
  const undecided = {
    difference: estimate, se, residualDf: spread.df, margin: smallest, confidence: input.confidence,
    unitsEach: unitsEach(trial, [treatment, input.control]), treatments: input.treatments.length,
  };
  return {
    estimable: true, treatment, control: input.control, difference: estimate, se, df: spread.df, t,
    p: tTwoSidedP(t, spread.df), ci: around(plainT),
    pAdjusted: Math.max(tTwoSidedP(t, spread.df), family.upperTail(t)), ciAdjusted, ciEquivalence,
    percent: percentOf(difference, control), percentCi: percentAround(plainT), percentCiAdjusted, percentCiEquivalence,
    shuffleP: null, shufflePAdjusted: null, call,
    unitsNeeded: call === 'cant-tell' ? unitsNeeded(undecided) : null,
  };
}

/** Harmonic mean of two treatments' counts: what the variance of their difference rests on. */
function unitsEach(trial: TrialModel, treatments: readonly string[]): number {
  const counts = treatments.map(name => trial.units.filter(unit => unit.treatment === name).length);
  return counts.length / counts.reduce((sum, count) => sum + 1 / Math.max(1, count), 0);
}

function percentOf(difference: Combination, control: Combination | undefined): number | null {
  return control && control.estimate > 0 ? (100 * difference.estimate) / control.estimate : null;
}

function percentInterval({ mean, control }: ContrastContext, ms: number, critical: number): Interval | null {
  if (!mean || !control || control.estimate <= 0) return null;
  const ratio = fiellerInterval(mean, control, ms, critical);
  return ratio && [100 * (ratio[0] - 1), 100 * (ratio[1] - 1)];
}

/**
 * Every pair of treatments by Tukey-Kramer. Kramer (1956), Biometrics 12, 307-310.
 *
 * @returns pairs with the later treatment first, as `a` minus `b`
 */
export function compareEveryPair(input: JudgeInput, trial: TrialModel, model: LinearModel, spread: Spread | undefined): readonly Pair[] {
  const range = spread && input.treatments.length > 1 ? studentizedRange(input.treatments.length, spread.df) : undefined;
  const critical = range ? range.quantile(input.confidence) / Math.SQRT2 : null;
  const levels = [input.control, ...input.treatments.filter(name => name !== input.control)];
  return levels.flatMap((b, j) => levels.slice(j + 1).map((a): Pair => {
    const difference = trial.differenceOf(model, a, b);
    if (!difference) return { estimable: false, a, b };
    if (!spread || !range || critical === null) {
      return { estimable: true, a, b, difference: difference.estimate, ciAdjusted: null, pAdjusted: null };
    }
    const se = Math.sqrt(spread.ms * dot(difference.direction, difference.direction));
    const pAdjusted = range.upperTail((Math.abs(difference.estimate) / se) * Math.SQRT2);
    return {
      estimable: true, a, b, difference: difference.estimate, pAdjusted,
      ciAdjusted: [difference.estimate - critical * se, difference.estimate + critical * se],
    };
  }));
}
