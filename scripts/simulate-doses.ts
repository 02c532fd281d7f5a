import { judgeWithoutShuffle } from '@/core/judge/outcomes/judge';
import { type PlannedTrial, plannedInput } from '@/core/judge/planning/planned-input';
import type { PlannedReading } from '@/core/judge/planning/planned-reading';
import { madeUpSeason } from '@/core/judge/planning/simulate-seasons';
import { askedComparisonsOf } from '@/core/judge/question/asked-comparisons';
import { isBetter, isWorse } from '@/core/judge/verdict/call';
import { seededRandom } from '@/core/stats/distributions/seeded-random';
import { trialFixture } from '@/core/trial/fixtures/trial-fixture';
import { BLANK_LAYOUT } from '@/core/trial/model/blank-facts';

interface Case {
  readonly name: string;
  readonly reading: PlannedReading;
  readonly cv: number;
  readonly level: number;
  /** What the largest dose brings, where more of it brings more. */
  readonly gain: number;
}

const CASES: readonly Case[] = [
  { name: 'weights', reading: { outcome: 'continuous' }, cv: 0.2, level: 100, gain: 25 },
  { name: 'counts', reading: { outcome: 'count' }, cv: 0.2, level: 12, gain: 5 },
  {
    name: 'shares of 20',
    reading: { outcome: 'proportion', outOf: 20 },
    cv: 0.2,
    level: 0.5,
    gain: 0.2,
  },
  { name: 'days', reading: { outcome: 'time', watchedDays: 60 }, cv: 0.2, level: 20, gain: 6 },
];

const LAYOUTS = [
  { name: 'over the whole bench, 4 × 5', treatments: 4, each: 5, blocks: 0 },
  { name: 'blocks, 4 × 6', treatments: 4, each: 1, blocks: 6 },
] as const;

/** Rising doses: how often the line or any dose is called where none does anything, and how often a straight rise is seen. */
export function simulateDoses(trials: number): void {
  for (const { name, reading, cv, level, gain } of CASES)
    for (const { name: layout, treatments, each, blocks } of LAYOUTS) {
      const plan: PlannedTrial = {
        request: {
          ...BLANK_LAYOUT,
          kind: blocks ? 'complete-blocks' : 'complete-randomisation',
          each,
          blockCount: blocks || 1,
          blockWord: 'shelf',
        },
        treatments: trialFixture({ treatments }).treatments.map((treatment, i) => ({
          ...treatment,
          dose: i,
        })),
        unitWord: 'pot',
        response: 'beans',
        better: 'higher',
        margin: null,
        reading,
      };
      const tally = { called: 0, line: 0, anyDose: 0 };
      for (let seed = 1; seed <= trials; seed++) {
        const planned = plannedInput(plan, seed);
        const raised = askedComparisonsOf(planned)[0]?.raised ?? {};
        const seasonOf = (effect: number) =>
          judgeWithoutShuffle(
            madeUpSeason(planned, reading, { cv, level, effect, raised }, seededRandom(seed)),
          );
        const none = seasonOf(0);
        const isFound = (each: { readonly call: Parameters<typeof isBetter>[0] } | null) =>
          each !== null && (isBetter(each.call) || isWorse(each.call));
        tally.called += Number(isFound(none.trend) || none.contrasts.some(isFound));
        const some = seasonOf(gain);
        tally.line += Number(some.trend !== null && isBetter(some.trend.call));
        tally.anyDose += Number(some.contrasts.some(each => isBetter(each.call)));
      }
      const of = (count: number): string => `${((100 * count) / trials).toFixed(1)}%`.padStart(6);
      process.stdout.write(
        `${`doses, ${name}, ${layout}`.padEnd(60)} called ${of(tally.called)}  a rise is seen by the line ${of(tally.line)}, by any dose against none ${of(tally.anyDose)}\n`,
      );
    }
}
