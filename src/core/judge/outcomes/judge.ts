import {
  buildTrialModel,
  distinct,
  isOneEachCell,
  type TrialModel,
} from '@/core/design/linear/trial-model';
import { type JudgeInput, testsOf } from '@/core/judge/question/judge-input';
import { lookByOwnSpread, lookOnOtherScales } from '@/core/judge/sensitivity/other-scales';
import { isBetter, isWorse } from '@/core/judge/verdict/call';
import { wordVerdict } from '@/core/judge/verdict/verdict-words';
import { warningsOf } from '@/core/judge/verdict/warnings';
import { groupLetters } from '@/core/stats/linear/compact-letters';
import type { LinearModel } from '@/core/stats/linear/linear-model';
import { median } from '@/core/stats/median';
import type { PermutationProblem } from '@/core/stats/permutation/permutation-problem';
import {
  type PermutationResult,
  runPermutationTest,
} from '@/core/stats/permutation/permutation-test';
import { compareWithControl } from './comparisons';
import { designOf } from './design-of';
import { type EffectError, errorAnalysisOf } from './error-strata';
import { compareEveryPair } from './every-pair';
import { factorEffectsOf, interactionsOf } from './factor-effects';
import type { Contrast, Judgement, Pair, TreatmentGroup } from './judgement';
import { ruleOfLayout } from './re-randomisation-of';

/** Judges a trial whole, shuffle test included. */
export function judge(input: JudgeInput): Judgement {
  const problem = input.shuffles > 0 ? shuffleProblemOf(input) : undefined;
  const shuffle = problem && runPermutationTest(problem, input.shuffles, input.seed);
  return withShuffle(judgeWithoutShuffle(input), input, shuffle);
}

/**
 * All but the shuffle test, which a screen runs step by step.
 *
 * @throws {RangeError} the control is not among the treatments, or there are fewer than two: callers let no such trial through
 */
export function judgeWithoutShuffle(input: JudgeInput): Judgement {
  if (input.treatments.length < 2)
    throw new RangeError(`there must be at least two treatments, got ${input.treatments.length}`);
  if (!input.treatments.includes(input.control))
    throw new RangeError(`control must be one of the treatments, got ${input.control}`);
  const trial = buildTrialModel(input);
  const groups = groupsOf(input, trial);
  if (trial.units.length === 0) return emptyJudgement(input);

  const model = trial.fit(trial.units.map(unit => unit.value));
  const { anova, spread } = errorAnalysisOf(trial, model);
  const { contrasts, criticalT } = compareWithControl(input, trial, model, spread);
  const effects = factorEffectsOf(input, trial, model, spread);
  const interactions = interactionsOf(input, anova);
  const pairs = compareEveryPair(input, trial, model, spread);
  const means = adjustedMeans(input, trial, model);
  const bestFirst = orderedBestFirst(input, means, groups);
  const design = designOf(input, trial);
  const warnings = warningsOf({ input, trial, model, spread, contrasts, design });
  return {
    design,
    groups,
    adjustedMeans: means,
    anova,
    contrasts,
    effects,
    interactions,
    pairs,
    letters: lettersOf(bestFirst, pairs, input.confidence),
    shuffle: null,
    otherScales:
      criticalT === null
        ? []
        : otherLooks(
            input,
            trial,
            contrasts,
            criticalT,
            warnings.some(warning => warning.code === 'unequal-variance'),
          ),
    criticalT,
    verdict: wordVerdict({
      input,
      contrasts,
      agreed: agreedContrast(input, trial, model, spread),
      effects,
      interactions,
      groups,
      mayHoldTheBest: mayHoldTheBest(input, bestFirst, contrasts, pairs),
    }),
    warnings,
  };
}

/** The comparison that was agreed on, by itself: no other one was asked, so none is allowed for. */
function agreedContrast(
  { agreed, ...input }: JudgeInput,
  trial: TrialModel,
  model: LinearModel,
  spread: EffectError | undefined,
): Contrast | null {
  if (!agreed) return null;
  const { one, other } = agreed;
  const asked = { ...input, treatments: [other, one], control: other };
  return compareWithControl(asked, trial, model, spread).contrasts[0] ?? null;
}

/** Where the spreads are unlike, a look that lets each keep its own belongs to it; elsewhere it would only be weaker. */
function otherLooks(
  input: JudgeInput,
  trial: TrialModel,
  contrasts: readonly Contrast[],
  criticalT: number,
  isUnequal: boolean,
): Judgement['otherScales'] {
  const own = isUnequal ? lookByOwnSpread(input, trial, contrasts, criticalT) : undefined;
  return [...lookOnOtherScales(input, trial, contrasts, criticalT), ...(own ? [own] : [])];
}

/** Only what a treatment comes to and what is called of it: enough where many measures stand beside each other. */
export function callsOf(
  input: JudgeInput,
): Pick<Judgement, 'groups' | 'adjustedMeans' | 'contrasts'> {
  const trial = buildTrialModel(input);
  if (trial.units.length === 0) return emptyJudgement(input);
  const model = trial.fit(trial.units.map(unit => unit.value));
  return {
    groups: groupsOf(input, trial),
    adjustedMeans: adjustedMeans(input, trial, model),
    contrasts: compareWithControl(input, trial, model, errorAnalysisOf(trial, model).spread)
      .contrasts,
  };
}

