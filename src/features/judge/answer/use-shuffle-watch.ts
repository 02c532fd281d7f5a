'use client';

import { useCallback, useEffect, useRef, useState } from 'react';
import type { JudgeInput } from '@/core/judge/question/judge-input';
import type { PermutationResult, PermutationRun } from '@/core/stats/permutation/permutation-test';

/** A shuffle test as it is watched: what was found so far, and the deal that just fell. */
export interface WatchedShuffle {
  readonly result: PermutationResult;
  readonly total: number;
  readonly largestT: number;
  /** By unit in the trial's order: 0 is the control, others count the treatments up. */
  readonly labels: readonly number[];
}

/** How fast deals fall: one by one; one by one at first, then ever more; as many as the page can bear. */
export type WatchSpeed = 'slow' | 'rising' | 'fast';

const TICK_MS: Readonly<Record<WatchSpeed, number>> = { slow: 700, rising: 300, fast: 60 };
const SLOW_TICKS = 12;
const FAST_DEALS = 400;

function dealsAt(speed: WatchSpeed, tick: number): number {
  if (speed === 'slow') return 1;
  return speed === 'fast'
    ? FAST_DEALS
    : tick < SLOW_TICKS
      ? 1
      : Math.ceil(1.5 ** (tick - SLOW_TICKS + 1));
}

/** Runs the same shuffles again before one's eyes, slowly at first. */
export function useShuffleWatch(input: JudgeInput) {
  const [watched, setWatched] = useState<WatchedShuffle | null>(null);
  const [isRunning, setRunning] = useState(false);
  const timer = useRef<ReturnType<typeof setInterval> | undefined>(undefined);
  const stop = useCallback((): void => {
    clearInterval(timer.current);
    setRunning(false);
  }, []);
  // biome-ignore lint/correctness/useExhaustiveDependencies: a watch of other readings makes no sense any more
  useEffect(() => {
    setWatched(null);
    return stop;
  }, [input, stop]);
  const start = useCallback(
    async (speed: WatchSpeed): Promise<void> => {
      const run = await runOf(input);
      if (!run) return;
      stop();
      setRunning(true);
      let ticks = 0;
      timer.current = setInterval(() => {
        const isLeft = run.step(dealsAt(speed, ticks));
        ticks += 1;
        const { treatment, largestT } = run.latest();
        setWatched({ result: run.result(), total: run.total, largestT, labels: treatment });
        if (!isLeft) stop();
      }, TICK_MS[speed]);
    },
    [input, stop],
  );
  return { watched, isRunning, start, stop };
}

/** The judge is loaded when somebody wants to watch: the page is there before it. */
async function runOf(input: JudgeInput): Promise<PermutationRun | undefined> {
  const [{ shuffleProblemOf }, { startPermutationTest }] = await Promise.all([
    import('@/core/judge/outcomes/shuffle-problem'),
    import('@/core/stats/permutation/permutation-test'),
  ]);
  const problem = shuffleProblemOf(input);
  return problem && startPermutationTest(problem, input.shuffles, input.seed);
}
