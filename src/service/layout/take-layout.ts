import papaparse from 'papaparse';
import { z } from 'zod';
import { readBench } from '@/core/design/layouts/bench-form';
import { type GivenLayout, readLayoutTable } from '@/core/design/layouts/layout-table';
import { type LaidOutBench, layOutBench } from '@/core/design/site/bench-plan';
import { type Result, success } from '@/core/result';
import type { TrialTrouble } from '@/core/trial/trial-trouble';
import { currentGarden } from '@/service/garden/garden';
import { newId } from '@/service/garden/new-id';
import { changeOneTrial, invalid, refused } from '@/service/trial/change-trial';
import { putLayout } from '@/store/layouts';
import { changeTrial } from '@/store/trials';

const LayoutTable = z.object({
  csv: z.string().max(200_000, 'That is too long for a layout.'),
  /** The rest of the layout, as its form holds it: words and sizes. */
  form: z.looseObject({}),
});

/** Takes a layout in that was made elsewhere, whole or not at all. That nobody here dealt it goes with it. */
export async function takeLayoutIn(
  trialId: string,
  input: unknown,
): Promise<Result<true, TrialTrouble>> {
  const { system } = await currentGarden();
  return changeOneTrial(trialId, async (db, data) => {
    const what = 'layout taken in';
    if (data.trial.state !== 'planned') return refused(what, { kind: 'already-locked' });
    if (data.layout?.keptFrom) return refused(what, { kind: 'kept-deal' });
    const table = LayoutTable.safeParse(input);
    if (!table.success) return invalid(what, { layoutTable: 'That is no table.' });
    const { data: rows } = papaparse.parse<string[]>(table.data.csv.trim(), {
      skipEmptyLines: true,
    });
    const given = readLayoutTable(rows, data.treatments);
    if (!given.ok) return invalid(what, { layoutTable: given.trouble });
    const asForm = { ...table.data.form, ...given.value.form, controlEach: '', startSizes: '' };
    const request = readBench(asForm, system, data.treatments);
    if (!request.ok) return invalid(what, request.trouble);
    const { treatments, trial } = data;
    const bench = layOutBench(
      { ...request.value, treatments, unitWord: trial.unitWord, seed: 1, deals: 1 },
      newId,
    );
    await putLayout(db, trial, asGiven(bench, given.value));
    await changeTrial(db, trialId, { isBlind: request.value.isBlind });
    return { what, result: success(true), detail: { units: given.value.units.length } };
  });
}

/** The bench as it was drawn up for so many, with each unit as the table has it. */
function asGiven(bench: LaidOutBench, { blocks, units }: GivenLayout): LaidOutBench {
  const queues = (blocks.length > 0 ? blocks : ['']).map((_, block) =>
    units.filter(unit => unit.block === block),
  );
  const blockAt = new Map(bench.blocks.map(({ id }, i) => [id as string | null, i]));
  const stood = bench.units.map(unit => {
    const own = queues[blockAt.get(unit.blockId) ?? 0]?.shift();
    if (!own) throw new Error('the bench was drawn up for as many as the table has');
    const { code, treatmentId, traits } = own;
    return { ...unit, code, treatmentId, traits };
  });
  const names = new Map<string | null, string | undefined>([
    ...stood.map(({ placeId, code }) => [placeId, code] as const),
    ...bench.blocks.map(
      ({ placeId, name }, i) => [placeId, name === blocks[i] ? undefined : blocks[i]] as const,
    ),
  ]);
  return {
    layout: { ...bench.layout, isGiven: true },
    places: bench.places.map(place => ({ ...place, name: names.get(place.id) ?? place.name })),
    blocks: bench.blocks.map((block, i) => ({ ...block, name: blocks[i] ?? block.name })),
    units: stood,
  };
}
