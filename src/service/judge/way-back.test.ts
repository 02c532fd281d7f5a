// What the project writes, it reads: entries.csv of a trial with every kind of scale goes out, comes in again and is the same.
import papaparse from 'papaparse';
import { v7 } from 'uuid';
import { measureFromLibrary } from '@/core/measure/library/own-measure';
import { READING_KINDS } from '@/core/measure/library/reading-library';
import { matchColumns, rolesTrouble } from '@/core/measure/reading/match-columns';
import { readReadingTable } from '@/core/measure/reading/reading-table';
import { trialFixture } from '@/core/trial/fixtures/trial-fixture';
import { BLANK_READING } from '@/core/trial/model/blank-facts';
import { ReadingId } from '@/core/trial/model/ids';
import type { Measure } from '@/core/trial/model/measure';
import type { Pick } from '@/core/trial/model/pick';
import type { Reading } from '@/core/trial/model/reading';
import { isTaken } from '@/core/trial/model/scale';
import { csvTable, entryRows } from './report-rows';

const plain = trialFixture({ treatments: 2, unitsEach: 3 });
const kinds = READING_KINDS.filter(kind => isTaken(kind.scale));
const measures: readonly Measure[] = [
  ...plain.measures,
  ...kinds.map(kind => measureFromLibrary(kind, v7())),
];

/** Values of every scale, its ends and what lies beyond them among them, and every look without one. */
function valuesOf({ scale }: Measure): readonly Partial<Reading>[] {
  switch (scale?.kind) {
    case 'ordinal':
      return [
        { value: scale.from },
        { value: scale.from + 0.5 },
        ...(scale.hasBeyond
          ? [{ value: scale.from - 1 }, { value: scale.from + scale.steps.length }]
          : []),
      ];
    case 'class':
      return scale.classes.map((_, value) => ({ value }));
    case 'proportion':
      return [
        { value: 0, outOf: 6 },
        { value: 6, outOf: 6 },
        { outcome: 'nothing-there', outOf: 6 },
      ];
    case 'days':
      return [{ value: 12 }, { value: 28, outcome: 'not-yet' }];
    case 'continuous':
      return [{ value: 2.25 }, { outcome: 'nothing-there' }];
    case 'yes-no':
      return [{ value: 1 }, { value: 0 }];
    case 'percent':
      return [{ value: 12.5 }, { outcome: 'not-looked' }];
    case 'date':
      return [{ value: 20 }, { outcome: 'not-yet' }];
    default:
      return [{ value: 3 }, { outcome: 'dead' }, { outcome: 'gone' }];
  }
}

const unit = plain.units[0]!;
const readings: readonly Reading[] = measures.flatMap(measure =>
  isTaken(measure.scale)
    ? valuesOf(measure).map(
        (each, i): Reading => ({
          ...BLANK_READING,
          id: ReadingId.parse(v7()),
          unitId: unit.id,
          measureId: measure.id,
          subsample: String(i + 1),
          takenOn: plain.trial.startsOn,
          takenAt: '2026-07-01T08:00:00.000Z',
          value: null,
          outcome: 'picked',
          note: i === 0 ? '=1+1, “under the net”' : '',
          by: i === 1 ? 'Ana' : '',
          isRepeat: i === 1 && measure.scale?.kind === 'continuous',
          supersedes: null,
          isRemoval: false,
          ...each,
        }),
      )
    : [],
);
const pick = (changes: Partial<Pick>): Pick =>
  ({
    id: v7(),
    unitId: unit.id,
    pickedOn: plain.trial.startsOn,
    takenAt: '2026-07-01T08:00:00.000Z',
    outcome: 'picked',
    pieces: 12,
    grossG: 1250.5,
    tareG: 0,
    netG: 1250.5,
    grade: 'sound',
    cullReason: null,
    note: '',
    asWritten: '',
    by: '',
    supersedes: null,
    isRemoval: false,
    ...changes,
  }) as Pick;
const picks = [
  pick({}),
  pick({ grade: 'cull', cullReason: 'eaten', pieces: null, netG: 90, grossG: 90 }),
  pick({ outcome: 'nothing-there', pieces: null, netG: null, grossG: null, note: 'last strip' }),
];

test.each(['uk', 'us'] as const)(
  'entries.csv comes in again unchanged in a garden with %s measures',
  async system => {
    const csv = csvTable(entryRows({ ...plain, measures, readings, picks }));
    const [heads = [], ...rows] = papaparse.parse<string[]>(csv, { skipEmptyLines: 'greedy' }).data;
    const roles = matchColumns(heads, measures, 'pot');
    expect(rolesTrouble(roles)).toBeUndefined();
    const back = await readReadingTable(heads, rows, roles, {
      units: plain.units,
      measures,
      mainMeasure: plain.measures.find(measure => measure.isMain)!,
      system,
      startsOn: plain.trial.startsOn,
      today: '2027-01-01',
      now: '2027-01-01T10:00:00.000Z',
      day: '2027-01-01',
      device: 'a file',
      by: '',
      newId: () => v7(),
      pickId: () => v7(),
    });
    if (!back.ok) throw new Error(JSON.stringify(back.trouble));
    const said = ({
      measureId,
      subsample,
      takenOn,
      value,
      outOf,
      outcome,
      by,
      isRepeat,
    }: Reading) => [measureId, subsample, takenOn, value, outOf, outcome, by, isRepeat].join(' ');
    expect(back.value.readings.map(said)).toEqual(readings.map(said));
    const weighed = ({ pickedOn, outcome, netG, pieces, grade, cullReason, note }: Pick) =>
      [pickedOn, outcome, netG, pieces, grade, cullReason, note].join(' ');
    expect(back.value.picks.map(weighed)).toEqual(picks.map(weighed));
  },
);
