/** Water that a crop's roots can reach. FAO-56 (Allen et al., 1998), chapters 6 and 8. */
export interface SoilStore {
  /** All that plants can take, in mm (eq. 82). */
  readonly totalMm: number;
  /** What they take without suffering (eq. 83). */
  readonly readyMm: number;
}

/** @param available share of the soil's volume between wet and wilting; @param depletion share taken without harm */
export function soilStore(available: number, rootM: number, depletion: number): SoilStore {
  const totalMm = 1000 * available * rootM;
  return { totalMm, readyMm: totalMm * depletion };
}

/** What soils hold for plants, as a share of volume. FAO-56 table 19, middles, from memory; mixes: common practice, no source. */
export const AVAILABLE_WATER = { sand: 0.08, loam: 0.15, clay: 0.17, 'potting mix': 0.25 } as const;

/** Crop factors at start, middle and end, and depletion. FAO-56 tables 12 and 22, from memory. */
export const CROP_FACTORS: Readonly<
  Record<
    string,
    {
      readonly start: number;
      readonly middle: number;
      readonly end: number;
      readonly depletion: number;
    }
  >
> = {
  tomato: { start: 0.6, middle: 1.15, end: 0.8, depletion: 0.4 },
  potato: { start: 0.5, middle: 1.15, end: 0.75, depletion: 0.35 },
  bean: { start: 0.5, middle: 1.05, end: 0.9, depletion: 0.45 },
  lettuce: { start: 0.7, middle: 1, end: 0.95, depletion: 0.3 },
  strawberry: { start: 0.4, middle: 0.85, end: 0.75, depletion: 0.2 },
  beet: { start: 0.5, middle: 1.05, end: 0.95, depletion: 0.5 },
};

/** How much less a mulch lets bare soil evaporate: 5% for each 10% of ground covered. FAO-56, p. 196, from memory. */
export function mulchFactor(coveredShare: number): number {
  return 1 - 0.5 * coveredShare;
}

/** What a crop uses in a day. */
export function cropUse(etoMm: number, cropFactor: number, coveredShare = 0): number {
  return etoMm * cropFactor * mulchFactor(coveredShare);
}

/** Days until it must be watered, from a full store or from what is left of it. */
export function daysUntilDry(store: SoilStore, useMm: number, takenMm = 0): number {
  return Math.max(0, store.readyMm - takenMm) / useMm;
}

/** Litres for an area over some days. */
export function litresFor(useMm: number, days: number, areaM2: number): number {
  return useMm * days * areaM2;
}

/** A crop's factors by a word of its name, as “dwarf beans”; undefined where no crop of the table is named. */
export function cropFactorsOf(crop: string): (typeof CROP_FACTORS)[string] | undefined {
  return Object.entries(CROP_FACTORS).find(([name]) => crop.toLowerCase().includes(name))?.[1];
}
