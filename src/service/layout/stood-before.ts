import { bedHistory, type StoodBefore } from '@/core/trial/bed-history';
import { NOTHING_ENTERED } from '@/core/trial/model/blank-facts';
import type { TrialData } from '@/core/trial/model/trial-data';
import { database } from '@/store/connection/database';
import { currentIncidents } from '@/store/entries';
import { findPlan, trialsOf } from '@/store/trials';

/** What earlier trials of this garden grew, and gave, where this one stands. */
export async function stoodBefore(data: TrialData): Promise<readonly StoodBefore[]> {
  const trials = (await trialsOf(database(), data.trial.gardenId)).filter(
    ({ id, state, endsOn }) =>
      id !== data.trial.id && state !== 'planned' && endsOn <= data.trial.startsOn,
  );
  const earlier = await Promise.all(trials.map(({ id }) => planWithMishaps(id)));
  return bedHistory(
    data,
    earlier.flatMap(each => (each ? [each] : [])),
  );
}

/** Without what was picked and read, which can be much. */
async function planWithMishaps(id: string): Promise<TrialData | undefined> {
  const plan = await findPlan(database(), id);
  return plan && { ...plan, ...NOTHING_ENTERED, incidents: await currentIncidents(database(), id) };
}
