import { openTrial, seenTrial } from '@/core/blinding/seen-trial';
import type { Photo } from '@/core/image/photo';
import { labReadings, readLabReport } from '@/core/measure/laboratory/lab-report';
import { SoilSample } from '@/core/measure/laboratory/soil-sample';
import { readMeasure } from '@/core/measure/library/own-measure';
import { readingFixture, trialFixture } from '@/core/trial/fixtures/trial-fixture';
import type { Tasting } from '@/core/trial/model/tasting';
import type { TrialData } from '@/core/trial/model/trial-data';
import { benchViewOf } from '@/features/bench/bench-view';
import { photoWalls } from '@/features/inspect/photos/photo-view';
import { soilViewOf } from '@/features/inspect/soil/soil-view';
import { inspectViewOf } from './inspect-view';

const trial = trialFixture({ treatments: 2, unitsEach: 3, isBlind: true });
const unitsOf = (isOpen: boolean) => benchViewOf(openTrial(trial), isOpen)?.units ?? [];
const id = (n: number): string => `00000000-0000-7000-8000-${String(n).padStart(12, '0')}`;
const photo = (n: number, unit: number, takenOn: string, changes: Partial<Photo> = {}): Photo => ({
  id: id(n),
  unitId: trial.units[unit]!.id,
  takenOn,
  keptAt: `${takenOn}T10:00:00.000Z`,
  shows: 'plant',
  note: '',
  width: 1600,
  height: 1200,
  widthMm: null,
  ...changes,
});

describe('the walls of pictures', () => {
  const photos = trial.units.flatMap((_, i) => [
    photo(10 + i, i, '2026-05-02', { widthMm: 500 }),
    photo(20 + i, i, '2026-07-02', { widthMm: 500 + 100 * i }),
  ]);
  test('with a shut key nothing on the wall tells a treatment, and its order is a lot that changes with the day', () => {
    const walls = photoWalls(photos, unitsOf(false), '2026-07-10');
    expect(
      trial.treatments
        .flatMap(treatment => [treatment.id, treatment.name])
        .filter(secret => JSON.stringify(walls).includes(secret)),
    ).toEqual([]);
    const orders = ['2026-07-10', '2026-07-11', '2026-07-12', '2026-07-13'].map(day =>
      photoWalls(photos, unitsOf(false), day)[0]
        ?.side.map(each => each.code)
        .join(' '),
    );
    expect(new Set(orders).size).toBeGreaterThan(1);
    expect(orders[0]).toBe(
      photoWalls(photos, unitsOf(false), '2026-07-10')[0]
        ?.side.map(each => each.code)
        .join(' '),
    );
  });
  test('with an open key those treated alike hang together', () => {
    const tags =
      photoWalls(photos, unitsOf(true), '2026-07-10')[0]?.side.map(each => each.tag?.name) ?? [];
    expect(tags).toEqual([...tags].sort((a, b) => Number(a !== tags[0]) - Number(b !== tags[0])));
    expect(new Set(tags).size).toBe(2);
  });
  test('side by side is the last of each, drawn at one scale; a pair is the first and the last', () => {
    const [wall] = photoWalls(photos, unitsOf(false), '2026-07-10');
    expect(wall?.side.map(each => each.takenOn)).toEqual(trial.units.map(() => '2026-07-02'));
    expect(wall?.hasScale).toBe(true);
    expect(Math.max(...(wall?.side.map(each => each.drawn) ?? []))).toBe(1);
    expect(wall?.pairs.map(pair => [pair.before.takenOn, pair.after.takenOn])).toEqual(
      trial.units.map(() => ['2026-05-02', '2026-07-02']),
    );
  });
  test('pictures of other things hang on walls of their own', () => {
    expect(
      photoWalls(
        [photo(1, 0, '2026-05-02'), photo(2, 0, '2026-05-02', { shows: 'roots' })],
        unitsOf(false),
        '2026-07-10',
      ).map(wall => [wall.shows, wall.side.length, wall.hasScale]),
    ).toEqual([
      ['plant', 1, false],
      ['roots', 1, false],
    ]);
    expect(photoWalls([], unitsOf(false), '2026-07-10')).toEqual([]);
  });
});

