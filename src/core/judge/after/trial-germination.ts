import { daysBetween } from '@/core/time/garden-day';
import type { Measure } from '@/core/trial/model/measure';
import type { TrialData } from '@/core/trial/model/trial-data';
import { type Germination, germination } from './germination';

/** How many came up and how fast, by treatment; of all units together, seeds counted. */
export function trialGermination(
  data: TrialData,
  measure: Measure,
): readonly (Germination & { readonly treatment: string; readonly sown: number })[] | undefined {
  if (measure.kindKey !== 'germination' && measure.kindKey !== 'rooted') return undefined;
  const readings = data.readings.filter(
    reading =>
      reading.measureId === measure.id &&
      !reading.isRepeat &&
      reading.outcome === 'picked' &&
      reading.value !== null,
  );
  const days = [...new Set(readings.map(reading => reading.takenOn))].sort();
  return data.treatments.flatMap(treatment => {
    const units = new Set(
      data.units.filter(unit => unit.treatmentId === treatment.id).map(unit => unit.id),
    );
    const own = readings.filter(reading => units.has(reading.unitId));
    const sown = Math.max(
      0,
      ...days.map(day =>
        own
          .filter(reading => reading.takenOn === day)
          .reduce((sum, reading) => sum + (reading.outOf ?? 0), 0),
      ),
    );
    if (sown === 0) return [];
    // What stands on a day is all that had come up by then: what is new is the rest; what died again is none.
    let most = 0;
    const looks = days.map(day => {
      const up = own
        .filter(reading => reading.takenOn === day)
        .reduce((sum, reading) => sum + (reading.value ?? 0), 0);
      const count = Math.max(0, up - most);
      most = Math.max(most, up);
      return { days: daysBetween(data.trial.startsOn, day), count };
    });
    return [{ treatment: treatment.name, sown, ...germination(looks, sown) }];
  });
}
