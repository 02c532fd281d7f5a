import { type JudgeInput, testsOf } from '@/core/judge/question/judge-input';
import { lookOnOtherScales } from '@/core/judge/sensitivity/other-scales';
import { isBetter, isFound, isWorse } from '@/core/judge/verdict/call';
import { warningsOf } from '@/core/judge/verdict/warnings';
import { wordVerdict } from '@/core/judge/verdict/words/verdict-words';
import { groupLetters } from '@/core/stats/linear/compact-letters';
import {
  type PermutationResult,
  runPermutationTest,
} from '@/core/stats/permutation/permutation-test';
import { agreedContrast } from './agreed-contrast';
import { comparedWithControl } from './compared-with-control';
import { designOf } from './design-of';
import { doseTrendOf } from './dose/dose-trend';
import { levelsOffOf } from './dose/levels-off';
import { compareEveryPair } from './every-pair';
import { factorEffectsOf, interactionsOf } from './factor-effects';
import { groupsOf } from './groups';
import type { Contrast, Judgement, Pair, TreatmentGroup } from './judgement';
import { overallOf } from './overall';
import { shuffleProblemOf } from './shuffle-problem';
import { errorAnalysisOf } from './spread/error-strata';
import { type WorkingTrial, workingTrialOf } from './working/working-trial';

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
  if (input.units.every(unit => unit.value === null)) return emptyJudgement(input);
  const working = workingTrialOf(input);
  const { trial, model } = working;
  const groups = groupsOf(input);
  const { anova, spread: pooled } = errorAnalysisOf(trial, model, working.leastSpread);
  const compared = comparedWithControl(input, working, pooled);
  const { contrasts, criticalT, spread } = compared;
  const effects = factorEffectsOf(input, working, pooled);
  const interactions = interactionsOf(input, anova, working);
  const trend = doseTrendOf(input, working, pooled);
  // Curves take longest, and where nothing rises nothing levels off.
  const levelsOff = trend && isFound(trend) ? levelsOffOf(input) : null;
  const pairs = compareEveryPair(input, working, pooled);
  const bestFirst = orderedBestFirst(input, working, groups);
  const agreed = agreedContrast(input, working, pooled);
  const design = designOf(input, trial);
  const warnings = warningsOf({ input, working, trial, model, spread, contrasts, design });
  return {
    design,
    groups,
    adjustedMeans: adjustedMeans(input, working, groups),
    anova,
    overall: overallOf(input),
    contrasts,
    agreed,
    effects,
    interactions,
    trend,
    levelsOff,
    pairs,
    letters: lettersOf(bestFirst, pairs, input.confidence),
    shuffle: null,
    otherScales:
      criticalT === null || input.outcome !== 'continuous'
        ? []
        : lookOnOtherScales(input, trial, contrasts, criticalT),
    criticalT,
    verdict: wordVerdict({
      input,
      contrasts,
      agreed,
      effects,
      interactions,
      trend,
      levelsOff,
      groups,
      mayHoldTheBest: mayHoldTheBest(input, bestFirst, contrasts, pairs),
    }),
    warnings,
  };
}

/** Only what a treatment comes to and what is called of it: enough where many measures stand beside each other. */
export function callsOf(
  input: JudgeInput,
): Pick<Judgement, 'groups' | 'adjustedMeans' | 'contrasts'> {
  if (input.units.every(unit => unit.value === null)) return emptyJudgement(input);
  const working = workingTrialOf(input);
  const groups = groupsOf(input);
  const { spread } = errorAnalysisOf(working.trial, working.model, working.leastSpread);
  return {
    groups,
    adjustedMeans: adjustedMeans(input, working, groups),
    contrasts: comparedWithControl(input, working, spread).contrasts,
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

/** In what one reads; of steps, whose model is one of ranks, their plain mean. */
function adjustedMeans(
  input: JudgeInput,
  { trial, model, scale }: WorkingTrial,
  groups: readonly TreatmentGroup[],
): Readonly<Record<string, number | null>> {
  const levelOf = (name: string): number | null => {
    if (input.outcome === 'ordinal')
      return groups.find(group => group.treatment === name)?.mean ?? null;
    const mean = trial.meanOf(model, name);
    return mean ? scale.level(mean) : null;
  };
  return Object.fromEntries(input.treatments.map(name => [name, levelOf(name)]));
}

function orderedBestFirst(
  input: JudgeInput,
  { trial, model }: WorkingTrial,
  groups: readonly TreatmentGroup[],
): readonly string[] {
  const sign = input.better === 'higher' ? -1 : 1;
  const levels = new Map(
    groups.map(({ treatment, mean }) => [
      treatment,
      trial.meanOf(model, treatment)?.estimate ?? mean,
    ]),
  );
  const levelOf = (name: string): number => levels.get(name) ?? 0;
  return groups.map(group => group.treatment).sort((a, b) => sign * (levelOf(a) - levelOf(b)));
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
    overall: null,
    contrasts: testsOf(input).map(treatment => ({
      estimable: false,
      treatment,
      control: input.control,
      call: 'no-test',
    })),
    agreed: null,
    effects: [],
    interactions: [],
    trend: null,
    levelsOff: null,
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
