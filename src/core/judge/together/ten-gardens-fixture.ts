import { v7 } from 'uuid';
import { layOutBench } from '@/core/design/site/bench-plan';
import { pickFixture, trialFixture } from '@/core/trial/fixtures/trial-fixture';
import { BLANK_LAYOUT } from '@/core/trial/model/blank-facts';
import { GardenId } from '@/core/trial/model/ids';
import type { TrialData } from '@/core/trial/model/trial-data';
import { type Protocol, protocolOf } from '@/core/trial/shared/protocol';
import { type ResultsFile, resultsOf } from '@/core/trial/shared/results-file';
import { trialFromProtocol } from '@/core/trial/shared/trial-from-protocol';

/** What one pot of a garden gave, as a table has it: grams, or nothing where it was lost. */
export interface GardenRow {
  readonly treatment: string;
  readonly pot: number;
  readonly g: string;
}

/** The plan that ten gardens run: plain water and four feeds, four pots of each. */
export function planFixture(treatments = 5, unitsEach = 4): Protocol {
  const plan = protocolOf(trialFixture({ treatments, unitsEach }), {
    garden: 'Cinder Row',
    person: '',
    madeAt: '2026-03-01T08:00:00.000Z',
  });
  if (!plan) throw new Error('the fixture is dealt');
  return plan;
}

/** A garden that took the plan in, dealt by its own lot and weighed one pick of each pot. @param grams null: the pot gave no value */
export function runPlan(
  plan: Protocol,
  seed: number,
  grams: (treatment: string, nth: number) => number | null,
): TrialData {
  const begun = trialFromProtocol(plan, GardenId.parse(v7()), () => v7());
  const bench = layOutBench(
    {
      kind: 'complete-randomisation',
      treatments: begun.treatments,
      each: plan.layout.unitsEach,
      blockCount: 0,
      blockWord: 'shelf',
      unitWord: 'pot',
      unitShape: 'round',
      unitWidthMm: 200,
      unitDepthMm: 200,
      seed,
      deals: 1,
      ...BLANK_LAYOUT,
    },
    () => v7(),
  );
  const nameOf = (id: string): string => begun.treatments.find(each => each.id === id)?.name ?? '';
  const seen = new Map<string, number>();
  const picks = bench.units.flatMap(unit => {
    const name = nameOf(unit.treatmentId);
    const nth = (seen.get(name) ?? 0) + 1;
    seen.set(name, nth);
    const netG = grams(name, nth);
    return netG === null ? [] : [pickFixture(unit, { netG, grossG: netG, tareG: 0, by: 'Ida' })];
  });
  return {
    ...begun,
    ...bench,
    picks,
    trial: {
      ...begun.trial,
      state: 'closed',
      lockedAt: '2026-05-01T08:00:00.000Z',
      keyOpenedAt: '2026-08-02T08:00:00.000Z',
      closedAt: '2026-08-02T08:00:00.000Z',
    },
  };
}

/** What one of the ten gardens did with the plan. */
export function runGarden(plan: Protocol, rows: readonly GardenRow[], seed: number): TrialData {
  return runPlan(plan, seed, (treatment, nth) => {
    const written = rows.find(row => row.treatment === treatment && row.pot === nth)?.g ?? '';
    return written === '' ? null : Number(written);
  });
}

/** A garden’s results as a file. */
export function resultsFixture(
  trial: TrialData,
  name: string,
  changes: Partial<ResultsFile['garden']> & { readonly writtenAt?: string } = {},
): ResultsFile {
  const { writtenAt = '2026-08-03T08:00:00.000Z', ...facts } = changes;
  const garden = { name, place: '', soil: '', person: '', traits: {}, ...facts };
  const made = resultsOf(trial, garden, { writtenAt, withNames: false });
  if (!made.ok) throw new Error(made.trouble);
  return made.value;
}
