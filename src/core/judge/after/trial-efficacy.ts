import { unitCourse } from '@/core/measure/unit-value/unit-values';
import type { Measure } from '@/core/trial/model/measure';
import type { TrialData } from '@/core/trial/model/trial-data';
import { beganUnlike, efficacy } from './efficacy';

/** How much of a pest each remedy took away. */
export interface TreatmentEfficacy {
  readonly treatment: string;
  readonly before: number | null;
  readonly after: number;
  /** null where there is nothing to divide by. */
  readonly percent: number | null;
}

export interface TrialEfficacy {
  readonly method: 'abbott' | 'henderson-tilton';
  readonly beforeOn: string | null;
  readonly afterOn: string;
  readonly control: {
    readonly name: string;
    readonly before: number | null;
    readonly after: number;
  };
  readonly treatments: readonly TreatmentEfficacy[];
  /** Counts before differed so much that the count after alone would mislead. */
  readonly isUnlikeBefore: boolean;
}

/** Efficacy of remedies from counts that are better low: with a count before the first act by Henderson and Tilton, else by Abbott. */
export function trialEfficacy(data: TrialData, measure: Measure): TrialEfficacy | undefined {
  const control = data.treatments.find(treatment => treatment.role === 'control');
  if (measure.better !== 'lower' || measure.scale?.kind !== 'count' || !control) return undefined;
  const firstAct = data.care.acts.map(act => act.doneOn).sort()[0];
  const days = [
    ...new Set(
      data.readings
        .filter(reading => reading.measureId === measure.id && !reading.isRepeat)
        .map(reading => reading.takenOn),
    ),
  ].sort();
  const afterOn = days.at(-1);
  if (afterOn === undefined) return undefined;
  const beforeOn =
    firstAct === undefined
      ? undefined
      : days.filter(day => day <= firstAct && day < afterOn).at(-1);
  const meanOn = (treatmentId: string, day: string): number | null => {
    const values = data.units
      .filter(unit => unit.treatmentId === treatmentId)
      .flatMap(unit =>
        unitCourse(data, unit.id, measure)
          .filter(point => point.day === day)
          .map(point => point.value),
      );
    return values.length === 0
      ? null
      : values.reduce((sum, value) => sum + value, 0) / values.length;
  };
  const [controlAfter, controlBefore] = [
    meanOn(control.id, afterOn),
    beforeOn === undefined ? null : meanOn(control.id, beforeOn),
  ];
  if (controlAfter === null) return undefined;
  const method =
    beforeOn !== undefined && controlBefore !== null
      ? ('henderson-tilton' as const)
      : ('abbott' as const);
  const others = data.treatments
    .filter(treatment => treatment !== control)
    .flatMap(treatment => {
      const [after, before] = [
        meanOn(treatment.id, afterOn),
        beforeOn === undefined ? null : meanOn(treatment.id, beforeOn),
      ];
      return after === null ? [] : [{ treatment: treatment.name, before, after }];
    });
  return {
    method,
    beforeOn: beforeOn ?? null,
    afterOn,
    control: { name: control.name, before: controlBefore, after: controlAfter },
    treatments: others.map(each => {
      const found = efficacy(method, {
        controlBefore: controlBefore ?? undefined,
        controlAfter,
        treatedBefore: each.before ?? undefined,
        treatedAfter: each.after,
      });
      return { ...each, percent: found.ok ? found.value : null };
    }),
    isUnlikeBefore: others.some(each =>
      beganUnlike({
        controlBefore: controlBefore ?? undefined,
        controlAfter,
        treatedBefore: each.before ?? undefined,
        treatedAfter: each.after,
      }),
    ),
  };
}
