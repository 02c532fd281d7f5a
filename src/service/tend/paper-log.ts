import papaparse from 'papaparse';
import { z } from 'zod';
import { bottleParts } from '@/core/blinding/bottle-steps';
import { loggedRules } from '@/core/blinding/logged-rules';
import { failure, type Result, success } from '@/core/result';
import {
  type LoggedStep,
  type LogTrouble,
  readPaperLog,
} from '@/core/schedule/adherence/paper-log';
import { careTasks, type DueTask } from '@/core/schedule/tasks/due-today';
import { openSteps } from '@/core/schedule/tasks/open-steps';
import { fieldTroublesOf } from '@/core/trial/forms/field-troubles';
import type { CarePlan } from '@/core/trial/model/care-plan';
import { batchOn } from '@/core/trial/model/product';
import type { TrialData } from '@/core/trial/model/trial-data';
import type { TrialTrouble } from '@/core/trial/trial-trouble';
import { instantNow, today } from '@/service/garden/clock';
import { currentGarden } from '@/service/garden/garden';
import { newId } from '@/service/garden/new-id';
import { changeOneTrial, invalid, refused } from '@/service/trial/change-trial';
import { addCareAct } from '@/store/care';

const PaperLogForm = z.object({
  table: z
    .string()
    .trim()
    .min(1, 'Paste the log, with the names of its columns in the first line.')
    .max(400_000, 'At most 400,000 characters.'),
  by: z.string().trim().max(80).default(''),
});

/**
 * Enters a paper log: each line ticks the planned step that it means, with its true day. All lines or none.
 *
 * @returns how many steps it was
 */
export async function enterPaperLog(
  trialId: string,
  input: unknown,
): Promise<Result<number, TrialTrouble>> {
  const { system } = await currentGarden();
  return changeOneTrial(trialId, async (db, data) => {
    const what = 'paper log';
    if (data.trial.state === 'closed') return refused(what, { kind: 'closed' });
    const parsed = PaperLogForm.safeParse(input);
    if (!parsed.success) return invalid(what, fieldTroublesOf(parsed.error));
    const { table, by } = parsed.data;
    const open = openSteps(data, today());
    const read = readRows(table, data, system, open);
    if (!read.ok) return invalid(what, { table: read.trouble.map(troubleWords).join('\n') });
    const takenAt = instantNow();
    for (const step of read.value.flatMap(line => plannedSteps(line, data, open)))
      await addCareAct(db, trialId, {
        ...step,
        id: newId(),
        takenAt,
        batchId: batchFor(data, step.ruleId, step.doneOn),
        outcome: null,
        by: step.by === '' ? by : step.by,
        supersedes: null,
        isRemoval: false,
      });
    return {
      what,
      detail: { by, steps: read.value.length },
      result: success(read.value.length),
    };
  });
}

function readRows(
  table: string,
  data: TrialData,
  system: Parameters<typeof readPaperLog>[1]['system'],
  open: readonly DueTask[],
): ReturnType<typeof readPaperLog> {
  const rows = papaparse.parse<string[]>(table, { skipEmptyLines: 'greedy' }).data;
  if (rows.length < 2)
    return failure([{ row: 1, column: '', says: 'There is no line under the heads.' }]);
  const { rules, bottles } = loggedRules(data, open);
  return readPaperLog(rows, {
    rules,
    tasks: [...careTasks({ ...data, care: byHand(data.care) }, today()), ...bottles],
    units: data.units,
    system,
    startsOn: data.trial.startsOn,
    today: today(),
  });
}

/** A line as steps of the plan: of a bottle every one that giving it is, for its own pots. */
function plannedSteps(
  line: LoggedStep,
  data: TrialData,
  open: readonly DueTask[],
): readonly LoggedStep[] {
  const { bottles } = loggedRules(data, open);
  const task = bottles.find(each => each.ruleId === line.ruleId && each.nth === line.nth);
  if (!task || task.dueOn === null) return [line];
  const codes =
    line.unitIds &&
    data.units.filter(unit => line.unitIds?.includes(unit.id)).map(unit => unit.code);
  return bottleParts(data, open, { bottle: task.ruleId, dueOn: task.dueOn }, codes).map(part => ({
    ...line,
    ...part,
    amount: null,
  }));
}

/** What a timer did stays open to be put down: for the day on which it stood still. */
function byHand(care: CarePlan): CarePlan {
  return { ...care, rules: care.rules.map(rule => ({ ...rule, runsByItself: false })) };
}

function troubleWords({ row, column, says }: LogTrouble): string {
  return `Line ${row}${column === '' ? '' : `, ${column}`}: ${says}`;
}

function batchFor({ care, products }: TrialData, ruleId: string, on: string): string | null {
  const rule = care.rules.find(each => each.id === ruleId);
  const product = products.find(each => each.id === rule?.material?.productId);
  return product ? (batchOn(product, on)?.id ?? null) : null;
}
