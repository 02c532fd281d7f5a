import { buildTrialModel } from '@/core/design/linear/trial-model';
import type { Call } from '@/core/judge/outcomes/judgement';
import { errorStrataOf } from '@/core/judge/outcomes/spread/error-strata';
import { equalShares } from '@/core/judge/outcomes/spread/families';
import { askedComparisonsOf } from '@/core/judge/question/asked-comparisons';
import type { Weighed } from '@/core/judge/question/dose-line';
import type { JudgeInput, Margin } from '@/core/judge/question/judge-input';
import { callOf, isBetter, isFound, isWorse, marginAmount } from '@/core/judge/verdict/call';
import { largestT } from '@/core/stats/distributions/multivariate-t';
import { seededRandom } from '@/core/stats/distributions/seeded-random';
import { type Covariance, fiellerInterval } from '@/core/stats/linear/fieller';
import type { Combination } from '@/core/stats/linear/linear-model';
import type { PlannedReading, PlannedTruth } from './planned-reading';
import { type Noise, noisy } from './season-noise';
import { seasonsOf } from './simulate-seasons';

/** How often simulated trials came to which verdict. */
export interface VerdictShares {
  readonly trials: number;
  /** The comparison that works was called better, or clearly better. */
  readonly seen: number;
  readonly clearlySeen: number;
  /** It was called worse, or shown not to matter. */
  readonly missed: number;
  /** One of the comparisons that do nothing was called better or worse; null where there is none. */
  readonly falseAlarm: number | null;
}

/** A simulation on its way, so that a first answer is there at once and gets sharper. */
export interface VerdictSimulation {
  readonly run: (trials: number) => void;
  readonly shares: () => VerdictShares;
}

/**
 * Tries the very verdict rule on made-up trials of a planned layout, on the comparisons that its question asks. What is weighed
 * is drawn in its sums (`byDistributions`); everything else unit by unit, and judged as the real readings will be.
 *
 * @param input a planned trial (`plannedInput`)
 * @returns undefined where the layout leaves no spread to judge by, or can't make the question's first comparison
 */
export function simulateVerdicts(
  input: JudgeInput,
  reading: PlannedReading,
  truth: PlannedTruth,
  seed: number,
): VerdictSimulation | undefined {
  const comparisons = askedComparisonsOf(input).length;
  const season =
    reading.outcome === 'continuous'
      ? byDistributions(input, truth, seed)
      : canBeJudged(input)
        ? seasonsOf(input, reading, truth, seed)
        : undefined;
  if (!season) return undefined;
  const tally = { trials: 0, seen: 0, clearly: 0, missed: 0, alarms: 0 };
  return {
    run: trials => {
      for (let i = 0; i < trials; i++) count(season(), tally);
    },
    shares: () => sharesOf(tally, comparisons),
  };
}

function canBeJudged(input: JudgeInput): boolean {
  const planned = plannedCombinations(input);
  return planned !== undefined && planned.model.residualDf > 0;
}

/**
 * In a linear model all that the rule looks at are the adjusted means and the residual mean square; they are drawn from their
 * exact distributions, which is the same as drawing every unit and fitting, only sooner. That each treatment may be judged by
 * its own spread is left out: where they spread alike, as here, the rule seldom does it.
 *
 * In a split plot the two mean squares are drawn each from its own, which is exact where it is balanced; its critical
 * values are those of the expected degrees of freedom, where the judge takes Satterthwaite's of the data.
 *
 * @returns one season's calls, in the order of the comparisons: the first works, the others do nothing
 */
