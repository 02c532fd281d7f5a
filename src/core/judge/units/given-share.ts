import type { GivenShare } from '@/core/judge/question/judge-input';
import { adherenceOf } from '@/core/schedule/adherence/adherence';
import { careTasks } from '@/core/schedule/tasks/due-today';
import type { CalendarDay } from '@/core/time/garden-day';
import type { TrialData } from '@/core/trial/model/trial-data';

/**
 * How much of what was planned for a treatment, and not for all alike, is on record as given, by treatment; undefined where
 * nothing was planned that tells them apart. Reckoned up to the last entry, so that a verdict read later says the same.
 */
export function givenShares(data: TrialData): Readonly<Record<string, GivenShare>> | undefined {
  const { care, treatments, units } = data;
  const own = care.rules.filter(
    ({ treatmentIds }) => treatmentIds.length > 0 && treatmentIds.length < treatments.length,
  );
  const until = lastEntry(data);
  if (own.length === 0 || until === undefined) return undefined;
  const kept = adherenceOf(
    own,
    careTasks(data, until),
    treatments.map(treatment => treatment.id),
    units,
  );
  const shares = treatments.flatMap(({ name }, i) => {
    const { planned, done } = kept[i] ?? { planned: 0, done: 0 };
    return planned === 0 ? [] : [[name, { planned, done }] as const];
  });
  return shares.length === 0 ? undefined : Object.fromEntries(shares);
}

/** Of readings those of the main measure: a verdict’s first page has no others. */
function lastEntry({ trial, picks, readings, measures, care }: TrialData): CalendarDay | undefined {
  const main = measures.find(measure => measure.isMain);
  const last = [
    ...picks.map(pick => pick.pickedOn),
    ...readings.flatMap(reading => (reading.measureId === main?.id ? [reading.takenOn] : [])),
    ...care.acts.map(act => act.doneOn),
  ].reduce<CalendarDay | undefined>(
    (latest, day) => (latest === undefined || day > latest ? day : latest),
    undefined,
  );
  return last !== undefined && last > trial.endsOn ? trial.endsOn : last;
}
