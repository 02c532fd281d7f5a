import { z } from 'zod';
import { type Result, success } from '@/core/result';
import type { DueTask } from '@/core/schedule/tasks/due-today';
import { openSteps } from '@/core/schedule/tasks/open-steps';
import { fieldTroublesOf } from '@/core/trial/forms/field-troubles';
import type { CareAct } from '@/core/trial/model/care-plan';
import { batchOn } from '@/core/trial/model/product';
import type { TrialData } from '@/core/trial/model/trial-data';
import type { TrialTrouble } from '@/core/trial/trial-trouble';
import { instantNow, today } from '@/service/garden/clock';
import { newId } from '@/service/garden/new-id';
import { changeOneTrial, invalid, refused } from '@/service/trial/change-trial';
import { addCareAct } from '@/store/care';

const StatementForm = z.object({
  by: z.string().trim().min(1, 'Say who says so: it stands on record.').max(80),
});

/**
 * Puts every step that was missed on record as done on its own day, by one statement: for who kept a paper log, or none. Each stays
 * an entry of its own, which can be taken back.
 *
 * @returns how many steps it was
 */
export function stateAllAsPlanned(
  trialId: string,
  input: unknown,
): Promise<Result<number, TrialTrouble>> {
  return changeOneTrial(trialId, async (db, data) => {
    const what = 'all given as planned, by one statement';
    if (data.trial.state === 'closed') return refused(what, { kind: 'closed' });
    const parsed = StatementForm.safeParse(input);
    if (!parsed.success) return invalid(what, fieldTroublesOf(parsed.error));
    const { by } = parsed.data;
    const acts = openSteps(data, today()).flatMap(step => statedAct(step, data, by));
    for (const act of acts) await addCareAct(db, trialId, act);
    return { what, detail: { by, steps: acts.length }, result: success(acts.length) };
  });
}

function statedAct(
  { task: { ruleId, nth, dueOn, state, doneUnitIds }, receivers }: DueTask,
  { care, products, units }: TrialData,
  by: string,
): readonly CareAct[] {
  if ((state !== 'missed' && state !== 'overdue') || dueOn === null) return [];
  const left = receivers.flatMap(receiver => receiver.codes);
  const rule = care.rules.find(each => each.id === ruleId);
  const product = products.find(each => each.id === rule?.material?.productId);
  return [
    {
      id: newId(),
      ruleId,
      nth,
      doneOn: dueOn,
      takenAt: instantNow(),
      isSkipped: false,
      amount: null,
      batchId: product ? (batchOn(product, dueOn)?.id ?? null) : null,
      // What some had before is said of the rest.
      unitIds:
        doneUnitIds === null
          ? null
          : units.filter(unit => left.includes(unit.code)).map(unit => unit.id),
      outcome: null,
      note: 'Given as planned, as was stated later.',
      by,
      supersedes: null,
      isRemoval: false,
    },
  ];
}
