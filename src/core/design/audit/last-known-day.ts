import type { TrialData } from '@/core/trial/model/trial-data';

/** The day up to which a trial's care can be looked at: its end, or its last entry. */
export function lastKnownDay({ trial, care, picks }: TrialData): string {
  const days = [
    trial.startsOn,
    ...care.acts.map(act => act.doneOn),
    ...picks.map(pick => pick.pickedOn),
  ].sort();
  return trial.state === 'closed' ? trial.endsOn : (days.at(-1) ?? trial.startsOn);
}
