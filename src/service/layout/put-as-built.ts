import { type Result, success } from '@/core/result';
import { builtAfter, readAsBuilt } from '@/core/trial/forms/as-built-form';
import { isKeyOpen } from '@/core/trial/key';
import type { TrialTrouble } from '@/core/trial/trial-trouble';
import { currentGarden } from '@/service/garden/garden';
import { changeOneTrial, invalid, refused } from '@/service/trial/change-trial';
import { putBuilt } from '@/store/layouts';

/** Puts down what units really are: size, litres, plants, seed, container. Yields are counted by nothing else. */
export async function putAsBuilt(
  trialId: string,
  input: unknown,
): Promise<Result<true, TrialTrouble>> {
  const { system } = await currentGarden();
  return changeOneTrial(trialId, async (db, data) => {
    const what = 'put down as built';
    if (data.trial.state === 'closed') return refused(what, { kind: 'closed' });
    const isOpen = isKeyOpen(data.trial);
    const read = readAsBuilt(input, data, { system, isOpen });
    if (!read.ok) return invalid(what, read.trouble);
    const { unitIds, changes } = read.value;
    const chosen = new Set<string>(unitIds);
    await putBuilt(
      db,
      trialId,
      data.units
        .filter(unit => chosen.has(unit.id))
        .map(({ id, built }) => ({ id, built: builtAfter(built, changes) })),
    );
    return {
      what,
      detail: { codes: data.units.filter(unit => chosen.has(unit.id)).map(unit => unit.code) },
      result: success(true),
    };
  });
}
