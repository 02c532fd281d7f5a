/** What a share of a pack costs. Same base (g or ml) for both; the pack's price is not the plot's. */
export function costOfShare(used: number, pack: number, packPrice: number): number {
  return (used / pack) * packPrice;
}

/** What a treatment costs a unit over the season. Money in the garden's own currency. */
export interface UnitCost {
  readonly material: number;
  readonly labour: number;
  readonly total: number;
}

/** @param hourWorth what an hour is worth to the gardener; 0 where it is not counted */
export function unitCost(
  materials: readonly number[],
  minutes: number,
  hourWorth: number,
): UnitCost {
  const material = materials.reduce((sum, each) => sum + each, 0);
  const labour = (minutes / 60) * hourWorth;
  return { material, labour, total: material + labour };
}

/** Whole packs to buy for a need, with a tenth to spare so that nobody runs out half way and opens another batch. */
export function packsToBuy(need: number, pack: number, spare = 0.1): number {
  return Math.ceil((need * (1 + spare)) / pack - 1e-9);
}

/** How many seeds to sow, or cuttings to strike, for a number of plants. @param rate share that comes up, in (0, 1] */
export function toSow(wanted: number, rate: number, spare = 0.1): number {
  return Math.ceil((wanted / rate) * (1 + spare) - 1e-9);
}
