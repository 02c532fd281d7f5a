import { z } from 'zod';
import { type Result, success } from '@/core/result';
import { readTrait } from '@/core/trial/forms/trait-form';
import type { TrialTrouble } from '@/core/trial/trial-trouble';
import { changeOneTrial, invalid, refused } from '@/service/trial/change-trial';
import { putTraits } from '@/store/layouts';

/** Says what else differs between units: variety, container, batch, who planted. It changes no deal; the audit looks at it. */
export function describeTrait(
  trialId: string,
  input: unknown,
): Promise<Result<true, TrialTrouble>> {
  return changeOneTrial(trialId, async (db, data) => {
    const what = 'trait described';
    if (data.trial.state === 'closed') return refused(what, { kind: 'closed' });
    const trait = readTrait(input, data);
    if (!trait.ok) return invalid(what, trait.trouble);
    const { name, byUnit } = trait.value;
    await putTraits(
      db,
      trialId,
      data.units.map(({ id, traits: { [name]: _, ...others } }) => {
        const value = byUnit.get(id);
        return { id, traits: value === undefined ? others : { ...others, [name]: value } };
      }),
    );
    return { what, detail: { name }, result: success(true) };
  });
}

/** Takes a trait away again. */
export function removeTrait(trialId: string, input: unknown): Promise<Result<true, TrialTrouble>> {
  return changeOneTrial(trialId, async (db, data) => {
    const what = 'trait taken away';
    if (data.trial.state === 'closed') return refused(what, { kind: 'closed' });
    const name = z.string().max(40).safeParse(input);
    if (!name.success) return refused(what, { kind: 'changed-meanwhile' });
    await putTraits(
      db,
      trialId,
      data.units.map(({ id, traits: { [name.data]: _, ...others } }) => ({ id, traits: others })),
    );
    return { what, detail: { name: name.data }, result: success(true) };
  });
}
