/** How strong a spray or drench comes out, both ways of saying “to a gallon”. */
export interface Dilution {
  /** The stock was added to so much water: the whole is more than that. */
  readonly percentAddedTo: number;
  /** The stock was made up with water to so much. */
  readonly percentMadeUpTo: number;
  readonly mlPerL: number;
}

/**
 * Percent of the active part after dilution.
 *
 * @param stockPercent of the active part in the stock, by volume or weight in volume as its label counts
 * @param addMl, toMl > 0
 */
export function dilute(stockPercent: number, addMl: number, toMl: number): Dilution {
  return {
    percentAddedTo: (stockPercent * addMl) / (addMl + toMl),
    percentMadeUpTo: (stockPercent * addMl) / toMl,
    mlPerL: (1000 * addMl) / toMl,
  };
}

/** Of stock for so much finished spray of a strength; undefined where the stock is weaker than that. */
export function stockFor(
  finishedMl: number,
  wantedPercent: number,
  stockPercent: number,
): number | undefined {
  return wantedPercent > stockPercent ? undefined : (finishedMl * wantedPercent) / stockPercent;
}

/**
 * Spray that each unit gets, from a catch in a jar.
 *
 * @param caughtMl in catchSeconds
 * @param secondsEach how long each unit is sprayed
 */
export function sprayEach(caughtMl: number, catchSeconds: number, secondsEach: number): number {
  return (caughtMl / catchSeconds) * secondsEach;
}

/** Two catches that differ by more than this: the nozzle wears, or two sprayers were used. Common practice, no source. */
const NOZZLE_TOLERANCE = 0.1;

export function nozzleHasChanged(beforeMl: number, afterMl: number): boolean {
  return Math.abs(afterMl - beforeMl) > NOZZLE_TOLERANCE * beforeMl;
}
