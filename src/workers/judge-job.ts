import * as Comlink from 'comlink';
import type { Look, LookedJudgement } from '@/core/judge/trial-verdict';
import type { TrialData } from '@/core/trial/trial-data';
import type { JudgeApi, JudgeProgress } from './judge.worker';

/** A judging under way in a worker of its own. */
export interface JudgeJob {
  /** Rejects with an `AbortError` when it was cancelled. */
  readonly result: Promise<LookedJudgement>;
  readonly cancel: () => void;
}

/** Starts judging beside the page, which stays free to scroll and type. */
export function startJudging(data: TrialData, look: Look, onProgress: (progress: JudgeProgress) => void): JudgeJob {
  const worker = new Worker(new URL('./judge.worker.ts', import.meta.url), { type: 'module' });
  const remote = Comlink.wrap<JudgeApi>(worker);
  let cancel: () => void = () => undefined;
  let isCancelled = false;
  const result = new Promise<LookedJudgement>((resolve, reject) => {
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
    const report = (progress: JudgeProgress): void => {
      if (!isCancelled) onProgress(progress);
    };
    remote.judgeInSteps(data, look, Comlink.proxy(report)).then(resolve, reject).finally(() => {
      remote[Comlink.releaseProxy]();
      worker.terminate();
    });
  });
  return { result, cancel: () => cancel() };
}
