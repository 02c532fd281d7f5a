import * as Comlink from 'comlink';
import { dryRuns } from '@/core/judge/planning/dry-run';
import type { PlannedTrial } from '@/core/judge/planning/planned-input';
import { type SizeCurve, type SizeQuestion, sizeCurve } from '@/core/judge/planning/size-curve';

const FIRST_TRIALS = 100;
const ROUNDS = [400, 2500];

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
  for (const [step, at] of order.entries()) {
    growing.advance(at, FIRST_TRIALS);
    if (step === 0 || step % 4 === 3 || step === order.length - 1) await report(growing.curve());
    await breath();
    if (own !== latest) return;
  }
  for (const trials of ROUNDS) {
    for (const at of order) {
      growing.advance(at, trials);
      await breath();
      if (own !== latest) return;
    }
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
