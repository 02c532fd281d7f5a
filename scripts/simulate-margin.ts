import type { Call } from '@/core/judge/outcomes/judgement';
import { type PlannedTrial, plannedInput } from '@/core/judge/planning/planned-input';
import type { PlannedReading } from '@/core/judge/planning/planned-reading';
import { plannedGain } from '@/core/judge/planning/planning-guess';
import { seasonsOf } from '@/core/judge/planning/simulate-seasons';
import type { Margin } from '@/core/judge/question/judge-input';
import { trialFixture } from '@/core/trial/fixtures/trial-fixture';
import { BLANK_LAYOUT } from '@/core/trial/model/blank-facts';

interface Case {
  readonly name: string;
  readonly reading: PlannedReading;
  readonly margin: Margin;
  readonly cv: number;
  readonly level: number;
}

const CASES: readonly Case[] = [
  {
    name: 'weights, 15%',
    reading: { outcome: 'continuous' },
    margin: { kind: 'percent', percent: 15 },
    cv: 0.1,
    level: 400,
  },
  {
    name: 'weights, 60 g of 400',
    reading: { outcome: 'continuous' },
    margin: { kind: 'absolute', amount: 60 },
    cv: 0.1,
    level: 400,
  },
  {
    name: 'counts, 25% of 20',
    reading: { outcome: 'count' },
    margin: { kind: 'percent', percent: 25 },
    cv: 0.1,
    level: 20,
  },
  {
    name: 'counts, 5 of 20',
    reading: { outcome: 'count' },
    margin: { kind: 'absolute', amount: 5 },
    cv: 0.1,
    level: 20,
  },
  {
    name: 'shares, 15 points of 60, of 20',
    reading: { outcome: 'proportion', outOf: 20 },
    margin: { kind: 'absolute', amount: 0.15 },
    cv: 0.2,
    level: 0.6,
  },
  {
    name: 'steps, 1 of 9',
    reading: { outcome: 'ordinal', lowest: 1, highest: 9 },
    margin: { kind: 'absolute', amount: 1 },
    cv: 1,
    level: 4,
  },
  {
    name: 'days, 4 of 20',
    reading: { outcome: 'time', watchedDays: 60 },
    margin: { kind: 'absolute', amount: 4 },
    cv: 0.15,
    level: 20,
  },
];

const LAYOUTS = [
  { name: 'over the whole bench, 2 × 8', treatments: 2, each: 8, blocks: 0 },
  { name: 'over the whole bench, 3 × 6', treatments: 3, each: 6, blocks: 0 },
  { name: 'blocks, 4 × 6', treatments: 4, each: 1, blocks: 6 },
] as const;

/** True effect at the margin: how often it is called clearly better, and how often no difference that matters. */
export function simulateMargin(trials: number): void {
  for (const { name, reading, margin, cv, level } of CASES)
    for (const layout of LAYOUTS) {
      const plan: PlannedTrial = {
        request: {
          ...BLANK_LAYOUT,
          kind: layout.blocks > 0 ? 'complete-blocks' : 'complete-randomisation',
          each: layout.each,
          blockCount: layout.blocks,
          blockWord: 'shelf',
        },
        treatments: trialFixture({ treatments: layout.treatments }).treatments,
        unitWord: 'pot',
        response: 'it',
        better: 'higher',
        margin,
        reading,
      };
      const effect = plannedGain(reading, margin, level);
      const season = seasonsOf(plannedInput(plan, 1), reading, { cv, level, effect }, 7);
      const calls = Array.from({ length: trials }, () => season()[0]);
      const of = (call: Call): string =>
        `${((100 * calls.filter(each => each === call).length) / trials).toFixed(1)}%`;
      console.log(
        `${name}, ${layout.name}: clearly better ${of('clearly-better')}, no difference ${of('no-difference-that-matters')}`,
      );
    }
}
