'use client';

import { useCallback, useEffect, useRef, useState } from 'react';
import type { Analysis, AnalysisSpec } from '@/core/judge/units/trial-analysis';
import type { TrialData } from '@/core/trial/model/trial-data';
import { type JudgeJob, startJudging } from '@/workers/judge-job';

/** Where a judging stands. */
export interface JudgingState {
  readonly analysis: Analysis;
  /** Shuffles done of all, while they run; null when they are through or were stopped. */
  readonly progress: { readonly done: number; readonly total: number } | null;
  readonly status: 'ready' | 'running' | 'stopped' | 'failed';
}

/**
 * The judgement on the page: the server's at first, a worker's as soon as something is changed.
 *
 * @param data null while it is on its way: what is requested until then is judged as soon as it is there
 */
export function useJudgement(data: TrialData | null, first: Analysis) {
  const [state, setState] = useState<JudgingState>({
    analysis: first,
    progress: null,
    status: 'ready',
  });
  const job = useRef<JudgeJob<Analysis> | null>(null);
  const [request, setRequest] = useState<AnalysisSpec | null>(null);
  useEffect(() => {
    // On the first pass it stands there already: setting it again would render the whole page twice before it takes input.
    setState(before =>
      before.analysis === first ? before : { analysis: first, progress: null, status: 'ready' },
    );
    return () => job.current?.cancel();
  }, [first]);

  const judge = useCallback(
    (spec: AnalysisSpec): void => {
      job.current?.cancel();
      if (!data) {
        setRequest(spec);
        setState(before => ({ ...before, status: 'running' }));
        return;
      }
      setRequest(null);
      const started = startJudging(data, spec, ({ analysis, done, total }) => {
        if (job.current === started)
          setState({ analysis: analysis, progress: { done, total }, status: 'running' });
      });
      job.current = started;
      started.result.then(
        analysis => {
          if (job.current === started)
            setState({ analysis: analysis, progress: null, status: 'ready' });
        },
        (error: unknown) => {
          const isCancelled = error instanceof DOMException && error.name === 'AbortError';
          if (job.current === started)
            setState(previous => ({
              ...previous,
              progress: null,
              status: isCancelled ? 'stopped' : 'failed',
            }));
        },
      );
    },
    [data],
  );
  useEffect(() => {
    if (data && request) judge(request);
  }, [data, request, judge]);
  const isWaiting = request !== null && !data;
  const cancel = (): void => {
    if (isWaiting) setState(before => ({ ...before, status: 'stopped' }));
    setRequest(null);
    job.current?.cancel();
  };
  return {
    ...state,
    progress: isWaiting ? { done: 0, total: request.shuffles } : state.progress,
    judge,
    cancel,
  };
}
