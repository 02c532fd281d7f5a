import * as Comlink from 'comlink';
import { judgeWithoutShuffle, shuffleProblemOf, withShuffle } from '@/core/judge/outcomes/judge';
import { testsOf } from '@/core/judge/question/judge-input';
import {
  judgeInputOf,
  analyse,
  type AnalysisSpec,
  type Analysis,
} from '@/core/judge/units/trial-analysis';
import { startPermutationTest } from '@/core/stats/permutation/permutation-test';
import type { TrialData } from '@/core/trial/model/trial-data';

/** How far the shuffles are, with what they have found until now. */
export interface JudgeProgress {
  readonly looked: Analysis;
  readonly done: number;
  readonly total: number;
}

const REPORTS = 20;
const STEPS_OF_ONE = 5;

/** Judges a trial: first all that needs no shuffles, then the shuffles in steps, each reported. */
async function judgeInSteps(
  data: TrialData,
  look: AnalysisSpec,
  report: (progress: JudgeProgress) => Promise<void> | void,
): Promise<Analysis> {
  const looked = analyse(data, look, judgeWithoutShuffle);
  const problem = look.shuffles > 0 ? shuffleProblemOf(looked.input) : undefined;
  const run = problem && startPermutationTest(problem, look.shuffles, look.seed);
  if (!run) return looked;
  await report({ looked, done: 0, total: run.total });
  const soFar = (): Analysis => ({
    ...looked,
    judgement: withShuffle(looked.judgement, looked.input, run.result()),
  });
  while (run.step(Math.ceil(run.total / REPORTS)))
    await report({ looked: soFar(), done: run.done(), total: run.total });
  return soFar();
}

/** How far the shuffles of several measures are, and what those that are through have found. */
export interface LuckProgress {
  readonly done: number;
  readonly total: number;
  readonly lucks: readonly MeasureLuck[];
}

/** Of one measure: how often luck alone makes the largest gap as wide, by treatment. */
export interface MeasureLuck {
  readonly measureId: string;
  readonly deals: number;
  readonly treatments: readonly { readonly treatment: string; readonly pAdjusted: number }[];
}

/** Shuffles measure after measure, reporting on the way. One that can't be shuffled is passed over. */
async function shuffleEach(
  data: TrialData,
  look: AnalysisSpec,
  measureIds: readonly string[],
  report: (progress: LuckProgress) => Promise<void> | void,
): Promise<readonly MeasureLuck[]> {
  const runs = measureIds.flatMap(measureId => {
    const input = judgeInputOf(data, { ...look, measureId });
    const problem = shuffleProblemOf(input);
    const run = problem && startPermutationTest(problem, look.shuffles, look.seed);
    return run ? [{ measureId, tests: testsOf(input), run }] : [];
  });
  const total = runs.reduce((sum, { run }) => sum + run.total, 0);
  const lucks: MeasureLuck[] = [];
  for (const { measureId, tests, run } of runs) {
    while (run.step(Math.ceil(run.total / STEPS_OF_ONE)))
      await report({ done: runs.reduce((sum, each) => sum + each.run.done(), 0), total, lucks });
    const { arrangements, comparisons } = run.result();
    lucks.push({
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
      lucks: [...lucks],
    });
  }
  return lucks;
}

const api = { judgeInSteps, shuffleEach };
/** What the worker offers to the page. */
export type JudgeApi = typeof api;
Comlink.expose(api);
