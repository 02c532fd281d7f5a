import type { SeenTrial } from '@/core/blinding/seen-trial';
import { benchPlaces } from '@/core/trial/bench-places';
import type { SiteFeature } from '@/core/trial/model/layout';
import type { Place } from '@/core/trial/model/place';
import type { TrialData } from '@/core/trial/model/trial-data';
import { cornersOn } from '@/core/trial/place-corner';

/** A plant label as data: letter, and place among the treatments that aren't the control (−1: the control). */
export interface TagView {
  readonly letter: string;
  readonly index: number;
  readonly name: string;
}

/** One unit on the bench, all in mm from the bench's corner. */
export interface BenchUnit {
  readonly id: string;
  readonly code: string;
  /** `shelf 2, third of 8`. */
  readonly where: string;
  readonly position: number;
  readonly xMm: number;
  readonly yMm: number;
  readonly widthMm: number;
  readonly depthMm: number;
  readonly shape: 'round' | 'square';
  /** null in a blind trial whose key is shut: the treatment does not leave the server. */
  readonly tag: TagView | null;
  readonly isLeftOut: boolean;
}

/** The bench from above. */
export interface BenchView {
  readonly widthMm: number;
  readonly depthMm: number;
  /** The site: slope, light, wall. */
  readonly site: readonly SiteFeature[];
  /** Plants that nobody reads. */
  readonly guards: readonly (Placed & Pick<Place, 'shape'>)[];
  /** Where there are several. */
  readonly benches: readonly Placed[];
  /** Larger units of a split plot, on their shelf. */
  readonly beds: readonly Placed[];
  readonly shelves: readonly Placed[];
  readonly units: readonly BenchUnit[];
}

/** Something that others stand on, all in mm from the bench's corner. */
export interface Placed {
  readonly name: string;
  readonly xMm: number;
  readonly yMm: number;
  readonly widthMm: number;
  readonly depthMm: number;
}

/** The labels of a trial's treatments, in their order. */
export function tagsOf(data: TrialData): readonly (TagView & { readonly treatmentId: string })[] {
  let index = 0;
  return [...data.treatments]
    .sort((a, b) => a.position - b.position)
    .map(treatment => ({
      treatmentId: treatment.id,
      letter: treatment.letter,
      name: treatment.name,
      index: treatment.role === 'control' ? -1 : index++,
    }));
}

/** The bench of a trial that was dealt; treatments only where they may be seen. */
export function benchViewOf(data: SeenTrial, showsTreatments: boolean): BenchView | null {
  const { ground, benches, shelves, beds, guards } = benchPlaces(data.places);
  if (!ground) return null;
  const byId = new Map(data.places.map(place => [place.id, place]));
  const cornerOf = cornersOn(data.places);
  const placed = (place: Place): Placed => {
    const { xMm, yMm } = cornerOf(place);
    return { name: place.name, xMm, yMm, widthMm: place.widthMm, depthMm: place.depthMm };
  };
  const tags = tagsOf(data);
  const leftOut = new Set(
    data.incidents
      .filter(incident => incident.decision === 'leave-out')
      .map(incident => incident.unitId),
  );
  const units = data.units.flatMap((unit): BenchUnit[] => {
    const pot = byId.get(unit.placeId);
    const parent = byId.get(pot?.parentId ?? unit.placeId);
    if (!pot || !parent) return [];
    const tag = tags.find(candidate => candidate.treatmentId === unit.treatmentId);
    const neighbours = data.units
      .filter(other => byId.get(other.placeId)?.parentId === pot.parentId)
      .sort((a, b) => a.position - b.position);
    return [
      {
        ...placed(pot),
        id: unit.id,
        code: unit.code,
        position: unit.position,
        where: `${whereOf(parent, byId)}, ${ordinal(neighbours.indexOf(unit) + 1)} of ${neighbours.length}`,
        shape: pot.shape,
        tag:
          showsTreatments && tag ? { letter: tag.letter, index: tag.index, name: tag.name } : null,
        isLeftOut: leftOut.has(unit.id),
      },
    ];
  });
  return {
    widthMm: ground.widthMm,
    depthMm: ground.depthMm,
    units,
    site: data.layout?.site ?? [],
    benches: benches.map(placed),
    shelves: shelves.map(placed),
    beds: beds.map(placed),
    guards: guards.map(guard => ({ ...placed(guard), shape: guard.shape })),
  };
}

function whereOf(parent: Place, byId: ReadonlyMap<Place['id'], Place>): string {
  const above =
    parent.kind === 'bed' && parent.parentId !== null ? byId.get(parent.parentId) : undefined;
  return above ? `${above.name}, ${parent.name}` : parent.name;
}

function ordinal(place: number): string {
  const words = ['first', 'second', 'third', 'fourth', 'fifth', 'sixth', 'seventh', 'eighth'];
  return words[place - 1] ?? `number ${place}`;
}
