import { readFileSync } from 'node:fs';
import { z } from 'zod';
import { parseTable } from '@/cli/parse-table';
import { judgeInputFixture } from '@/core/judge/question/judge-input-fixture';
import { judgeInputFromTable } from '@/core/judge/table/table-input';
import { judge } from './judge';

// Expected: R 4.2.2 with emmeans, reference/r/effects.R. warpbreaks, ToothGrowth (seven animals lost) and npk (six blocks,
// three factors, of which NPK goes together with the blocks) are package datasets.
const Row = z.object({
  factor: z.string(),
  contrast: z.string(),
  within: z.string().nullable(),
  difference: z.number(),
  se: z.number(),
  df: z.number(),
  p: z.number(),
  low: z.number(),
  high: z.number(),
});
const Case = z.object({
  name: z.string(),
  file: z.string(),
  averaged: z.array(Row),
  together: z.array(
    z.object({ contrast: z.string(), low: z.number(), high: z.number(), pAdjusted: z.number() }),
  ),
  within: z.array(Row.extend({ other: z.string() })),
});
const CASES = z
  .array(Case)
  .parse(JSON.parse(readFileSync('reference/results/effects.json', 'utf8')));
const ROLES: Readonly<
  Record<string, readonly [string, readonly string[], readonly string[], string]>
> = {
  'warpbreaks.csv': ['breaks', ['wool', 'tension'], [], 'A:L'],
  'toothgrowth-lost.csv': ['len', ['supp', 'dose'], [], 'OJ:d0.5'],
  'npk.csv': ['yield', ['N', 'P', 'K'], ['block'], '0:0:0'],
};

function judged(file: string) {
  const [response, factors, blocks, control] = ROLES[file] ?? ['', [], [], ''];
  const table = parseTable(readFileSync(`reference/data/${file}`, 'utf8'));
  if (!table.ok) throw new RangeError(JSON.stringify(table.trouble));
  const read = judgeInputFromTable(table.value, {
    response,
    factors: [...factors],
    blocks: [...blocks],
    control,
    kind: 'continuous',
    better: 'higher',
    margin: null,
    confidence: 0.95,
    shuffles: 0,
    seed: 1,
  });
  if (!read.ok) throw new RangeError(JSON.stringify(read.trouble));
  return judge(read.value);
}

describe.each(CASES)('$name', ({ file, averaged, together, within }) => {
  const { effects } = judged(file);
  const found = (row: z.infer<typeof Row> & { readonly other?: string | null }) =>
    effects.find(
      effect =>
        effect.factor === row.factor &&
        row.contrast.replace(/^(\w+?)(\d) - \1(\d)$/, '$2 - $3') ===
          `${effect.level} - ${effect.against}` &&
        (effect.within?.[row.other ?? ''] ?? null) === row.within &&
        (effect.within === null) === (row.within === null),
    );

  test.each([...averaged.map(row => ({ ...row, other: null })), ...within])(
    '$factor: $contrast, within $other $within',
    row => {
      const effect = found(row);
      expect(effect?.difference).toBeCloseTo(row.difference, 8);
      expect(effect?.se).toBeCloseTo(row.se, 8);
      expect(effect?.df).toBe(row.df);
      expect(effect?.p).toBeCloseTo(row.p, 8);
      expect(effect?.ci?.[0]).toBeCloseTo(row.low, 7);
      expect(effect?.ci?.[1]).toBeCloseTo(row.high, 7);
    },
  );

  // R integrates by Monte Carlo: its third figure moves from seed to seed.
  test.each(averaged.map((row, i) => ({ ...row, ...together[i] })))(
    '$contrast, all averages covered together',
    row => {
      const effect = found(row);
      const width = (row.high ?? 0) - (row.low ?? 0);
      expect(Math.abs((effect?.ciAdjusted?.[0] ?? 0) - (row.low ?? 0))).toBeLessThan(0.005 * width);
      expect(Math.abs((effect?.pAdjusted ?? 0) - (row.pAdjusted ?? 0))).toBeLessThan(0.003);
    },
  );

  test('is all there is', () => {
    expect(effects).toHaveLength(averaged.length + within.length);
  });
});

