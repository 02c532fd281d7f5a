import { readFileSync } from 'node:fs';
import fc from 'fast-check';
import papaparse from 'papaparse';
import { z } from 'zod';
import '../../../../reference/significant-digits';
import { fitGardenMixedModel } from '@/core/stats/meta/garden-mixed-model';
import { predictionInterval } from '@/core/stats/meta/prediction-interval';
import { combineSites } from '@/core/stats/meta/random-effects';
import { trialFixture } from '@/core/trial/fixtures/trial-fixture';
import { asGardens } from './as-gardens';
import type { GardenGap } from './garden-answer';
import { gardensTogether } from './gardens-together';
import { type GardenFinding, poolGardens } from './pooled-gardens';
import { sourcesOfResults } from './take-in-results';
import { planFixture, resultsFixture, runPlan } from './ten-gardens-fixture';
import { togetherMeasure } from './together-measure';
import { comparisonSentences, togetherHeadline } from './together-words';
import { typedSource } from './typed-source';

const BARLEY = z
  .object({
    barley: z.object({
      contrasts: z.array(
        z.object({ treatment: z.string(), difference: z.number(), se: z.number() }),
      ),
      unitSd: z.number(),
      gardenSd: z.number(),
    }),
  })
  .parse(JSON.parse(readFileSync('reference/results/gardens.json', 'utf8'))).barley;

test('barley at six places in two years: all plots in one model, as nlme has it', () => {
  // immer, package MASS; Immer, Hayes & Powers (1934).
  const text = readFileSync('reference/data/barley-places.csv', 'utf8');
  const rows = papaparse.parse<Record<string, string>>(text, {
    header: true,
    skipEmptyLines: true,
  });
  const fitted = fitGardenMixedModel(
    rows.data.map(({ place = '', year = '', variety = '', y }) => ({
      garden: place,
      block: year,
      treatment: variety,
      value: Number(y),
    })),
    'M',
  );
  expect(fitted?.unitSd).toAgree(BARLEY.unitSd, 5);
  expect(fitted?.gardenSd).toAgree(BARLEY.gardenSd, 5);
  for (const expected of BARLEY.contrasts) {
    const found = fitted?.contrasts.find(each => each.treatment === expected.treatment);
    expect(found?.difference).toAgree(expected.difference, 5);
    expect(found?.se).toAgree(expected.se, 5);
  }
});

const gap = (percent: number, se: number | null, changes: Partial<GardenGap> = {}): GardenGap => ({
  treatment: 'feed',
  control: 'water',
  isLine: false,
  difference: percent,
  se,
  df: 6,
  percent,
  logRatio: se === null ? null : { estimate: Math.log1p(percent / 100), se },
  controlLevel: 100,
  units: [4, 4],
  share: 1 / 2,
  ...changes,
});
const found = (gardenId: string, of: GardenGap, id = gardenId): GardenFinding => ({
  id,
  gardenId,
  gap: of,
});
const SPEC = { better: 'higher', margin: null, isShare: true, comparisons: 1 } as const;

test('whatever order gardens come in, the answer is the same', () => {
  fc.assert(
    fc.property(
      fc.array(fc.tuple(fc.integer({ min: -40, max: 80 }), fc.integer({ min: 3, max: 30 })), {
        minLength: 3,
        maxLength: 9,
      }),
      fc.integer({ min: 1, max: 8 }),
      (gardens, turn) => {
        const findings = gardens.map(([percent, se], i) => found(`${i}`, gap(percent, se / 100)));
        const turned = [...findings.slice(turn), ...findings.slice(0, turn)];
        const [a, b] = [findings, turned].map(list => poolGardens(gap(0, 1), list, SPEC).together);
        expect(b?.estimate).toBeCloseTo(a?.estimate ?? Number.NaN, 9);
        expect(b?.se).toBeCloseTo(a?.se ?? Number.NaN, 9);
      },
    ),
    { numRuns: 40 },
  );
});

