import { seenTrial } from '@/core/blinding/seen-trial';
import { readMeasure } from '@/core/measure/library/own-measure';
import { pickFixture, readingFixture, trialFixture } from '@/core/trial/fixtures/trial-fixture';
import { findNotes, notesOf } from './note-lines';

const trial = trialFixture({ treatments: 2, unitsEach: 2 });
const [first, second] = trial.units;
const read = readMeasure(
  { from: 'library', key: 'height' },
  [],
  '00000000-0000-7000-8000-0000000000aa',
);
if (!first || !second || !read.ok) throw new Error('the fixture must have units');
const data = {
  ...trial,
  measures: [...trial.measures, read.value],
  picks: [
    pickFixture(first, { note: 'Slug trails on the rim', pickedOn: '2026-07-03' }),
    pickFixture(second, { note: '' }),
  ],
  readings: [
    readingFixture(second, read.value, 200, { note: 'Leaning to the wall', takenOn: '2026-07-05' }),
  ],
};

test('notes of picks and readings stand in one list, newest first, those without words left out', () => {
  expect(
    notesOf(seenTrial(data), false).map(line => [line.day, line.code, line.about, line.says]),
  ).toEqual([
    ['2026-07-05', second.code, 'Plant height', 'Leaning to the wall'],
    ['2026-07-03', first.code, 'a pick', 'Slug trails on the rim'],
  ]);
});

test('all words that are looked for must be there, in the words, the code or the day', () => {
  const lines = notesOf(seenTrial(data), false);
  expect(findNotes(lines, 'slug RIM').map(line => line.code)).toEqual([first.code]);
  expect(findNotes(lines, `${second.code} wall`)).toHaveLength(1);
  expect(findNotes(lines, '2026-07')).toHaveLength(2);
  expect(findNotes(lines, 'slug wall')).toEqual([]);
});
