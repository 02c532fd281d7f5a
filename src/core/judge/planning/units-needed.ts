import { normalCdf, tQuantile } from '@/core/stats/distributions/distributions';
import { powerOfT } from '@/core/stats/distributions/power-of-t';

/** What a trial that can't tell has shown so far. */
export interface Undecided {
  /** Seen difference, in the measure's unit. */
  readonly difference: number;
  readonly se: number;
  readonly residualDf: number;
  /** Units of each treatment now, on average. */
  readonly unitsEach: number;
  readonly treatments: number;
  /** Smallest difference that matters, in the measure's unit; 0 where any does. */
  readonly margin: number;
  readonly confidence: number;
}

/** More than this and the answer is that the difference is too small to look for. */
export const MOST_UNITS_NEEDED = 200;
const CHANCE = 0.8;

/**
 * Units of each treatment at which the same layout would, with a chance of four in five, either see the difference or
 * rule out one that matters, if the true difference and spread are those seen here. The critical value for several
 * comparisons is Šidák's (1967), a little on the safe side of Dunnett's.
 *
 * @returns null where more than 200 would be needed
 */
export function unitsNeeded(trial: Undecided): number | null {
  const from = Math.max(2, Math.ceil(trial.unitsEach) + 1);
  if (from > MOST_UNITS_NEEDED || !wouldSettle(trial, MOST_UNITS_NEEDED)) return null;
  // More units never settle less: the least that do is found by halving.
  let [few, enough] = [from - 1, MOST_UNITS_NEEDED];
  while (enough - few > 1) {
    const middle = Math.floor((few + enough) / 2);
    if (wouldSettle(trial, middle)) enough = middle;
    else few = middle;
  }
  return enough;
}

function wouldSettle(trial: Undecided, unitsEach: number): boolean {
  const se = trial.se * Math.sqrt(trial.unitsEach / unitsEach);
  const df = Math.max(1, trial.residualDf + (unitsEach - trial.unitsEach) * (trial.treatments - 1));
  const alpha = 1 - trial.confidence;
  const critical = tQuantile((1 + trial.confidence ** (1 / (trial.treatments - 1))) / 2, df);
  const size = Math.abs(trial.difference);
  if (powerOfT(size / se, critical, df) >= CHANCE) return true;
  const inner = tQuantile((1 + (1 - 2 * alpha) ** (1 / (trial.treatments - 1))) / 2, df);
  return (
    normalCdf((trial.margin - size) / se - inner) +
      normalCdf((trial.margin + size) / se - inner) -
      1 >=
    CHANCE
  );
}
