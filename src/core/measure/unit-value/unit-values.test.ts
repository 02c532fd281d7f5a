import fc from 'fast-check';
import { valuePrinter } from '@/core/measure/library/print-measure';
import { addDays } from '@/core/time/garden-day';
import {
  emptyPickFixture,
  pickFixture,
  readingFixture,
  trialFixture,
} from '@/core/trial/fixtures/trial-fixture';
import type { Measure } from '@/core/trial/model/measure';
import type { TrialData } from '@/core/trial/model/trial-data';
import type { ExperimentalUnit } from '@/core/trial/model/unit';
import { partsOf } from './parts-apart';
import { startValues, unitCourse, unitsRead, unitValues } from './unit-values';

const trial = trialFixture();
const [first, second, third, fourth] = trial.units;
if (!first || !second || !third || !fourth) throw new Error('the fixture must have four units');

function measureOf(summary: Measure['summary']): Measure {
  const measure = trial.measures.find(candidate => candidate.summary === summary);
  if (!measure) throw new Error(`no measure ${summary}`);
  return measure;
}

function unitValueOf(data: TrialData, measure: Measure, unit: ExperimentalUnit) {
  const found = unitValues(data, measure).find(value => value.unit.id === unit.id);
  if (!found) throw new Error('every unit has a value');
  return found;
}

const picked: TrialData = {
  ...trial,
  picks: [
    pickFixture(first, { netG: 100, pieces: 10 }),
    pickFixture(first, { netG: 60, pieces: 5, pickedOn: '2026-07-08' }),
    pickFixture(first, { netG: 30, pieces: 4, grade: 'cull', cullReason: 'rot' }),
    emptyPickFixture(second, 'nothing-there'),
    emptyPickFixture(third, 'not-looked'),
    pickFixture(fourth, { netG: 40, pieces: null }),
    emptyPickFixture(fourth, 'dead', { pickedOn: '2026-07-08' }),
  ],
};

test.each([
  ['sound-weight', 160],
  ['total-weight', 190],
  ['sound-count', 15],
  ['mean-piece-weight', 160 / 15],
] as const)('%s of two sound picks and a cull', (summary, value) => {
  expect(unitValueOf(picked, measureOf(summary), first).value).toBeCloseTo(value, 12);
});

test('nothing to pick is zero; not looked at is missing; the dead keep what they gave; no entry is missing', () => {
  const weight = measureOf('sound-weight');
  expect(unitValueOf(picked, weight, second)).toMatchObject({ value: 0, status: 'measured' });
  expect(unitValueOf(picked, weight, third)).toMatchObject({
    value: null,
    status: 'not-looked',
    missedOn: ['2026-07-01'],
  });
  expect(unitValueOf(picked, weight, fourth)).toMatchObject({ value: 40, status: 'dead' });
  expect(unitValueOf(picked, weight, trial.units[4] ?? first)).toMatchObject({
    value: null,
    status: 'no-entry',
  });
  expect(unitsRead(picked, weight)).toBe(4);
});

test('a unit without a piece has no mean weight of one', () => {
  expect(unitValueOf(picked, measureOf('mean-piece-weight'), second).value).toBeNull();
});

test('what was weighed but not counted stays out of the weight of one piece', () => {
  const data = {
    ...trial,
    picks: [
      pickFixture(first, { netG: 100, pieces: 10 }),
      pickFixture(first, { netG: 900, pieces: null }),
    ],
  };
  expect(unitValueOf(data, measureOf('mean-piece-weight'), first).value).toBe(10);
});

