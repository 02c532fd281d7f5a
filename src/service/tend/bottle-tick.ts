import { z } from 'zod';
import { bottleParts } from '@/core/blinding/bottle-steps';
import { isKept } from '@/core/blinding/seen-acts';
import { type Result, success } from '@/core/result';
import { openSteps } from '@/core/schedule/tasks/open-steps';
import { CalendarDay } from '@/core/time/garden-day';
import { fieldTroublesOf } from '@/core/trial/forms/field-troubles';
import type { CareAct } from '@/core/trial/model/care-plan';
import { batchOn } from '@/core/trial/model/product';
import type { TrialData } from '@/core/trial/model/trial-data';
import type { TrialTrouble } from '@/core/trial/trial-trouble';
import { instantNow, today } from '@/service/garden/clock';
import { derivedId } from '@/service/garden/derived-id';
import { recentWeather } from '@/service/garden/weather';
import { changeOneTrial, type Done, invalid, refused } from '@/service/trial/change-trial';
import { addCareAct, findCareAct } from '@/store/care';
import type { Database } from '@/store/connection/database';
import { Codes, unitIdsOf, unitsTrouble } from './act-receivers';
import { isSameAct, tooSoon } from './care-acts';

const BottleForm = z.object({
  id: z.uuidv7(),
  bottle: z.string().max(20),
  dueOn: CalendarDay,
  doneOn: CalendarDay,
  isSkipped: z.boolean(),
  codes: Codes,
  note: z.string().trim().max(600, 'At most 600 characters.').default(''),
  by: z.string().trim().max(80).default(''),
});
type BottleForm = z.infer<typeof BottleForm>;

/** Whether a tick is of a bottle, as the pages of a blind trial send it. */
export function isBottleForm(input: unknown): boolean {
  return z.object({ bottle: z.string() }).safeParse(input).success;
}

const RAIN_DAYS = 10; // as the pages look back

/**
 * Ticks a bottle of a blind trial off: every step of the plan that giving it is, for its pots or for some of them. The answer is the
 * same whatever is in it.
 */
export async function tickBottle(
  trialId: string,
  input: unknown,
): Promise<Result<true, TrialTrouble>> {
  const rain = await recentWeather(RAIN_DAYS);
  return changeOneTrial(trialId, async (db, data) => {
    const what = 'bottle given';
    if (data.trial.state === 'closed') return refused(what, { kind: 'closed' });
    const parsed = BottleForm.safeParse(input);
    if (!parsed.success) return invalid(what, fieldTroublesOf(parsed.error));
    const form = parsed.data;
    const sent = await findCareAct(db, trialId, form.id);
    if (sent)
      return isSameAct({ ...sent, unitIds: null }, { ...form, unitIds: null, amount: null })
        ? { what: 'bottle sent again', subjectId: form.id, result: success(true) }
        : refused(what, { kind: 'already-done', on: sent.doneOn, by: sent.by });
    return given(db, data, form, openSteps(data, today(), rain));
  });
}

async function given(
  db: Database,
  data: TrialData,
  form: BottleForm,
  open: ReturnType<typeof openSteps>,
): Promise<Done<true>> {
  const what = form.isSkipped ? 'bottle skipped' : 'bottle given';
  const { codes, note } = form;
  if (form.isSkipped && note.length < 3)
    return invalid(what, { note: 'Say why it was left out: it is part of the trial.' });
  if (form.doneOn > today()) return invalid(what, { doneOn: 'That day is still to come.' });
  const parts = bottleParts(data, open, form, codes);
  if (parts.length === 0) return refused(what, standing(data, form));
  // All that is left of it wants no reason: nothing is uneven then.
  const isAll = bottleParts(data, open, form, null).every((part, i) =>
    part.unitIds.every(id => parts[i]?.unitIds.includes(id)),
  );
  const trouble =
    (isAll ? undefined : unitsTrouble(codes, { unitIds: unitIdsOf(data, codes), note })) ??
    tooSoon(data, bottled(data), form);
  if (trouble) return invalid(what, trouble);
  const acts = actsOf(data, form, parts);
  for (const act of acts)
    if (!(await addCareAct(db, data.trial.id, act)))
      throw new Error('an act that nobody sent before must be new');
  return {
    what,
    subjectId: form.id,
    detail: { bottle: form.bottle, dueOn: form.dueOn },
    result: success(true),
  };
}

/** What the bottles hold: a round of them is one act, whichever comes first. */
function bottled(data: TrialData): ReadonlySet<string> {
  return new Set(data.care.rules.filter(rule => isKept(rule, data)).map(rule => rule.id));
}

/** Nothing of it is open: it is on record already, or the page is old. */
function standing({ care, units }: TrialData, { bottle, dueOn }: BottleForm): TrialTrouble {
  const treatmentId = Object.entries(care.bottles).find(
    ([, code]) => `bottle ${code}` === bottle,
  )?.[0];
  const own = new Set<string>(
    units.filter(unit => unit.treatmentId === treatmentId).map(unit => unit.id),
  );
  const before = care.acts.findLast(
    act => act.doneOn >= dueOn && act.unitIds?.some(id => own.has(id)),
  );
  return before
    ? { kind: 'already-done', on: before.doneOn, by: before.by }
    : { kind: 'changed-meanwhile' };
}

/** An act for each step of the plan, made at one moment: what one press put down belongs together. */
function actsOf(
  { care, products }: TrialData,
  form: BottleForm,
  parts: ReturnType<typeof bottleParts>,
): readonly CareAct[] {
  const takenAt = instantNow();
  return parts.map(({ ruleId, nth, unitIds }, i) => {
    const rule = care.rules.find(each => each.id === ruleId);
    const product = products.find(each => each.id === rule?.material?.productId);
    return {
      id: i === 0 ? form.id : derivedId(form.id, i),
      ruleId,
      nth,
      doneOn: form.doneOn,
      takenAt,
      isSkipped: form.isSkipped,
      amount: null,
      batchId: product ? (batchOn(product, form.doneOn)?.id ?? null) : null,
      unitIds,
      outcome: null,
      note: form.note,
      by: form.by,
      supersedes: null,
      isRemoval: false,
    };
  });
}
