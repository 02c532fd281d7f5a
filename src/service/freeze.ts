import { STARTING_GUESS_CV } from '@/core/judge/judge-input';
import { plannedVerdict } from '@/core/judge/planned-verdict';
import { mainMeasure, plannedLook } from '@/core/judge/trial-verdict';
import type { TrialData } from '@/core/trial/trial-data';
import type { Database } from '@/store/database';
import { freezeVerdict } from '@/store/verdicts';

/** Puts down what the trial says of its main measure as it stands now, with all it was judged from. */
export async function freezePlanned(
  db: Database,
  data: TrialData,
  closedAt: string,
): Promise<void> {
  const { input, judgement } = plannedVerdict(data, plannedLook(data, STARTING_GUESS_CV));
  await freezeVerdict(db, {
    trialId: data.trial.id,
    closedAt,
    measureId: mainMeasure(data).id,
    input: JSON.stringify(input),
    judgement: JSON.stringify(judgement),
  });
}
