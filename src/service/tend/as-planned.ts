import { z } from 'zod';
import { bottleParts, isBottle, type SeenStep, seenDue } from '@/core/blinding/bottle-steps';
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
    const open = openSteps(data, today()).filter(
      ({ task }) => task.state === 'missed' || task.state === 'overdue',
    );
    // Bottle by bottle where the trial is blind: how many steps of the plan they are is not to be seen.
    const lines = seenDue({ tasks: open, mixing: [], forbidden: [] }).steps;
    const at = instantNow();
    for (const line of lines)
      for (const part of partsOf(line, data, open))
        await addCareAct(db, trialId, { ...statedAct(part, data), takenAt: at, by });
    return { what, detail: { by, steps: lines.length }, result: success(lines.length) };
  });
}

interface StatedPart {
  readonly ruleId: string;
  readonly nth: number;
  readonly doneOn: string;
  readonly unitIds: CareAct['unitIds'];
}

function partsOf(line: SeenStep, data: TrialData, open: readonly DueTask[]): readonly StatedPart[] {
  if (isBottle(line))
    return bottleParts(data, open, line, null).map(part => ({ ...part, doneOn: line.dueOn }));
  const { ruleId, nth, dueOn, doneUnitIds } = line.task;
  const left = line.receivers.flatMap(receiver => receiver.codes);
  // What some had before is said of the rest.
  const unitIds =
    doneUnitIds === null
      ? null
      : data.units.filter(unit => left.includes(unit.code)).map(unit => unit.id);
  return dueOn === null ? [] : [{ ruleId, nth, doneOn: dueOn, unitIds }];
}

function statedAct(
  part: StatedPart,
  { care, products }: TrialData,
): Omit<CareAct, 'takenAt' | 'by'> {
  const rule = care.rules.find(each => each.id === part.ruleId);
  const product = products.find(each => each.id === rule?.material?.productId);
  return {
    ...part,
    id: newId(),
    isSkipped: false,
    amount: null,
    batchId: product ? (batchOn(product, part.doneOn)?.id ?? null) : null,
    outcome: null,
    note: 'Given as planned, as was stated later.',
    supersedes: null,
    isRemoval: false,
  };
}
