import { celsiusOf } from '@/core/quantity/temperature';

/** How a heap is heated: closed, or turned in the open. */
export type HeapWay = 'vessel' | 'windrow';

// US 7 CFR 205.203(c)(2), from memory: 131 to 170 °F, three days in a vessel, fifteen in a windrow with five turnings.
export const HEAT_C = { least: celsiusOf(131, 'F'), most: celsiusOf(170, 'F') } as const;
const NEEDED: Readonly<Record<HeapWay, { readonly days: number; readonly turns: number }>> = {
  vessel: { days: 3, turns: 0 },
  windrow: { days: 15, turns: 5 },
};

/** Whether compost with manure was hot for long enough to be used like any compost. */
export interface HeatReached {
  readonly isEnough: boolean;
  /** The longest run of hot days. */
  readonly days: number;
  readonly neededDays: number;
  readonly neededTurns: number;
  readonly wasTooHot: boolean;
}

/** @param dailyC the heap's middle, one value a day in order */
export function heatReached(dailyC: readonly number[], way: HeapWay, turns: number): HeatReached {
  let [run, days] = [0, 0];
  for (const temperature of dailyC) {
    run = temperature >= HEAT_C.least ? run + 1 : 0;
    days = Math.max(days, run);
  }
  const needed = NEEDED[way];
  return {
    isEnough: days >= needed.days && turns >= needed.turns,
    days,
    neededDays: needed.days,
    neededTurns: needed.turns,
    wasTooHot: dailyC.some(temperature => temperature > HEAT_C.most),
  };
}
