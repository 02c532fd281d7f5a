import { useCallback, useEffect, useRef, useState } from 'react';
import type { AnalysisSpec } from '@/core/judge/units/trial-analysis';
import type { TrialData } from '@/core/trial/model/trial-data';
import type { MeasurePValues } from '@/workers/judge.worker';
import { type JudgeJob, startPermutations } from '@/workers/judge-job';

/** Where the shuffles of all measures stand. */
export interface PermutationPValuesState {
  readonly pValues: readonly MeasurePValues[];
  readonly progress: { readonly done: number; readonly total: number } | null;
  readonly status: 'running' | 'ready' | 'stopped' | 'failed';
  readonly start: () => void;
  readonly cancel: () => void;
}

const NONE: Pick<PermutationPValuesState, 'pValues' | 'progress' | 'status'> = {
  pValues: [],
  progress: null,
  status: 'running',
};

/** Shuffles the measures one after another in a worker, from when the whole trial is there; stopped, it keeps what is through. */
export function usePermutationPValues(
  data: TrialData | null,
  spec: AnalysisSpec,
  measureIds: readonly string[],
): PermutationPValuesState {
  const [state, setState] = useState(NONE);
  const job = useRef<JudgeJob<readonly MeasurePValues[]> | null>(null);
  const ids = measureIds.join();
  const start = useCallback((): void => {
    job.current?.cancel();
    if (!data) return;
    setState(NONE);
    const started = startPermutations(
      data,
      spec,
      ids === '' ? [] : ids.split(','),
      ({ done, total, pValues }) => {
        if (job.current === started)
          setState({ pValues: pValues, progress: { done, total }, status: 'running' });
      },
    );
    job.current = started;
    started.result.then(
      pValues => {
        if (job.current === started)
          setState({ pValues: pValues, progress: null, status: 'ready' });
      },
      (error: unknown) => {
        const isCancelled = error instanceof DOMException && error.name === 'AbortError';
        if (job.current === started)
          setState(before => ({
            ...before,
            progress: null,
            status: isCancelled ? 'stopped' : 'failed',
          }));
      },
    );
  }, [data, spec, ids]);
  useEffect(() => {
    start();
    return () => {
      const ended = job.current;
      job.current = null;
      ended?.cancel();
    };
  }, [start]);
  return { ...state, start, cancel: (): void => job.current?.cancel() };
}
