/** Litres to each plant from a line: minutes are not litres until the flow is known. */
export function dripEach(flowPerHour: number, hours: number, plants: number): number {
  return (flowPerHour * hours) / plants;
}

/** What emitters give a plant over a week. */
export function emittersWeekly(
  emitters: number,
  flowEachPerHour: number,
  hours: number,
  timesAWeek: number,
): number {
  return emitters * flowEachPerHour * hours * timesAWeek;
}

/** A catch test: cups under several emitters for some minutes. */
export interface CatchTest {
  readonly meanMlPerMinute: number;
  /** SD in % of the mean: above ten, some plants get more than others. Common practice, no source. */
  readonly cvPercent: number;
  readonly isEven: boolean;
}

/** @param caughtMl at least two, all over the same minutes */
export function catchTest(caughtMl: readonly number[], minutes: number): CatchTest {
  const mean = caughtMl.reduce((sum, each) => sum + each, 0) / caughtMl.length;
  const sd = Math.sqrt(
    caughtMl.reduce((sum, each) => sum + (each - mean) ** 2, 0) / (caughtMl.length - 1),
  );
  const cvPercent = (100 * sd) / mean;
  return { meanMlPerMinute: mean / minutes, cvPercent, isEven: cvPercent <= 10 };
}

/** How water is shared out, and what that does to the comparison. */
export type WaterWay = 'same' | 'need' | 'et-share' | 'below' | 'none';

export const WATER_WAYS: Readonly<
  Record<WaterWay, { readonly label: string; readonly means: string }>
> = {
  same: {
    label: 'the same for all',
    means: 'What wins, wins at this much water. A treatment that drinks more may run dry sooner.',
  },
  need: {
    label: 'to need, written down',
    means:
      'Each is judged at its best, and how much it took is a result of its own. Without the amounts it says nothing.',
  },
  'et-share': {
    label: 'a share of what the weather takes',
    means:
      'The same for all, and more in heat: fair over a season, and it can be repeated elsewhere.',
  },
  below: {
    label: 'from below',
    means: 'Each takes what it wants; log the top-ups. Salts stay in the pot.',
  },
  none: { label: 'rain only', means: 'It holds for a year as wet as this one.' },
};
