import type { TrialData } from '@/core/trial/model/trial-data';
import { cornersOn } from '@/core/trial/place-corner';

/** The middle of every unit, in mm from the corner of the bench. */
export function centresOf({
  places,
  units,
}: TrialData): readonly { readonly x: number; readonly y: number }[] {
  const cornerOf = cornersOn(places);
  const byId = new Map(places.map(place => [place.id, place]));
  return units.map(unit => {
    const own = byId.get(unit.placeId);
    if (!own) return { x: 0, y: 0 };
    const { xMm, yMm } = cornerOf(own);
    return { x: xMm + own.widthMm / 2, y: yMm + own.depthMm / 2 };
  });
}
