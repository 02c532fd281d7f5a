import * as Comlink from 'comlink';
import type { DryRun } from '@/core/judge/planning/dry-run';
import type { PlannedTrial } from '@/core/judge/planning/planned-input';
import type { SizeCurve, SizeQuestion } from '@/core/judge/planning/size-curve';
import type { PlannerApi } from './planner.worker';

/** The planner's worker, kept for as long as something on the page plans: starting one takes longer than an answer. */
export interface Planner {
  /** What the plan would say in made-up seasons. */
  readonly dryRuns: (plan: PlannedTrial, cv: number, seed: number) => Promise<readonly DryRun[]>;
  /** The chance to see the gain by the size of the plan, sharper from report to report; a newer question ends an older one. */
  readonly sizeCurve: (question: SizeQuestion, onCurve: (curve: SizeCurve) => void) => void;
  readonly end: () => void;
}

/** @param onFailure the worker itself broke; it answers no more */
export function startPlanner(onFailure: (error: Error) => void): Planner {
  const worker = new Worker(new URL('./planner.worker.ts', import.meta.url), { type: 'module' });
  const planner = Comlink.wrap<PlannerApi>(worker);
  worker.onerror = event => onFailure(new Error(event.message || 'the worker failed'));
  let asked = 0;
  return {
    dryRuns: (plan, cv, seed) => planner.dryRuns(plan, cv, seed),
    sizeCurve: (question, onCurve) => {
      const own = ++asked;
      // A report that was on its way when the question changed still arrives: nobody wants to hear it any more.
      const report = (curve: SizeCurve): void => {
        if (own === asked) onCurve(curve);
      };
      planner.sharpen(question, Comlink.proxy(report)).catch(onFailure);
    },
    end: () => {
      asked += 1;
      planner[Comlink.releaseProxy]();
      worker.terminate();
    },
  };
}
