import type { TrialData } from '@/core/trial/model/trial-data';

/** What somebody put down as work, in minutes of one person. */
export interface PersonMinutes {
  /** Empty: whoever did not say who they are. */
  readonly person: string;
  readonly minutes: number;
}

/** The work of a trial by who put it down, the most first. Work of several at once stands with the one who wrote it. */
export function minutesByPerson({
  measures,
  readings,
}: Pick<TrialData, 'measures' | 'readings'>): readonly PersonMinutes[] {
  const labour = measures.find(measure => measure.kindKey === 'labour');
  const sums = new Map<string, PersonMinutes>();
  for (const { measureId, value, by } of readings) {
    if (measureId !== labour?.id || value === null) continue;
    const key = by.trim().toLowerCase();
    const before = sums.get(key) ?? { person: by.trim(), minutes: 0 };
    sums.set(key, { ...before, minutes: before.minutes + value });
  }
  return [...sums.values()].sort((a, b) => b.minutes - a.minutes);
}
