import { STARTING_GUESS_CV } from '@/core/judge/question/judge-input';
import { mainMeasure, plannedSpec } from '@/core/judge/units/trial-analysis';
import { plannedVerdict } from '@/core/judge/verdict/planned-verdict';
import type { TrialData } from '@/core/trial/model/trial-data';
import type { Database } from '@/store/connection/database';
import { freezeVerdict } from '@/store/verdicts';

/** Puts down what the trial says of its main measure as it stands now, with all it was judged from. */
export async function freezePlanned(
  db: Database,
  data: TrialData,
  closedAt: string,
): Promise<void> {
  const { input, judgement } = plannedVerdict(data, plannedSpec(data, STARTING_GUESS_CV));
  await freezeVerdict(db, {
    trialId: data.trial.id,
    closedAt,
    measureId: mainMeasure(data).id,
    input: JSON.stringify(input),
    judgement: JSON.stringify(judgement),
  });
}
