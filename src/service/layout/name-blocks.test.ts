import { trialFixture } from '@/core/trial/fixtures/trial-fixture';
import type { TrialData } from '@/core/trial/model/trial-data';
import { takeTrialIn } from '@/service/files/whole-trials';
import { freshGardenForEachTest } from '@/service/garden/garden-fixture';
import { findTrial } from '@/service/trial/trials';
import { nameBlocks } from './name-blocks';

freshGardenForEachTest();

async function blocked(): Promise<TrialData> {
  const data = trialFixture({ treatments: 2, unitsEach: 3, blockCount: 3 });
  const taken = await takeTrialIn(data);
  if (!taken.ok) throw new Error(JSON.stringify(taken.trouble));
  return dataOf(data.trial.id);
}

async function dataOf(id: string): Promise<TrialData> {
  const data = await findTrial(id);
  if (!data) throw new Error('the trial must be there');
  return data;
}

test('blocks are called by names of one’s own, and their places with them; the deal stays', async () => {
  const { trial, blocks, units } = await blocked();
  const names = ['south bed', 'by the hedge', 'under the pear'];
  const input = Object.fromEntries(blocks.map((block, i) => [block.id, names[i]]));
  expect(await nameBlocks(trial.id, input)).toMatchObject({ ok: true });
  const after = await dataOf(trial.id);
  expect(after.blocks.map(block => block.name)).toEqual(names);
  expect(after.units.map(unit => [unit.id, unit.treatmentId, unit.blockId])).toEqual(
    units.map(unit => [unit.id, unit.treatmentId, unit.blockId]),
  );
  for (const block of after.blocks) {
    const place = after.places.find(each => each.id === block.placeId);
    if (place) expect(place.name).toBe(block.name);
  }
});

test('two of one name, and one without, are asked back at their field', async () => {
  const { trial, blocks } = await blocked();
  const [a, b] = blocks;
  for (const [name, says] of [
    [a!.name, 'Another has that name.'],
    [' ', 'Give it a name.'],
  ])
    expect(await nameBlocks(trial.id, { [b!.id]: name })).toMatchObject({
      ok: false,
      trouble: { kind: 'invalid', fields: { [b!.id]: says } },
    });
});

test('of a garden its place, its soil and who looks after it are kept, and go where the trial goes; a name alone changes none of it', async () => {
  const { trial, blocks } = await blocked();
  const [first] = blocks;
  if (!first) throw new Error('there are blocks');
  const about = { place: 'Quarry Lane', soil: 'clay', person: 'Ida' };
  const written = Object.entries(about).map(([of, says]) => [`${first.id}.${of}`, says]);
  expect(await nameBlocks(trial.id, Object.fromEntries(written))).toMatchObject({ ok: true });
  expect(await nameBlocks(trial.id, { [first.id]: 'Quarry' })).toMatchObject({ ok: true });
  expect((await dataOf(trial.id)).blocks[0]).toMatchObject({ name: 'Quarry', about });
  expect(await nameBlocks(trial.id, { [`${first.id}.soil`]: 'c'.repeat(61) })).toMatchObject({
    ok: false,
    trouble: { fields: { [`${first.id}.soil`]: 'At most 60 characters.' } },
  });
});
