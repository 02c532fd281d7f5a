import type { TrialData } from '@/core/trial/model/trial-data';

/** Days on which some units were picked and others neither picked nor looked at. The dead are not waited for. */
export function brokenRounds({
  picks,
  units,
}: TrialData): readonly { readonly day: string; readonly done: number; readonly of: number }[] {
  const diedOn = new Map(
    picks.filter(pick => pick.outcome === 'dead').map(pick => [pick.unitId, pick.pickedOn]),
  );
  return [...new Set(picks.map(pick => pick.pickedOn))].sort().flatMap(day => {
    const done = new Set(picks.filter(pick => pick.pickedOn === day).map(pick => pick.unitId));
    const waiting = units.filter(
      unit => !done.has(unit.id) && (diedOn.get(unit.id) ?? '9999') >= day,
    );
    return waiting.length === 0 ? [] : [{ day, done: done.size, of: units.length }];
  });
}
