import type { JudgedUnit } from '@/core/design/linear/design-input';
import type { Outcome } from '@/core/judge/question/judge-input';
import { normalDraw } from '@/core/stats/distributions/normal-draw';
import type { SeededRandom } from '@/core/stats/distributions/seeded-random';

/** What will be read of a unit, as far as it bears on how much so many of them show. */
export type PlannedReading =
  | { readonly outcome: Extract<Outcome, 'continuous' | 'count'> }
  | {
      readonly outcome: Extract<Outcome, 'proportion'>;
      /** Items looked at in each unit, ≥ 1. */
      readonly outOf: number;
    }
  | {
      readonly outcome: Extract<Outcome, 'ordinal'>;
      readonly lowest: number;
      readonly highest: number;
    }
  | {
      readonly outcome: Extract<Outcome, 'time'>;
      /** After so many days nobody looks any more. */
      readonly watchedDays: number;
    };

/** A truth that a planned trial is tried on. */
export interface PlannedTruth {
  /** How units treated alike differ, as `madeUpUnit` takes it: of what is weighed SD over the mean. */
  readonly cv: number;
  /** What an untreated unit gives, in what is read. */
  readonly level: number;
  /** True gain of what works, in what is read, in the good direction. */
  readonly effect: number;
}

type MadeUpUnit = Pick<JudgedUnit, 'value' | 'outOf' | 'hasCome'>;

/**
 * One made-up unit.
 *
 * @param plain what untreated units give on average, in what is read: a share in [0, 1], a step, days
 * @param gain what is added by what was done to it, in the same
 * @param spread of units treated alike: SD over the untreated mean; of counts and shares beyond chance, of shares in the log odds;
 *   of steps in steps
 * @param luck of this unit, in standard deviations
 */
export function madeUpUnit(
  reading: PlannedReading,
  { plain, gain }: { readonly plain: number; readonly gain: number },
  spread: number,
  luck: number,
  random: SeededRandom,
): MadeUpUnit {
  const level = plain + gain;
  const multiplied = Math.max(0, level) * Math.exp(spread * luck - spread ** 2 / 2);
  switch (reading.outcome) {
    case 'continuous':
      return { value: Math.max(0, level + plain * spread * luck) };
    case 'count':
      return { value: poissonDraw(multiplied, random) };
    case 'proportion': {
      const share = Math.min(0.995, Math.max(0.005, level));
      const odds = (share / (1 - share)) * Math.exp(spread * luck);
      return {
        value: binomialDraw(reading.outOf, odds / (1 + odds), random),
        outOf: reading.outOf,
      };
    }
    case 'ordinal': {
      const step = Math.round(level + spread * luck);
      return { value: Math.min(reading.highest, Math.max(reading.lowest, step)) };
    }
    case 'time': {
      const days = Math.max(1, Math.ceil(multiplied));
      const { watchedDays } = reading;
      return { value: Math.min(days, watchedDays), hasCome: days <= watchedDays };
    }
  }
}

/** Above this a Poisson count is as good as normal. */
const LARGE = 60;

/** Knuth (1969), The Art of Computer Programming 2, 3.4.1: products of shares. */
function poissonDraw(mean: number, random: SeededRandom): number {
  if (mean > LARGE) return Math.max(0, Math.round(mean + Math.sqrt(mean) * normalDraw(random)));
  const least = Math.exp(-mean);
  let product = random.share();
  let count = 0;
  while (product > least) {
    product *= random.share();
    count += 1;
  }
  return count;
}

function binomialDraw(of: number, chance: number, random: SeededRandom): number {
  let count = 0;
  for (let i = 0; i < of; i++) count += Number(random.share() < chance);
  return count;
}
