import * as Comlink from 'comlink';
import { dryRuns } from '@/core/judge/planning/dry-run';
import type { PlannedTrial } from '@/core/judge/planning/planned-input';
import { type SizeCurve, type SizeQuestion, sizeCurve } from '@/core/judge/planning/size-curve';

const FIRST_TRIALS = 100;
const ROUNDS = [400, 2500];
/** Judged unit by unit: some milliseconds each. */
const FIRST_SEASONS = 40;
const SEASON_ROUNDS = [80, 280];
const AT_ONCE = 20;

// The question that is being answered: a newer one ends the older, so that the worker is ready at once.
let latest = 0;

/** Answers for the plan's own size first, then for the others, then sharpens them all; each step is reported. */
async function sharpen(
  question: SizeQuestion,
  report: (curve: SizeCurve) => Promise<void> | void,
): Promise<void> {
  const own = ++latest;
  const growing = sizeCurve(question);
  const ownAt = question.sizes.indexOf(question.own);
  const order = question.sizes
    .map((_, at) => at)
    .sort((a, b) => Number(b === ownAt) - Number(a === ownAt));
  const isQuick = question.plan.reading.outcome === 'continuous';
  const advance = async (at: number, trials: number): Promise<boolean> => {
    const step = isQuick ? trials : AT_ONCE;
    for (let made = 0; made < trials; made += step) {
      growing.advance(at, Math.min(step, trials - made));
      await breath();
      if (own !== latest) return false;
    }
    return true;
  };
  for (const [step, at] of order.entries()) {
    if (!(await advance(at, isQuick ? FIRST_TRIALS : FIRST_SEASONS))) return;
    if (step === 0 || step % 4 === 3 || step === order.length - 1) await report(growing.curve());
  }
  for (const trials of isQuick ? ROUNDS : SEASON_ROUNDS) {
    for (const at of order) if (!(await advance(at, trials))) return;
    await report(growing.curve());
  }
}

/** Lets a newer question come in. */
function breath(): Promise<void> {
  return new Promise(resolve => {
    setTimeout(resolve, 0);
  });
}

const api = {
  dryRuns: (plan: PlannedTrial, cv: number, seed: number) => dryRuns(plan, cv, seed),
  sharpen,
};
/** What the worker offers to the page. */
export type PlannerApi = typeof api;
Comlink.expose(api);
