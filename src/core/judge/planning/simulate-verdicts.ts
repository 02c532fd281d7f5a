import { buildTrialModel } from '@/core/design/linear/trial-model';
import type { Call } from '@/core/judge/outcomes/judgement';
import { errorStrataOf } from '@/core/judge/outcomes/spread/error-strata';
import { equalShares } from '@/core/judge/outcomes/spread/families';
import type { JudgeInput } from '@/core/judge/question/judge-input';
import { callOf, isBetter, isWorse } from '@/core/judge/verdict/call';
import { largestT } from '@/core/stats/distributions/multivariate-t';
import { seededRandom } from '@/core/stats/distributions/seeded-random';
import { type Covariance, fiellerInterval } from '@/core/stats/linear/fieller';
import type { Combination } from '@/core/stats/linear/linear-model';
import { type Noise, noisy } from './season-noise';

/** A truth that a planned trial is tried on. */
export interface PlannedTruth {
  /** SD of units treated alike over the control's mean. */
  readonly cv: number;
  /** True gain of the one treatment that works, as a share of the control's mean, in the good direction. */
  readonly effect: number;
}

/** How often simulated trials came to which verdict. */
export interface VerdictShares {
  readonly trials: number;
  /** The treatment that works was called better, or clearly better. */
  readonly seen: number;
  readonly clearlySeen: number;
  /** It was called worse, or shown not to matter. */
  readonly missed: number;
  /** One of the treatments that do nothing was called better or worse; null where there is none. */
  readonly falseAlarm: number | null;
}

/** A simulation on its way, so that a first answer is there at once and gets sharper. */
export interface VerdictSimulation {
  readonly run: (trials: number) => void;
  readonly shares: () => VerdictShares;
}

/**
 * Tries the very verdict rule on made-up trials of a planned layout. In a linear model all that the rule looks at are the
 * adjusted means and the residual mean square; they are drawn from their exact distributions, which is the same as
 * drawing every unit and fitting, only sooner.
 *
 * In a split plot the two mean squares are drawn each from its own, which is exact where it is balanced; its critical
 * values are those of the expected degrees of freedom, where the judge takes Satterthwaite's of the data.
 *
 * @param input a planned trial (`plannedInput`)
 * @returns undefined where the layout leaves no spread to judge by, or can't compare the treatment with the control
 */
export function simulateVerdicts(
  input: JudgeInput,
  truth: PlannedTruth,
  seed: number,
): VerdictSimulation | undefined {
  const planned = plannedCombinations(input);
  const noiseOf = planned && noisy(planned.model, planned.strata, truth.cv);
  if (!planned || !noiseOf) return undefined;
  const { control, comparisons } = planned;
  const criticals = criticalsOf(
    comparisons.map(({ difference }) => difference),
    noiseOf,
    input.confidence,
  );
  const random = seededRandom(seed);
  const gain = input.better === 'higher' ? truth.effect : -truth.effect;
  /** One made-up season's calls, in the order of the comparisons: the first works, the others do nothing. */
  const season = (): readonly Call[] => {
    const noise = noiseOf.draw(random);
    const drawn = (combination: Combination, expected: number): Combination => ({
      direction: combination.direction,
      estimate: expected + noise.along(combination),
    });
    const base = drawn(control, 1);
    return comparisons.map(({ mean, difference }, i) => {
      const effect = i === 0 ? gain : 0;
      const gap = drawn(difference, effect);
      return callFor(input, base, drawn(mean, 1 + effect), gap, noise.covariance, criticals[i]!);
    });
  };
  const tally = { trials: 0, seen: 0, clearly: 0, missed: 0, alarms: 0 };
  return {
    run: trials => {
      for (let i = 0; i < trials; i++) count(season(), tally);
    },
    shares: () => sharesOf(tally, comparisons.length),
  };
}

interface PlannedComparison {
  readonly mean: Combination;
  readonly difference: Combination;
}

