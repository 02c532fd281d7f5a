import { readFileSync } from 'node:fs';
import Papa from 'papaparse';
import { z } from 'zod';
import { type JudgeInput, STARTING_GUESS_CV } from '@/core/judge/question/judge-input';
import { judge } from './judge';

// PlantGrowth, chickwts, InsectSprays and npk as R ships them; expected values by R with multcomp and emmeans,
// reference/r/judge.R. npk-lost-plots: npk with plots 2, 9, 16 and 23 taken out, so that blocks are unbalanced.
const Anova = z.array(
  z.object({
    term: z.string(),
    df: z.number(),
    ss: z.number(),
    ms: z.number(),
    f: z.number().nullish(),
    p: z.number().nullish(),
  }),
);
const Case = z.object({
  name: z.string(),
  response: z.string(),
  treatment: z.string(),
  blocks: z.string().nullish(),
  control: z.string(),
  anova: Anova,
  contrasts: z.array(
    z.object({
      treatment: z.string(),
      difference: z.number(),
      se: z.number(),
      df: z.number(),
      t: z.number(),
      p: z.number(),
      low: z.number(),
      high: z.number(),
      pAdjusted: z.number(),
      lowAdjusted: z.number(),
      highAdjusted: z.number(),
    }),
  ),
  pairs: z
    .array(
      z.object({
        pair: z.string(),
        difference: z.number(),
        low: z.number(),
        high: z.number(),
        pAdjusted: z.number(),
      }),
    )
    .nullish(),
  means: z.array(z.object({ treatment: z.string(), mean: z.number() })).nullish(),
});
const { cases, npk } = z
  .object({ cases: z.array(Case), npk: z.object({ anova: Anova }) })
  .parse(JSON.parse(readFileSync('reference/results/judge.json', 'utf8')));

function rowsOf(name: string): readonly Record<string, string>[] {
  return Papa.parse<Record<string, string>>(
    readFileSync(`reference/data/${name}.csv`, 'utf8').trim(),
    { header: true },
  ).data;
}

function inputOf(
  name: string,
  response: string,
  treatment: string,
  control: string,
  block?: string | null,
): JudgeInput {
  const rows = rowsOf(name);
  return {
    outcome: 'continuous',
    response,
    unitWord: 'plot',
    treatmentName: treatment,
    control,
    treatments: [...new Set(rows.map(row => row[treatment] ?? ''))],
    blockNames: block ? [block] : [],
    subsamples: rows.length,
    better: 'higher',
    margin: null,
    confidence: 0.95,
    shuffles: 2000,
    seed: 1,
    isDeclared: true,
    priorCv: STARTING_GUESS_CV,
    units: rows.map((row, i) => ({
      id: String(i + 1),
      treatment: row[treatment] ?? '',
      blocks: block ? [row[block] ?? ''] : [],
      value: Number(row[response]),
    })),
  };
}

describe.each(cases)('$name against R', expected => {
  const judgement = judge(
    inputOf(
      expected.name,
      expected.response,
      expected.treatment,
      expected.control,
      expected.blocks,
    ),
  );

  test.each(expected.anova)('analysis of variance, $term', row => {
    const found = judgement.anova.find(candidate => candidate.term === row.term);
    expect(found?.df).toBe(row.df);
    expect(found?.ss).toAgree(row.ss, 6);
    if (row.f != null) expect(found?.f).toAgree(row.f, 6);
    if (row.p != null) expect(found?.p).toAgree(row.p, 6);
  });

  test.each(expected.contrasts)('$treatment against the control', row => {
    const found = judgement.contrasts.find(contrast => contrast.treatment === row.treatment);
    if (!found?.estimable) throw new Error(`${row.treatment} was not estimable`);
    expect(found.difference).toAgree(row.difference, 6);
    expect(found.se).toAgree(row.se, 6);
    expect(found.p).toAgree(row.p, 6);
    expect(found.ci?.[0]).toAgree(row.low, 6);
    // The sprays spread too unlike each other for one spread: those are held against Welch's in working-against-r.test.ts.
    if (expected.name !== 'insect-sprays') {
      expect(Math.abs((found.pAdjusted ?? 9) - row.pAdjusted)).toBeLessThan(1e-4);
      expect(Math.abs((found.ciAdjusted?.[0] ?? 9e9) - row.lowAdjusted)).toBeLessThan(
        1e-3 * row.se,
      );
    }
    expect(found.shufflePAdjusted ?? 0).toBeGreaterThanOrEqual(found.shuffleP ?? 9);
  });
});

// Tukey-Kramer by R's emmeans: its p for unequal numbers goes by the harmonic mean within each pair, as ours does.
describe.each(cases.filter(expected => expected.pairs))('$name, every pair against R', expected => {
  const judgement = judge({
    ...inputOf(
      expected.name,
      expected.response,
      expected.treatment,
      expected.control,
      expected.blocks,
    ),
    shuffles: 0,
  });

  test.each(expected.pairs ?? [])('$pair', row => {
    const [a = '', b = ''] = row.pair.split(' - ');
    const found = judgement.pairs.find(
      pair => (pair.a === a && pair.b === b) || (pair.a === b && pair.b === a),
    );
    if (!found?.estimable || !found.ciAdjusted) throw new Error(`${row.pair} was not estimable`);
    const isTurned = found.a === b;
    expect(isTurned ? -found.difference : found.difference).toAgree(row.difference, 6);
    expect(Math.abs((found.pAdjusted ?? 9) - row.pAdjusted)).toBeLessThan(1e-6);
    const [low, high] = isTurned ? [-found.ciAdjusted[1], -found.ciAdjusted[0]] : found.ciAdjusted;
    expect(low).toAgree(row.low, 5);
    expect(high).toAgree(row.high, 5);
  });

  test.each(expected.means ?? [])(
    'mean of $treatment, adjusted for blocks',
    ({ treatment, mean }) => {
      expect(judgement.adjustedMeans[treatment]).toAgree(mean, 6);
    },
  );
});

test('npk with all eight combinations: confounded comparisons are said to be so, never solved into nonsense', () => {
  const judgement = judge(inputOf('npk', 'yield', 'cell', 'N0P0K0', 'block'));
  expect(judgement.contrasts.some(contrast => !contrast.estimable)).toBe(true);
  expect(judgement.warnings.map(warning => warning.code)).toContain('not-comparable');
  expect(judgement.letters).toBeNull();
  expect(judgement.anova.at(-1)?.ss).toAgree(npk.anova.at(-1)?.ss ?? 0, 6);
});
