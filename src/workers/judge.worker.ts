import * as Comlink from 'comlink';
import { judgeWithoutShuffle, withShuffle } from '@/core/judge/outcomes/judge';
import { shuffleProblemOf } from '@/core/judge/outcomes/shuffle-problem';
import { testsOf } from '@/core/judge/question/judge-input';
import {
  type Analysis,
  type AnalysisSpec,
  analyse,
  judgeInputOf,
} from '@/core/judge/units/trial-analysis';
import { startPermutationTest } from '@/core/stats/permutation/permutation-test';
import type { TrialData } from '@/core/trial/model/trial-data';

/** How far the shuffles are, with what they have found until now. */
export interface JudgeProgress {
  readonly analysis: Analysis;
  readonly done: number;
  readonly total: number;
}

const REPORTS = 20;
const STEPS_OF_ONE = 5;

/** Judges a trial: first all that needs no shuffles, then the shuffles in steps, each reported. */
async function judgeInSteps(
  data: TrialData,
  spec: AnalysisSpec,
  report: (progress: JudgeProgress) => Promise<void> | void,
): Promise<Analysis> {
  const analysis = analyse(data, spec, judgeWithoutShuffle);
  const problem = spec.shuffles > 0 ? shuffleProblemOf(analysis.input) : undefined;
  const run = problem && startPermutationTest(problem, spec.shuffles, spec.seed);
  if (!run) return analysis;
  await report({ analysis, done: 0, total: run.total });
  const soFar = (): Analysis => ({
    ...analysis,
    judgement: withShuffle(analysis.judgement, analysis.input, run.result()),
  });
  while (run.step(Math.ceil(run.total / REPORTS)))
    await report({ analysis: soFar(), done: run.done(), total: run.total });
  return soFar();
}

/** How far the shuffles of several measures are, and what those that are through have found. */
export interface PermutationProgress {
  readonly done: number;
  readonly total: number;
  readonly pValues: readonly MeasurePValues[];
}

/** Of one measure: how often luck alone makes the largest gap as wide, by treatment. */
export interface MeasurePValues {
  readonly measureId: string;
  readonly deals: number;
  readonly treatments: readonly { readonly treatment: string; readonly pAdjusted: number }[];
}

/** Shuffles measure after measure, reporting on the way. One that can't be shuffled is passed over. */
async function shuffleEach(
  data: TrialData,
  spec: AnalysisSpec,
  measureIds: readonly string[],
  report: (progress: PermutationProgress) => Promise<void> | void,
): Promise<readonly MeasurePValues[]> {
  const runs = measureIds.flatMap(measureId => {
    const input = judgeInputOf(data, { ...spec, measureId });
    const problem = shuffleProblemOf(input);
    const run = problem && startPermutationTest(problem, spec.shuffles, spec.seed);
    return run ? [{ measureId, tests: testsOf(input), run }] : [];
  });
  const total = runs.reduce((sum, { run }) => sum + run.total, 0);
  const pValues: MeasurePValues[] = [];
  for (const { measureId, tests, run } of runs) {
    while (run.step(Math.ceil(run.total / STEPS_OF_ONE)))
      await report({ done: runs.reduce((sum, each) => sum + each.run.done(), 0), total, pValues });
    const { arrangements, comparisons } = run.result();
    pValues.push({
      measureId,
      deals: arrangements,
      treatments: comparisons.map(({ treatment, pAdjusted }) => ({
        treatment: tests[treatment - 1] ?? '',
        pAdjusted,
      })),
    });
    await report({
      done: runs.reduce((sum, each) => sum + each.run.done(), 0),
      total,
      pValues: [...pValues],
    });
  }
  return pValues;
}

const api = { judgeInSteps, shuffleEach };
/** What the worker offers to the page. */
export type JudgeApi = typeof api;
Comlink.expose(api);