/** What the verdict would be made of: the control's mean, and each comparison with it that the layout can make. */
function plannedCombinations(input: JudgeInput) {
  const trial = buildTrialModel({
    ...input,
    units: input.units.map((unit, i) => ({ ...unit, value: i % 2 })),
  });
  const model = trial.fit(trial.units.map(unit => unit.value));
  const tests = input.treatments.filter(name => name !== input.control);
  const control = trial.meanOf(model, input.control);
  const [first, ...others] = tests.map(name => ({
    mean: trial.meanOf(model, name),
    difference: trial.differenceOf(model, name, input.control),
  }));
  if (!control || !first?.difference || !first.mean) return undefined;
  const comparisons = [first, ...others].flatMap(({ mean, difference }): PlannedComparison[] =>
    mean && difference ? [{ mean, difference }] : [],
  );
  const strata = trial.wholePlot && errorStrataOf(trial, trial.wholePlot, model);
  return { control, comparisons, model, strata };
}

interface Tally {
  trials: number;
  seen: number;
  clearly: number;
  missed: number;
  alarms: number;
}

/** @param calls of the one that works first, then of those that do nothing */
function count(calls: readonly Call[], tally: Tally): void {
  const working = calls[0]!;
  tally.trials += 1;
  tally.seen += Number(isBetter(working));
  tally.clearly += Number(working === 'clearly-better');
  tally.missed += Number(isWorse(working) || working === 'no-difference-that-matters');
  tally.alarms += Number(calls.some((call, i) => i > 0 && (isBetter(call) || isWorse(call))));
}

function sharesOf({ trials, seen, clearly, missed, alarms }: Tally, comparisons: number) {
  const of = (times: number): number => times / Math.max(1, trials);
  return {
    trials,
    seen: of(seen),
    clearlySeen: of(clearly),
    missed: of(missed),
    falseAlarm: comparisons > 1 ? of(alarms) : null,
  };
}

function callFor(
  input: JudgeInput,
  control: Combination,
  mean: Combination,
  difference: Combination,
  covariance: Covariance,
  { critical, equivalence }: Critical,
) {
  const { margin } = input;
  if (margin?.kind === 'percent' && control.estimate > 0) {
    const adjusted = fiellerInterval(mean, control, covariance, critical);
    const inner = fiellerInterval(mean, control, covariance, equivalence);
    const inPercent = (ends: readonly [number, number]) =>
      [100 * (ends[0] - 1), 100 * (ends[1] - 1)] as const;
    if (adjusted && inner)
      return callOf(
        { adjusted: inPercent(adjusted), equivalence: inPercent(inner), margin: margin.percent },
        input.better,
      );
  }
  const se = Math.sqrt(covariance(difference, difference));
  const size = margin?.kind === 'percent' ? (Math.abs(control.estimate) * margin.percent) / 100 : 0;
  const around = (t: number) =>
    [difference.estimate - t * se, difference.estimate + t * se] as const;
  return callOf(
    { adjusted: around(critical), equivalence: around(equivalence), margin: size },
    input.better,
  );
}

interface Critical {
  readonly critical: number;
  readonly equivalence: number;
}

/** Dunnett's value and that of the two one-sided tests, for the degrees of freedom of each comparison. */
function criticalsOf(
  differences: readonly Combination[],
  { expected, dfOf }: Noise,
  confidence: number,
): readonly Critical[] {
  const sizes = differences.map(each => Math.sqrt(expected(each, each)));
  const correlations = differences.map((a, i) =>
    differences.map((b, j) => (i === j ? 1 : expected(a, b) / (sizes[i]! * sizes[j]!))),
  );
  // As the judge: no one t covers two sizes of unit.
  const isMixed = new Set(differences.map(each => dfOf(each).toPrecision(9))).size > 1;
  const made = new Map<string, Critical>();
  return differences.map(difference => {
    const df = dfOf(difference);
    const key = df.toPrecision(9);
    const known = made.get(key);
    if (known) return known;
    const largest = isMixed ? equalShares(differences.length, df) : largestT(correlations, df);
    const found = {
      critical: largest.quantile(confidence),
      equivalence: largest.quantile(2 * confidence - 1),
    };
    made.set(key, found);
    return found;
  });
}
