'use server';

import { redirect } from 'next/navigation';
import { z } from 'zod';
import type { TrialTrouble } from '@/core/trial/trial-trouble';
import { closeTrial, leaveOut, openKey, undoLeaveOut } from '@/service/judge/close-trial';
import { arrangePlace, describeSite } from '@/service/layout/arrange';
import { describeTrait, removeTrait } from '@/service/layout/describe-traits';
import { dealTrial, lockPlan } from '@/service/layout/lay-out';
import { movePots } from '@/service/layout/move-pots';
import { nameBlocks } from '@/service/layout/name-blocks';
import { putAsBuilt } from '@/service/layout/put-as-built';
import { takeLayoutIn } from '@/service/layout/take-layout';
import { amendPlan } from '@/service/trial/amend';
import { changeQuestion } from '@/service/trial/ask';
import { mishapHistoryOf } from '@/service/trial/entry-history';
import { predict } from '@/service/trial/predict';
import { recordRegret } from '@/service/trial/regret';
import { askWhatIsLeft } from '@/service/trial/residual';
import { logWork, undoWork } from '@/service/weigh/log-work';
import { recordMishap } from '@/service/weigh/mishaps';
import { historyOf, removePick, takePick, undoRevision } from '@/service/weigh/picks';
import { changing, changingOne, writerOf } from './changing';

const Id = z.uuid();

export async function recordMishapAction(trialId: unknown, input: unknown) {
  return changing(trialId, id => recordMishap(id, input), 'all');
}

export async function logWorkAction(trialId: unknown, input: unknown) {
  return changing(trialId, id => logWork(id, input), 'all');
}

export async function undoWorkAction(trialId: unknown, workId: unknown) {
  return changingOne(trialId, workId, undoWork, 'all');
}

export async function changeQuestionAction(
  trialId: unknown,
  input: unknown,
): Promise<TrialTrouble | undefined> {
  const changed = await changing(trialId, id => changeQuestion(id, input));
  if (!changed.ok) return changed.trouble;
  redirect(`/trials/${changed.value.id}/lay-out`);
}

export async function dealAction(trialId: unknown, input: unknown) {
  return changing(trialId, id => dealTrial(id, input));
}

export async function takeLayoutAction(trialId: unknown, input: unknown) {
  return changing(trialId, id => takeLayoutIn(id, input));
}

export async function lockAction(trialId: unknown) {
  return changing(trialId, lockPlan);
}

export async function takePickAction(trialId: unknown, input: unknown) {
  return changing(trialId, id => takePick(id, input), 'all');
}

export async function removePickAction(trialId: unknown, pickId: unknown, by: unknown) {
  return changingOne(trialId, pickId, (id, pick) => removePick(id, pick, writerOf(by)), 'all');
}

export async function undoRevisionAction(trialId: unknown, revisionId: unknown, by: unknown) {
  return changingOne(
    trialId,
    revisionId,
    (id, revision) => undoRevision(id, revision, writerOf(by)),
    'all',
  );
}

export async function historyAction(unitId: unknown) {
  const id = Id.safeParse(unitId);
  return id.success ? historyOf(id.data) : [];
}

export async function mishapHistoryAction(trialId: unknown) {
  const id = Id.safeParse(trialId);
  return id.success ? mishapHistoryOf(id.data) : [];
}

export async function askWhatIsLeftAction(trialId: unknown) {
  return changing(trialId, askWhatIsLeft);
}

export async function regretAction(trialId: unknown, input: unknown) {
  return changing(trialId, id => recordRegret(id, input));
}

export async function openKeyAction(trialId: unknown) {
  return changing(trialId, openKey);
}

export async function leaveOutAction(trialId: unknown, input: unknown) {
  return changing(trialId, id => leaveOut(id, input));
}

export async function putBackInAction(trialId: unknown, incidentId: unknown) {
  return changingOne(trialId, incidentId, undoLeaveOut);
}

export async function closeTrialAction(trialId: unknown) {
  return changing(trialId, closeTrial);
}

export async function predictAction(trialId: unknown, input: unknown) {
  return changing(trialId, id => predict(id, input));
}

export async function amendAction(trialId: unknown, input: unknown) {
  return changing(trialId, id => amendPlan(id, input));
}

export async function arrangeAction(trialId: unknown, input: unknown) {
  return changing(trialId, id => arrangePlace(id, input));
}

export async function describeSiteAction(trialId: unknown, input: unknown) {
  return changing(trialId, id => describeSite(id, input));
}

export async function describeTraitAction(trialId: unknown, input: unknown) {
  return changing(trialId, id => describeTrait(id, input));
}

export async function nameBlocksAction(trialId: unknown, input: unknown) {
  return changing(trialId, id => nameBlocks(id, input));
}

export async function putAsBuiltAction(trialId: unknown, input: unknown) {
  return changing(trialId, id => putAsBuilt(id, input));
}

export async function forgetTraitAction(trialId: unknown, name: unknown) {
  return changing(trialId, id => removeTrait(id, name));
}

export async function movePotsAction(trialId: unknown) {
  return changing(trialId, movePots);
}
