import { closestMm } from '@/core/design/site/arrangement';
import { type SiteBias, siteBiases } from '@/core/design/site/site-bias';
import { benchPlaces, holdsUnit } from '@/core/trial/bench-places';
import type { SiteFeature } from '@/core/trial/model/layout';
import type { Place } from '@/core/trial/model/place';
import type { TrialData } from '@/core/trial/model/trial-data';
import { cornersOn } from '@/core/trial/place-corner';
import type { Movable } from './arrange-props';

/** The bench as something that can be arranged, with what lies about it. Holds codes, never treatments by place. */
export interface Ground {
  readonly widthMm: number;
  readonly depthMm: number;
  readonly places: readonly Movable[];
  readonly site: readonly SiteFeature[];
  readonly biases: readonly SiteBias[];
  readonly closestMm: number | null;
}

/**
 * @param isOpen whether treatments may be named beside a side of the bench: in a blind trial that would be a hint
 * @returns null where nothing is dealt yet
 */
export function groundOf(data: TrialData, isOpen: boolean): Ground | null {
  const { ground: bench } = benchPlaces(data.places);
  if (!bench || !data.layout) return null;
  const cornerOf = cornersOn(data.places);
  const movable = (place: Place): Movable => {
    const { xMm, yMm, within } = cornerOf(place);
    const kind = holdsUnit(place)
      ? 'unit'
      : place.kind === 'bed' || place.kind === 'bench' || place.kind === 'guard'
        ? place.kind
        : 'block';
    return {
      id: place.id,
      name: place.name,
      kind,
      shape: place.shape,
      xMm,
      yMm,
      widthMm: place.widthMm,
      depthMm: place.depthMm,
      ownXMm: place.xMm,
      ownYMm: place.yMm,
      within,
    };
  };
  const order = { bench: 0, block: 1, bed: 2, guard: 3, unit: 4 } as const;
  const places = data.places
    .filter(place => place.id !== bench.id)
    .map(movable)
    .sort((a, b) => order[a.kind] - order[b.kind]);
  return {
    widthMm: bench.widthMm,
    depthMm: bench.depthMm,
    places,
    site: data.layout.site,
    biases: siteBiases(data).map(bias =>
      isOpen ? bias : { ...bias, biases: bias.biases.map(each => ({ ...each, treatment: '' })) },
    ),
    closestMm: closestMm(places.filter(place => place.kind === 'unit')),
  };
}
