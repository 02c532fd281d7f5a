import { failure, type Result, success } from '@/core/result';
import { residualTrial } from '@/core/trial/residual-trial';
import type { TrialTrouble } from '@/core/trial/trial-trouble';
import { instantNow, today } from '@/service/garden/clock';
import { newId } from '@/service/garden/new-id';
import { logChange } from '@/store/changes';
import { findTrialData } from '@/store/trials';
import { whileThereIsRoom } from './change-trial';
import { keepTrial } from './keep-trial';

/** Begins the trial that asks what a closed one left in the ground, in its places and with its deal. @returns its id */
export function askWhatIsLeft(trialId: string): Promise<Result<string, TrialTrouble>> {
  return whileThereIsRoom(async db => {
    const data = await findTrialData(db, trialId);
    if (!data) return failure({ kind: 'no-such-trial' });
    const next = residualTrial(data, newId, today());
    if (!next) return failure({ kind: 'not-closed' });
    await keepTrial(db, next);
    const { id, question } = next.trial;
    await logChange(db, {
      at: instantNow(),
      trialId: id,
      what: 'asked',
      subjectId: null,
      detail: JSON.stringify({ question, keptFrom: trialId }),
    });
    return success(id);
  });
}
