import { readFileSync } from 'node:fs';
import Papa from 'papaparse';
import { z } from 'zod';
import { judgeInputFromTable } from '@/core/judge/table/table-input';
import type { TableRoles } from '@/core/judge/table/table-roles';
import { judge } from './judge';
import type { Judgement } from './judgement';

// Expected: R 4.2.2 by reference/r/layouts.R. OrchardSprays and sleep (package datasets), oats and immer (package MASS),
// and the balanced incomplete blocks of Montgomery, Design and Analysis of Experiments (readings from memory).
const Anova = z.array(
  z.object({
    term: z.string(),
    df: z.number(),
    ss: z.number(),
    f: z.number().nullable(),
    p: z.number().nullable(),
  }),
);
const Difference = z.object({ treatment: z.string(), difference: z.number(), se: z.number() });
const reference = z
  .object({
    fixed: z.array(
      z.object({
        name: z.string(),
        anova: Anova,
        means: z.array(z.object({ treatment: z.string(), mean: z.number() })),
        contrasts: z.array(
          Difference.extend({
            df: z.number(),
            t: z.number(),
            p: z.number(),
            low: z.number(),
            high: z.number(),
            pAdjusted: z.number(),
          }),
        ),
      }),
    ),
    paired: z.object({ t: z.number(), df: z.number(), p: z.number(), flips: z.number() }),
    split: z.object({
      whole: Anova,
      within: Anova,
      blocks: z.object({ df: z.number(), ss: z.number() }),
      contrasts: z.array(Difference),
      lost: z.array(Difference.extend({ df: z.number() })),
    }),
  })
  .parse(JSON.parse(readFileSync('reference/results/layouts.json', 'utf8')));

const PLAIN = {
  blocks: [],
  factors: [],
  kind: 'continuous',
  better: 'higher',
  margin: null,
  confidence: 0.95,
  shuffles: 500,
  seed: 1,
} as const;

function judged(
  file: string,
  roles: Partial<TableRoles> & { readonly response: string },
): Judgement {
  const { data, meta } = Papa.parse<Record<string, string>>(
    readFileSync(`reference/data/${file}.csv`, 'utf8').trim(),
    { header: true },
  );
  const input = judgeInputFromTable(
    { columns: meta.fields ?? [], rows: data },
    { ...PLAIN, ...roles },
  );
  if (!input.ok) throw new Error(JSON.stringify(input.trouble));
  return judge(input.value);
}

const LAYOUTS: Readonly<
  Record<
    string,
    {
      readonly judgement: Judgement;
      readonly kind: Judgement['design']['kind'];
      readonly dealt: 'as a square' | 'within blocks' | 'in pairs';
    }
  >
> = {
  'orchard-sprays': {
    judgement: judged('orchard-sprays', {
      response: 'decrease',
      treatment: 'treatment',
      control: 'H',
      blocks: ['rowpos', 'colpos'],
    }),
    kind: 'latin-square',
    dealt: 'as a square',
  },
  sleep: {
    judgement: judged('sleep', { response: 'extra', treatment: 'group', control: '1', pair: 'ID' }),
    kind: 'pairs',
    dealt: 'in pairs',
  },
  immer: {
    judgement: judged('immer', { response: 'Y1', treatment: 'Var', control: 'M', blocks: ['Loc'] }),
    kind: 'complete-blocks',
    dealt: 'within blocks',
  },
  'immer-years': {
    judgement: judged('immer-years', {
      response: 'Y',
      treatment: 'Var',
      control: 'M',
      blocks: ['Loc', 'Year'],
    }),
    kind: 'several-blockings',
    dealt: 'within blocks',
  },
  catalyst: {
    judgement: judged('catalyst', {
      response: 'time',
      treatment: 'catalyst',
      control: 'A',
      blocks: ['batch'],
    }),
    kind: 'incomplete-blocks',
    dealt: 'within blocks',
  },
};

describe.each(reference.fixed)('$name against R', expected => {
  const { judgement, kind } = LAYOUTS[expected.name] ?? { judgement: undefined, kind: undefined };

  test('the layout is known for what it is, and re-dealt', () => {
    expect(judgement?.design.kind).toBe(kind);
    expect(judgement?.shuffle?.arrangements).toBeGreaterThan(10);
  });

  test.each(expected.anova)('analysis of variance, $term', row => {
    const found = judgement?.anova.find(candidate => candidate.term === row.term);
    expect(found?.df).toBe(row.df);
    expect(found?.ss).toAgree(row.ss, 6);
    if (row.f !== null) expect(found?.f).toAgree(row.f, 6);
    if (row.p !== null) expect(found?.p).toAgree(row.p, 6);
  });

  test.each(expected.contrasts)('$treatment against the control', row => {
    const found = judgement?.contrasts.find(contrast => contrast.treatment === row.treatment);
    if (!found?.estimable) throw new Error(`${row.treatment} was not estimable`);
    expect(found.difference).toAgree(row.difference, 6);
    expect(found.se).toAgree(row.se, 6);
    expect(found.p).toAgree(row.p, 6);
    expect(found.ci?.[0]).toAgree(row.low, 6);
    expect(found.ci?.[1]).toAgree(row.high, 6);
    expect(Math.abs((found.pAdjusted ?? 9) - row.pAdjusted)).toBeLessThan(1e-4);
  });

  test.each(expected.means)('mean of $treatment', row => {
    expect(judgement?.adjustedMeans[row.treatment]).toAgree(row.mean, 6);
  });
});

