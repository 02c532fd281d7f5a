/** Days until a lawn may be cut again so that no more than a third of the leaf goes: it stands at half as much again as it is cut to. */
export function daysToCut(cutToMm: number, growthMmPerDay: number): number {
  return (cutToMm * 1.5 - cutToMm) / growthMmPerDay;
}

/** Height to which a lawn that has shot up may be cut at once. */
export function lowestCut(standingMm: number): number {
  return (standingMm * 2) / 3;
}

/**
 * What a lawn still needs where its clippings stay. Half or less: Kopp & Guillard (2002), Crop Science 42, from memory.
 *
 * @param nGPerM2 a year where clippings are carried off
 */
export function feedWithClippings(nGPerM2: number): number {
  return nGPerM2 / 2;
}

/** Turf on the nine steps: six and more is good enough. National turfgrass evaluation scale, from memory. */
export function isAcceptableTurf(quality: number): boolean {
  return quality >= 6;
}
