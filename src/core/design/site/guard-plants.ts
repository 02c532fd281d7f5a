import { benchPlaces, holdsUnit } from '@/core/trial/bench-places';
import { PlaceId } from '@/core/trial/model/ids';
import type { Place } from '@/core/trial/model/place';

const GAP = 0.25; // of a unit's width, as between the units
const STRIP_MM = 300; // a guard strip round plots is no wider than this

/** How much the ring takes on every side: a pot and its gap, or a strip. 0 where nothing stands. */
export function guardRingMm(places: readonly Place[]): number {
  const unit = places.find(holdsUnit);
  return unit ? Math.round(guardMm(unit) * (1 + GAP)) : 0;
}

function guardMm({ shape, widthMm, depthMm }: Place): number {
  return shape === 'round' ? widthMm : Math.min(widthMm, depthMm, STRIP_MM);
}

/**
 * Sets plants that nobody reads round every bench: pots in a ring, or a strip round plots. What stands there moves in
 * by the ring, the benches grow by twice that, and benches behind make room.
 *
 * @param newId makes UUIDv7s
 */
export function plantGuards(places: readonly Place[], newId: () => string): readonly Place[] {
  const unit = places.find(holdsUnit);
  if (!unit || places.some(place => place.kind === 'guard')) return places;
  const grown = withRing(places, guardRingMm(places));
  const guarded = benchesOf(grown);
  const guards = guarded.flatMap(bench =>
    (unit.shape === 'round'
      ? ringOfPots(bench, unit.widthMm)
      : fourStrips(bench, guardMm(unit), guardRingMm(places))
    ).map(
      (at): Omit<Place, 'id' | 'name'> => ({
        ...at,
        parentId: bench.id,
        kind: 'guard',
        shape: unit.shape,
      }),
    ),
  );
  return [
    ...grown,
    ...guards.map(
      (guard, i): Place => ({ ...guard, id: PlaceId.parse(newId()), name: `guard ${i + 1}` }),
    ),
  ];
}

/** Takes the guards away again; the rest moves back. */
export function liftGuards(places: readonly Place[]): readonly Place[] {
  if (!places.some(place => place.kind === 'guard')) return places;
  return withRing(
    places.filter(place => place.kind !== 'guard'),
    -guardRingMm(places),
  );
}

function benchesOf(places: readonly Place[]): readonly Place[] {
  const { ground, benches } = benchPlaces(places);
  return benches.length > 0 || !ground ? benches : [ground];
}

/** Everything moved in by a ring; out again where it is negative. */
function withRing(places: readonly Place[], ringMm: number): readonly Place[] {
  const ringed = benchesOf(places);
  const ids = new Set<string | null>(ringed.map(bench => bench.id));
  const before = (bench: Place): Pick<Place, 'xMm' | 'yMm'> => ({
    xMm: bench.xMm + 2 * ringMm * levelsBefore(ringed, bench, 'xMm', 'widthMm'),
    yMm: bench.yMm + 2 * ringMm * levelsBefore(ringed, bench, 'yMm', 'depthMm'),
  });
  const moved = places.map((place): Place => {
    if (ids.has(place.parentId))
      return {
        ...place,
        xMm: Math.max(0, place.xMm + ringMm),
        yMm: Math.max(0, place.yMm + ringMm),
      };
    return ids.has(place.id)
      ? {
          ...place,
          ...(place.parentId === null ? {} : before(place)),
          widthMm: place.widthMm + 2 * ringMm,
          depthMm: place.depthMm + 2 * ringMm,
        }
      : place;
  });
  const { ground, benches } = benchPlaces(moved);
  if (!ground || benches.length === 0) return moved;
  const [widthMm, depthMm] = [
    Math.max(...benches.map(bench => bench.xMm + bench.widthMm)),
    Math.max(...benches.map(bench => bench.yMm + bench.depthMm)),
  ];
  return moved.map(place => (place.id === ground.id ? { ...place, widthMm, depthMm } : place));
}

/** How many benches one would pass before coming to this one, along or across. */
function levelsBefore(
  benches: readonly Place[],
  bench: Place,
  at: 'xMm' | 'yMm',
  size: 'widthMm' | 'depthMm',
): number {
  const before = benches.filter(other => other[at] + other[size] <= bench[at]);
  return before.length === 0
    ? 0
    : 1 + Math.max(...before.map(other => levelsBefore(benches, other, at, size)));
}

type At = Pick<Place, 'xMm' | 'yMm' | 'widthMm' | 'depthMm'>;

function ringOfPots({ widthMm, depthMm }: Place, potMm: number): readonly At[] {
  const pot = { widthMm: potMm, depthMm: potMm };
  const along = spread(0, widthMm, potMm);
  const down = spread(potMm * (1 + GAP), depthMm - potMm * (1 + GAP), potMm);
  return [0, depthMm - potMm]
    .flatMap(yMm => along.map(xMm => ({ ...pot, xMm, yMm })))
    .concat([0, widthMm - potMm].flatMap(xMm => down.map(yMm => ({ ...pot, xMm, yMm }))));
}

/** As many pots as fit between two ends, evenly. */
function spread(from: number, to: number, potMm: number): readonly number[] {
  const count = Math.max(1, Math.floor((to - from + potMm * GAP) / (potMm * (1 + GAP)) + 1e-9));
  const step = count > 1 ? (to - from - potMm) / (count - 1) : 0;
  return Array.from({ length: count }, (_, i) => Math.round(from + i * step));
}

function fourStrips({ widthMm, depthMm }: Place, stripMm: number, ringMm: number): readonly At[] {
  const [across, down] = [
    { widthMm, depthMm: stripMm },
    { widthMm: stripMm, depthMm: depthMm - 2 * ringMm },
  ];
  return [
    { ...across, xMm: 0, yMm: 0 },
    { ...across, xMm: 0, yMm: depthMm - stripMm },
    { ...down, xMm: 0, yMm: ringMm },
    { ...down, xMm: widthMm - stripMm, yMm: ringMm },
  ];
}
