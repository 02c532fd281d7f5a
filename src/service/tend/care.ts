import { z } from 'zod';
import { isDecidedLate } from '@/core/judge/units/analysis-sets';
import { type Result, success } from '@/core/result';
import { readCare } from '@/core/schedule/rules/care-form';
import { GardenDay } from '@/core/time/garden-day';
import { fieldTroublesOf } from '@/core/trial/forms/field-troubles';
import { type CarePlan, CareSettings } from '@/core/trial/model/care-plan';
import type { CareRule } from '@/core/trial/model/care-rule';
import type { TrialData } from '@/core/trial/model/trial-data';
import type { TrialTrouble } from '@/core/trial/trial-trouble';
import { instantNow } from '@/service/garden/clock';
import { currentGarden } from '@/service/garden/garden';
import { newId } from '@/service/garden/new-id';
import { pressId } from '@/service/garden/press-id';
import { changeOneTrial, invalid, refused } from '@/service/trial/change-trial';
import { changeCarePlan, deleteCareRule, putCareRule } from '@/store/care';
import type { Database } from '@/store/connection/database';
import { addAmendment } from '@/store/plan-records';
import { productsOf } from '@/store/products';

const Why = z.string().trim().max(600).default('');

/** Puts a rule of care into the plan, or changes it. After the lock that is an amendment and wants a reason. */
export async function saveCareRule(
  trialId: string,
  ruleId: string | null,
  input: unknown,
  why: unknown,
): Promise<Result<CareRule, TrialTrouble>> {
  const garden = await currentGarden();
  return changeOneTrial(trialId, async (db, data) => {
    const what = ruleId === null ? 'care planned' : 'care changed';
    const made = ruleId ?? pressId(input);
    const current = data.care.rules.find(rule => rule.id === made);
    const trouble =
      planTrouble(data, why) ??
      (ruleId !== null && !current ? { kind: 'changed-meanwhile' as const } : undefined);
    if (trouble) return refused(what, trouble);
    const read = readCare(
      input,
      {
        system: garden.system,
        products: await productsOf(db, garden.id),
        treatments: data.treatments,
        rules: data.care.rules,
      },
      made,
    );
    if (!read.ok) return invalid(what, read.trouble);
    if (current && JSON.stringify(current) === JSON.stringify(read.value))
      return { what: 'care sent again', subjectId: made, result: success(current) };
    await putCareRule(db, trialId, read.value, data.care.rules.length);
    await amend(db, data, current?.name ?? '', read.value.name, why);
    return { what, subjectId: read.value.id, detail: read.value, result: success(read.value) };
  });
}

/** Takes a rule out of the plan. What was done by it stays on record. */
export function removeCareRule(
  trialId: string,
  ruleId: string,
  why: unknown,
): Promise<Result<true, TrialTrouble>> {
  return changeOneTrial(trialId, async (db, data) => {
    const what = 'care taken out';
    const rule = data.care.rules.find(each => each.id === ruleId);
    const trouble =
      planTrouble(data, why) ?? (rule ? undefined : { kind: 'changed-meanwhile' as const });
    if (trouble || !rule) return refused(what, trouble ?? { kind: 'changed-meanwhile' });
    await deleteCareRule(db, trialId, ruleId);
    await amend(db, data, rule.name, '—', why);
    return { what, subjectId: ruleId, result: success(true) };
  });
}

function planTrouble({ trial }: TrialData, why: unknown): TrialTrouble | undefined {
  if (trial.state === 'closed') return { kind: 'closed' };
  const reason = Why.safeParse(why);
  return trial.state === 'locked' && (!reason.success || reason.data.length < 3)
    ? {
        kind: 'invalid',
        fields: { why: 'The plan is locked: say why it changes. It will stand on the verdict.' },
      }
    : undefined;
}

export async function amend(
  db: Database,
  data: TrialData,
  from: string,
  to: string,
  why: unknown,
): Promise<void> {
  if (data.trial.state !== 'locked') return;
  await addAmendment(db, data.trial.id, {
    id: newId(),
    at: instantNow(),
    what: 'other',
    from: from === '' ? 'care' : from,
    to,
    why: Why.parse(why),
    by: '',
    afterKeyOpened: isDecidedLate(data),
  });
}

const SettingsForm = CareSettings.unwrap().partial();

/** Changes what is agreed of the care as a whole. */
export function changeCareSettings(
  trialId: string,
  input: unknown,
): Promise<Result<CarePlan['settings'], TrialTrouble>> {
  return changeOneTrial(trialId, async (db, data) => {
    const what = 'care settings changed';
    if (data.trial.state === 'closed') return refused(what, { kind: 'closed' });
    const parsed = SettingsForm.safeParse(input);
    if (!parsed.success) return invalid(what, fieldTroublesOf(parsed.error));
    const settings = CareSettings.parse({ ...data.care.settings, ...parsed.data });
    await changeCarePlan(db, trialId, { settings });
    return { what, detail: parsed.data, result: success(settings) };
  });
}

const StageForm = z.object({
  stage: z.string().trim().min(1, 'Name the stage.').max(40, 'At most 40 characters.'),
  day: z.union([GardenDay, z.literal('')]),
});

/** Says on which day a stage came, or that it has not after all. Everything that waits for it moves. */
export function dateStage(trialId: string, input: unknown): Promise<Result<true, TrialTrouble>> {
  return changeOneTrial(trialId, async (db, data) => {
    const what = 'stage dated';
    if (data.trial.state === 'closed') return refused(what, { kind: 'closed' });
    const parsed = StageForm.safeParse(input);
    if (!parsed.success) return invalid(what, fieldTroublesOf(parsed.error));
    const { [parsed.data.stage]: _, ...others } = data.care.stages;
    await changeCarePlan(db, trialId, {
      stages: parsed.data.day === '' ? others : { ...others, [parsed.data.stage]: parsed.data.day },
    });
    return { what, detail: parsed.data, result: success(true) };
  });
}
