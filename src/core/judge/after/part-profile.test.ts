import { v7 } from 'uuid';
import { measureFromLibrary } from '@/core/measure/library/own-measure';
import { readingKind } from '@/core/measure/library/reading-library';
import { leaveOutFixture, readingFixture, trialFixture } from '@/core/trial/fixtures/trial-fixture';
import type { Measure } from '@/core/trial/model/measure';
import type { TrialData } from '@/core/trial/model/trial-data';
import { partProfile } from './part-profile';

const trial = trialFixture({ treatments: 2, unitsEach: 3 });
const height = readingKind('height');
if (!height) throw new Error('the library must have height');
const measure: Measure = { ...measureFromLibrary(height, v7()), partsAre: 'apart', parts: 3 };
const [first] = trial.units;
if (!first) throw new Error('the fixture must have units');

/** Each unit 10 at the first depth, 20 at the second and 40 at the tenth; the second treatment twice as much. */
const read = (data: TrialData): TrialData => ({
  ...data,
  measures: [...data.measures, measure],
  readings: data.units.flatMap(unit =>
    [
      ['1', 10],
      ['2', 20],
      ['10', 40],
    ].map(([part, value]) =>
      readingFixture(
        unit,
        measure,
        Number(value) * (unit.treatmentId === trial.treatments[1]?.id ? 2 : 1),
        { subsample: String(part) },
      ),
    ),
  ),
});

const meansOf = (data: TrialData) =>
  partProfile(data, measure)?.treatments.map(({ means }) =>
    means.map(each => each && [each.mean, each.units]),
  );

test('a row of means for each treatment, the parts in the order of their numbers', () => {
  expect(partProfile(read(trial), measure)?.parts).toEqual(['1', '2', '10']);
  expect(meansOf(read(trial))).toEqual([
    [
      [10, 3],
      [20, 3],
      [40, 3],
    ],
    [
      [20, 3],
      [40, 3],
      [80, 3],
    ],
  ]);
});

test('what was left out is not in it, and a part that nobody read of a treatment is a gap', () => {
  const data = read({ ...trial, incidents: [leaveOutFixture(first)] });
  const own = trial.treatments.findIndex(treatment => treatment.id === first.treatmentId);
  expect(meansOf(data)?.[own]?.map(each => each?.[1])).toEqual([2, 2, 2]);
  const gap = {
    ...data,
    readings: data.readings.filter(
      ({ unitId, subsample }) =>
        subsample !== '2' ||
        trial.units.find(unit => unit.id === unitId)?.treatmentId !== first.treatmentId,
    ),
  };
  expect(meansOf(gap)?.[own]?.[1]).toBeNull();
});

test('parts that are averaged, or only one of them, make no profile', () => {
  expect(partProfile(read(trial), { ...measure, partsAre: 'averaged' })).toBeNull();
  const one = {
    ...read(trial),
    readings: read(trial).readings.filter(each => each.subsample === '1'),
  };
  expect(partProfile(one, measure)).toBeNull();
});

describe('of a measure that is worked out of two others', () => {
  const asked = (name: string, changes: Partial<Measure> = {}): Measure => ({
    ...measureFromLibrary(height, v7()),
    kindKey: null,
    name,
    partsAre: 'apart',
    parts: 2,
    ...changes,
  });
  const over = (of: Measure, by: Measure): Measure => ({
    ...measureFromLibrary(height, v7()),
    name: 'length of a step',
    scale: {
      kind: 'derived',
      how: 'over',
      of: { kind: 'named', name: of.name },
      by: { kind: 'named', name: by.name },
      times: 1,
    },
  });
  /** By hand: 24 over 3 at the first layer is 8, 30 over 5 at the second 6; the third layer was read of one of both only. */
  const profileOf = (length: Measure, steps: Measure) => {
    const step = over(length, steps);
    const readings = trial.units.flatMap(unit => [
      readingFixture(unit, length, 24, { subsample: '1' }),
      readingFixture(unit, length, 30, { subsample: '2' }),
      readingFixture(unit, length, 99, { subsample: '3' }),
      ...(steps.partsAre === 'apart'
        ? [
            readingFixture(unit, steps, 3, { subsample: '1' }),
            readingFixture(unit, steps, 5, { subsample: '2' }),
          ]
        : [readingFixture(unit, steps, 6)]),
    ]);
    return partProfile(
      { ...trial, measures: [...trial.measures, length, steps, step], readings },
      step,
    );
  };
  const meansOfFirst = (profile: ReturnType<typeof partProfile>) =>
    profile?.treatments[0]?.means.map(each => each?.mean);

  test('is worked out part by part, of the parts that were read of both', () => {
    const profile = profileOf(asked('length'), asked('steps'));
    expect(profile?.parts).toEqual(['1', '2']);
    expect(meansOfFirst(profile)).toEqual([8, 6]);
  });

  test('takes the one figure of a unit where the other has no parts', () => {
    const profile = profileOf(asked('length'), asked('steps', { partsAre: 'averaged', parts: 1 }));
    expect(profile?.parts).toEqual(['1', '2', '3']);
    expect(meansOfFirst(profile)).toEqual([4, 5, 16.5]);
  });

  test('has no profile where neither is read part by part', () => {
    const averaged = { partsAre: 'averaged' } as const;
    expect(profileOf(asked('length', averaged), asked('steps', averaged))).toBeNull();
  });
});