/** The judgement with what the shuffles found put beside each contrast. */
export function withShuffle(
  judgement: Judgement,
  input: JudgeInput,
  shuffle: PermutationResult | undefined,
): Judgement {
  if (!shuffle) return judgement;
  const tests = testsOf(input);
  return {
    ...judgement,
    shuffle,
    contrasts: judgement.contrasts.map(contrast => {
      const found = shuffle.comparisons.find(
        comparison => tests[comparison.treatment - 1] === contrast.treatment,
      );
      return contrast.estimable && found
        ? { ...contrast, shuffleP: found.p, shufflePAdjusted: found.pAdjusted }
        : contrast;
    }),
  };
}

/** The trial as the shuffle test sees it; undefined without a measured unit. */
export function shuffleProblemOf(input: JudgeInput): PermutationProblem | undefined {
  const trial = buildTrialModel(input);
  // One of each combination: every deal makes another table of the same kind, and the cells have no spread of their own.
  if (trial.units.length === 0 || isOneEachCell(input, trial.units)) return undefined;
  const levels = [input.control, ...testsOf(input)];
  const wholes = trial.wholePlot && distinct(trial.wholePlot);
  return {
    y: trial.units.map(unit => unit.value),
    treatment: trial.units.map(unit => levels.indexOf(unit.treatment)),
    treatments: levels.length,
    ...ruleOfLayout(input, trial),
    blocks: trial.blockTerms,
    covariate: trial.covariate,
    placeColumns: trial.placeColumns,
    wholePlot: wholes && trial.wholePlot?.map(name => wholes.indexOf(name)),
  };
}

function groupsOf(input: JudgeInput, trial: TrialModel): readonly TreatmentGroup[] {
  return input.treatments.flatMap((treatment): TreatmentGroup[] => {
    const values = trial.units.filter(unit => unit.treatment === treatment).map(unit => unit.value);
    const n = values.length;
    if (n === 0) return [];
    const mean = values.reduce((sum, value) => sum + value, 0) / n;
    const square = values.reduce((sum, value) => sum + (value - mean) ** 2, 0);
    return [
      {
        treatment,
        n,
        mean,
        sd: n > 1 ? Math.sqrt(square / (n - 1)) : null,
        median: median(values),
      },
    ];
  });
}

function adjustedMeans(
  input: JudgeInput,
  trial: TrialModel,
  model: LinearModel,
): Readonly<Record<string, number | null>> {
  return Object.fromEntries(
    input.treatments.map(name => [name, trial.meanOf(model, name)?.estimate ?? null]),
  );
}

function orderedBestFirst(
  input: JudgeInput,
  means: Readonly<Record<string, number | null>>,
  groups: readonly TreatmentGroup[],
): readonly string[] {
  const sign = input.better === 'higher' ? -1 : 1;
  const meanOf = (name: string): number =>
    means[name] ?? groups.find(group => group.treatment === name)?.mean ?? 0;
  return groups.map(group => group.treatment).sort((a, b) => sign * (meanOf(a) - meanOf(b)));
}

function lettersOf(
  bestFirst: readonly string[],
  pairs: readonly Pair[],
  confidence: number,
): Readonly<Record<string, string>> | null {
  const known = pairs.every(pair => pair.estimable && pair.pAdjusted !== null);
  return known && pairs.length > 0
    ? groupLetters(bestFirst, (a, b) => differ(a, b, pairs, 1 - confidence))
    : null;
}

function differ(a: string, b: string, pairs: readonly Pair[], alpha: number): boolean {
  const pair = pairs.find(
    candidate =>
      (candidate.a === a && candidate.b === b) || (candidate.a === b && candidate.b === a),
  );
  return pair?.estimable === true && pair.pAdjusted !== null && pair.pAdjusted < alpha;
}

/**
 * The treatments not told apart from the one with the best mean, in the trial's order. The control is out where the best
 * beats it (Dunnett sees more than Tukey there), and so is what the control beats when the control is best.
 */
function mayHoldTheBest(
  input: JudgeInput,
  bestFirst: readonly string[],
  contrasts: readonly Contrast[],
  pairs: readonly Pair[],
): readonly string[] {
  const top = bestFirst[0];
  const callOfTest = (name: string | undefined) =>
    contrasts.find(contrast => contrast.treatment === name)?.call ?? 'no-test';
  return input.treatments.filter(name => {
    if (!bestFirst.includes(name) || top === undefined) return false;
    if (name === top) return true;
    if (name === input.control && isBetter(callOfTest(top))) return false;
    if (top === input.control && isWorse(callOfTest(name))) return false;
    return !differ(name, top, pairs, 1 - input.confidence);
  });
}

function emptyJudgement(input: JudgeInput): Judgement {
  return {
    design: {
      kind: 'complete-randomisation',
      units: 0,
      subsamples: 0,
      blocks: 0,
      treatments: input.treatments.length,
    },
    groups: [],
    adjustedMeans: Object.fromEntries(input.treatments.map(name => [name, null])),
    anova: [],
    contrasts: testsOf(input).map(treatment => ({
      estimable: false,
      treatment,
      control: input.control,
      call: 'no-test',
    })),
    effects: [],
    interactions: [],
    pairs: [],
    letters: null,
    shuffle: null,
    otherScales: [],
    criticalT: null,
    verdict: {
      call: 'no-test',
      best: null,
      mayHoldTheBest: [],
      unitsNeeded: null,
      headline: 'Nothing to judge yet.',
      detail: `No ${input.unitWord} has given a reading.`,
    },
    warnings: [],
  };
}
