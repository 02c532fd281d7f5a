import type { TrialData } from '@/core/trial/model/trial-data';
import { today } from '@/service/garden/clock';
import { database } from '@/store/connection/database';
import { findWalkData } from '@/store/trials';

/** A trial as far as a walk needs it: no more is read than its last values, however long the season was. */
export function findWalk(trialId: string): Promise<TrialData | undefined> {
  return findWalkData(database(), trialId, today());
}
