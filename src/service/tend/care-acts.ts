import { z } from 'zod';
import { type Result, success } from '@/core/result';
import { reEntryOf } from '@/core/schedule/tasks/re-entry-interval';
import { washedOffSteps } from '@/core/schedule/tasks/washed-off';
import { addDays, CalendarDay } from '@/core/time/garden-day';
import { clockIn } from '@/core/time/time-zone';
import { type FieldTroubles, fieldTroublesOf } from '@/core/trial/forms/field-troubles';
import { ActOutcome, type CareAct, doneTasks, isOtherPart } from '@/core/trial/model/care-plan';
import { CareKind, type CareRule } from '@/core/trial/model/care-rule';
import { TreatmentId } from '@/core/trial/model/ids';
import { batchOn } from '@/core/trial/model/product';
import type { TrialData } from '@/core/trial/model/trial-data';
import type { TrialTrouble } from '@/core/trial/trial-trouble';
import { gardenTimeZone, instantNow, today } from '@/service/garden/clock';
import { currentGarden } from '@/service/garden/garden';
import { newId } from '@/service/garden/new-id';
import { changeOneTrial, invalid, refused } from '@/service/trial/change-trial';
import { addCareAct, putCareRule } from '@/store/care';
import { weatherBetween } from '@/store/weather';
import { amend } from './care';
import { taskAlias } from './task-alias';

/** Units by their codes, as pages know them; null: all that were meant. */
const Codes = z
  .array(z.string().max(8))
  .min(1, 'Tick at least one.')
  .max(500)
  .nullable()
  .default(null);
const ActForm = z.object({
  id: z.uuidv7(),
  ruleId: z.uuid(),
  nth: z.int().min(0).max(2000),
  doneOn: CalendarDay,
  isSkipped: z.boolean(),
  amount: z.number().min(0).max(1e7).nullable().default(null),
  codes: Codes,
  outcome: ActOutcome.nullable().default(null),
  note: z.string().trim().max(600, 'At most 600 characters.').default(''),
  by: z.string().trim().max(80).default(''),
});

/** Ticks a step off, or leaves it out with a reason. The same id sent twice changes nothing; a step that stands already is revised. */
export async function tickOff(
  trialId: string,
  input: unknown,
): Promise<Result<CareAct, TrialTrouble>> {
  const garden = await currentGarden();
  return changeOneTrial(trialId, async (db, data) => {
    const what = 'care done';
    if (data.trial.state === 'closed') return refused(what, { kind: 'closed' });
    const parsed = ActForm.safeParse(input);
    if (!parsed.success) return invalid(what, fieldTroublesOf(parsed.error));
    // A blind trial's pages know its rules by another name.
    const own = data.care.rules.find(
      rule =>
        rule.id === parsed.data.ruleId ||
        taskAlias(trialId, rule.id, data.care.bottles) === parsed.data.ruleId,
    );
    const { codes, ...given } = parsed.data;
    const form = {
      ...given,
      unitIds: unitIdsOf(data, codes),
      ruleId: own?.id ?? parsed.data.ruleId,
    };
    if (!own) return refused(what, { kind: 'changed-meanwhile' });
    if (form.isSkipped && form.note.length < 3)
      return invalid(what, { note: 'Say why it was left out: it is part of the trial.' });
    if (form.doneOn > today()) return invalid(what, { doneOn: 'That day is still to come.' });
    const trouble = unitsTrouble(codes, form) ?? tooSoon(data, own, form);
    if (trouble) return invalid(what, trouble);
    // Another part of the same step, done by somebody else, stands beside this one.
    const current = data.care.acts.findLast(
      act =>
        act.ruleId === form.ruleId &&
        act.nth === form.nth &&
        act.id !== form.id &&
        !isOtherPart(act, form),
    );
    // What rain undid stays on record: the step is done a second time.
    const isAgain =
      current !== undefined &&
      washedOffSteps(
        [own],
        doneTasks([current]),
        await weatherBetween(db, garden.id, current.doneOn, addDays(current.doneOn, 1)),
      ).length > 0 &&
      form.doneOn > current.doneOn;
    const product = data.products.find(each => each.id === own.material?.productId);
    const act: CareAct = {
      ...form,
      batchId: product ? (batchOn(product, form.doneOn)?.id ?? null) : null,
      takenAt: instantNow(),
      supersedes: isAgain ? null : (current?.id ?? null),
      isRemoval: false,
    };
    if (!(await addCareAct(db, trialId, act))) return refused(what, { kind: 'changed-meanwhile' });
    return {
      what: form.isSkipped ? 'care skipped' : what,
      subjectId: act.id,
      detail: { ruleId: act.ruleId, nth: act.nth },
      result: success(act),
    };
  });
}