describe('soil before and after', () => {
  const samples = trial.units.slice(0, 2).flatMap((unit, i) =>
    [0, 1].map(time =>
      SoilSample.parse({
        id: id(100 + 2 * i + time),
        unitId: unit.id,
        number: `S00${1 + 2 * i + time}`,
        takenOn: time === 0 ? '2026-05-01' : '2026-08-01',
        depthMm: 150,
        cores: 5,
        note: '',
      }),
    ),
  );
  const report = readLabReport(
    ['sample', 'analyte', 'value', 'unit', 'optimum low', 'optimum high'],
    [
      ['S001', 'pH', '5.6', '', '6', '7'],
      ['S002', 'pH', '6.4', '', '6', '7'],
      ['S003', 'pH', '7.4', '', '6', '7'],
      ['S001', 'Boron', '< 0.4', 'mg/kg', '', ''],
    ],
  );
  let next = 500;
  const brought = report.ok
    ? labReadings(report.value, {
        samples,
        measures: trial.measures,
        device: 'lab',
        now: '2026-08-20T10:00:00.000Z',
        newId: () => id(next++),
      })
    : undefined;
  if (!brought?.ok) throw new Error('the report must be read');
  const data: TrialData = {
    ...trial,
    measures: [...trial.measures, ...brought.value.measures],
    readings: brought.value.readings,
  };
  const view = soilViewOf(seenTrial(data), unitsOf(false), samples);
  test('each analyte by unit and day, with what the laboratory calls right, and the change', () => {
    const [ph, boron] = view.analytes;
    expect(ph?.days).toEqual(['2026-05-01', '2026-08-01']);
    expect(
      ph?.rows.map(row => [
        row.values.map(cell => cell && `${cell.value} ${cell.stands}`),
        row.change === null ? null : Number(row.change.toFixed(1)),
      ]),
    ).toEqual(
      expect.arrayContaining([
        [['5.6 low', '6.4 right'], 0.8],
        [['7.4 high', null], null],
      ]),
    );
    expect(boron?.rows[0]?.values[0]).toMatchObject({
      value: 0.2,
      isBelowLimit: true,
      stands: null,
    });
  });
  test('a note on a value does not put it below the limit', () => {
    const noted = { ...data, readings: data.readings.map(each => ({ ...each, note: 'wet bag' })) };
    const [ph] = soilViewOf(seenTrial(noted), unitsOf(false), samples).analytes;
    expect(ph?.rows[0]?.values[0]?.isBelowLimit).toBe(false);
  });
  test('a bag is answered when the report has it, and nothing tells a treatment', () => {
    expect(view.bags.map(bag => [bag.number, bag.isAnswered])).toEqual([
      ['S001', true],
      ['S002', true],
      ['S003', true],
      ['S004', false],
    ]);
    expect(
      trial.treatments
        .map(treatment => treatment.name)
        .filter(name => JSON.stringify(view).includes(name)),
    ).toEqual([]);
  });
});

describe('digging up and tasting', () => {
  const read = readMeasure({ from: 'library', key: 'worms' }, [], id(900));
  if (!read.ok) throw new Error('worms must be in the library');
  const [a, b] = trial.units;
  const tasting: Tasting = {
    id: id(901),
    unitA: a!.id,
    unitB: b!.id,
    heldOn: '2026-08-02',
    laidAt: '2026-08-02T10:00:00.000Z',
    tasters: 8,
    seed: 7,
    correct: null,
  };
  test('what is looked for stands in the order in which it spoils, with how many were read', () => {
    const view = inspectViewOf(
      seenTrial({
        ...trial,
        measures: [...trial.measures, read.value],
        readings: [readingFixture(a!, read.value, 3), readingFixture(b!, read.value, 1)],
      }),
      [],
    );
    expect(view.findings.slice(0, 3).map(finding => [finding.name, finding.read])).toEqual([
      ['Smell', null],
      ['Worms', 2],
      ['Pill bugs', null],
    ]);
    expect(view.isInspected).toBe(true);
    expect(inspectViewOf(seenTrial(trial), []).isInspected).toBe(false);
  });
  test('an open tasting shows its cups by code; a counted one shows what it says, and the cups no more', () => {
    const [open, counted] = inspectViewOf(seenTrial(trial), [
      tasting,
      { ...tasting, correct: 6 },
    ]).tastings;
    expect([open?.cups.length, open?.needed, open?.p]).toEqual([8, 6, null]);
    expect([counted?.cups.length, counted?.share]).toEqual([0, 0.625]);
    expect(counted?.p).toBeCloseTo(0.0197, 4); // P(X ≥ 6), n = 8, p = 1/3
  });
});
