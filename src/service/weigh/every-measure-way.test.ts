// Every measure of the library by all doors: the walk's and the grid's, which send entries, and the table's, pasted or as a file.
import { v7 } from 'uuid';
import { seenTrial } from '@/core/blinding/seen-trial';
import { READING_KINDS } from '@/core/measure/library/reading-library';
import { matchColumns } from '@/core/measure/reading/match-columns';
import { addDays } from '@/core/time/garden-day';
import { trialFixture } from '@/core/trial/fixtures/trial-fixture';
import { writtenFor } from '@/core/trial/fixtures/written-fixture';
import { isTaken } from '@/core/trial/model/scale';
import { takeTrialIn } from '@/service/files/whole-trials';
import { today } from '@/service/garden/clock';
import { freshGardenForEachTest } from '@/service/garden/garden-fixture';
import { addMeasureToTrial } from '@/service/trial/measures';
import { findTrial } from '@/service/trial/trials';
import { importReadings } from './import-readings';
import { takeReadings } from './readings';

freshGardenForEachTest();

const made = trialFixture({ treatments: 2, unitsEach: 2 });
const data = {
  ...made,
  trial: { ...made.trial, startsOn: addDays(today(), -20), endsOn: addDays(today(), 20) },
};
const trialId = data.trial.id;
const kinds = READING_KINDS.filter(kind => isTaken(kind.scale));

test.each(kinds.map(kind => [kind.key, kind] as const))('%s', async (key, kind) => {
  expect((await takeTrialIn(data)).ok).toBe(true);
  const added = await addMeasureToTrial(trialId, { from: 'library', key });
  if (!added.ok) throw new Error(JSON.stringify(added.trouble));
  const measure = added.value;
  const written = data.units.map((_, at) => writtenFor({ scale: kind.scale }, at, at % 2 === 1));
  const taken = await takeReadings(
    trialId,
    data.units.map((unit, at) => ({
      id: v7(),
      unitId: unit.id,
      measureId: measure.id,
      takenOn: addDays(today(), -1),
      subsample: '',
      value: written[at],
      outcome: 'picked',
      note: '',
      isRepeat: false,
      supersedes: null,
    })),
  );
  expect(taken.ok && taken.value.map(each => each.result.ok)).toEqual(data.units.map(() => true));

  const rows = data.units.map((unit, at) => [unit.code, today(), written[at] ?? '']);
  const heads = ['code', 'day', measure.name];
  const csv = [heads, ...rows].map(row => row.map(cell => `"${cell}"`).join(',')).join('\n');
  const roles = matchColumns(heads, [measure], data.trial.unitWord);
  const filed = await importReadings(trialId, { id: v7(), csv, roles, day: today() });
  expect(filed).toMatchObject({ ok: true, value: { count: data.units.length } });

  const stands = await findTrial(trialId);
  const said = (day: string) =>
    data.units.map(unit => {
      const found = stands?.readings.find(
        reading => reading.unitId === unit.id && reading.takenOn === day,
      );
      return [found?.value, found?.outOf, found?.outcome];
    });
  expect(said(today())).toEqual(said(addDays(today(), -1)));
  expect(stands && seenTrial(stands).readings).toHaveLength(2 * data.units.length);
});