test('a garden that tried it in three seasons is one garden, not three', () => {
  const others = [found('b', gap(20, 0.08)), found('c', gap(-5, 0.08))];
  const thrice = [1, 2, 3].map(year => found('a', gap(10, 0.08), `a${year}`));
  const once = found('a', gap(10, 0.08 / Math.sqrt(3), { units: [12, 12], share: 1 / 6 }));
  const pooled = poolGardens(gap(0, 1), [...thrice, ...others], SPEC);
  expect(pooled.gardens).toHaveLength(3);
  expect(pooled.together?.df).toBe(2);
  expect(pooled.together?.estimate).toBeCloseTo(
    poolGardens(gap(0, 1), [once, ...others], SPEC).together?.estimate ?? Number.NaN,
    9,
  );
});

test('gardens with one pot of each count by the difference alone: a plain t of the gardens', () => {
  // By hand: ln 1.1, ln 1.2, ln 1.3 are 0.09531, 0.18232, 0.26236; mean 0.18000, SD 0.08355, standard error 0.04824.
  const findings = [10, 20, 30].map((percent, i) =>
    found(`${i}`, gap(percent, null, { units: [1, 1], share: 2, df: 0 })),
  );
  const { together, gardens } = poolGardens(gap(0, 1), findings, SPEC);
  expect(gardens.every(({ isBorrowed, ci }) => isBorrowed && ci === null)).toBe(true);
  expect(together?.estimate).toBeCloseTo(0.18, 4);
  expect(together?.se).toBeCloseTo(0.04824, 4);
  expect(together?.df).toBe(2);
});

test('several comparisons widen what a call rests on; one alone does not', () => {
  const findings = [10, 20, 30, 25].map((percent, i) => found(`${i}`, gap(percent, 0.05)));
  const [one, four] = [1, 4].map(
    comparisons => poolGardens(gap(0, 1), findings, { ...SPEC, comparisons }).together,
  );
  expect(one?.ciAdjusted).toEqual(one?.ci);
  expect(four?.ciAdjusted[0]).toBeLessThan(four?.ci[0] ?? 0);
});

test('one more garden lies wider than the mean, and the same draws give the same range', () => {
  const sites = [0.1, 0.3, -0.1, 0.4, 0.2].map(estimate => ({ estimate, se: 0.1 }));
  const range = predictionInterval(sites);
  const { ci } = combineSites(sites, 'hk');
  expect(range[0]).toBeLessThan(ci[0]);
  expect(range[1]).toBeGreaterThan(ci[1]);
  expect(predictionInterval(sites)).toEqual(range);
});

/** Three gardens that gave so many grams in each pot with water and with the feed. */
function threeGardens(levels: readonly (readonly [number, number])[]) {
  const plan = planFixture(2, 4);
  const files = levels.map(([water, feed], i) =>
    resultsFixture(
      runPlan(plan, i + 1, (treatment, nth) => (treatment === 'plain water' ? water : feed) + nth),
      `Garden ${i + 1}`,
    ),
  );
  const sources = files.flatMap(file => sourcesOfResults(plan, file));
  const measure = togetherMeasure(plan.measures);
  const comparisons = gardensTogether(sources, measure);
  const nameOf = (id: string): string => sources.find(each => each.gardenId === id)?.name ?? '';
  return { plan, sources, measure, comparisons, nameOf };
}

test('the sentences say what is better, by how much, where not, and what one more garden may see', () => {
  const { comparisons, measure, nameOf } = threeGardens([
    [100, 130],
    [200, 262],
    [150, 198],
  ]);
  expect(togetherHeadline(comparisons)).toBe('Feed 1 did better than plain water, over 3 gardens.');
  const [first, where, next] = comparisonSentences(comparisons[0]!, measure, nameOf);
  expect(first).toMatch(
    /^Feed 1 is clearly better than plain water\. Over 3 gardens: 30% more beans than plain water on the whole \(2\d% to 3\d% more\)\.$/,
  );
  expect(where).toBe('It did better in all 3.');
  const two = threeGardens([
    [100, 130],
    [200, 262],
  ]);
  expect(comparisonSentences(two.comparisons[0]!, two.measure, two.nameOf)[1]).toBe(
    'It did better in both.',
  );
  expect(next).toMatch(
    /^That is the mean of these gardens\. One more garden like them may see anything from /,
  );
});