function byDistributions(
  input: JudgeInput,
  { cv, level, effect }: PlannedTruth,
  seed: number,
): (() => readonly Call[]) | undefined {
  const planned = plannedCombinations(input);
  const noiseOf = planned && noisy(planned.model, planned.strata, cv);
  if (!planned || !noiseOf) return undefined;
  const { comparisons } = planned;
  const criticals = criticalsOf(
    [...comparisons.map(({ difference }) => difference), ...planned.beside],
    noiseOf,
    input.confidence,
  );
  const random = seededRandom(seed);
  const gain = (input.better === 'higher' ? effect : -effect) / level;
  // In shares of an untreated unit.
  const margin: Margin | null =
    input.margin?.kind === 'absolute'
      ? { kind: 'absolute', amount: input.margin.amount / level }
      : input.margin;
  return () => {
    const noise = noiseOf.draw(random);
    const drawn = (combination: Combination, expected: number): Combination => ({
      direction: combination.direction,
      estimate: expected + noise.along(combination),
    });
    return comparisons.map(({ mean, control, difference }, i) => {
      const expected = i === 0 ? gain : 0;
      const season: Season = {
        control: drawn(control, 1),
        mean: drawn(mean, 1 + expected),
        difference: drawn(difference, expected),
        covariance: noise.covariance,
      };
      return callFor({ better: input.better, margin }, season, criticals[i]!);
    });
  };
}

interface PlannedComparison {
  readonly mean: Combination;
  readonly control: Combination;
  readonly difference: Combination;
}

/** What the verdict would be made of: each of the question's comparisons that the layout can make, the first one among them. */
function plannedCombinations(input: JudgeInput) {
  const trial = buildTrialModel(withoutReadings(input));
  const model = trial.fit(trial.units.map(unit => unit.value));
  const lessOf = (controls: Weighed) => controls.map(([name, weight]) => [name, -weight] as const);
  const question = askedComparisonsOf(input);
  const asked = question.map(({ treated, controls }) => ({
    mean: trial.combinationOf(model, treated),
    control: trial.combinationOf(model, controls),
    difference: trial.combinationOf(model, [...treated, ...lessOf(controls)]),
  }));
  const comparisons = asked.flatMap(({ mean, control, difference }): PlannedComparison[] =>
    mean && control && difference ? [{ mean, control, difference }] : [],
  );
  if (!asked[0]?.difference || comparisons.length === 0) return undefined;
  const strata = trial.wholePlot && errorStrataOf(trial, trial.wholePlot, model);
  const beside = (question[0]?.beside ?? []).flatMap(name => {
    const difference = trial.differenceOf(model, name, input.control);
    return difference ? [difference] : [];
  });
  return { comparisons, beside, model, strata };
}

/** A planned trial as its model takes it: what its units read plays no part. */
export function withoutReadings(input: JudgeInput): JudgeInput {
  return { ...input, units: input.units.map((unit, i) => ({ ...unit, value: i % 2 })) };
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
  tally.alarms += Number(calls.some((call, i) => i > 0 && isFound({ call })));
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

/** What one season's readings come to, for one comparison. */
interface Season extends PlannedComparison {
  readonly covariance: Covariance;
}

function callFor(
  { better, margin }: Pick<JudgeInput, 'better' | 'margin'>,
  { control, mean, difference, covariance }: Season,
  { critical, equivalence }: Critical,
): Call {
  if (margin?.kind === 'percent' && control.estimate > 0) {
    const adjusted = fiellerInterval(mean, control, covariance, critical);
    const inner = fiellerInterval(mean, control, covariance, equivalence);
    const inPercent = (ends: readonly [number, number]) =>
      [100 * (ends[0] - 1), 100 * (ends[1] - 1)] as const;
    if (adjusted && inner)
      return callOf(
        { adjusted: inPercent(adjusted), equivalence: inPercent(inner), margin: margin.percent },
        better,
      );
  }
  const se = Math.sqrt(covariance(difference, difference));
  const around = (t: number) =>
    [difference.estimate - t * se, difference.estimate + t * se] as const;
  return callOf(
    {
      adjusted: around(critical),
      equivalence: around(equivalence),
      margin: marginAmount(margin, Math.abs(control.estimate)),
    },
    better,
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
