import { type SeenTrial, seenTrial } from '@/core/blinding/seen-trial';
import { today } from '@/service/garden/clock';
import { database } from '@/store/connection/database';
import { findWalkData } from '@/store/trials';

/** A trial as far as a walk needs it: no more is read than its last values, however long the season was. */
export async function findWalk(trialId: string): Promise<SeenTrial | undefined> {
  const data = await findWalkData(database(), trialId, today());
  return data && seenTrial(data);
}