test('where it harms, harm is said, and where it failed the gardens are named', () => {
  const harm = threeGardens([
    [130, 100],
    [262, 200],
    [198, 150],
  ]);
  expect(togetherHeadline(harm.comparisons)).toBe(
    'Feed 1 did worse than plain water, over 3 gardens.',
  );
  const mixed = threeGardens([
    [100, 130],
    [262, 200],
    [150, 160],
  ]);
  expect(togetherHeadline(mixed.comparisons)).toBe('Can’t tell yet over 3 gardens.');
  expect(comparisonSentences(mixed.comparisons[0]!, mixed.measure, mixed.nameOf)[1]).toBe(
    'It did better in 2 of 3; not in Garden 2.',
  );
});

test('one garden alone is not judged together', () => {
  const { comparisons, measure, nameOf } = threeGardens([[100, 130]]);
  expect(togetherHeadline(comparisons)).toBe(
    'Nothing to judge together yet: results of two gardens or two seasons at least are needed.',
  );
  expect(comparisonSentences(comparisons[0]!, measure, nameOf)).toEqual([
    'Feed 1 stands beside plain water in one garden and season so far; two at least are needed.',
  ]);
});

test('seasons of one garden alone are the sample, and are called so', () => {
  const { sources, measure } = threeGardens([
    [100, 130],
    [200, 262],
    [150, 198],
  ]);
  const seasons = sources.map((source, i) => ({
    ...source,
    gardenId: 'own',
    season: `${2024 + i}`,
  }));
  const comparisons = gardensTogether(seasons, measure);
  expect(comparisons[0]).toMatchObject({ by: 'season', together: { df: 2 } });
  expect(togetherHeadline(comparisons)).toBe('Feed 1 did better than plain water, over 3 seasons.');
  const said = comparisonSentences(comparisons[0]!, measure, () => '').join(' ');
  expect(said).toContain('Over 3 seasons: 30% more beans');
  expect(said).toContain('One more season like them may see anything from');
});

test('what was typed in counts by its own error and has no pots', () => {
  const { sources, measure } = threeGardens([
    [100, 120],
    [200, 236],
  ]);
  const typed = typedSource({
    id: 'typed',
    treatment: 'feed 1',
    control: 'plain water',
    from: 'A neighbour',
    percent: 25,
    difference: null,
    se: 10,
    season: '2024',
  });
  const [comparison] = gardensTogether([...sources, typed], measure);
  const own = comparison?.gardens.find(({ gardenId }) => gardenId === 'typed');
  // Delta method: 0.10 / 1.25.
  expect(own?.site.se).toBeCloseTo(0.08, 12);
  expect(own?.gap).toBeCloseTo(25, 9);
  expect(comparison?.gardens).toHaveLength(3);
});

test('a trial that was dealt in several gardens answers garden by garden', () => {
  const data = trialFixture({ treatments: 2, unitsEach: 6, blockCount: 3 });
  const layout = data.layout && { ...data.layout, kind: 'several-gardens' as const };
  const parts = asGardens({ ...data, layout });
  expect(parts.map(({ block }) => block)).toEqual(data.blocks.map(({ name }) => name));
  expect(parts.every(part => part.data.units.length === 4)).toBe(true);
  expect(asGardens(data)).toHaveLength(1);
  // By the word for its blocks, as the judge goes by it.
  const named = data.layout && { ...data.layout, blockWord: 'garden' };
  expect(asGardens({ ...data, layout: named })).toHaveLength(3);
});
