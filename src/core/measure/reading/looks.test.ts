import { v7 } from 'uuid';
import { judge } from '@/core/judge/outcomes/judge';
import { STARTING_GUESS_CV } from '@/core/judge/question/judge-input';
import { judgeInputOf, plannedSpec } from '@/core/judge/units/trial-analysis';
import { unitValues } from '@/core/measure/unit-value/unit-values';
import { addDays } from '@/core/time/garden-day';
import { readingFixture, trialFixture } from '@/core/trial/fixtures/trial-fixture';
import { MeasureId } from '@/core/trial/model/ids';
import type { Measure } from '@/core/trial/model/measure';
import type { Outcome } from '@/core/trial/model/pick';
import type { Reading } from '@/core/trial/model/reading';
import type { Scale } from '@/core/trial/model/scale';
import type { TrialData } from '@/core/trial/model/trial-data';
import { LOOK_MARKS, LOOKS, lookIn } from './looks';
import { readReading } from './reading-form';

const bare = trialFixture({ treatments: 2, unitsEach: 9 });
const START = bare.trial.startsOn;
const day = (after: number): string => addDays(START as never, after);

function measureOf(scale: Scale, summary: Measure['summary'] = 'reading-last'): Measure {
  return {
    id: MeasureId.parse('00000000-0000-7000-8000-0000000000e1'),
    name: 'It',
    definition: '',
    response: 'it',
    unit: '',
    summary,
    better: 'higher',
    margin: null,
    isMain: true,
    kindKey: null,
    scale,
    parts: 1,
    partsAre: 'averaged',
    onDay: null,
    optimum: null,
  };
}

/** What each unit's looks were, by the number of the unit: a value or an outcome, and the day. */
function trialOf(
  measure: Measure,
  looks: (unit: number) => readonly (readonly [number | Outcome, number])[],
): TrialData {
  const readings = bare.units.flatMap((unit, i) =>
    looks(i).map(
      ([found, after]): Reading =>
        typeof found === 'number'
          ? readingFixture(unit, measure, found, { takenOn: day(after) as never })
          : readingFixture(unit, measure, null, { takenOn: day(after) as never, outcome: found }),
    ),
  );
  return { ...bare, measures: [measure], readings };
}

const judged = (data: TrialData) =>
  judgeInputOf(data, plannedSpec(data, STARTING_GUESS_CV)).units.map(
    ({ value, outOf, hasCome }) => ({ value, outOf, hasCome }),
  );

describe('days waited', () => {
  const date = measureOf({ kind: 'date' });

  test('“not yet” waits up to its own last look, whenever others were last looked at', () => {
    const data = trialOf(date, unit =>
      unit === 0
        ? [
            ['not-yet', 5],
            ['not-yet', 12],
          ]
        : [
            ['not-yet', 5],
            [20, 28],
          ],
    );
    expect(judged(data).slice(0, 2)).toEqual([
      { value: 12, hasCome: false, outOf: undefined },
      { value: 20, hasCome: true, outOf: undefined },
    ]);
  });
  test('a dead plant waits no longer than it lived, one that is gone no longer than it was there', () => {
    const data = trialOf(date, unit =>
      unit < 2
        ? [
            [unit === 0 ? 'dead' : 'gone', 3],
            ['not-yet', 28],
          ]
        : [['not-yet', 28]],
    );
    expect(judged(data).map(({ value }) => value)).toEqual([3, 3, ...Array(16).fill(28)]);
  });
  test('plants that never flowered are told from those that did: all eighteen count', () => {
    const treated = new Set(
      bare.units.flatMap((unit, i) => (unit.treatmentId === bare.treatments[1]?.id ? [i] : [])),
    );
    const data = trialOf(date, unit =>
      treated.has(unit) ? [['not-yet', 28]] : [[10 + (unit % 5), 28]],
    );
    const judgement = judge({
      ...judgeInputOf(data, plannedSpec(data, STARTING_GUESS_CV)),
      shuffles: 0,
    });
    expect(judgement.design.units).toBe(18);
    expect(judgement.contrasts[0]?.call).toBe('better');
  });
  test('six pots dead on the third day beat nothing', () => {
    const treated = new Set(
      bare.units.flatMap((unit, i) => (unit.treatmentId === bare.treatments[1]?.id ? [i] : [])),
    );
    const data = trialOf(date, unit =>
      treated.has(unit) && unit % 3 !== 0 ? [['dead', 3]] : [[8 + (unit % 4), 20]],
    );
    const { contrasts } = judge({
      ...judgeInputOf(data, plannedSpec(data, STARTING_GUESS_CV)),
      shuffles: 0,
    });
    expect(contrasts[0]?.call).not.toMatch(/better|worse/);
  });
});

