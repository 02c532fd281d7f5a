/** Plants to be expected from a mass of seed. @param germination share that comes up, in (0, 1] */
export function plantsFrom(massG: number, seedsPerG: number, germination: number): number {
  return massG * seedsPerG * germination;
}

/** Grams of seed for a number of plants. */
export function seedMassFor(plants: number, seedsPerG: number, germination: number): number {
  return plants / (seedsPerG * germination);
}

/** Many plants in one pot are parts of one unit. */
export const SUBSAMPLES_ONLY =
  'All plants of one pot count as one: more seed in it makes its value steadier, not the trial larger.';
