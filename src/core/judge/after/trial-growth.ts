import { unitCourse } from '@/core/measure/unit-value/unit-values';
import { bestCurves, type FittedCurve } from '@/core/stats/curves/fit-curve';
import { daysBetween } from '@/core/time/garden-day';
import type { Measure } from '@/core/trial/model/measure';
import type { TrialData } from '@/core/trial/model/trial-data';

/** How a treatment's plants grew: their mean by the day, and the curves that fit it. */
export interface TreatmentGrowth {
  readonly treatment: string;
  readonly points: readonly { readonly x: number; readonly y: number }[];
  readonly fits: readonly FittedCurve[];
}

const LEAST_DAYS = 5; // an S has three figures and its error: fewer looks give nothing to choose by

/** Growth curves of a measure read on at least five days, by treatment. They describe; the comparison is made on the units. */
export function trialGrowth(
  data: TrialData,
  measure: Measure,
): readonly TreatmentGrowth[] | undefined {
  if (measure.scale?.kind !== 'continuous' && measure.scale?.kind !== 'count') return undefined;
  const grown = data.treatments.map(treatment => {
    const byDay = new Map<number, number[]>();
    for (const unit of data.units.filter(each => each.treatmentId === treatment.id))
      for (const { day, value } of unitCourse(data, unit.id, measure)) {
        const x = daysBetween(data.trial.startsOn, day);
        byDay.set(x, [...(byDay.get(x) ?? []), value]);
      }
    return {
      treatment: treatment.name,
      points: [...byDay]
        .map(([x, values]) => ({
          x,
          y: values.reduce((sum, value) => sum + value, 0) / values.length,
        }))
        .sort((a, b) => a.x - b.x),
    };
  });
  if (grown.every(each => each.points.length < LEAST_DAYS)) return undefined;
  return grown.map(each => ({
    ...each,
    fits:
      each.points.length < LEAST_DAYS
        ? []
        : bestCurves(each.points, ['linear', 'logistic', 'gompertz']),
  }));
}