test.each([
  ['count', { kind: 'count' }, 'nothing-there', 0],
  ['count', { kind: 'count' }, 'not-yet', 0],
  ['height', { kind: 'continuous', least: 0, most: 1e6 }, 'nothing-there', 0],
  ['height', { kind: 'continuous', least: 0, most: 1e6 }, 'not-yet', null],
  ['percent', { kind: 'percent', step: 1 }, 'nothing-there', 0],
  ['yes or no', { kind: 'yes-no' }, 'not-yet', 0],
  ['yes or no', { kind: 'yes-no' }, 'nothing-there', 0],
  ['share', { kind: 'proportion', outOf: 20 }, 'nothing-there', 0],
  ['share of nobody said how many', { kind: 'proportion', outOf: null }, 'nothing-there', null],
  ['steps', { kind: 'ordinal', from: 1, steps: ['a', 'b'], hasBeyond: false }, 'not-yet', null],
  ['count', { kind: 'count' }, 'not-looked', null],
  ['count', { kind: 'count' }, 'gone', null],
] as const)('%s: %j, %s is %p', (_, scale, outcome, value) => {
  const data = trialOf(measureOf(scale), unit => (unit === 0 ? [[outcome, 4]] : [[1, 4]]));
  expect(judged(data)[0]?.value).toBe(value);
});

test('of shares where nothing was found it is none of as many as are usual', () => {
  const data = trialOf(measureOf({ kind: 'proportion', outOf: 20 }), unit =>
    unit === 0 ? [['nothing-there', 4]] : [[1, 4]],
  );
  expect(judged(data)[0]).toMatchObject({ value: 0, outOf: 20 });
});

describe('an area', () => {
  const area = measureOf({ kind: 'percent', step: 1 }, 'reading-area');
  const valuesOf = (data: TrialData) => unitValues(data, area).map(({ value }) => value);

  test('of one day of readings is the reading', () => {
    expect(valuesOf(trialOf(area, unit => [[10 * unit, 7]])).slice(0, 3)).toEqual([0, 10, 20]);
  });
  test('is not shortened by a look that is missing, at either end or between', () => {
    const all = [
      [30, 0],
      [30, 7],
      [30, 14],
    ] as const;
    const data = trialOf(area, unit => (unit < 3 ? all.filter((_, look) => look !== unit) : all));
    expect(valuesOf(data).slice(0, 4)).toEqual([420, 420, 420, 420]);
  });
});

describe('what is written in place of a value', () => {
  test.each([
    ['-', 'not-looked'],
    ['n/a', 'not-looked'],
    ['not yet', 'not-yet'],
    ['Dead', 'dead'],
    ['gone', 'gone'],
    ['nothing', 'nothing-there'],
    ['no', undefined],
    ['0', undefined],
    ['3', undefined],
  ])('“%s” of a count is %s', (written, outcome) => {
    expect(lookIn(written, { kind: 'count' })).toBe(outcome);
  });
  test.each(['not yet', 'no', '0', '>28', '> 28 days', 'none', 'never'])(
    '“%s” of a day that is waited for is “not yet”',
    written => {
      expect(lookIn(written, { kind: 'date' })).toBe('not-yet');
    },
  );
  test('every mark that a cell shows is read as what it stands for', () => {
    for (const [outcome, mark] of Object.entries(LOOK_MARKS))
      expect(lookIn(mark, { kind: 'date' })).toBe(
        outcome === 'nothing-there' ? 'not-yet' : outcome,
      );
  });
  test('is taken from the desk, and a bare number of a day is how many days it took', () => {
    const read = (value: string) =>
      readReading(
        {
          id: v7(),
          unitId: bare.units[0]?.id,
          measureId: measureOf({ kind: 'date' }).id,
          takenOn: day(28),
          value,
        },
        {
          measure: measureOf({ kind: 'date' }),
          system: 'uk',
          startsOn: START,
          today: day(28),
          now: `${day(28)}T12:00:00.000Z`,
        },
      );
    expect(read('no')).toMatchObject({ ok: true, value: { outcome: 'not-yet', value: null } });
    expect(read('>28')).toMatchObject({
      ok: true,
      value: { outcome: 'not-yet', asWritten: '>28' },
    });
    expect(read('12')).toMatchObject({ ok: true, value: { outcome: 'picked', value: 12 } });
    expect(read(day(12))).toMatchObject({ ok: true, value: { outcome: 'picked', value: 12 } });
    expect(read('29')).toMatchObject({ ok: false });
  });
});

test('the table says what each look means on each scale', () => {
  for (const meanings of Object.values(LOOKS)) {
    expect(Object.keys(meanings).sort()).toEqual(Object.keys(LOOK_MARKS).sort());
    expect(meanings['not-looked']).toBe('no-value');
  }
});
