import { componentsOf, readMeasure } from '@/core/measure/library/own-measure';
import { type Result, success } from '@/core/result';
import type { Measure } from '@/core/trial/model/measure';
import type { TrialTrouble } from '@/core/trial/trial-trouble';
import { newId } from '@/service/garden/new-id';
import { addMeasure, removeMeasure } from '@/store/measures';
import { changeOneTrial, invalid, refused } from './change-trial';

/** Adds something that is read beside the harvest. It is never the main measure: that was fixed with the question. */
export function addMeasureToTrial(
  trialId: string,
  input: unknown,
): Promise<Result<Measure, TrialTrouble>> {
  return changeOneTrial(trialId, async (db, data) => {
    const what = 'measure added';
    if (data.trial.state === 'closed') return refused(what, { kind: 'closed' });
    const read = readMeasure(input, data.measures, newId());
    if (!read.ok) return invalid(what, read.trouble);
    for (const measure of [read.value, ...componentsOf(read.value.scale, data.measures, newId)])
      await addMeasure(db, trialId, measure);
    return {
      what,
      subjectId: read.value.id,
      detail: { name: read.value.name },
      result: success(read.value),
    };
  });
}

/** Takes a measure out again, as long as nothing was read of it. */
export function removeMeasureFromTrial(
  trialId: string,
  measureId: string,
): Promise<Result<true, TrialTrouble>> {
  return changeOneTrial(trialId, async (db, data) => {
    const what = 'measure taken out';
    const measure = data.measures.find(each => each.id === measureId && each.scale !== null);
    if (measure?.isMain)
      return invalid(what, {
        measure: `${measure.name} is the main measure: it was fixed with the question.`,
      });
    if (!measure) return refused(what, { kind: 'changed-meanwhile' });
    if (!(await removeMeasure(db, trialId, measureId)))
      return invalid(what, { measure: `${measure.name} was read already: its readings stay.` });
    return { what, subjectId: measureId, detail: { name: measure.name }, result: success(true) };
  });
}
