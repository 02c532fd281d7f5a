'use client';

import { useCallback, useEffect, useRef, useState } from 'react';
import type { Look, LookedJudgement } from '@/core/judge/units/trial-analysis';
import type { TrialData } from '@/core/trial/model/trial-data';
import { type JudgeJob, startJudging } from '@/workers/judge-job';

/** Where a judging stands. */
export interface JudgingState {
  readonly looked: LookedJudgement;
  /** Shuffles done of all, while they run; null when they are through or were stopped. */
  readonly progress: { readonly done: number; readonly total: number } | null;
  readonly standing: 'ready' | 'running' | 'stopped' | 'failed';
}

/**
 * The judgement on the page: the server's at first, a worker's as soon as something is changed.
 *
 * @param data null while it is on its way: what is wished for until then is judged as soon as it is there
 */
export function useJudgement(data: TrialData | null, first: LookedJudgement) {
  const [state, setState] = useState<JudgingState>({
    looked: first,
    progress: null,
    standing: 'ready',
  });
  const job = useRef<JudgeJob<LookedJudgement> | null>(null);
  const [wish, setWish] = useState<Look | null>(null);
  useEffect(() => {
    // On the first pass it stands there already: setting it again would render the whole page twice before it takes input.
    setState(before =>
      before.looked === first ? before : { looked: first, progress: null, standing: 'ready' },
    );
    return () => job.current?.cancel();
  }, [first]);

  const judge = useCallback(
    (look: Look): void => {
      job.current?.cancel();
      if (!data) {
        setWish(look);
        setState(before => ({ ...before, standing: 'running' }));
        return;
      }
      setWish(null);
      const started = startJudging(data, look, ({ looked, done, total }) => {
        if (job.current === started)
          setState({ looked, progress: { done, total }, standing: 'running' });
      });
      job.current = started;
      started.result.then(
        looked => {
          if (job.current === started) setState({ looked, progress: null, standing: 'ready' });
        },
        (error: unknown) => {
          const isCancelled = error instanceof DOMException && error.name === 'AbortError';
          if (job.current === started)
            setState(previous => ({
              ...previous,
              progress: null,
              standing: isCancelled ? 'stopped' : 'failed',
            }));
        },
      );
    },
    [data],
  );
  useEffect(() => {
    if (data && wish) judge(wish);
  }, [data, wish, judge]);
  const isWaiting = wish !== null && !data;
  const cancel = (): void => {
    if (isWaiting) setState(before => ({ ...before, standing: 'stopped' }));
    setWish(null);
    job.current?.cancel();
  };
  return {
    ...state,
    progress: isWaiting ? { done: 0, total: wish.shuffles } : state.progress,
    judge,
    cancel,
  };
}