function unitIdsOf({ units }: TrialData, codes: readonly string[] | null): CareAct['unitIds'] {
  return codes === null
    ? null
    : units.filter(unit => codes.includes(unit.code)).map(unit => unit.id);
}

function unitsTrouble(
  codes: readonly string[] | null,
  { unitIds, note }: Pick<CareAct, 'unitIds' | 'note'>,
): FieldTroubles | undefined {
  if (codes === null || unitIds === null) return undefined;
  if (unitIds.length !== new Set(codes).size)
    return { codes: 'Choose among the units of this trial.' };
  return note.length < 3
    ? { note: 'Not all got it: say why. It will stand on the verdict.' }
    : undefined;
}

/** Work on a bed that a label keeps one off. What stopped it may be written down and gone by. */
function tooSoon(
  { care, products }: TrialData,
  rule: CareRule,
  { doneOn, isSkipped, note }: Pick<CareAct, 'doneOn' | 'isSkipped' | 'note'>,
): FieldTroubles | undefined {
  if (isSkipped || doneOn !== today() || note.length >= 3) return undefined;
  const [off] = reEntryOf(care.rules, care.acts, products, instantNow(), gardenTimeZone()).filter(
    each => each.ruleId !== rule.id,
  );
  return (
    off && {
      note: `Nobody is to go in before ${clockIn(off.until, gardenTimeZone())}, by a label. Wait, or say how it was done all the same.`,
    }
  );
}

/** Takes a tick back: the step is due again, and the log knows of both. */
export function undoAct(
  trialId: string,
  actId: string,
  by: string,
): Promise<Result<true, TrialTrouble>> {
  return changeOneTrial(trialId, async (db, data) => {
    const what = 'tick taken back';
    const current = data.care.acts.find(act => act.id === actId);
    if (data.trial.state === 'closed') return refused(what, { kind: 'closed' });
    if (
      !current ||
      !(await addCareAct(db, trialId, {
        ...current,
        id: newId(),
        takenAt: instantNow(),
        supersedes: current.id,
        isRemoval: true,
        by,
      }))
    )
      return refused(what, { kind: 'changed-meanwhile' });
    return { what, subjectId: actId, result: success(true) };
  });
}

const LogForm = z.object({
  name: z.string().trim().min(1, 'Say what was done.').max(80, 'At most 80 characters.'),
  kind: CareKind,
  treatmentIds: z.array(TreatmentId).max(40),
  codes: Codes,
  doneOn: CalendarDay,
  note: z.string().trim().max(600, 'At most 600 characters.').default(''),
});

/** Puts something that was done, but not planned, on record. What not all got wants a reason, and after the lock it is an amendment. */
export function logCare(trialId: string, input: unknown): Promise<Result<CareAct, TrialTrouble>> {
  return changeOneTrial(trialId, async (db, data) => {
    const what = 'care logged';
    if (data.trial.state === 'closed') return refused(what, { kind: 'closed' });
    const parsed = LogForm.safeParse(input);
    if (!parsed.success) return invalid(what, fieldTroublesOf(parsed.error));
    const { note, doneOn, codes, ...form } = parsed.data;
    const unitIds = unitIdsOf(data, codes);
    if (doneOn > today()) return invalid(what, { doneOn: 'That day is still to come.' });
    const trouble = unitsTrouble(codes, { unitIds, note });
    if (trouble) return invalid(what, trouble);
    if (form.treatmentIds.length > 0 && note.length < 3)
      return invalid(what, { note: 'Not all got it: say why. It will stand on the verdict.' });
    const rule: CareRule = {
      ...form,
      id: newId(),
      from: { kind: 'day', day: doneOn },
      repeat: { kind: 'once' },
      until: null,
      material: null,
      washedOffByMm: null,
      minutesEach: null,
    };
    await putCareRule(db, trialId, rule, data.care.rules.length);
    const act: CareAct = {
      id: newId(),
      ruleId: rule.id,
      nth: 0,
      doneOn,
      takenAt: instantNow(),
      isSkipped: false,
      amount: null,
      batchId: null,
      unitIds,
      outcome: null,
      note,
      by: '',
      supersedes: null,
      isRemoval: false,
    };
    await addCareAct(db, trialId, act);
    if (form.treatmentIds.length > 0 || unitIds !== null)
      await amend(db, data, 'done to some only', form.name, note);
    return { what, subjectId: act.id, detail: form, result: success(act) };
  });
}
