// A layout goes out with a trial's data package and comes in again: through the services, on a data file.
import papaparse from 'papaparse';
import { fairnessAudit } from '@/core/design/audit/fairness-audit';
import { trialFixture } from '@/core/trial/fixtures/trial-fixture';
import type { TrialData } from '@/core/trial/model/trial-data';
import { savedBenchDraft } from '@/features/lay-out/bench-draft';
import { packageTables } from '@/service/files/package-tables';
import { takeTrialIn } from '@/service/files/whole-trials';
import { freshGardenForEachTest } from '@/service/garden/garden-fixture';
import { findTrial } from '@/service/trial/trials';
import { dealTrial, lockPlan } from './lay-out';
import { takeLayoutIn } from './take-layout';

freshGardenForEachTest();

async function planned(blockCount: number, seed: number): Promise<TrialData> {
  const made = trialFixture({ treatments: 3, unitsEach: 6, blockCount, seed });
  const trial = { ...made.trial, state: 'planned' as const, lockedAt: null };
  const data: TrialData = { ...made, trial };
  expect(await takeTrialIn(data)).toMatchObject({ ok: true });
  return data;
}

const layoutOut = (data: TrialData): string => {
  const table = packageTables(data, false).find(({ name }) => name === 'layout');
  return papaparse.unparse(table?.rows.map(row => [...row]) ?? []);
};

test.each([0, 3])(
  'what went out comes in again to the same bytes, in %d blocks',
  async blockCount => {
    const one = await planned(blockCount, 5);
    const other = await planned(blockCount, 6);
    const csv = layoutOut(one);
    expect(layoutOut(other)).not.toBe(csv);
    const form = savedBenchDraft(other, 'uk', undefined);
    expect(await takeLayoutIn(other.trial.id, { csv, form })).toEqual({ ok: true, value: true });
    const after = (await findTrial(other.trial.id)) ?? other;
    expect(layoutOut(after)).toBe(csv);
    // That nobody here dealt it is said, and stays said, until it is dealt here.
    const codes = (data: TrialData) => fairnessAudit(data, null).map(({ code }) => code);
    expect(after.layout?.isGiven).toBe(true);
    expect(codes(after)).toContain('layout-given');
    expect(await dealTrial(other.trial.id, form)).toMatchObject({ ok: true });
    expect(codes((await findTrial(other.trial.id)) ?? other)).not.toContain('layout-given');
  },
);

test('a table that is none changes nothing, and a locked plan takes none', async () => {
  const data = await planned(3, 5);
  const { id } = data.trial;
  const form = savedBenchDraft(data, 'uk', undefined);
  expect(await takeLayoutIn(id, { csv: 'code,treatment\nKA3,compost', form })).toMatchObject({
    ok: false,
    trouble: {
      kind: 'invalid',
      fields: { layoutTable: expect.stringMatching(/^Row 2: “compost” is no treatment/) },
    },
  });
  expect(await takeLayoutIn(id, { csv: 7 })).toMatchObject({ ok: false });
  expect(layoutOut((await findTrial(id)) ?? data)).toBe(layoutOut(data));
  const csv = layoutOut(data);
  expect(await lockPlan(id)).toMatchObject({ ok: true });
  expect(await takeLayoutIn(id, { csv, form })).toEqual({
    ok: false,
    trouble: { kind: 'already-locked' },
  });
});
