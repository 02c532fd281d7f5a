import { spawnSync } from 'node:child_process';
import { mkdtempSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { z } from 'zod';

function turnspit(...args: readonly string[]) {
  return spawnSync(process.execPath, ['node_modules/tsx/dist/cli.mjs', 'src/cli/main.ts', ...args], { encoding: 'utf8' });
}

const Shape = z.object({
  design: z.object({ units: z.literal(30), treatments: z.literal(3) }),
  anova: z.array(z.object({ term: z.string(), df: z.number(), ss: z.number() })),
  contrasts: z.array(z.object({ treatment: z.string(), estimable: z.boolean(), pAdjusted: z.number(), shufflePAdjusted: z.number(), call: z.string() })),
  letters: z.record(z.string(), z.string()), verdict: z.object({ call: z.string(), best: z.null(), mayHoldTheBest: z.array(z.string()), sentence: z.string() }),
});

test('judge prints the documented shape', () => {
  const ran = turnspit('judge', 'reference/data/plant-growth.csv', '--response', 'weight', '--treatment', 'group', '--control', 'ctrl', '--json');
  expect(ran.status).toBe(0);
  const printed = Shape.parse(JSON.parse(ran.stdout));
  expect(printed.letters).toEqual({ trt2: 'a', ctrl: 'ab', trt1: 'b' });
  expect(printed.verdict).toMatchObject({ call: 'cant-tell', mayHoldTheBest: ['ctrl', 'trt2'] });
});

test('quantity prints an amount', () => {
  expect(turnspit('quantity', '5 lb 12.7 oz', '--to', 'g', '--json').stdout).toBe('{"value":2628.0007936875,"unit":"g"}\n');
});

test('a file that is no table, and an option that is none, end with 2 and one line', () => {
  const file = join(mkdtempSync(join(tmpdir(), 'turnspit-')), 'broken.csv');
  writeFileSync(file, 'feed,weight\nnone,1\na,2\na,heavy\n');
  for (const args of [[file, '--response', 'weight', '--treatment', 'feed', '--control', 'none'], [file, '--nonsense'], ['missing.csv', '--response', 'x']]) {
    const ran = turnspit('judge', ...args);
    expect(ran.status).toBe(2);
    expect(ran.stderr.trim().split('\n')).toHaveLength(1);
  }
  expect(turnspit('judge', file, '--response', 'weight', '--treatment', 'feed', '--control', 'none').stderr).toContain('row 4, column weight: “heavy” can\'t be used');
});

test('power prints a chance, or how many units it takes', () => {
  const plan = ['power', '--kind', 't', '--delta', '0.3', '--sd', '0.3', '--json'] as const;
  expect(JSON.parse(turnspit(...plan, '--n', '17').stdout)).toEqual({ power: expect.closeTo(0.807, 3) });
  expect(JSON.parse(turnspit(...plan, '--power', '0.8').stdout)).toEqual({ n: 17, power: expect.closeTo(0.807, 3) });
  expect(turnspit('power', '--kind', 'dunnett', '--n', '4', '--delta', '1', '--sd', '1').stderr).toBe('--groups is missing: a whole number from 2 to 40.\n');
});

test('judge takes a Latin square and a split plot', () => {
  const latin = turnspit('judge', 'reference/data/orchard-sprays.csv', '--response', 'decrease', '--treatment', 'treatment', '--control', 'H', '--block', 'rowpos', '--block', 'colpos', '--shuffles', '200', '--json');
  expect(JSON.parse(latin.stdout)).toMatchObject({ design: { kind: 'latin-square' }, shuffle: { exact: false, arrangements: 200 } });
  const split = turnspit('judge', 'reference/data/oats.csv', '--response', 'Y', '--factor', 'V', '--factor', 'N', '--block', 'B', '--whole', 'V', '--shuffles', '200', '--json');
  expect(JSON.parse(split.stdout)).toMatchObject({ design: { kind: 'split-plot' }, anova: [{ term: 'B' }, { term: 'V' }, { term: 'whole plots' }, { term: 'N' }, { term: 'V:N' }, { term: 'residual' }] });
});
