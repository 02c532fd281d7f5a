import type { Place } from '@/core/trial/model/place';

/** The far left corner of a place, in mm from the corner of its bench; `within` names all that it stands on, nearest first. */
export interface PlaceCorner {
  readonly xMm: number;
  readonly yMm: number;
  readonly within: readonly string[];
}

/** Adds up a place's offsets along the tree; a tree's root has none of its own. */
export function cornersOn(places: readonly Place[]): (place: Place) => PlaceCorner {
  const byId = new Map(places.map(place => [place.id, place]));
  return place => {
    const within: string[] = [];
    let [xMm, yMm] = [place.xMm, place.yMm];
    for (let above = parentOf(place, byId); above; above = parentOf(above, byId)) {
      within.push(above.id);
      xMm += above.xMm;
      yMm += above.yMm;
    }
    return { xMm, yMm, within };
  };
}

function parentOf(place: Place, byId: ReadonlyMap<Place['id'], Place>): Place | undefined {
  return place.parentId === null ? undefined : byId.get(place.parentId);
}
