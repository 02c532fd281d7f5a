import { bagsFor } from './mix';

/** What a layer takes. */
export interface Layer {
  readonly volumeMl: number;
  /** As it comes out, and in whole bags. Null where no bag is given. */
  readonly bagsExact: number | null;
  readonly bags: number | null;
}

/** A depth over an area to litres and bags. @param looseFor how much loose material settles to 1 of layer; 1 where it does not settle */
export function layerOf(
  areaM2: number,
  depthMm: number,
  bagMl: number | null,
  looseFor = 1,
): Layer {
  const volumeMl = areaM2 * depthMm * 1000 * looseFor;
  return {
    volumeMl,
    bagsExact: bagMl === null ? null : volumeMl / bagMl,
    bags: bagMl === null ? null : bagsFor(volumeMl, bagMl),
  };
}

/** Back from bags to the depth that was really laid: the level's name is that depth, not what was meant. */
export function depthOfBags(bags: number, bagMl: number, areaM2: number, looseFor = 1): number {
  return (bags * bagMl) / (areaM2 * 1000 * looseFor);
}

/** The volume of a depth of rain or water on an area: 1 mm on 1 m² is a litre. */
export function waterOn(areaM2: number, depthMm: number): number {
  return areaM2 * depthMm * 1000;
}
