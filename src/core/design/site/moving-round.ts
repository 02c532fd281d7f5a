import { LAYOUTS } from '@/core/design/layouts/layouts';
import { seededRandom, shuffleInPlace } from '@/core/stats/distributions/seeded-random';
import type { PlaceId } from '@/core/trial/model/ids';
import type { Layout } from '@/core/trial/model/layout';
import type { TrialData } from '@/core/trial/model/trial-data';

/** One step of the walk: what is lifted from where, and set down where. */
export interface MoveStep {
  readonly code: string;
  /** The code whose place it was until now; `aside` for the one that waits with an empty place behind it. */
  readonly to:
    | { readonly kind: 'place'; readonly of: string; readonly name: string }
    | { readonly kind: 'aside' };
}

/** New random places for the units, within what the layout allows. */
export interface MovingRound {
  /** The place of every unit afterwards, in the trial's order of units. */
  readonly placeIds: readonly PlaceId[];
  /** Shelf by shelf; each pot is lifted once, one of each ring of exchanges twice. */
  readonly walk: readonly { readonly shelf: string; readonly steps: readonly MoveStep[] }[];
}

/** Layouts whose units may change places within what they stand on. In a square that would break rows or columns. */
export function canMove(layout: Pick<Layout, 'kind'>): boolean {
  return !LAYOUTS[layout.kind].hasColumns;
}

/**
 * Deals the units of each shelf, bed or garden to its places anew; over the whole bench where there are no blocks. The
 * same trial and seed give the same round. Treatments stay with their units.
 */
export function movingRound(data: TrialData, seed: number): MovingRound {
  const random = seededRandom(seed);
  const parentOf = new Map(data.places.map(place => [place.id, place.parentId]));
  const nameOf = new Map(data.places.map(place => [place.id, place.name]));
  const placeIds = data.units.map(unit => unit.placeId);
  const shelves = [...new Set(data.units.map(unit => parentOf.get(unit.placeId) ?? ''))];
  const walk = shelves.flatMap(shelf => {
    const own = data.units.flatMap((unit, i) => (parentOf.get(unit.placeId) === shelf ? [i] : []));
    const order = [...own];
    shuffleInPlace(order, random);
    own.forEach((unit, i) => {
      placeIds[unit] = data.units[order[i]!]!.placeId;
    });
    const steps = walkOf(
      own,
      unit => own.find(other => data.units[other]!.placeId === placeIds[unit]) ?? unit,
      data,
    );
    return steps.length > 0
      ? [{ shelf: [...nameOf].find(([id]) => id === shelf)?.[1] ?? '', steps }]
      : [];
  });
  return { placeIds, walk };
}

/** Each ring of exchanges: the first is set aside, the others follow into the place left free, the first comes last. */
function walkOf(
  units: readonly number[],
  goesTo: (unit: number) => number,
  data: TrialData,
): readonly MoveStep[] {
  const codeOf = (unit: number): string => data.units[unit]?.code ?? '';
  const placeName = (unit: number): string =>
    data.places.find(place => place.id === data.units[unit]?.placeId)?.name ?? '';
  const done = new Set<number>();
  const steps: MoveStep[] = [];
  const cameTo = new Map(units.map(unit => [goesTo(unit), unit]));
  for (const first of units) {
    if (done.has(first) || goesTo(first) === first) continue;
    steps.push({ code: codeOf(first), to: { kind: 'aside' } });
    done.add(first);
    let free = first;
    for (
      let next = cameTo.get(free);
      next !== undefined && next !== first;
      next = cameTo.get(free)
    ) {
      steps.push({
        code: codeOf(next),
        to: { kind: 'place', of: codeOf(free), name: placeName(free) },
      });
      done.add(next);
      free = next;
    }
    steps.push({
      code: codeOf(first),
      to: { kind: 'place', of: codeOf(free), name: placeName(free) },
    });
  }
  return steps;
}
