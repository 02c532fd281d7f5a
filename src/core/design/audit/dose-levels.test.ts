import { caredFixture } from '@/core/trial/fixtures/care-fixture';
import { rateFixture } from '@/core/trial/fixtures/product-fixture';
import { trialFixture } from '@/core/trial/fixtures/trial-fixture';
import type { TrialData } from '@/core/trial/model/trial-data';
import { dosesOffLevel } from './dose-levels';

/** None, a third and a half of a series, each with its own rule of so many ml on a square metre. */
function series(
  levels: readonly (readonly [name: string, dose: number])[],
  mlPerM2: readonly number[],
): TrialData {
  const data = trialFixture({ treatments: levels.length, unitsEach: 2 });
  const cared = caredFixture({
    ...data,
    treatments: data.treatments.map((treatment, i) => ({
      ...treatment,
      name: levels[i]?.[0] ?? '',
      dose: levels[i]?.[1] ?? 0,
    })),
  });
  return {
    ...cared,
    care: {
      ...cared.care,
      rules: cared.care.rules.map((rule, i) => ({
        ...rule,
        material: rule.material && {
          ...rule.material,
          rate: rateFixture(mlPerM2[i] ?? 1, mlPerM2[i] ?? 1, { kind: 'area', m2: 1 }),
          waterMl: null,
        },
      })),
    },
  };
}

const INCH = 25_400; // ml on a square metre, an inch deep

test('a level of 6 in whose rule lays 1 in is told; one that lays 6 in is not', () => {
  const levels = [
    ['none', 0],
    ['3 in', 3],
    ['6 in', 6],
  ] as const;
  expect(dosesOffLevel(series(levels, [3 * INCH, INCH]))).toBe('6 in: the plan lays 1 in.');
  expect(dosesOffLevel(series(levels, [3 * INCH, 6 * INCH]))).toBeUndefined();
});

test('levels in centimetres are laid in centimetres', () => {
  const levels = [
    ['none', 0],
    ['2 cm', 2],
    ['4 cm', 4],
  ] as const;
  expect(dosesOffLevel(series(levels, [20_000, 40_000]))).toBeUndefined();
  expect(dosesOffLevel(series(levels, [20_000, 50_000]))).toBe('4 cm: the plan lays 5 cm.');
});

test('levels without a depth must rise as their amounts do', () => {
  const levels = [
    ['none', 0],
    ['one part', 1],
    ['three parts', 3],
  ] as const;
  expect(dosesOffLevel(series(levels, [100, 300]))).toBeUndefined();
  expect(dosesOffLevel(series(levels, [100, 200]))).toBe(
    'three parts is planned 2 times as much as one part; its level is 3 times that.',
  );
});

test('where nothing is planned, or no doses rise, there is nothing to say', () => {
  expect(dosesOffLevel(trialFixture({ treatments: 3, unitsEach: 2 }))).toBeUndefined();
  expect(
    dosesOffLevel(caredFixture(trialFixture({ treatments: 3, unitsEach: 2 }))),
  ).toBeUndefined();
});
