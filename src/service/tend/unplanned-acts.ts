import { z } from 'zod';
import { parseQuantity } from '@/core/quantity/parse-quantity';
import { quantitySentence } from '@/core/quantity/quantity-sentence';
import type { MeasureSystem } from '@/core/quantity/unit-of-measure';
import { failure, type Result, success } from '@/core/result';
import { careTasks } from '@/core/schedule/tasks/due-today';
import { type DoneAct, matchingStep } from '@/core/schedule/tasks/matching-step';
import type { TrackedTask } from '@/core/schedule/tasks/task-state';
import { CalendarDay } from '@/core/time/garden-day';
import { fieldTroublesOf } from '@/core/trial/forms/field-troubles';
import { isKeyOpen } from '@/core/trial/key';
import { BLANK_CARE_RULE } from '@/core/trial/model/blank-facts';
import type { CareAct } from '@/core/trial/model/care-plan';
import { CareKind, type CareMaterial, type CareRule } from '@/core/trial/model/care-rule';
import { TreatmentId } from '@/core/trial/model/ids';
import { batchOn, type Product } from '@/core/trial/model/product';
import type { TrialData } from '@/core/trial/model/trial-data';
import type { TrialTrouble } from '@/core/trial/trial-trouble';
import { pluralOf } from '@/core/words/plural';
import { instantNow, today } from '@/service/garden/clock';
import { currentGarden } from '@/service/garden/garden';
import { newId } from '@/service/garden/new-id';
import { changeOneTrial, invalid, refused } from '@/service/trial/change-trial';
import { addCareAct, findCareAct, putCareRule } from '@/store/care';
import { productsOf } from '@/store/products';
import { Codes, unitIdsOf, unitsTrouble } from './act-receivers';
import { amend } from './care';

const LogForm = z.object({
  /** Of the press: the same sent twice is one act. */
  id: z.uuidv7(),
  name: z.string().trim().min(1, 'Say what was done.').max(80, 'At most 80 characters.'),
  kind: CareKind,
  treatmentIds: z.array(TreatmentId).max(40),
  codes: Codes,
  productId: z.uuid().nullable().default(null),
  /** To each unit: of the product, or of plain water; empty where it is not known. */
  amount: z.string().max(60, 'That is too long.').default(''),
  doneOn: CalendarDay,
  /** Where a planned step may be meant: whether it was that step. */
  is: z.enum(['planned', 'besides']).nullable().default(null),
  note: z.string().trim().max(600, 'At most 600 characters.').default(''),
  by: z.string().trim().max(80).default(''),
});
type LogForm = z.infer<typeof LogForm>;

/**
 * Puts something that was done, but not planned, on record. What may be a planned step is asked about. What not all got wants a
 * reason, and after the lock it is an amendment.
 */
