import type { TrialData } from '@/core/trial/trial-data';

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
  /** null in a blind trial whose key is shut: the treatment does not leave the server. */
  readonly tag: TagView | null;
  readonly isLeftOut: boolean;
}

/** The bench from above. */
export interface BenchView {
  readonly widthMm: number;
  readonly depthMm: number;
  readonly shelves: readonly { readonly name: string; readonly xMm: number; readonly yMm: number; readonly widthMm: number; readonly depthMm: number }[];
  readonly units: readonly BenchUnit[];
}

/** The labels of a trial's treatments, in their order. */
export function tagsOf(data: TrialData): readonly (TagView & { readonly treatmentId: string })[] {
  let index = 0;
  return [...data.treatments].sort((a, b) => a.position - b.position).map(treatment => ({
    treatmentId: treatment.id, letter: treatment.letter, name: treatment.name, index: treatment.role === 'control' ? -1 : index++,
  }));
}

/** The bench of a trial that was dealt; treatments only where they may be seen. */
export function benchViewOf(data: TrialData, showsTreatments: boolean): BenchView | null {
  const bench = data.places.find(place => place.kind === 'bench');
  if (!bench) return null;
  const shelves = data.places.filter(place => place.kind === 'shelf');
  const tags = tagsOf(data);
  const leftOut = new Set(data.incidents.filter(incident => incident.decision === 'leave-out').map(incident => incident.unitId));
  const units = data.units.flatMap((unit): BenchUnit[] => {
    const pot = data.places.find(place => place.id === unit.placeId);
    const shelf = shelves.find(place => place.id === pot?.parentId);
    if (!pot || !shelf) return [];
    const tag = tags.find(candidate => candidate.treatmentId === unit.treatmentId);
    const neighbours = data.units.filter(other => other.blockId === unit.blockId);
    return [{
      id: unit.id, code: unit.code, position: unit.position, where: `${shelf.name}, ${ordinal(neighbours.indexOf(unit) + 1)} of ${neighbours.length}`,
      xMm: shelf.xMm + pot.xMm, yMm: shelf.yMm + pot.yMm, widthMm: pot.widthMm,
      tag: showsTreatments && tag ? { letter: tag.letter, index: tag.index, name: tag.name } : null, isLeftOut: leftOut.has(unit.id),
    }];
  });
  return { widthMm: bench.widthMm, depthMm: bench.depthMm, shelves: shelves.map(({ name, xMm, yMm, widthMm, depthMm }) => ({ name, xMm, yMm, widthMm, depthMm })), units };
}

function ordinal(place: number): string {
  const words = ['first', 'second', 'third', 'fourth', 'fifth', 'sixth', 'seventh', 'eighth'];
  return words[place - 1] ?? `number ${place}`;
}
