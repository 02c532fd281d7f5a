import { z } from 'zod';
import { isKept, seenActs } from '@/core/blinding/seen-acts';
import { asStrictest } from '@/core/blinding/strictest-bottle';
import { type Result, success } from '@/core/result';
import { reEntryOf } from '@/core/schedule/tasks/re-entry-interval';
import { washedOffSteps } from '@/core/schedule/tasks/washed-off';
import { addDays, CalendarDay } from '@/core/time/garden-day';
import { clockIn } from '@/core/time/time-zone';
import { type FieldTroubles, fieldTroublesOf } from '@/core/trial/forms/field-troubles';
import { ActOutcome, type CareAct, doneTasks, isOtherPart } from '@/core/trial/model/care-plan';
import { batchOn } from '@/core/trial/model/product';
import type { TrialData } from '@/core/trial/model/trial-data';
import type { TrialTrouble } from '@/core/trial/trial-trouble';
import { gardenTimeZone, instantNow, today } from '@/service/garden/clock';
import { currentGarden } from '@/service/garden/garden';
import { newId } from '@/service/garden/new-id';
import { changeOneTrial, invalid, refused } from '@/service/trial/change-trial';
import { addCareAct, findCareAct } from '@/store/care';
import { weatherBetween } from '@/store/weather';
import { Codes, isRest, unitIdsOf, unitsTrouble } from './act-receivers';

const ActForm = z.object({
  id: z.uuidv7(),
  ruleId: z.uuid(),
  nth: z.int().min(0).max(2000),
  doneOn: CalendarDay,
  isSkipped: z.boolean(),
  amount: z
    .number()
    .min(0)
    .max(1e7, 'That is more than any of them can have got.')
    .nullable()
    .default(null),
  codes: Codes,
  outcome: ActOutcome.nullable().default(null),
  note: z.string().trim().max(600, 'At most 600 characters.').default(''),
  by: z.string().trim().max(80).default(''),
});

/**
 * Ticks a step off, or leaves it out with a reason, for all that were meant or for some. The same id sent twice changes nothing.
 * What stands already is not written over: whoever comes second is told who was first.
 */
export async function tickOff(
  trialId: string,
  input: unknown,
): Promise<Result<true, TrialTrouble>> {
  const garden = await currentGarden();
  return changeOneTrial(trialId, async (db, data) => {
    const what = 'care done';
    if (data.trial.state === 'closed') return refused(what, { kind: 'closed' });
    const parsed = ActForm.safeParse(input);
    if (!parsed.success) return invalid(what, fieldTroublesOf(parsed.error));
    const own = data.care.rules.find(rule => rule.id === parsed.data.ruleId);
    const { codes, ...given } = parsed.data;
    const form = {
      ...given,
      unitIds: unitIdsOf(data, codes),
      ruleId: own?.id ?? parsed.data.ruleId,
    };
    // In a blind trial only bottles are given: by its name a step could be tried on pot after pot.
    if (!own || isKept(own, data)) return refused(what, { kind: 'changed-meanwhile' });
    const sent = await findCareAct(db, trialId, form.id);
    if (sent)
      return isSameAct(sent, form)
        ? { what: 'care sent again', subjectId: sent.id, result: success(true) }
        : refused(what, { kind: 'already-done', on: sent.doneOn, by: sent.by });
    if (form.isSkipped && form.note.length < 3)
      return invalid(what, { note: 'Say why it was left out: it is part of the trial.' });
    if (form.doneOn > today()) return invalid(what, { doneOn: 'That day is still to come.' });
    const trouble =
      (isRest(data, own, form) ? undefined : unitsTrouble(codes, form)) ??
      tooSoon(data, new Set([own.id]), form);
    if (trouble) return invalid(what, trouble);
    // Another part of the same step, done by somebody else, stands beside this one.
    const current = data.care.acts.findLast(
      act => act.ruleId === form.ruleId && act.nth === form.nth && !isOtherPart(act, form),
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
    if (current && !isAgain)
      return refused(what, { kind: 'already-done', on: current.doneOn, by: current.by });
    const product = data.products.find(each => each.id === own.material?.productId);
    const act: CareAct = {
      ...form,
      batchId: product ? (batchOn(product, form.doneOn)?.id ?? null) : null,
      takenAt: instantNow(),
      supersedes: null,
      isRemoval: false,
    };
    if (!(await addCareAct(db, trialId, act))) return refused(what, { kind: 'changed-meanwhile' });
    return {
      what: form.isSkipped ? 'care skipped' : what,
      subjectId: act.id,
      detail: { ruleId: act.ruleId, nth: act.nth },
      result: success(true),
    };
  });
}

/** What a tick says. */
type Told = Pick<CareAct, 'doneOn' | 'isSkipped' | 'amount' | 'unitIds' | 'note'>;

export function isSameAct(stored: Told, sent: Told): boolean {
  const told = ({ doneOn, isSkipped, amount, unitIds, note }: Told): string =>
    JSON.stringify([doneOn, isSkipped, amount, [...(unitIds ?? [])].sort(), note]);
  return told(stored) === told(sent);
}

/** Work on a bed that a label keeps one off. What stopped it may be written down and gone by. @param rules what is done now */
export function tooSoon(
  data: TrialData,
  rules: ReadonlySet<string>,
  { doneOn, isSkipped, note }: Pick<CareAct, 'doneOn' | 'isSkipped' | 'note'>,
): FieldTroubles | undefined {
  if (isSkipped || doneOn !== today() || note.length >= 3) return undefined;
  const { care, products } = asStrictest(data);
  const [off] = reEntryOf(care.rules, care.acts, products, instantNow(), gardenTimeZone()).filter(
    each => !rules.has(each.ruleId),
  );
  return (
    off && {
      note: `Nobody is to go in before ${clockIn(off.until, gardenTimeZone())}, by a label. Wait, or say how it was done all the same.`,
    }
  );
}

/** Takes a tick back: the step is due again, and the log knows of both. Of a bottle, all that one press put down. */
export function undoAct(
  trialId: string,
  actId: string,
  by: string,
): Promise<Result<true, TrialTrouble>> {
  return changeOneTrial(trialId, async (db, data) => {
    const what = 'tick undone';
    if (data.trial.state === 'closed') return refused(what, { kind: 'closed' });
    const seen = seenActs(data.care.acts, data).find(({ all }) =>
      all.some(act => act.id === actId),
    );
    const takenAt = instantNow();
    for (const act of seen?.all ?? [])
      await addCareAct(db, trialId, {
        ...act,
        id: newId(),
        takenAt,
        supersedes: act.id,
        isRemoval: true,
        by,
      });
    return seen
      ? { what, subjectId: actId, result: success(true) }
      : refused(what, { kind: 'changed-meanwhile' });
  });
}
