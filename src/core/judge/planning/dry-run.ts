import { judgeWithoutShuffle } from '@/core/judge/outcomes/judge';
import type { JudgeInput } from '@/core/judge/question/judge-input';
import { normalDraw } from '@/core/stats/distributions/normal-draw';
import { seededRandom } from '@/core/stats/distributions/seeded-random';
import { type PlannedTrial, plannedInput } from './planned-input';

/** What a planned trial would say in one made-up season. */
export interface DryRun {
  readonly story: string;
  readonly headline: string;
  readonly detail: string;
}

const CONTROL_MEAN = 100;

/**
 * Fills the plan with made-up readings and judges them as the real ones will be: nothing works, one treatment gives
 * twice what is worth having, one does harm. Shows whether the answer would fit the question.
 *
 * @param cv spread of units treated alike, as a share of the mean
 */
export function dryRuns(plan: PlannedTrial, cv: number, seed: number): readonly DryRun[] {
  const margin = plan.margin?.kind === 'percent' ? plan.margin.percent / 100 : 0.15;
  const favourite = plan.treatments.findIndex(treatment => treatment.role === 'test');
  const name = plan.treatments[favourite]?.name ?? '';
  const good = plan.better === 'higher' ? 1 : -1;
  return [
    { story: 'If nothing works', effect: 0 },
    { story: `If ${name} gives twice what is worth having`, effect: 2 * margin * good },
    { story: `If ${name} does harm`, effect: -2 * margin * good },
  ].map(({ story, effect }, i): DryRun => {
    const { verdict } = judgeWithoutShuffle(
      filled(plannedInput(plan, seed), name, effect, cv, seed + i),
    );
    return { story, headline: verdict.headline, detail: verdict.detail };
  });
}

/** Blocks and whole plots differ by half of what units do; never below zero. */
function filled(
  input: JudgeInput,
  favourite: string,
  effect: number,
  cv: number,
  seed: number,
): JudgeInput {
  const random = seededRandom(seed);
  const shared = new Map<string, number>();
  const sharedOf = (name: string): number => {
    const value = shared.get(name) ?? 0.5 * cv * normalDraw(random);
    shared.set(name, value);
    return value;
  };
  return {
    ...input,
    units: input.units.map(unit => {
      const places = [
        ...unit.blocks.map((block, i) => `${i}:${block}`),
        ...(unit.wholePlot === undefined ? [] : [`whole:${unit.wholePlot}`]),
      ];
      const share =
        1 +
        (unit.treatment === favourite ? effect : 0) +
        places.reduce((sum, place) => sum + sharedOf(place), 0) +
        cv * normalDraw(random);
      return { ...unit, value: Math.max(0, CONTROL_MEAN * share) };
    }),
  };
}
