import { failure, type Result, success } from '@/core/result';
import type { Place } from '@/core/trial/model/place';

/** Why something can't stand where it was put. */
export type ArrangeTrouble =
  | { readonly kind: 'no-such-place' }
  | { readonly kind: 'stands-on'; readonly other: string };

interface Corners {
  readonly left: number;
  readonly top: number;
  readonly right: number;
  readonly bottom: number;
}

const MOST_MM = 100_000;
// Halves of one plot touch; measured edges may overlap by a hair.
const TOUCH_MM = 1;

/**
 * Puts a place somewhere else on what it stands on. What it stands on, and the bench, grow with it; two things never
 * stand on each other.
 *
 * @param xMm, yMm its new corner, from the corner of what it stands on; kept at 0 or above
 */
export function movePlace(
  places: readonly Place[],
  id: string,
  xMm: number,
  yMm: number,
): Result<readonly Place[], ArrangeTrouble> {
  const moved = places.find(place => place.id === id);
  if (!moved || moved.parentId === null) return failure({ kind: 'no-such-place' });
  const at = { ...moved, xMm: clamp(xMm), yMm: clamp(yMm) };
  const others = places.filter(place => place.parentId === moved.parentId && place.id !== id);
  const other = others.find(each => overlaps(cornersOf(at), cornersOf(each)));
  if (other) return failure({ kind: 'stands-on', other: other.name });
  return grown(
    places.map(place => (place.id === id ? at : place)),
    moved.parentId,
  );
}

function clamp(mm: number): number {
  return Math.min(MOST_MM, Math.max(0, Math.round(mm)));
}

function cornersOf(place: Place): Corners {
  return {
    left: place.xMm,
    top: place.yMm,
    right: place.xMm + place.widthMm,
    bottom: place.yMm + place.depthMm,
  };
}

function overlaps(a: Corners, b: Corners): boolean {
  return (
    a.left < b.right - TOUCH_MM &&
    b.left < a.right - TOUCH_MM &&
    a.top < b.bottom - TOUCH_MM &&
    b.top < a.bottom - TOUCH_MM
  );
}

/** What holds the moved thing, and all above it, made as large as what they hold. The margin at their far edges stays. */
function grown(
  places: readonly Place[],
  parentId: string,
): Result<readonly Place[], ArrangeTrouble> {
  const parent = places.find(place => place.id === parentId);
  if (!parent) return success(places);
  const held = places.filter(place => place.parentId === parentId);
  const margin =
    parent.kind === 'bench'
      ? 0
      : Math.min(...held.map(place => place.xMm), ...held.map(place => place.yMm));
  const widthMm = Math.max(
    parent.kind === 'bench' ? 0 : parent.widthMm,
    ...held.map(place => place.xMm + place.widthMm + margin),
  );
  const depthMm = Math.max(
    parent.kind === 'bench' ? 0 : parent.depthMm,
    ...held.map(place => place.yMm + place.depthMm + margin),
  );
  const larger = { ...parent, widthMm, depthMm };
  const other = places.find(
    place =>
      place.parentId === parent.parentId &&
      place.id !== parentId &&
      parent.parentId !== null &&
      overlaps(cornersOf(larger), cornersOf(place)),
  );
  if (other) return failure({ kind: 'stands-on', other: other.name });
  const next = places.map(place => (place.id === parentId ? larger : place));
  return parent.parentId === null ? success(next) : grown(next, parent.parentId);
}

/** The same arrangement for a fresh deal of the same plan: places in their order keep where they stood. */
export function keepArrangement(old: readonly Place[], fresh: readonly Place[]): readonly Place[] {
  const sizesOf = (places: readonly Place[]): string => {
    const unit = places.find(place => place.kind === 'pot' || place.kind === 'plot');
    return JSON.stringify([places.map(place => place.kind).sort(), unit?.widthMm, unit?.depthMm]);
  };
  if (sizesOf(old) !== sizesOf(fresh)) return fresh;
  const inOrder = new Map<string, Place[]>();
  for (const place of old) inOrder.set(place.kind, [...(inOrder.get(place.kind) ?? []), place]);
  return fresh.map(place => {
    const before = inOrder.get(place.kind)?.shift();
    return before
      ? {
          ...place,
          xMm: before.xMm,
          yMm: before.yMm,
          widthMm: before.widthMm,
          depthMm: before.depthMm,
        }
      : place;
  });
}

/** The smallest gap between two units, edge to edge; null for fewer than two. */
export function closestMm(
  units: readonly {
    readonly xMm: number;
    readonly yMm: number;
    readonly widthMm: number;
    readonly depthMm: number;
    readonly shape: Place['shape'];
  }[],
): number | null {
  let closest: number | null = null;
  units.forEach((a, i) => {
    for (const b of units.slice(i + 1)) {
      const gap =
        a.shape === 'round' && b.shape === 'round'
          ? Math.hypot(
              a.xMm + a.widthMm / 2 - b.xMm - b.widthMm / 2,
              a.yMm + a.widthMm / 2 - b.yMm - b.widthMm / 2,
            ) -
            (a.widthMm + b.widthMm) / 2
          : Math.hypot(
              Math.max(0, b.xMm - a.xMm - a.widthMm, a.xMm - b.xMm - b.widthMm),
              Math.max(0, b.yMm - a.yMm - a.depthMm, a.yMm - b.yMm - b.depthMm),
            );
      closest = closest === null ? Math.max(0, gap) : Math.min(closest, Math.max(0, gap));
    }
  });
  return closest;
}
