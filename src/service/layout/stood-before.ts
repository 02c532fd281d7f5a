import { bedHistory, type StoodBefore } from '@/core/trial/bed-history';
import { NOTHING_ENTERED } from '@/core/trial/model/blank-facts';
import type { TrialData } from '@/core/trial/model/trial-data';
import { database } from '@/store/connection/database';
import { findPlan, trialsOf } from '@/store/trials';

/** What earlier trials of this garden grew, and gave, where this one stands. */
export async function stoodBefore(data: TrialData): Promise<readonly StoodBefore[]> {
  const trials = (await trialsOf(database(), data.trial.gardenId)).filter(
    ({ id, state, endsOn }) =>
      id !== data.trial.id && state !== 'planned' && endsOn <= data.trial.startsOn,
  );
  const plans = await Promise.all(trials.map(({ id }) => findPlan(database(), id)));
  return bedHistory(
    data,
    plans.flatMap(plan => (plan ? [{ ...plan, ...NOTHING_ENTERED }] : [])),
  );
}
