import { isOneEachCell, type TrialModel } from '@/core/design/linear/trial-model';
import { unitsNeeded } from '@/core/judge/planning/units-needed';
import type { JudgeInput } from '@/core/judge/question/judge-input';
import { callOf, marginAmount } from '@/core/judge/verdict/call';
import { tQuantile, tTwoSidedP } from '@/core/stats/distributions/distributions';
import type { Combination } from '@/core/stats/linear/linear-model';
import { median } from '@/core/stats/median';
import type { Contrast, EstimableContrast } from './judgement';
import type { EffectError } from './spread/error-strata';
import { type Family, familiesOf } from './spread/families';
import { blockInteractionOf, gardenErrorOf } from './spread/garden-error';
import { judgedSpreadOf } from './spread/judged-spread';
import { effectOf } from './working/effect-size';
import type { Compared, NaturalScale, Reach } from './working/natural-scale';
import type { WorkingTrial } from './working/working-trial';

/** All comparisons with the control, and the critical value that covers them together. */
export interface ControlComparisons {
  readonly contrasts: readonly Contrast[];
  /** Where comparisons have different degrees of freedom, the largest one. */
  readonly criticalT: number | null;
  /** What they rest on; undefined where nothing is left to judge by. */
  readonly spread: EffectError | undefined;
}

