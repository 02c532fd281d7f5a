import type { Measure } from '@/core/trial/model/measure';
import type { TrialData } from '@/core/trial/model/trial-data';

/** A measure of one part of the units, with the trial as far as that part was read. */
export interface PartMeasure {
  readonly measure: Measure;
  readonly part: string;
  readonly data: TrialData;
}

/** Of a measure whose parts are kept apart, each that was read, by its name; none of any other. */
export function partsOf(data: TrialData, measure: Measure): readonly PartMeasure[] {
  if (measure.partsAre !== 'apart') return [];
  const own = data.readings.filter(reading => reading.measureId === measure.id);
  const parts = [...new Set(own.map(reading => reading.subsample))].filter(part => part !== '');
  return parts
    .sort((a, b) => a.localeCompare(b, 'en', { numeric: true }))
    .map(part => {
      const of = { ...measure, name: `${measure.name}, ${part}`, parts: 1, isMain: false };
      return {
        measure: of,
        part,
        data: {
          ...data,
          measures: data.measures.map(each => (each.id === measure.id ? of : each)),
          readings: own.filter(reading => reading.subsample === part),
        },
      };
    });
}