export async function logCare(
  trialId: string,
  input: unknown,
): Promise<Result<true, TrialTrouble>> {
  const garden = await currentGarden();
  return changeOneTrial(trialId, async (db, data) => {
    const what = 'care logged';
    if (data.trial.state === 'closed') return refused(what, { kind: 'closed' });
    const parsed = LogForm.safeParse(input);
    if (!parsed.success) return invalid(what, fieldTroublesOf(parsed.error));
    const form = parsed.data;
    const sent = await findCareAct(db, trialId, form.id);
    if (sent)
      return sent.doneOn === form.doneOn && sent.note === form.note
        ? { what: 'care sent again', subjectId: sent.id, result: success(true) }
        : refused(what, { kind: 'already-done', on: sent.doneOn, by: sent.by });
    if (!isKeyOpen(data.trial) && form.treatmentIds.length > 0)
      return invalid(what, {
        to: `The key is shut: nobody is to know which ${pluralOf(data.trial.unitWord)} those are. Say which got it.`,
      });
    const { note, doneOn, codes } = form;
    const unitIds = unitIdsOf(data, codes);
    if (doneOn > today()) return invalid(what, { doneOn: 'That day is still to come.' });
    const trouble = unitsTrouble(codes, { unitIds, note });
    if (trouble) return invalid(what, trouble);
    const product = (await productsOf(db, garden.id)).find(each => each.id === form.productId);
    if (form.productId !== null && !product)
      return invalid(what, { productId: 'Choose a product of the shelf.' });
    const amount = amountOf(form, product, garden.system);
    if (!amount.ok) return invalid(what, { amount: amount.trouble });
    if (product && amount.value === null && product.rates.length === 0)
      return invalid(what, { amount: `How much did each get? ${product.name} has no rate yet.` });
    const step = codes === null ? plannedStep(data, form) : undefined;
    if (step && form.is === null) return invalid(what, { planned: plannedWords(step, data) });
    const isStep = step !== undefined && form.is === 'planned';
    if (!isStep && form.treatmentIds.length > 0 && note.length < 3)
      return invalid(what, { note: 'Not all got it: say why. It will stand on the verdict.' });
    const rule = isStep ? undefined : ruleOf(form, product, amount.value);
    if (rule) await putCareRule(db, trialId, rule, data.care.rules.length);
    const act: CareAct = {
      id: form.id,
      ruleId: rule?.id ?? step?.ruleId ?? '',
      nth: rule ? 0 : (step?.nth ?? 0),
      doneOn,
      takenAt: instantNow(),
      isSkipped: false,
      amount: amount.value?.base ?? null,
      batchId: product ? (batchOn(product, doneOn)?.id ?? null) : null,
      unitIds,
      outcome: null,
      note,
      by: form.by,
      supersedes: null,
      isRemoval: false,
    };
    await addCareAct(db, trialId, act);
    if (rule && (form.treatmentIds.length > 0 || unitIds !== null))
      await amend(db, data, 'done to some only', form.name, note);
    return { what, subjectId: act.id, detail: form, result: success(true) };
  });
}

/** How much each got, g or ml. */
interface EachGot {
  readonly of: 'mass' | 'volume';
  readonly base: number;
  readonly asWritten: string;
}

function amountOf(
  { amount: written }: LogForm,
  product: Product | undefined,
  system: MeasureSystem,
): Result<EachGot | null, string> {
  if (written.trim() === '') return success(null);
  const read = parseQuantity(written, { system });
  if (!read.ok) return failure(quantitySentence(read.trouble, { system }));
  const { dimension, base, asWritten } = read.value;
  if (dimension !== 'mass' && dimension !== 'volume')
    return failure(
      system === 'us'
        ? 'How much each got, such as 1 oz or 1 tbsp.'
        : 'How much each got, such as 20 g or 15 ml.',
    );
  if (base <= 0) return failure('More than none.');
  return product === undefined && dimension === 'mass'
    ? failure('Grams of what? Choose it from the shelf, or write how much water.')
    : success({ of: dimension, base, asWritten });
}

function plannedStep(data: TrialData, form: LogForm): TrackedTask | undefined {
  const act: DoneAct = { ...form, on: form.doneOn };
  return matchingStep(act, data.care.rules, careTasks(data, today()));
}

function plannedWords({ ruleId, dueOn }: TrackedTask, { care }: TrialData): string {
  const rule = care.rules.find(each => each.id === ruleId);
  return `“${rule?.name}” of ${dueOn} is planned for the same, and not ticked. Was it that task, or was this done besides?`;
}

/** What stands for it in the plan: done once, on its day. */
function ruleOf(
  { name, kind, treatmentIds, doneOn }: LogForm,
  product: Product | undefined,
  amount: EachGot | null,
): CareRule {
  return {
    ...BLANK_CARE_RULE,
    id: newId(),
    name,
    kind,
    treatmentIds,
    from: { kind: 'day', day: doneOn },
    repeat: { kind: 'once' },
    until: null,
    material: product ? materialOf(product, amount) : null,
    isUnplanned: true,
  };
}

/** As much as was given, or, where that is not known, by the product's first rate; null where it has none. */
function materialOf(product: Product, amount: EachGot | null): CareMaterial | null {
  const [first] = product.rates;
  const rate = amount
    ? {
        of: amount.of,
        low: amount.base,
        high: amount.base,
        per: { kind: 'container' as const },
        asWritten: amount.asWritten.slice(0, 120),
      }
    : first;
  return rate
    ? { productId: product.id, rate, choice: 'high', strength: 1, waterMl: null, batchId: null }
    : null;
}
