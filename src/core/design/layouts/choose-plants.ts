/** A raised plant: its number in the list of all that were measured, from 1, and its size. */
export interface RaisedPlant {
  readonly number: number;
  readonly size: number;
}

/** Which plants take part, in the order of their places, and which are set aside as spares. */
export interface ChosenPlants {
  readonly chosen: readonly RaisedPlant[];
  readonly aside: readonly RaisedPlant[];
}

/**
 * Picks the plants that are most alike: of all runs of the wanted length in the order of size the one with the smallest
 * range, so that giants and runts go before the deal, never after. With blocks the chosen stand in order of size, the
 * largest in the first block: each block then holds plants of one size class. Without, they stand as they were measured.
 *
 * @param sizes of all that were raised, at least `wanted`
 */
export function choosePlants(
  sizes: readonly number[],
  wanted: number,
  bySize: boolean,
): ChosenPlants {
  if (sizes.length < wanted)
    throw new RangeError(`there must be at least ${wanted} plants, got ${sizes.length}`);
  const raised = sizes.map((size, i): RaisedPlant => ({ number: i + 1, size }));
  const ranked = [...raised].sort((a, b) => b.size - a.size || a.number - b.number);
  let from = 0;
  for (let start = 1; start + wanted <= ranked.length; start++) {
    if (rangeAt(ranked, start, wanted) < rangeAt(ranked, from, wanted)) from = start;
  }
  const chosen = ranked.slice(from, from + wanted);
  const numbers = new Set(chosen.map(plant => plant.number));
  return {
    chosen: bySize ? chosen : raised.filter(plant => numbers.has(plant.number)),
    aside: raised.filter(plant => !numbers.has(plant.number)),
  };
}

function rangeAt(ranked: readonly RaisedPlant[], from: number, wanted: number): number {
  return (ranked[from]?.size ?? 0) - (ranked[from + wanted - 1]?.size ?? 0);
}