describe('readings', () => {
  const height: Measure = {
    ...measureOf('sound-weight'),
    summary: 'reading-mean',
    unit: 'mm',
    name: 'Height',
  };
  const lastHeight: Measure = { ...height, summary: 'reading-last' };
  const data: TrialData = {
    ...trial,
    readings: [
      readingFixture(first, height, 100, { subsample: 'a' }),
      readingFixture(first, height, 140, { subsample: 'b' }),
      readingFixture(first, height, 300, { subsample: 'a', takenOn: '2026-06-08' }),
      readingFixture(second, height, null, { outcome: 'not-looked' }),
    ],
  };

  test('subsamples are averaged within a day before days are put together', () => {
    expect(unitValueOf(data, height, first)).toMatchObject({
      value: (120 + 300) / 2,
      subsamples: 2,
    });
    expect(unitValueOf(data, lastHeight, first).value).toBe(300);
  });

  test('totals, the highest, and the area under the course: 0, 10, 30, 50 on days 0, 7, 14, 21 is 455 %-days (C059: Shaner & Finney 1977)', () => {
    const course = [0, 10, 30, 50].map((value, i) =>
      readingFixture(first, height, value, {
        takenOn: `2026-06-${String(1 + 7 * i).padStart(2, '0')}`,
      }),
    );
    const valueBy = (summary: Measure['summary']) =>
      unitValueOf({ ...trial, readings: course }, { ...height, summary }, first).value;
    expect([
      valueBy('reading-total'),
      valueBy('reading-highest'),
      valueBy('reading-area'),
      valueBy('reading-last'),
      valueBy('reading-mean'),
    ]).toEqual([90, 50, 455, 50, 22.5]);
  });

  test('the value on a day is that day’s, or the last look before it; who was not looked at by then is missing', () => {
    const looks = (unit: ExperimentalUnit, ...days: readonly number[]) =>
      days.map(day =>
        readingFixture(unit, height, 100 + day, {
          takenOn: addDays(trial.trial.startsOn, day),
        }),
      );
    const onDay: Measure = { ...height, summary: 'reading-on-day', onDay: 14 };
    const readings = [
      ...looks(first, 7, 14, 21),
      ...looks(second, 7, 13, 20),
      ...looks(third, 15, 22),
    ];
    const all: TrialData = { ...trial, readings };
    expect([first, second, third].map(unit => unitValueOf(all, onDay, unit).value)).toEqual([
      114,
      113,
      null,
    ]);
  });

  test('parts that are kept apart are each a measure of its own, beside their mean', () => {
    const apart: Measure = { ...height, parts: 2, partsAre: 'apart' };
    const whole: TrialData = {
      ...trial,
      measures: [...trial.measures, apart],
      readings: ['2', '10', 'top'].map((subsample, i) =>
        readingFixture(first, apart, 100 * (i + 1), { subsample }),
      ),
    };
    expect(unitValueOf(whole, apart, first).value).toBe(200);
    expect(
      partsOf(whole, apart).map(({ measure, data: own }) => [
        measure.name,
        unitValueOf(own, measure, first).value,
      ]),
    ).toEqual([
      ['Height, 2', 100],
      ['Height, 10', 200],
      ['Height, top', 300],
    ]);
    expect(partsOf(whole, { ...apart, partsAre: 'averaged' })).toEqual([]);
  });

  test('the change from the first day to the last, and the growth a day; one day alone says neither', () => {
    const course = [100, 130, 190].map((value, i) =>
      readingFixture(first, height, value, { takenOn: `2026-06-0${1 + 2 * i}` }),
    );
    const valueBy = (summary: Measure['summary'], readings = course) =>
      unitValueOf({ ...trial, readings }, { ...height, summary }, first).value;
    expect([valueBy('reading-change'), valueBy('reading-rate')]).toEqual([90, 22.5]);
    expect([
      valueBy('reading-change', course.slice(0, 1)),
      valueBy('reading-rate', course.slice(0, 1)),
    ]).toEqual([null, null]);
    expect(valuePrinter({ unit: 'mm', summary: 'reading-rate' }, 'metric')(22.5)).toBe(
      '22.5 mm a day',
    );
  });

  test('what was read up to the start is where it began from, and counts in no mean', () => {
    const grown: Measure = { ...height, scale: { kind: 'continuous', least: 0, most: 5000 } };
    const start = trial.trial.startsOn;
    const readings = [
      readingFixture(first, grown, 40, { takenOn: '2026-01-02' }),
      readingFixture(first, grown, 50, { takenOn: start }),
      readingFixture(first, grown, 120, { takenOn: '2026-06-01' }),
      readingFixture(second, grown, 60, { takenOn: start }),
    ];
    const begun = { ...trial, readings };
    expect([...startValues(begun, grown)]).toEqual([
      [first.id, 50],
      [second.id, 60],
    ]);
    expect([
      unitValueOf(begun, grown, first).value,
      unitValueOf(begun, grown, second).value,
    ]).toEqual([120, null]);
    expect(unitValueOf(begun, { ...grown, summary: 'reading-change' }, first).value).toBe(80);
    const onlyStart = { ...trial, readings: readings.slice(0, 2) };
    expect([
      startValues(onlyStart, grown).size,
      unitValueOf(onlyStart, grown, first).value,
    ]).toEqual([0, 45]);
  });

  test('k of n is pooled over parts, steps take the middle one, and a second reading for the reader’s own error counts nowhere', () => {
    const share: Measure = { ...lastHeight, scale: { kind: 'proportion', outOf: null } };
    const pooled = [
      readingFixture(first, share, 1, { outOf: 10, subsample: 'a' }),
      readingFixture(first, share, 9, { outOf: 10, subsample: 'b' }),
      readingFixture(first, share, 5, { outOf: 5, subsample: 'c' }),
    ];
    expect(unitValueOf({ ...trial, readings: pooled }, share, first).value).toBeCloseTo(60, 9);
    const score: Measure = {
      ...lastHeight,
      scale: { kind: 'ordinal', from: 0, steps: ['a', 'b', 'c', 'd'], hasBeyond: false },
    };
    const scored = [0, 0, 3].map((value, i) =>
      readingFixture(first, score, value, { subsample: String(i) }),
    );
    expect(
      unitValueOf(
        {
          ...trial,
          readings: [
            ...scored,
            readingFixture(first, score, 3, { subsample: '0', isRepeat: true }),
          ],
        },
        score,
        first,
      ).value,
    ).toBe(0);
  });

  test('a reading that was not taken is missing', () => {
    expect(unitValueOf(data, height, second)).toMatchObject({
      value: null,
      status: 'not-looked',
    });
  });
});

