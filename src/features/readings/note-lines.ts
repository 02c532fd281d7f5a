import type { SeenTrial } from '@/core/blinding/seen-trial';

/** Something that was written down in words, whatever it hangs on. */
export interface NoteLine {
  readonly id: string;
  readonly day: string;
  /** Whose; empty: of the whole trial. */
  readonly code: string;
  readonly about: string;
  readonly says: string;
}

/** All notes of a trial, newest first: of picks, readings, mishaps and, with an open key, what was done: that may say who got what. */
export function notesOf(
  { units, picks, readings, incidents, measures, care }: SeenTrial,
  isOpen: boolean,
): readonly NoteLine[] {
  const codeOf = new Map(units.map(unit => [unit.id as string, unit.code as string]));
  const nameOf = new Map(measures.map(measure => [measure.id as string, measure.name]));
  return [
    ...picks.map(({ id, pickedOn: day, unitId, note }) => ({
      id: id as string,
      day: day as string,
      code: codeOf.get(unitId) ?? '',
      about: 'a pick',
      says: note,
    })),
    ...readings.map(({ id, takenOn: day, unitId, measureId, note }) => ({
      id: id as string,
      day: day as string,
      code: codeOf.get(unitId) ?? '',
      about: nameOf.get(measureId) ?? '',
      says: note,
    })),
    ...incidents.map(({ id, happenedOn: day, unitId, what, why }) => ({
      id: id as string,
      day: day as string,
      code: codeOf.get(unitId) ?? '',
      about: what,
      says: why,
    })),
    ...(isOpen ? care.acts : []).map(({ id, doneOn: day, unitIds, note }) => ({
      id: id as string,
      day: day as string,
      code: (unitIds ?? []).map(unitId => codeOf.get(unitId) ?? '').join(' '),
      about: 'a task',
      says: note,
    })),
  ]
    .filter(line => line.says.trim() !== '')
    .sort((a, b) => b.day.localeCompare(a.day));
}

/** Those that hold every word that is looked for, in the words, the code, the day or what it is about. */
export function findNotes(lines: readonly NoteLine[], sought: string): readonly NoteLine[] {
  const words = sought
    .toLowerCase()
    .split(/\s+/)
    .filter(word => word !== '');
  return lines.filter(line => {
    const all = `${line.code} ${line.day} ${line.about} ${line.says}`.toLowerCase();
    return words.every(word => all.includes(word));
  });
}
