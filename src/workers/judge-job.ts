import * as Comlink from 'comlink';
import type { Analysis, AnalysisSpec } from '@/core/judge/units/trial-analysis';
import type { TrialData } from '@/core/trial/model/trial-data';
import type { JudgeApi, JudgeProgress, MeasurePValues, PermutationProgress } from './judge.worker';

/** Work under way in a worker of its own. */
export interface JudgeJob<Found> {
  /** Rejects with an `AbortError` when it was cancelled. */
  readonly result: Promise<Found>;
  readonly cancel: () => void;
}

/** Starts judging beside the page, which stays free to scroll and type. */
export function startJudging(
  data: TrialData,
  spec: AnalysisSpec,
  onProgress: (progress: JudgeProgress) => void,
): JudgeJob<Analysis> {
  return startBeside(onProgress, (judge, report) => judge.judgeInSteps(data, spec, report));
}

/** Starts the shuffles of several measures beside the page. */
export function startPermutations(
  data: TrialData,
  spec: AnalysisSpec,
  measureIds: readonly string[],
  onProgress: (progress: PermutationProgress) => void,
): JudgeJob<readonly MeasurePValues[]> {
  return startBeside(onProgress, (judge, report) =>
    judge.shuffleEach(data, spec, measureIds, report),
  );
}

function startBeside<Progress, Found>(
  onProgress: (progress: Progress) => void,
  work: (judge: Comlink.Remote<JudgeApi>, report: (progress: Progress) => void) => Promise<Found>,
): JudgeJob<Found> {
  const worker = new Worker(new URL('./judge.worker.ts', import.meta.url), { type: 'module' });
  const remote = Comlink.wrap<JudgeApi>(worker);
  let cancel: () => void = () => undefined;
  let isCancelled = false;
  const result = new Promise<Found>((resolve, reject) => {
    cancel = () => {
      isCancelled = true;
      worker.terminate();
      reject(new DOMException('cancelled', 'AbortError'));
    };
    worker.onerror = event => {
      worker.terminate();
      reject(new Error(event.message || 'the worker failed'));
    };
    // A report that was on its way when the worker ended still arrives: nobody wants to hear it any more.
    const report = (progress: Progress): void => {
      if (!isCancelled) onProgress(progress);
    };
    work(remote, Comlink.proxy(report))
      .then(resolve, reject)
      .finally(() => {
        remote[Comlink.releaseProxy]();
        worker.terminate();
      });
  });
  return { result, cancel: () => cancel() };
}