test('the order of entries changes nothing', () => {
  const entries = fc.array(
    fc.record({
      netG: fc.integer({ min: 0, max: 500 }),
      pieces: fc.integer({ min: 1, max: 40 }),
      at: fc.integer({ min: 0, max: 5 }),
    }),
    { maxLength: 20 },
  );
  fc.assert(
    fc.property(entries, list => {
      const picks = list.map(({ netG, pieces, at }) =>
        pickFixture(trial.units[at] ?? first, { netG, pieces }),
      );
      const forwards = unitValues({ ...trial, picks }, measureOf('sound-weight')).map(
        value => value.value,
      );
      expect(
        unitValues({ ...trial, picks: [...picks].reverse() }, measureOf('sound-weight')).map(
          value => value.value,
        ),
      ).toEqual(forwards);
      expect(forwards.reduce<number>((sum, value) => sum + (value ?? 0), 0)).toBe(
        list.reduce((sum, { netG }) => sum + netG, 0),
      );
    }),
  );
});

test('the course of a harvest is what it has come to, and ends at the unit’s value; of readings each day’s own', () => {
  const weight = measureOf('sound-weight');
  expect(unitCourse(picked, first.id, weight)).toEqual([
    { day: '2026-07-01', value: 100 },
    { day: '2026-07-08', value: 160 },
  ]);
  expect(unitCourse(picked, third.id, weight)).toEqual([]);
  const height: Measure = {
    ...weight,
    summary: 'reading-last',
    scale: { kind: 'continuous', least: 0, most: 5000 },
  };
  const readings = [
    readingFixture(first, height, 100, { subsample: 'a' }),
    readingFixture(first, height, 140, { subsample: 'b' }),
    readingFixture(first, height, 300, { takenOn: '2026-06-08' }),
    readingFixture(first, height, 999, { takenOn: '2026-06-09', isRepeat: true }),
  ];
  expect(unitCourse({ ...trial, readings }, first.id, height)).toEqual([
    { day: '2026-06-01', value: 120 },
    { day: '2026-06-08', value: 300 },
  ]);
});

describe('what was picked and never counted, or never weighed', () => {
  const data = {
    ...trial,
    picks: [
      pickFixture(first, { netG: 100, pieces: null }),
      pickFixture(first, { netG: 50, pieces: 5, pickedOn: '2026-07-08' }),
      pickFixture(second, { netG: null, grossG: null, pieces: 7 }),
      pickFixture(third, { netG: 80, pieces: 8 }),
      emptyPickFixture(fourth, 'gone'),
    ],
  };
  test('is missing from a sum, not zero in it', () => {
    expect(
      unitValues(data, measureOf('sound-count'))
        .slice(0, 4)
        .map(({ value, status }) => [value, status]),
    ).toEqual([
      [null, 'unmeasured'],
      [7, 'measured'],
      [8, 'measured'],
      [null, 'gone'],
    ]);
    expect(
      unitValues(data, measureOf('sound-weight'))
        .slice(0, 3)
        .map(({ value }) => value),
    ).toEqual([150, null, 80]);
  });
});

describe('parts of one unit', () => {
  const base = trial.measures[0];
  if (!base) throw new Error('the fixture must have a measure');
  const counted = {
    ...base,
    summary: 'reading-mean',
    scale: { kind: 'count' },
    parts: 5,
    partsAre: 'added',
  } as const;
  const read = (unit: ExperimentalUnit, values: readonly number[]) =>
    values.map((value, i) => readingFixture(unit, counted, value, { subsample: String(i + 1) }));
  const data = {
    ...trial,
    measures: [counted],
    readings: [...read(first, [1, 2, 3, 4, 5]), ...read(second, [3, 3, 3, 3])],
  };
  test('are added up where that was set; of fewer parts as many as their rate makes of all', () => {
    expect(
      unitValues(data, counted)
        .slice(0, 2)
        .map(({ value }) => value),
    ).toEqual([15, 15]);
  });
  test('are averaged otherwise', () => {
    expect(
      unitValues(data, { ...counted, partsAre: 'averaged' })
        .slice(0, 2)
        .map(({ value }) => value),
    ).toEqual([3, 3]);
  });
});
