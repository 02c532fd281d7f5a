import type { Place } from '@/core/trial/model/place';

/** A trial's places by what they are to the drawing. */
export interface BenchPlaces {
  /** What everything stands on; its far left corner is the drawing's origin. Undefined before the deal. */
  readonly ground: Place | undefined;
  /** More than one, or none: a single bench is the ground itself. */
  readonly benches: readonly Place[];
  /** One for each block, or one for all. */
  readonly shelves: readonly Place[];
  /** Larger units of a split plot. */
  readonly beds: readonly Place[];
  readonly guards: readonly Place[];
}

export function benchPlaces(places: readonly Place[]): BenchPlaces {
  return {
    ground: places.find(place => place.parentId === null),
    benches: places.filter(place => place.kind === 'bench' && place.parentId !== null),
    shelves: places.filter(place => place.kind === 'shelf' || place.kind === 'garden'),
    beds: places.filter(place => place.kind === 'bed'),
    guards: places.filter(place => place.kind === 'guard'),
  };
}

/** Whether an experimental unit can stand here. */
export function holdsUnit({ kind }: Pick<Place, 'kind'>): boolean {
  return kind === 'pot' || kind === 'plot';
}
