'use server';

import { bringTrialBack, deleteTrial, putTrialAway } from '@/service/trial/put-away';
import { changing } from './[trialId]/changing';

export async function putAwayAction(trialId: unknown) {
  return changing(trialId, putTrialAway);
}

export async function bringBackAction(trialId: unknown) {
  return changing(trialId, bringTrialBack);
}

export async function deleteTrialAction(trialId: unknown) {
  return changing(trialId, deleteTrial);
}
