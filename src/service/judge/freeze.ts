import { STARTING_GUESS_CV } from '@/core/judge/question/judge-input';
import { mainMeasure, plannedSpec } from '@/core/judge/units/trial-analysis';
import { plannedVerdict } from '@/core/judge/verdict/planned-verdict';
import type { TrialData } from '@/core/trial/model/trial-data';
import type { Database } from '@/store/connection/database';
import { type FrozenVerdict, freezeVerdict } from '@/store/verdicts';

/** A verdict ready to be frozen, and what it was judged from. */
interface PlannedFreeze {
  readonly asked: string;
  readonly verdict: Omit<FrozenVerdict, 'closedAt'>;
}

/** What the trial says of its main measure as it stands now, with all it was judged from. */
export function plannedFreeze(data: TrialData): PlannedFreeze {
  const { input, judgement } = plannedVerdict(data, plannedSpec(data, STARTING_GUESS_CV));
  return {
    asked: askedOf(data),
    verdict: {
      trialId: data.trial.id,
      measureId: mainMeasure(data).id,
      input: JSON.stringify(input),
      judgement: JSON.stringify(judgement),
    },
  };
}

/** All that a verdict rests on, as one string: two trials that are alike in it are judged alike. */
export function askedOf(data: TrialData): string {
  return JSON.stringify(data);
}

/** Puts down what the trial says of its main measure as it stands now. */
export async function freezePlanned(
  db: Database,
  data: TrialData,
  closedAt: string,
): Promise<void> {
  await freezeVerdict(db, { ...plannedFreeze(data).verdict, closedAt });
}
