import { readQuestion } from '@/core/design/question/question-form';
import { failure, type Result, success } from '@/core/result';
import { BLANK_TRIAL } from '@/core/trial/model/blank-facts';
import type { CareRule } from '@/core/trial/model/care-rule';
import { TrialId } from '@/core/trial/model/ids';
import type { Treatment } from '@/core/trial/model/treatment';
import type { Trial } from '@/core/trial/model/trial';
import type { TrialData } from '@/core/trial/model/trial-data';
import type { TrialTrouble } from '@/core/trial/trial-trouble';
import { instantNow } from '@/service/garden/clock';
import { currentGarden } from '@/service/garden/garden';
import { newId } from '@/service/garden/new-id';
import { pressId } from '@/service/garden/press-id';
import { deleteCareRule, putCareRule } from '@/store/care';
import { logChange } from '@/store/changes';
import { type Database, database } from '@/store/connection/database';
import { clearLayout, type DealtLayout, putLayout } from '@/store/layouts';
import { putQuestion } from '@/store/questions';
import { addTrial, changeTrial, findTrial } from '@/store/trials';
import { changeOneTrial, whileThereIsRoom } from './change-trial';

/** Begins a trial from its question. The same press sent again begins no second one. */
export async function askTrial(input: unknown): Promise<Result<Trial, TrialTrouble>> {
  const garden = await currentGarden();
  const question = readQuestion(input, garden.system, newId);
  if (!question.ok) return failure({ kind: 'invalid', fields: question.trouble });
  const trial: Trial = {
    id: TrialId.parse(pressId(input)),
    gardenId: garden.id,
    ...BLANK_TRIAL,
    ...question.value.facts,
    state: 'planned',
    isBlind: true,
    lockedAt: null,
    closedAt: null,
    keyOpenedAt: null,
  };
  // Sent again, perhaps with more typed into it since.
  if (await findTrial(database(), trial.id)) return changeQuestion(trial.id, input);
  return whileThereIsRoom(async db => {
    await addTrial(db, trial);
    await putQuestion(db, trial.id, question.value);
    await logChange(db, {
      at: instantNow(),
      trialId: trial.id,
      what: 'asked',
      subjectId: null,
      detail: JSON.stringify(question.value.facts),
    });
    return success(trial);
  });
}

/** Changes the question of a trial whose plan is not locked. A deal of the old treatments goes with them. */
export async function changeQuestion(
  trialId: string,
  input: unknown,
): Promise<Result<Trial, TrialTrouble>> {
  const garden = await currentGarden();
  const question = readQuestion(input, garden.system, newId);
  if (!question.ok) return failure({ kind: 'invalid', fields: question.trouble });
  return changeOneTrial(trialId, async (db, data) => {
    const { trial, treatments, care } = data;
    if (trial.state !== 'planned')
      return { result: failure({ kind: 'already-locked' }), what: 'question changed' };
    const kept = keptDealOf(data, question.value.treatments);
    if (!kept.ok) return { result: kept, what: 'question changed' };
    await clearLayout(db, trialId);
    await changeTrial(db, trialId, question.value.facts);
    const asked = {
      ...question.value,
      treatments: withKeptIds(question.value.treatments, treatments),
    };
    await putQuestion(db, trialId, asked);
    if (kept.value) await putLayout(db, trial, kept.value);
    await keepCareFor(db, trialId, care.rules, asked.treatments);
    return {
      result: success({ ...trial, ...question.value.facts }),
      what: 'question changed',
      detail: question.value.facts,
    };
  });
}

/** The deal that stays, where what is asked lies in the ground already; its treatments can't be others then. null: it is dealt anew. */
function keptDealOf(
  { layout, places, blocks, units, treatments }: TrialData,
  asked: readonly Treatment[],
): Result<DealtLayout | null, TrialTrouble> {
  if (!layout?.keptFrom) return success(null);
  const names = (of: readonly Treatment[]): string => of.map(({ name }) => name).join('\n');
  return names(asked) === names(treatments)
    ? success({ layout, places, blocks, units })
    : failure({ kind: 'kept-deal' });
}

/** A treatment that is still called the same is the same: tasks that are planned for it stay its own. */
function withKeptIds(
  asked: readonly Treatment[],
  before: readonly Treatment[],
): readonly Treatment[] {
  return asked.map(treatment => {
    const same = before.find(({ name }) => name === treatment.name);
    return same ? { ...treatment, id: same.id } : treatment;
  });
}

/** Tasks of treatments that are no more go with them. */
async function keepCareFor(
  db: Database,
  trialId: string,
  rules: readonly CareRule[],
  treatments: readonly Treatment[],
): Promise<void> {
  const standing = new Set<string>(treatments.map(({ id }) => id));
  for (const [position, rule] of rules.entries()) {
    const treatmentIds = rule.treatmentIds.filter(id => standing.has(id));
    if (treatmentIds.length === rule.treatmentIds.length) continue;
    if (treatmentIds.length === 0) await deleteCareRule(db, trialId, rule.id);
    else await putCareRule(db, trialId, { ...rule, treatmentIds }, position);
  }
}
