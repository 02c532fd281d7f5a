import { z } from 'zod';
import { isDecidedLate } from '@/core/judge/units/analysis-sets';
import { depthOfBags } from '@/core/materials/mix/depth';
import { printLength, printVolume } from '@/core/quantity/print-quantity';
import { type Result, success } from '@/core/result';
import { unitMeasuresOf } from '@/core/schedule/tasks/unit-measures';
import { fieldTroublesOf } from '@/core/trial/forms/field-troubles';
import { TreatmentId } from '@/core/trial/model/ids';
import type { Treatment } from '@/core/trial/model/treatment';
import type { TrialTrouble } from '@/core/trial/trial-trouble';
import { instantNow } from '@/service/garden/clock';
import { newId } from '@/service/garden/new-id';
import { changeOneTrial, invalid, refused } from '@/service/trial/change-trial';
import { firstGarden } from '@/store/gardens';
import { addAmendment } from '@/store/plan-records';
import { renameLevel } from '@/store/questions';
import { changeTrial } from '@/store/trials';

const Form = z.object({
  treatmentId: TreatmentId,
  bags: z.number().positive('How many bags?').max(10_000),
  bagMl: z.number().positive('How much is in a bag?').max(5_000_000),
  name: z.string().trim().min(1, 'Give it a name.').max(120, 'At most 120 characters.'),
});

/**
 * Calls a level by the depth that was really laid, from the bags that went on each unit. Of a dose series its number follows,
 * in the series' own unit (cm or inches as its name says). After the lock it is an amendment.
 */
export function nameByDepth(
  trialId: string,
  input: unknown,
): Promise<Result<Treatment, TrialTrouble>> {
  return changeOneTrial(trialId, async (db, data) => {
    const system = (await firstGarden(db))?.system ?? 'uk';
    const what = 'level named by its real depth';
    if (data.trial.state === 'closed') return refused(what, { kind: 'closed' });
    const parsed = Form.safeParse(input);
    if (!parsed.success) return invalid(what, fieldTroublesOf(parsed.error));
    const { treatmentId, bags, bagMl, name } = parsed.data;
    const treatment = data.treatments.find(each => each.id === treatmentId);
    const { areaM2 } = unitMeasuresOf(
      data.places.find(place => place.id === data.units[0]?.placeId),
      null,
      data.units.filter(unit => unit.treatmentId === treatmentId),
    );
    if (data.factors.length > 1)
      return invalid(what, {
        name: 'Crossed levels keep their names: note the depth under “not planned”.',
      });
    if (!treatment || areaM2 === undefined) return refused(what, { kind: 'changed-meanwhile' });
    if (data.treatments.some(each => each.id !== treatmentId && each.name === name))
      return invalid(what, { name: 'Another treatment has that name.' });
    const depthMm = depthOfBags(bags, bagMl, areaM2);
    const renamed = calledByDepth(treatment, name, depthMm);
    await renameLevel(db, trialId, treatment.name, renamed, data.factors);
    const { rules } = data.trial;
    const asked = (old: string): string => (old === treatment.name ? name : old);
    await changeTrial(db, trialId, {
      rules: {
        ...rules,
        askedOne: asked(rules.askedOne),
        askedOther: asked(rules.askedOther),
        askedOneWith: rules.askedOneWith.map(asked),
        askedOtherWith: rules.askedOtherWith.map(asked),
      },
    });
    if (data.trial.state === 'locked')
      await addAmendment(db, trialId, {
        id: newId(),
        at: instantNow(),
        what: 'other',
        from: treatment.name,
        to: name,
        why: `${bags} bags of ${printVolume(bagMl, system)} on each: ${printLength(depthMm, system)} were really laid.`,
        by: '',
        afterKeyOpened: isDecidedLate(data),
      });
    return {
      what,
      subjectId: treatmentId,
      detail: { from: treatment.name, to: name },
      result: success(renamed),
    };
  });
}

const INCHES = /\b(in|inch|inches)\b|"/i;

/** The level by its new name; of a dose series with its new dose, in the unit that its old name says. */
function calledByDepth(treatment: Treatment, name: string, depthMm: number): Treatment {
  const levels = Object.fromEntries(
    Object.entries(treatment.levels).map(([factor, level]) => [
      factor,
      level === treatment.name ? name : level,
    ]),
  );
  const unitMm = INCHES.test(treatment.name) ? 25.4 : 10;
  const dose = treatment.dose === null ? null : Number((depthMm / unitMm).toPrecision(3));
  return { ...treatment, name, levels, dose };
}
