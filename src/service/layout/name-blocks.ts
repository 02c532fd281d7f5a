import { z } from 'zod';
import { type Result, success } from '@/core/result';
import { type FieldTroubles, fieldTroublesOf } from '@/core/trial/forms/field-troubles';
import type { TrialTrouble } from '@/core/trial/trial-trouble';
import { changeOneTrial, invalid, refused } from '@/service/trial/change-trial';
import { nameBlock } from '@/store/layouts';

const Names = z.record(
  z.uuid(),
  z.string().trim().min(1, 'Give it a name.').max(60, 'At most 60 characters.'),
);

/** Calls blocks by names of one's own: south bed, by the hedge. It changes no deal. */
export function nameBlocks(trialId: string, input: unknown): Promise<Result<true, TrialTrouble>> {
  return changeOneTrial(trialId, async (db, data) => {
    const what = 'blocks named';
    if (data.trial.state === 'closed') return refused(what, { kind: 'closed' });
    const parsed = Names.safeParse(input);
    if (!parsed.success) return invalid(what, fieldTroublesOf(parsed.error));
    const named = data.blocks.map(block => ({
      ...block,
      name: parsed.data[block.id] ?? block.name,
    }));
    const troubles = twice(named);
    if (Object.keys(troubles).length > 0) return invalid(what, troubles);
    for (const block of named) await nameBlock(db, trialId, block);
    return { what, detail: { names: named.map(block => block.name) }, result: success(true) };
  });
}

/** Two blocks of one name could not be told apart. */
function twice(blocks: readonly { readonly id: string; readonly name: string }[]): FieldTroubles {
  const seen = new Set<string>();
  return Object.fromEntries(
    blocks.flatMap(({ id, name }) => {
      const key = name.toLowerCase();
      if (seen.has(key)) return [[id, 'Another has that name.']];
      seen.add(key);
      return [];
    }),
  );
}
