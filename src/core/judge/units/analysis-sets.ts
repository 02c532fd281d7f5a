import type { Incident } from '@/core/trial/model/incident';
import type { TrialData } from '@/core/trial/model/trial-data';

/**
 * Which units and entries count. `all`: every unit with all it gave. `planned`: what was decided before anyone knew the key.
 * `sound`: also without every unit that had a mishap the treatment did not cause, whatever was decided.
 */
export type AnalysisSet = 'all' | 'planned' | 'sound';

export const SET_WORDS: Readonly<Record<AnalysisSet, string>> = {
  all: 'every one, with all it gave',
  planned: 'as decided before the key was known',
  sound: 'only those that had no mishap',
};

/** Codes of the units that a set leaves out, in the order of the round. */
export function leftOutOf(
  { units, incidents }: Pick<TrialData, 'units' | 'incidents'>,
  set: AnalysisSet,
): readonly string[] {
  if (set === 'all') return [];
  const isOut = (incident: Incident): boolean =>
    (incident.decision === 'leave-out' && (set === 'sound' || !incident.afterKeyOpened)) ||
    (set === 'sound' && incident.byTreatment === 'no');
  const out = new Set(incidents.filter(isOut).map(incident => incident.unitId));
  return units.filter(unit => out.has(unit.id)).map(unit => unit.code);
}

/** A trial whose entries are cut where a mishap ended a unit's measuring, or began its line anew. */
export function withCuts(data: TrialData): TrialData {
  const cuts = data.incidents.filter(
    incident =>
      incident.decision === 'leave-out-from' ||
      incident.decision === 'start-anew' ||
      incident.decision === 'replace',
  );
  if (cuts.length === 0) return data;
  const counts = (unitId: string, day: string): boolean =>
    cuts.every(
      cut =>
        cut.unitId !== unitId ||
        (cut.decision === 'leave-out-from' ? day < cut.happenedOn : day >= cut.happenedOn),
    );
  return {
    ...data,
    picks: data.picks.filter(pick => counts(pick.unitId, pick.pickedOn)),
    readings: data.readings.filter(reading => counts(reading.unitId, reading.takenOn)),
  };
}