test('sleep: a paired t test, and all 1024 flips of signs', () => {
  const { judgement } = LAYOUTS.sleep ?? {};
  const found = judgement?.contrasts[0];
  if (!found?.estimable) throw new Error('a pair must be estimable');
  expect(found.t).toAgree(reference.paired.t, 6);
  expect(found.p).toAgree(reference.paired.p, 6);
  expect(judgement?.shuffle).toMatchObject({ exact: true, arrangements: 1024 });
  expect(found.shuffleP).toBeCloseTo(reference.paired.flips, 12);
});

describe('oats as a split plot', () => {
  const judgement = judged('oats', {
    response: 'Y',
    factors: ['V', 'N'],
    blocks: ['B'],
    whole: 'V',
    control: 'Golden.rain:0.0',
  });
  const anova = new Map(judgement.anova.map(row => [row.term, row]));

  test.each(
    [
      ...reference.split.whole,
      ...reference.split.within.filter(row => row.term !== 'residual'),
    ].filter(row => row.term !== 'residual'),
  )('$term is tested in its own stratum', row => {
    expect(anova.get(row.term)?.df).toBe(row.df);
    expect(anova.get(row.term)?.ss).toAgree(row.ss, 6);
    expect(anova.get(row.term)?.f).toAgree(row.f ?? 0, 6);
    expect(anova.get(row.term)?.p).toAgree(row.p ?? 0, 6);
  });

  test('blocks, whole plots and residual, in their order', () => {
    expect(judgement.anova.map(row => row.term)).toEqual([
      'B',
      'V',
      'whole plots',
      'N',
      'V:N',
      'residual',
    ]);
    expect(anova.get('B')?.ss).toAgree(reference.split.blocks.ss, 6);
    expect(anova.get('whole plots')?.ss).toAgree(reference.split.whole.at(-1)?.ss ?? 0, 6);
    expect(judgement.anova.at(-1)?.ss).toAgree(reference.split.within.at(-1)?.ss ?? 0, 6);
  });

  // By lme4 (REML), which agrees with the two strata where the layout is balanced.
  test.each(reference.split.contrasts)('$treatment against Golden.rain without nitrogen', row => {
    const found = judgement.contrasts.find(contrast => contrast.treatment === row.treatment);
    if (!found?.estimable) throw new Error(`${row.treatment} was not estimable`);
    expect(found.difference).toAgree(row.difference, 6);
    expect(found.se).toAgree(row.se, 5); // REML stops at the fifth digit
    // Within a variety only the units' spread counts; across varieties whole plots and units both, by Satterthwaite.
    const isWithin = row.treatment.startsWith('Golden.rain');
    if (isWithin) expect(found.df).toBe(45);
    else
      expect(found.df).toAgree(
        (601.330555 + 3 * 177.083333) ** 2 / (601.330555 ** 2 / 10 + (3 * 177.083333) ** 2 / 45),
        5,
      );
  });

  test('re-dealt at both levels', () => {
    expect(judgement.design.kind).toBe('split-plot');
    expect(judgement.shuffle).toMatchObject({ exact: false, arrangements: 500 });
    for (const comparison of judgement.shuffle?.comparisons ?? []) {
      const found = judgement.contrasts[comparison.treatment - 1];
      expect(comparison.observed).toBeCloseTo(Math.abs((found?.estimable && found.t) || 0), 8);
    }
  });
});

// Five of the 72 plots lost. R by matrices written out: least squares, two strata, Satterthwaite.
describe('oats with plots lost', () => {
  const judgement = judged('oats-lost-plots', {
    response: 'Y',
    factors: ['V', 'N'],
    blocks: ['B'],
    whole: 'V',
    control: 'Golden.rain:0.0',
  });

  test.each(reference.split.lost)('$treatment', row => {
    const found = judgement.contrasts.find(
      contrast => contrast.treatment.replace('0.0', '0') === row.treatment.replace('0.0', '0'),
    );
    if (!found?.estimable) throw new Error(`${row.treatment} was not estimable`);
    expect(found.difference).toAgree(row.difference, 6);
    expect(found.se).toAgree(row.se, 6);
    expect(found.df).toAgree(row.df, 6);
  });
});
