'use server';

import { isKeeper } from '@/app/role';
import { failure, type Result, success } from '@/core/result';
import type { DueToday } from '@/core/schedule/tasks/due-today';
import { TrialId } from '@/core/trial/model/ids';
import type { TrialTrouble } from '@/core/trial/trial-trouble';
import { nameByDepth } from '@/service/layout/name-by-depth';
import { stateAllAsPlanned } from '@/service/tend/as-planned';
import { isBottleForm, tickBottle } from '@/service/tend/bottle-tick';
import { changeCareSettings, dateStage, removeCareRule, saveCareRule } from '@/service/tend/care';
import { tickOff, undoAct } from '@/service/tend/care-acts';
import { enterPaperLog } from '@/service/tend/paper-log';
import { lookIntoBottles } from '@/service/tend/today';
import { logCare } from '@/service/tend/unplanned-acts';
import { actHistoryOf } from '@/service/trial/entry-history';
import { changing, changingOne, writerOf } from '../changing';

export async function saveCareRuleAction(
  trialId: unknown,
  ruleId: unknown,
  input: unknown,
  why: unknown,
) {
  return ruleId === null
    ? changing(trialId, id => saveCareRule(id, null, input, why))
    : changingOne(trialId, ruleId, (id, rule) => saveCareRule(id, rule, input, why));
}

export async function dropCareRuleAction(trialId: unknown, ruleId: unknown, why: unknown) {
  return changingOne(trialId, ruleId, (id, rule) => removeCareRule(id, rule, why));
}

export async function logCareAction(trialId: unknown, input: unknown) {
  return changing(trialId, id => logCare(id, input), 'all');
}

export async function enterPaperLogAction(trialId: unknown, input: unknown) {
  return changing(trialId, id => enterPaperLog(id, input), 'all');
}

export async function changeCareSettingsAction(trialId: unknown, input: unknown) {
  return changing(trialId, id => changeCareSettings(id, input));
}

export async function nameByDepthAction(trialId: unknown, input: unknown) {
  return changing(trialId, id => nameByDepth(id, input));
}

export async function dateStageAction(trialId: unknown, input: unknown) {
  return changing(trialId, id => dateStage(id, input));
}

export async function tickAction(trialId: unknown, input: unknown) {
  return changing(
    trialId,
    id => (isBottleForm(input) ? tickBottle(id, input) : tickOff(id, input)),
    'all',
  );
}

export async function stateAllAsPlannedAction(trialId: unknown, input: unknown) {
  return changing(trialId, id => stateAllAsPlanned(id, input));
}

export async function lookIntoBottlesAction(): Promise<Result<DueToday, TrialTrouble>> {
  return (await isKeeper()) ? success(await lookIntoBottles()) : failure({ kind: 'keeper-only' });
}

export async function untickAction(trialId: unknown, actId: unknown, by: unknown) {
  return changingOne(trialId, actId, (id, act) => undoAct(id, act, writerOf(by)), 'all');
}

export async function actHistoryAction(trialId: unknown) {
  const id = TrialId.safeParse(trialId);
  return id.success ? actHistoryOf(id.data) : [];
}
