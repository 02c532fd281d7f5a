import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { planFixture, resultsFixture, runPlan } from '@/core/judge/together/ten-gardens-fixture';
import { pickFixture, trialFixture } from '@/core/trial/fixtures/trial-fixture';
import type { TrialData } from '@/core/trial/model/trial-data';
import { protocolOf } from '@/core/trial/shared/protocol';
import { takeTrialIn } from '@/service/files/whole-trials';
import { closeStore, startStore } from '@/service/garden/start';
import { takeResultsIn } from '@/service/gardens/results-files';
import { takenTogether } from '@/service/gardens/together';
import { findTrial } from '@/service/trial/trials';

const GARDENS = 100;

/** A hundred gardens of 40 pots: how long it takes to take them in, and to judge them together. */
export async function benchGardens(): Promise<void> {
  const folder = mkdtempSync(join(tmpdir(), 'turnspit-bench-gardens-'));
  process.env.TURNSPIT_DATA = join(folder, 'garden.sqlite');
  const started = await startStore();
  if (!started.ok) throw new Error(started.trouble.kind);
  const made = trialFixture({ treatments: 5, unitsEach: 8 });
  const own: TrialData = {
    ...made,
    picks: made.units.map((unit, i) => pickFixture(unit, { netG: 300 + ((i * 37) % 60) })),
    trial: { ...made.trial, state: 'closed', closedAt: '2026-08-02T08:00:00.000Z' },
  };
  await takeTrialIn(own);
  const plan = protocolOf(own, { garden: '', person: '', madeAt: '2026-03-01T08:00:00.000Z' });
  const files = Array.from({ length: GARDENS }, (_, garden) =>
    JSON.stringify(
      resultsFixture(
        runPlan(plan ?? planFixture(), garden + 1, (treatment, nth) =>
          Math.round(300 + 3 * garden + 20 * treatment.length + ((nth * 37 + garden * 11) % 50)),
        ),
        `Garden ${garden + 1}`,
        { soil: ['clay', 'sand', 'loam'][garden % 3] ?? '' },
      ),
    ),
  );
  const from = performance.now();
  for (const file of files) {
    const taken = await takeResultsIn(own.trial.id, JSON.parse(file));
    if (!taken.ok) throw new Error(JSON.stringify(taken.trouble));
  }
  console.log(`${GARDENS} results files of 40 pots taken in: ${seconds(from)} s`);
  const looks: number[] = [];
  for (let i = 0; i < 5; i++) {
    const begun = performance.now();
    const data = await findTrial(own.trial.id);
    await takenTogether(data ?? own, { out: new Set(), in: new Set() });
    looks.push(performance.now() - begun);
  }
  looks.sort((a, b) => a - b);
  console.log(`all of them judged together: ${Math.round(looks[2] ?? Number.NaN)} ms, median of 5`);
  await closeStore();
  rmSync(folder, { recursive: true, force: true });
}

function seconds(from: number): string {
  return ((performance.now() - from) / 1000).toFixed(1);
}
