import { v7 } from 'uuid';
import { trialFixture } from '@/core/trial/fixtures/trial-fixture';
import { BLANK_MEASURE, BLANK_READING } from '@/core/trial/model/blank-facts';
import { MeasureId, ReadingId } from '@/core/trial/model/ids';
import type { Measure } from '@/core/trial/model/measure';
import type { Reading } from '@/core/trial/model/reading';
import { minutesByPerson } from './minutes-by-person';

test('work is summed by who put it down, however they wrote their name; other readings are no work', () => {
  const data = trialFixture();
  const [unit] = data.units;
  const [main] = data.measures;
  if (!unit || !main) throw new Error('the fixture has both');
  const labour: Measure = {
    ...main,
    ...BLANK_MEASURE,
    id: MeasureId.parse(v7()),
    name: 'Work',
    kindKey: 'labour',
    isMain: false,
  };
  const work = (by: string, value: number | null, measureId = labour.id): Reading => ({
    ...BLANK_READING,
    id: ReadingId.parse(v7()),
    unitId: unit.id,
    measureId,
    subsample: '',
    takenOn: '2026-06-01',
    takenAt: '2026-06-01T08:00:00.000Z',
    value,
    outcome: 'picked',
    note: '',
    by,
    supersedes: null,
    isRemoval: false,
  });
  expect(
    minutesByPerson({
      measures: [...data.measures, labour],
      readings: [
        work('Ida', 20),
        work(' ida ', 10),
        work('Bo', 45),
        work('', 5),
        work('Bo', null),
        work('Bo', 900, main.id),
      ],
    }),
  ).toEqual([
    { person: 'Bo', minutes: 45 },
    { person: 'Ida', minutes: 30 },
    { person: '', minutes: 5 },
  ]);
  expect(minutesByPerson(data)).toEqual([]);
});