describe('combinations that are missing', () => {
  const CELLS: Readonly<Record<string, readonly string[]>> = {
    none: ['no', 'no', 'no'],
    A: ['yes', 'no', 'no'],
    B: ['no', 'yes', 'no'],
    C: ['no', 'no', 'yes'],
    ABC: ['yes', 'yes', 'yes'],
  };
  const grown = (names: readonly string[]) => {
    const cells = Object.keys(CELLS).map((name): [string, readonly string[]] => [
      name,
      (CELLS[name] ?? []).slice(0, names.length),
    ]);
    const kept = cells.filter(
      ([, levels], i) => cells.findIndex(each => each[1].join() === levels.join()) === i,
    );
    return judge(
      judgeInputFixture(
        kept.flatMap(([treatment], c) =>
          [3, -1, 2, -4].map((off, i) => ({
            id: `${treatment}${i}`,
            treatment,
            blocks: [],
            value: 50 + 5 * c + off,
          })),
        ),
        { factors: { names, levelsOf: Object.fromEntries(kept) } },
      ),
    );
  };

  test('each alone and all three: no pair of factors gets a number of its own, and it is said', () => {
    const { interactions, effects, warnings, verdict } = grown(['salt', 'crystals', 'feed']);
    expect(interactions.map(({ p }) => p)).toEqual([null, null, null, null]);
    expect(effects).toEqual([]);
    expect(warnings.find(({ code }) => code === 'aliased')?.message).toBe(
      'Combinations are missing. What salt, crystals and feed each do shows only beside some of the others, not on average. Whether salt depends on crystals won’t show. Whether salt depends on feed won’t show. Whether crystals depends on feed won’t show.',
    );
    expect(verdict.headline).toMatch(/“none”/);
  });
  test('all four of two: nothing is missing', () => {
    const { interactions, warnings } = grown(['salt', 'crystals']);
    expect(warnings.map(({ code }) => code)).not.toContain('aliased');
    expect(interactions.map(({ p }) => p)).toEqual([expect.any(Number)]);
  });
});

describe('the sentence of a crossed trial', () => {
  const crossed = (cells: Readonly<Record<string, number>>) => {
    const spread = [1, -1, 2, -2];
    const rows = Object.entries(cells).flatMap(([cell, mean]) =>
      spread.map(extra => {
        const [crop = '', char = ''] = cell.split(':');
        return { crop, char, weight: String(mean + extra) };
      }),
    );
    const read = judgeInputFromTable(
      { columns: ['crop', 'char', 'weight'], rows },
      {
        response: 'weight',
        factors: ['crop', 'char'],
        blocks: [],
        control: 'kale:none',
        kind: 'continuous',
        better: 'higher',
        margin: { kind: 'percent', percent: 10 },
        confidence: 0.95,
        shuffles: 0,
        seed: 1,
      },
    );
    if (!read.ok) throw new RangeError(JSON.stringify(read.trouble));
    return judge(read.value);
  };

  test('answers for each factor, averaged over the other, and never holds a cell against the first', () => {
    const { verdict } = crossed({
      'kale:none': 100,
      'kale:char': 130,
      'collards:none': 101,
      'collards:char': 131,
    });
    expect(verdict.headline).toBe(
      'Char: char gave 30% more weight than none. Crop: no difference that matters from kale.',
    );
    expect(verdict.detail).toMatch(
      /^Char: 30% more weight than none, between .* averaged over crop\./,
    );
    expect(verdict.detail).toContain('That one depends on the other does not show.');
    expect(verdict.headline).not.toContain(':none');
  });

  test('says where one depends on the other, and what it does within each level', () => {
    const { verdict } = crossed({
      'kale:none': 100,
      'kale:char': 130,
      'collards:none': 100,
      'collards:char': 80,
    });
    expect(verdict.headline).toBe(
      'What char does depends on crop: with kale, char gave 30% more weight than none; with collards, char gave 20% less weight than none.',
    );
    expect(verdict.detail).toMatch(
      /^With kale, char gave 30% more weight than none: between .* With collards, char gave 20% less weight than none: between \d+% and \d+% less\.$/,
    );
  });

  test('a factor that does harm is told so', () => {
    const { verdict } = crossed({
      'kale:none': 100,
      'kale:char': 70,
      'collards:none': 100,
      'collards:char': 70,
    });
    expect(verdict.headline).toMatch(/^Char: char did worse than none: 30% less weight\./);
    expect(verdict.call).toBe('clearly-worse');
  });

  test('an average over cells of which some have no partner is not made: of none, A, B, C and all three nothing is averaged', () => {
    const means = { 'no:no:no': 100, 'A:no:no': 120, 'no:B:no': 101, 'no:no:C': 99, 'A:B:C': 125 };
    const rows = Object.entries(means).flatMap(([cell, mean]) =>
      [1, -1, 2, -2].map(extra => {
        const [salt = '', crystals = '', lime = ''] = cell.split(':');
        return { salt, crystals, lime, weight: String(mean + extra) };
      }),
    );
    const read = judgeInputFromTable(
      { columns: ['salt', 'crystals', 'lime', 'weight'], rows },
      {
        response: 'weight',
        factors: ['salt', 'crystals', 'lime'],
        blocks: [],
        control: 'no:no:no',
        kind: 'continuous',
        better: 'higher',
        margin: null,
        confidence: 0.95,
        shuffles: 0,
        seed: 1,
      },
    );
    if (!read.ok) throw new RangeError(JSON.stringify(read.trouble));
    const { effects, verdict } = judge(read.value);
    expect(effects.filter(effect => effect.within === null)).toEqual([]);
    expect(verdict.headline).not.toContain('averaged');
  });
});
