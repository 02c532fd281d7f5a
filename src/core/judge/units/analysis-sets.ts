import type { Incident } from '@/core/trial/model/incident';
import type { Trial } from '@/core/trial/model/trial';
import type { TrialData } from '@/core/trial/model/trial-data';

/**
 * Which units and entries count. `all`: every unit with all it gave. `planned`: what was decided before anyone could see how it
 * would turn out. `sound`: also without every unit that had a mishap which the treatment did not do for certain, whatever was decided.
 */
export type AnalysisSet = 'all' | 'planned' | 'sound';

/** What the verdict’s own set is, in words: of an open trial there is no key. */
export function setWords(set: AnalysisSet, { isBlind }: Pick<Trial, 'isBlind'>): string {
  switch (set) {
    case 'all':
      return 'every one, with all it gave';
    case 'planned':
      return isBlind
        ? 'as agreed before the key was opened'
        : 'as decided before anything was read';
    case 'sound':
      return 'only those that had no mishap';
  }
}

/**
 * Whether what is decided now is decided too late to count in the verdict: the key is open, or in an open trial somebody has seen
 * what the first units gave. It stands beside the verdict then.
 */
export function isDecidedLate({
  trial,
  picks,
  readings,
}: Pick<TrialData, 'trial' | 'picks' | 'readings'>): boolean {
  return trial.isBlind
    ? trial.keyOpenedAt !== null || trial.state === 'closed'
    : picks.length > 0 || readings.length > 0;
}

/** Codes of the units that a set leaves out, in the order of the round. */
export function leftOutOf(
  { units, incidents }: Pick<TrialData, 'units' | 'incidents'>,
  set: AnalysisSet,
): readonly string[] {
  if (set === 'all') return [];
  const isOut = (incident: Incident): boolean =>
    (incident.decision === 'leave-out' && (set === 'sound' || !incident.afterKeyOpened)) ||
    (set === 'sound' && incident.byTreatment !== 'yes');
  const out = new Set(incidents.filter(isOut).map(incident => incident.unitId));
  return units.filter(unit => out.has(unit.id)).map(unit => unit.code);
}

/** A trial whose entries are cut where a mishap ended a unit's measuring, or began its line anew, as was decided in time. */
export function withCuts(data: TrialData): TrialData {
  const cuts = cutsOf(data);
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

function cutsOf({ incidents }: Pick<TrialData, 'incidents'>): readonly Incident[] {
  return incidents.filter(
    ({ decision, afterKeyOpened }) =>
      !afterKeyOpened &&
      (decision === 'leave-out-from' || decision === 'start-anew' || decision === 'replace'),
  );
}

/** Which units are judged on a shorter season than the others, and since when or until when, in sentences. */
export function cutWords({
  units,
  incidents,
}: Pick<TrialData, 'units' | 'incidents'>): readonly string[] {
  return cutsOf({ incidents }).flatMap(({ unitId, decision, happenedOn }) => {
    const code = units.find(unit => unit.id === unitId)?.code;
    if (code === undefined) return [];
    return decision === 'leave-out-from'
      ? [
          `${code} counts only with what it gave before ${happenedOn}: a shorter season than the others.`,
        ]
      : [`${code} counts only from ${happenedOn} on: a shorter season than the others.`];
  });
}
