import { partsOf } from '@/core/measure/unit-value/parts-apart';
import { unitValues } from '@/core/measure/unit-value/unit-values';
import type { Measure } from '@/core/trial/model/measure';
import { isAveraged } from '@/core/trial/model/scale';
import type { TrialData } from '@/core/trial/model/trial-data';

/** Means of each treatment by the part of its units that was read: by layer, depth or storey. */
export interface PartProfile {
  /** In the order of their names, numbers by size. */
  readonly parts: readonly string[];
  readonly treatments: readonly {
    readonly name: string;
    /** In the order of the parts, of so many units; null where none was read. */
    readonly means: readonly ({ readonly mean: number; readonly units: number } | null)[];
  }[];
}

/** null where parts are not kept apart, or what is read has no mean. Units that were left out are not in it. */
export function partProfile(data: TrialData, measure: Measure): PartProfile | null {
  if (measure.scale === null || !isAveraged(measure.scale)) return null;
  const parts = partsOf(data, measure);
  if (parts.length < 2) return null;
  const leftOut = new Set(
    data.incidents.filter(each => each.decision === 'leave-out').map(each => each.unitId),
  );
  const read = parts.map(({ data: own, measure: of }) =>
    unitValues(own, of).filter(({ unit }) => !leftOut.has(unit.id)),
  );
  return {
    parts: parts.map(({ part }) => part),
    treatments: data.treatments.map(({ id, name }) => ({
      name,
      means: read.map(values => {
        const own = values.flatMap(({ unit, value }) =>
          unit.treatmentId === id && value !== null ? [value] : [],
        );
        return own.length === 0
          ? null
          : { mean: own.reduce((sum, each) => sum + each, 0) / own.length, units: own.length };
      }),
    })),
  };
}
