import { z } from 'zod';
import { plainNumber } from '@/core/design/question/margin-form';
import { isDecidedLate } from '@/core/judge/units/analysis-sets';
import { failure, type Result, success } from '@/core/result';
import { daysBetween, GardenDay } from '@/core/time/garden-day';
import { fieldTroublesOf } from '@/core/trial/forms/field-troubles';
import { LONGEST_DAYS } from '@/core/trial/model/limits';
import type { Measure } from '@/core/trial/model/measure';
import type { Amendment } from '@/core/trial/model/plan-record';
import type { TrialData } from '@/core/trial/model/trial-data';
import type { TrialTrouble } from '@/core/trial/trial-trouble';
import { instantNow } from '@/service/garden/clock';
import { newId } from '@/service/garden/new-id';
import type { Database } from '@/store/connection/database';
import { addAmendment } from '@/store/plan-records';
import { changeMargin } from '@/store/questions';
import { changeTrial } from '@/store/trials';
import { changeOneTrial, entryTrouble, invalid, refused } from './change-trial';

const AmendmentForm = z.object({
  what: z.enum(['margin', 'end', 'other']),
  to: z.string().trim().min(1, 'Say what it is to be.').max(400, 'At most 400 characters.'),
  why: z
    .string()
    .trim()
    .min(3, 'Say why, so that a reader can judge it.')
    .max(600, 'At most 600 characters.'),
  by: z.string().trim().max(80, 'At most 80 characters.'),
});

/** Changes a locked plan, on record: what it was, what it is, why. It shows on the verdict. */
export function amendPlan(
  trialId: string,
  input: unknown,
): Promise<Result<Amendment, TrialTrouble>> {
  return changeOneTrial(trialId, async (db, data) => {
    const what = 'plan amended';
    const parsed = AmendmentForm.safeParse(input);
    // What turns out wrong after the end is put right in sight: the verdict stays as it was frozen, and the report begins with it.
    const isCorrection =
      data.trial.state === 'closed' && parsed.success && parsed.data.what === 'other';
    const trouble = isCorrection ? undefined : entryTrouble(data.trial);
    if (trouble) return refused(what, trouble);
    if (!parsed.success) return invalid(what, fieldTroublesOf(parsed.error));
    const { to, ...form } = parsed.data;
    const change = changeOf(data, form.what, to);
    if (!change.ok) return invalid(what, { to: change.trouble });
    const amendment: Amendment = {
      ...form,
      id: newId(),
      at: instantNow(),
      from: change.value.from,
      to: change.value.to,
      afterKeyOpened: isDecidedLate(data),
    };
    await change.value.make(db);
    await addAmendment(db, trialId, amendment);
    return { what, detail: amendment, result: success(amendment) };
  });
}

interface Change {
  readonly from: string;
  readonly to: string;
  readonly make: (db: Database) => Promise<void>;
}

function changeOf(
  { trial, measures }: TrialData,
  what: Amendment['what'],
  to: string,
): Result<Change, string> {
  if (what === 'end') {
    const day = GardenDay.safeParse(to);
    if (!day.success || daysBetween(trial.startsOn, day.data) < 1)
      return failure('Write a day after the start, as 2027-05-03.');
    if (daysBetween(trial.startsOn, day.data) > LONGEST_DAYS)
      return failure('That is more than three years after the start.');
    return success({
      from: trial.endsOn,
      to: day.data,
      make: db => changeTrial(db, trial.id, { endsOn: day.data }),
    });
  }
  const main = measures.find(measure => measure.isMain);
  if (what === 'margin' && main) {
    const percent = plainNumber(to.replace(/\s*%$/, ''));
    if (percent === undefined || percent <= 0 || percent > 1000)
      return failure('Write a percentage of the control, such as 20.');
    return success({
      from: marginWords(main),
      to: `${percent}%`,
      make: db => changeMargin(db, main.id, { kind: 'percent', percent }),
    });
  }
  return success({ from: '', to, make: async () => undefined });
}

function marginWords({ margin, unit }: Measure): string {
  if (margin === null) return 'any difference';
  return margin.kind === 'percent' ? `${margin.percent}%` : `${margin.amount} ${unit}`;
}
