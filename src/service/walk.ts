import type { TrialData } from '@/core/trial/trial-data';
import { database } from '@/store/database';
import { findWalkData } from '@/store/trials';
import { today } from './clock';

/** A trial as far as a walk needs it: no more is read than its last values, however long the season was. */
export function findWalk(trialId: string): Promise<TrialData | undefined> {
  return findWalkData(database(), trialId, today());
}
