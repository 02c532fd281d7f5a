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
  const { beforeOn, afterOn } = countedOn(data, measure);
  if (afterOn === undefined) return undefined;
  const means = (treatmentId: string) => ({
    before: beforeOn === undefined ? null : meanOn(data, measure, treatmentId, beforeOn),
    after: meanOn(data, measure, treatmentId, afterOn),
  });
  const { before: controlBefore, after: controlAfter } = means(control.id);
  if (controlAfter === null) return undefined;
  const method = controlBefore === null ? 'abbott' : 'henderson-tilton';
  const others = data.treatments
    .filter(treatment => treatment !== control)
    .flatMap(treatment => {
      const { before, after } = means(treatment.id);
      if (after === null) return [];
      const counts = {
        controlBefore: controlBefore ?? undefined,
        controlAfter,
        treatedBefore: before ?? undefined,
        treatedAfter: after,
      };
      return [{ treatment: treatment.name, before, after, counts }];
    });
  return {
    method,
    beforeOn: beforeOn ?? null,
    afterOn,
    control: { name: control.name, before: controlBefore, after: controlAfter },
    treatments: others.map(({ counts, ...each }) => {
      const found = efficacy(method, counts);
      return { ...each, percent: found.ok ? found.value : null };
    }),
    isUnlikeBefore: others.some(({ counts }) => beganUnlike(counts)),
  };
}

/** The last day of counting, and the last before any of the remedies was given. */
function countedOn({ readings, care, treatments }: TrialData, measure: Measure) {
  const control = treatments.find(treatment => treatment.role === 'control');
  // What the control got as well is no remedy; what was left out was not given.
  const remedies = new Set(
    care.rules
      .filter(
        rule => rule.treatmentIds.length > 0 && !rule.treatmentIds.some(id => id === control?.id),
      )
      .map(rule => rule.id),
  );
  const firstAct = care.acts
    .filter(act => !act.isSkipped && remedies.has(act.ruleId))
    .map(act => act.doneOn)
    .sort()[0];
  const own = readings.filter(reading => reading.measureId === measure.id && !reading.isRepeat);
  const days = [...new Set(own.map(reading => reading.takenOn))].sort();
  const afterOn = days.at(-1);
  if (firstAct === undefined || afterOn === undefined) return { beforeOn: undefined, afterOn };
  return { beforeOn: days.filter(day => day <= firstAct && day < afterOn).at(-1), afterOn };
}

/** Over the units of a treatment that were counted on the day; null where none was. */
function meanOn(
  data: TrialData,
  measure: Measure,
  treatmentId: string,
  day: string,
): number | null {
  const values = data.units
    .filter(unit => unit.treatmentId === treatmentId)
    .flatMap(unit => unitCourse(data, unit.id, measure))
    .filter(point => point.day === day)
    .map(point => point.value);
  if (values.length === 0) return null;
  return values.reduce((sum, value) => sum + value, 0) / values.length;
}
