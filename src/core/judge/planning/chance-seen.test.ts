import { trialFixture } from '@/core/trial/fixtures/trial-fixture';
import type { Measure } from '@/core/trial/model/measure';
import type { TrialData } from '@/core/trial/model/trial-data';
import { chanceSeen } from './chance-seen';

const CV = 0.2;

/** Two treatments of so many pots each, in blocks, with this main measure. */
function trial(each: number, changes: Partial<Measure>): TrialData {
  const data = trialFixture({ treatments: 2, unitsEach: each, blockCount: each });
  return {
    ...data,
    measures: data.measures.map(measure =>
      measure.isMain ? { ...measure, margin: percent(30), ...changes } : measure,
    ),
  };
}

const percent = (size: number) => ({ kind: 'percent', percent: size }) as const;
const amount = (size: number) => ({ kind: 'absolute', amount: size }) as const;

const READINGS: readonly (readonly [string, Partial<Measure>])[] = [
  ['what is weighed', {}],
  ['counts', { scale: { kind: 'count' }, margin: percent(60) }],
  ['shares', { scale: { kind: 'proportion', outOf: 20 }, margin: amount(0.25) }],
  [
    'steps',
    {
      scale: {
        kind: 'ordinal',
        from: 1,
        hasBeyond: false,
        steps: ['1', '2', '3', '4', '5', '6', '7', '8', '9'],
      },
      margin: amount(1),
    },
  ],
  ['days', { scale: { kind: 'date' }, margin: percent(30) }],
];

test.each(READINGS)('of %s more units see it more often', (_, changes) => {
  const [few, many] = [4, 20].map(each => chanceSeen(trial(each, changes), CV) ?? Number.NaN);
  expect(many).toBeGreaterThan((few ?? Number.NaN) + 0.2);
});

test('is that of Dunnett’s power, where weights are compared: 12 each, 30% at 20% in blocks, 95%', () => {
  // R 4.2: power.t.test(12, delta = 1.5, type = "paired", sd = sqrt(2)) gives 0.916.
  const seen = chanceSeen(trial(12, {}), CV) ?? Number.NaN;
  expect(Math.abs(seen - 0.916)).toBeLessThan(0.06);
});

test('nothing is known where nothing was called worth having, or nothing is dealt', () => {
  expect(chanceSeen(trial(6, { margin: null }), CV)).toBeNull();
  expect(chanceSeen({ ...trial(6, {}), units: [] }, CV)).toBeNull();
});

test('what was left out, read or dosed meanwhile changes nothing of it', () => {
  const data = trial(6, {});
  const dosed = {
    ...data,
    treatments: data.treatments.map((treatment, i) => ({ ...treatment, dose: i })),
  };
  expect(chanceSeen(dosed, CV)).toBe(chanceSeen(data, CV));
});