/** Every treatment against the control: plain, all together, as percent of the control, and its call. */
export function compareWithControl(
  input: JudgeInput,
  working: WorkingTrial,
  pooled: EffectError | undefined,
  jointly: typeof familiesOf = familiesOf,
): ControlComparisons {
  const { trial, model } = working;
  const tests = input.treatments.filter(name => name !== input.control);
  const combinations = tests.map(name => trial.differenceOf(model, name, input.control));
  const isReplicated = replicatedIn(input, trial);
  const isJudged = (combination: Combination | undefined, treatment: string): boolean =>
    combination !== undefined &&
    isReplicated(treatment) &&
    isReplicated(input.control) &&
    pooled?.judges(combination) === true;
  const judged = combinations.flatMap((combination, i) =>
    combination && isJudged(combination, tests[i]!) ? [combination] : [],
  );
  const ofGardens = gardenErrorOf(blockInteractionOf(input, working));
  const spread = pooled && (ofGardens ?? judgedSpreadOf(working, pooled, judged, input.confidence));
  const families = spread && jointly(judged, spread, input.confidence);
  const control = trial.meanOf(model, input.control);
  const contrasts = tests.map((treatment, i): Contrast => {
    const difference = combinations[i];
    if (!difference)
      return { estimable: false, treatment, control: input.control, call: 'no-test' };
    const context: ContrastContext = {
      input,
      trial,
      model,
      scale: working.scale,
      treatment,
      controlName: input.control,
      treated: [treatment],
      controls: [input.control],
      difference,
      mean: trial.meanOf(model, treatment),
      control,
      unitCounts: [countOf(trial, treatment), countOf(trial, input.control)],
    };
    return pooled && spread && families && isJudged(difference, treatment)
      ? testedContrast(context, { pooled, spread }, families(difference))
      : untestedContrast(context);
  });
  const criticals = families ? judged.map(each => families(each).criticalT) : [];
  return {
    contrasts,
    criticalT: criticals.length > 0 ? Math.max(...criticals) : null,
    spread,
  };
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
export interface ContrastContext extends Compared {
  readonly scale: NaturalScale;
  readonly treatment: string;
  /** What the treatment is held against. */
  readonly controlName: string;
  /** Units of the treatment and of the control. */
  readonly unitCounts: readonly [number, number];
}

/** The common spread, and the one that the call rests on; the same in most trials. */
export interface Spreads {
  readonly pooled: EffectError;
  readonly spread: EffectError;
}

/** A gap that nothing is there to judge by. */
export function untestedContrast(context: ContrastContext): EstimableContrast {
  const { treatment, controlName, model, scale } = context;
  return {
    estimable: true,
    treatment,
    control: controlName,
    difference: scale.difference(context),
    se: null,
    df: model.residualDf,
    t: null,
    p: null,
    ci: null,
    pAdjusted: null,
    ciAdjusted: null,
    ciEquivalence: null,
    percent: scale.percent(context),
    percentCi: null,
    percentCiAdjusted: null,
    percentCiEquivalence: null,
    logRatio: null,
    effect: null,
    reach: null,
    shuffleP: null,
    shufflePAdjusted: null,
    call: 'no-test',
    unitsNeeded: null,
  };
}

export function testedContrast(
  context: ContrastContext,
  spreads: Spreads,
  family: Family,
): EstimableContrast {
  const { input, difference, control, scale } = context;
  const { pooled, spread } = spreads;
  const se = Math.sqrt(pooled.covariance(difference, difference));
  const df = pooled.dfOf(difference);
  const t = difference.estimate / se;
  const plain: Reach = {
    covariance: pooled.covariance,
    critical: tQuantile(1 - (1 - input.confidence) / 2, df),
    df,
  };
  const judgedDf = spread.dfOf(difference);
  const together: Reach = {
    covariance: spread.covariance,
    critical: family.criticalT,
    df: judgedDf,
  };
  const equivalence: Reach = { ...together, critical: family.equivalenceT };
  const intervals = {
    ci: scale.interval(context, plain),
    ciAdjusted: scale.interval(context, together),
    // Of ranks it takes long to find, and without a margin it is not asked.
    ciEquivalence:
      input.margin || input.outcome !== 'ordinal' ? scale.interval(context, equivalence) : null,
    percentCi: scale.percentInterval(context, plain),
    percentCiAdjusted: scale.percentInterval(context, together),
    percentCiEquivalence: scale.percentInterval(context, equivalence),
  };
  const level = control ? scale.level(control) : 0;
  const smallest = marginAmount(input.margin, marginLevel(context, level));
  const call = callBy(context, intervals, smallest);
  return {
    ...untestedContrast(context),
    se,
    df,
    t,
    ...pValues(context, { t, df, judgedDf }, spreads, family),
    ...intervals,
    // Seasons and gardens are weighed by it: a treatment's own spread, of a few units, is too unsure a weight.
    logRatio: scale.logRatio(context, spread.isOwn ? pooled.covariance : spread.covariance),
    effect: effectOf(context, together),
    reach: {
      estimate: difference.estimate,
      se: Math.sqrt(spread.covariance(difference, difference)),
      df: judgedDf,
      critical: family.criticalT,
      isOwnSpread: spread.isOwn === true,
    },
    call,
    // Without a margin no number of units settles it: a difference of nothing can't be ruled out.
    unitsNeeded:
      call === 'cant-tell' && smallest > 0
        ? neededFor(context, spread, scale.workingMargin(smallest, level))
        : null,
  };
}

/** What a margin in percent is a percentage of. */
function marginLevel({ input, trial, controls }: ContrastContext, level: number): number {
  if (input.outcome !== 'ordinal') return level;
  const ids = new Set(
    trial.units.filter(unit => controls.includes(unit.treatment)).map(unit => unit.id),
  );
  const steps = input.units.flatMap(unit =>
    ids.has(unit.id) && unit.value !== null ? [unit.value] : [],
  );
  return steps.length === 0 ? 0 : median(steps);
}

function pValues(
  { difference }: ContrastContext,
  { t, df, judgedDf }: { readonly t: number; readonly df: number; readonly judgedDf: number },
  { spread }: Spreads,
  { largest }: Family,
): { readonly p: number; readonly pAdjusted: number } {
  const judgedT = difference.estimate / Math.sqrt(spread.covariance(difference, difference));
  const own = tTwoSidedP(judgedT, judgedDf);
  return {
    p: tTwoSidedP(t, df),
    pAdjusted: Math.min(1, Math.max(own, largest.upperTail(judgedT))),
  };
}

type Intervals = Pick<
  EstimableContrast,
  'ciAdjusted' | 'ciEquivalence' | 'percentCiAdjusted' | 'percentCiEquivalence'
>;

function callBy(
  { input }: ContrastContext,
  { ciAdjusted, ciEquivalence, percentCiAdjusted, percentCiEquivalence }: Intervals,
  smallest: number,
): EstimableContrast['call'] {
  if (input.margin?.kind === 'percent' && percentCiAdjusted && percentCiEquivalence)
    return callOf(
      {
        adjusted: percentCiAdjusted,
        equivalence: percentCiEquivalence,
        margin: input.margin.percent,
      },
      input.better,
    );
  return ciAdjusted
    ? callOf(
        { adjusted: ciAdjusted, equivalence: ciEquivalence ?? ciAdjusted, margin: smallest },
        input.better,
      )
    : 'no-test';
}

function neededFor(
  { input, difference, unitCounts }: ContrastContext,
  spread: EffectError,
  margin: number | null,
): number | null {
  if (margin === null) return null;
  return unitsNeeded({
    difference: difference.estimate,
    se: Math.sqrt(spread.covariance(difference, difference)),
    residualDf: spread.dfOf(difference),
    margin,
    confidence: input.confidence,
    unitsEach: unitsEach(unitCounts),
    treatments: input.treatments.length,
  });
}

/** Harmonic mean of two treatments' counts: what the variance of their difference rests on. */
function unitsEach(counts: readonly [number, number]): number {
  return counts.length / counts.reduce((sum, count) => sum + 1 / Math.max(1, count), 0);
}

function countOf(trial: TrialModel, treatment: string): number {
  return trial.units.filter(unit => unit.treatment === treatment).length;
}
