import { z } from 'zod';
import { type Result, success } from '@/core/result';
import { type FieldTroubles, fieldTroublesOf } from '@/core/trial/forms/field-troubles';
import { type Block, BlockAbout } from '@/core/trial/model/unit';
import type { TrialTrouble } from '@/core/trial/trial-trouble';
import { changeOneTrial, invalid, refused } from '@/service/trial/change-trial';
import { nameBlock } from '@/store/layouts';

const Name = z.string().trim().min(1, 'Give it a name.').max(60, 'At most 60 characters.');

/** By the block’s id its name; of gardens what else is known of each, under `id.soil`, `id.place`, `id.person`. */
const Names = z.record(z.string().max(60), z.string().max(200));

/** Calls blocks by names of one's own: south bed, by the hedge. It changes no deal. */
export function nameBlocks(trialId: string, input: unknown): Promise<Result<true, TrialTrouble>> {
  return changeOneTrial(trialId, async (db, data) => {
    const what = 'blocks named';
    if (data.trial.state === 'closed') return refused(what, { kind: 'closed' });
    const parsed = Names.safeParse(input);
    if (!parsed.success) return invalid(what, fieldTroublesOf(parsed.error));
    const read = data.blocks.map(block => readBlock(block, parsed.data));
    const named = read.map(({ block }) => block);
    const troubles = { ...twice(named), ...Object.assign({}, ...read.map(each => each.troubles)) };
    if (Object.keys(troubles).length > 0) return invalid(what, troubles);
    for (const block of named) await nameBlock(db, trialId, block);
    return { what, detail: { names: named.map(block => block.name) }, result: success(true) };
  });
}

/** A block as it was written; what was left out of the form stays. */
function readBlock(
  block: Block,
  written: Readonly<Record<string, string>>,
): { readonly block: Block; readonly troubles: FieldTroubles } {
  const name = Name.safeParse(written[block.id] ?? block.name);
  const about = BlockAbout.safeParse({
    place: written[`${block.id}.place`] ?? block.about.place,
    soil: written[`${block.id}.soil`] ?? block.about.soil,
    person: written[`${block.id}.person`] ?? block.about.person,
  });
  return {
    block: {
      ...block,
      ...(name.success && { name: name.data }),
      ...(about.success && { about: about.data }),
    },
    troubles: {
      ...(name.success ? {} : { [block.id]: name.error.issues[0]?.message ?? '' }),
      ...(about.success
        ? {}
        : Object.fromEntries(
            Object.entries(fieldTroublesOf(about.error)).map(([of, says]) => [
              `${block.id}.${of}`,
              says,
            ]),
          )),
    },
  };
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
