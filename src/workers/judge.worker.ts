import * as Comlink from 'comlink';
import { judgeWithoutShuffle, shuffleProblemOf, withShuffle } from '@/core/judge/judge';
import { judgeUnderLook, type Look, type LookedJudgement } from '@/core/judge/trial-verdict';
import { startShuffleTest } from '@/core/stats/shuffle-test';
import type { TrialData } from '@/core/trial/trial-data';

/** How far the shuffles are, with what they have found until now. */
export interface JudgeProgress {
  readonly looked: LookedJudgement;
  readonly done: number;
  readonly total: number;
}

const REPORTS = 20;

/** Judges a trial: first all that needs no shuffles, then the shuffles in steps, each reported. */
async function judgeInSteps(data: TrialData, look: Look, report: (progress: JudgeProgress) => Promise<void> | void): Promise<LookedJudgement> {
  const looked = judgeUnderLook(data, look, judgeWithoutShuffle);
  const problem = look.shuffles > 0 ? shuffleProblemOf(looked.input) : undefined;
  const run = problem && startShuffleTest(problem, look.shuffles, look.seed);
  if (!run) return looked;
  await report({ looked, done: 0, total: run.total });
  const soFar = (): LookedJudgement => ({ ...looked, judgement: withShuffle(looked.judgement, looked.input, run.result()) });
  while (run.step(Math.ceil(run.total / REPORTS))) await report({ looked: soFar(), done: run.done(), total: run.total });
  return soFar();
}

const api = { judgeInSteps };
/** What the worker offers to the page. */
export type JudgeApi = typeof api;
Comlink.expose(api);
