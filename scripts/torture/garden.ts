// What every torture needs: a garden in a folder of its own, and what its trial is made of.
import { mkdtempSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { addDays } from '@/core/time/garden-day';
import { careRuleFixture } from '@/core/trial/fixtures/care-fixture';
import { trialFixture } from '@/core/trial/fixtures/trial-fixture';
import type { TrialData } from '@/core/trial/model/trial-data';
import { takeTrialIn } from '@/service/files/whole-trials';
import { today } from '@/service/garden/clock';
import { closeStore, startStore } from '@/service/garden/start';
import { addMeasureToTrial } from '@/service/trial/measures';

/** A garden with one running trial, its counted measure and its rule of care. */
export interface TortureGarden {
  readonly folder: string;
  readonly file: string;
  readonly trialId: string;
  readonly unitIds: readonly string[];
  readonly codes: readonly string[];
  readonly measureId: string;
  readonly ruleId: string;
}

export async function tortureGarden(): Promise<TortureGarden> {
  const folder = mkdtempSync(join(tmpdir(), 'turnspit-torture-'));
  const file = join(folder, 'turnspit.sqlite');
  process.env.TURNSPIT_DATA = file;
  const started = await startStore();
  if (!started.ok) throw new Error(started.trouble.kind);
  const made = trialFixture({ treatments: 2, unitsEach: 12 });
  const rule = careRuleFixture({
    name: 'weeding',
    kind: 'other',
    repeat: { kind: 'every', days: 1 },
  });
  const data: TrialData = {
    ...made,
    trial: { ...made.trial, startsOn: addDays(today(), -900), endsOn: addDays(today(), 100) },
    care: { ...made.care, rules: [rule] },
  };
  const taken = await takeTrialIn(data);
  if (!taken.ok) throw new Error(JSON.stringify(taken.trouble));
  const measure = await addMeasureToTrial(data.trial.id, { from: 'library', key: 'leaves' });
  if (!measure.ok) throw new Error(JSON.stringify(measure.trouble));
  await closeStore();
  return {
    folder,
    file,
    trialId: data.trial.id,
    unitIds: data.units.map(unit => unit.id),
    codes: data.units.map(unit => unit.code),
    measureId: measure.value.id,
    ruleId: rule.id,
  };
}

/** One figure of a torture, on a line of its own. */
export function tell(what: string, figure: unknown): void {
  console.log(`${what.padEnd(56)} ${String(figure)}`);
}
