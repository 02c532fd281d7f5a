import { readFileSync } from 'node:fs';
import fc from 'fast-check';
import { z } from 'zod';
import { parseTable } from '@/cli/parse-table';
import { askedContrastsOf } from '@/core/judge/outcomes/asked-contrasts';
import { judge } from '@/core/judge/outcomes/judge';
import { doseLine, dosesOf, withDoses } from '@/core/judge/question/dose-line';
import type { JudgeInput } from '@/core/judge/question/judge-input';
import { judgeInputFixture } from '@/core/judge/question/judge-input-fixture';
import { ROLES_FIXTURE } from '@/core/judge/table/table-fixture';
import { judgeInputFromTable } from '@/core/judge/table/table-input';

// Expected: R 4.2.2, reference/r/dose-line.R. MASS oats (Yates 1935) by nitrogen, whole and with plots lost; breaks in warp by
// tension (Tippett 1950), by quasi-Poisson.
const CASES = z
  .array(
    z.object({
      file: z.string(),
      response: z.string(),
      treatment: z.string(),
      block: z.string(),
      kind: z.enum(['continuous', 'count']),
      doses: z.array(z.number()),
      names: z.array(z.string()),
      difference: z.number(),
      se: z.number(),
      df: z.number(),
      p: z.number(),
      low: z.number(),
      high: z.number(),
    }),
  )
  .parse(JSON.parse(readFileSync('reference/results/dose-line.json', 'utf8')));

describe.each(CASES)('the line through the doses of $file', expected => {
  const table = parseTable(readFileSync(`reference/data/${expected.file}.csv`, 'utf8'));
  if (!table.ok) throw new RangeError(JSON.stringify(table.trouble));
  const { response, treatment, block, kind, names, doses } = expected;
  const read = judgeInputFromTable(table.value, {
    ...ROLES_FIXTURE,
    response,
    treatment,
    control: names[0],
    blocks: [block],
    kind,
  });
  if (!read.ok) throw new RangeError(JSON.stringify(read.trouble));
  const dosed = withDoses(
    read.value,
    Object.fromEntries(names.map((name, i) => [name, doses[i] ?? 0])),
  );
  const { trend } = judge(dosed);

  test('has R’s error and p, and its interval on what one reads', () => {
    expect(trend?.se).toBeCloseTo(expected.se, 7);
    expect(trend?.df).toBe(expected.df);
    expect(trend?.p).toBeCloseTo(expected.p, 10);
    const ends =
      kind === 'count' ? trend?.percentCi?.map(percent => Math.log1p(percent / 100)) : trend?.ci;
    expect(ends?.[0]).toBeCloseTo(expected.low, 6);
    expect(ends?.[1]).toBeCloseTo(expected.high, 6);
  });
  test('is covered together with each dose against the control', () => {
    const [low, high] = trend?.ciAdjusted ?? [0, 0];
    const [from, to] = trend?.ci ?? [0, 0];
    expect(high - low).toBeGreaterThan(to - from);
  });
});

const SPREAD = [0.6, -0.9, 0.2, -0.4, 0.5];

function series(
  shape: (dose: number) => number,
  doses: readonly number[] = [0, 1, 2, 4, 6],
  changes: Partial<JudgeInput> = {},
): JudgeInput {
  const nameOf = (dose: number): string => `${dose} cm`;
  const units = doses.flatMap((dose, j) =>
    SPREAD.map((_, i) => ({
      id: `${dose} ${i}`,
      treatment: nameOf(dose),
      value: shape(dose) + (SPREAD[(i + j) % SPREAD.length] ?? 0),
      blocks: [],
    })),
  );
  return judgeInputFixture(units, {
    doses: Object.fromEntries(doses.map(dose => [nameOf(dose), dose])),
    margin: { kind: 'percent', percent: 10 },
    ...changes,
  });
}

describe('the sentence of a series of doses', () => {
  const said = (...args: Parameters<typeof series>) => judge(series(...args)).verdict;

  test('says that more brings more, and which of the best can’t be told', () => {
    const { headline, detail, call } = said(dose => 20 + 3 * dose);
    expect(headline).toBe('The more of it, the more beans.');
    expect(detail).toContain('15% was worth having'.replace('15', '10'));
    expect(call).toBe('clearly-better');
  });
  test('says where it levels off, in the doses’ own words', () => {
    const { headline, detail } = said(dose => 20 + 5 * Math.min(dose, 3), [0, 1, 2, 4, 6, 8]);
    expect(headline).toMatch(/^The more of it, the more beans; it levels off at about [23] cm\.$/);
    expect(detail).toMatch(/Which of 4 cm, 6 cm and 8 cm is best can’t be told yet\.$/);
  });
  test('says that less is what more brings, and is worse where that is no gain', () => {
    expect(said(dose => 40 - 3 * dose)).toMatchObject({
      headline: 'The more of it, the less beans.',
      call: 'clearly-worse',
    });
    expect(said(dose => 40 - 3 * dose, [0, 1, 2, 4, 6], { better: 'lower' }).call).toBe(
      'clearly-better',
    );
  });
  test('says that it is little, where it is sure but not worth having', () => {
    expect(said(dose => 100 + 0.5 * dose).headline).toBe(
      'The more of it, the more beans, though by less than was worth having.',
    );
  });
  test('tells of a dose in the middle, where the ends are alike', () => {
    const { headline } = said(dose => 20 + 6 * dose - dose ** 2);
    expect(headline).toMatch(/^2 cm did best: .* than 0 cm\.$|^[124] cm.* beat 0 cm/);
  });
  test('never hides the doses that help behind a line that falls past them', () => {
    // Half of a hump: the line from 0 to 8 falls, and yet 1 and 2 are far better than 0.
    const { headline, call } = said(
      dose => (dose === 1 || dose === 2 ? 32 : 20 - dose),
      [0, 1, 2, 6, 8],
    );
    expect(headline).not.toMatch(/^The more of it/);
    expect(headline).toMatch(/[12] cm/);
    expect(call).toBe('clearly-better');
  });
  test('says that nothing matters only of all the way, and what can’t be told', () => {
    expect(said(() => 100).headline).toBe('No difference that matters, from 0 cm to 6 cm.');
    expect(said(() => 3)).toMatchObject({
      headline: 'Can’t tell yet whether more of it brings more beans.',
      call: 'cant-tell',
    });
  });
  test.each([
    ['count', 'the more beans'],
    ['proportion', 'the higher the share'],
    ['time', 'the later it comes'],
  ] as const)('of %s says it in its own words: %s', (outcome, words) => {
    const input = series(dose => 20 + 3 * dose, undefined, { outcome, margin: null });
    const units = input.units.map(unit => ({
      ...unit,
      value: Math.round(unit.value ?? 0),
      ...(outcome === 'proportion' ? { outOf: 50 } : {}),
      ...(outcome === 'time' ? { hasCome: true } : {}),
    }));
    expect(judge({ ...input, units }).verdict.headline).toContain(`The more of it, ${words}`);
  });
  test('is about the agreed comparison, where there is one', () => {
    const agreed = { one: ['6 cm'], other: ['0 cm'] };
    expect(said(dose => 20 + 3 * dose, undefined, { agreed }).headline).toMatch(/^6 cm gave /);
  });
});

test('of steps, and of fewer than three doses, there is no line', () => {
  expect(judge(series(dose => 2 + dose, undefined, { outcome: 'ordinal' })).trend).toBeNull();
  expect(judge(series(dose => 2 + dose, [0, 6])).trend).toBeNull();
  expect(
    dosesOf([
      { name: 'a', dose: 0 },
      { name: 'b', dose: null },
    ]),
  ).toBeUndefined();
});

test('a dose of which nothing was read is left out of no line unseen: then there is none', () => {
  const input = series(dose => 20 + 3 * dose);
  const units = input.units.map(unit => ({
    ...unit,
    value: unit.treatment === '2 cm' ? null : unit.value,
  }));
  expect(judge({ ...input, units }).trend).toBeNull();
});

test('planned seasons are called by the line alone, as the verdict is', () => {
  const input = series(dose => 20 + 3 * dose);
  expect(askedContrastsOf(input)).toEqual([{ ...judge(input).trend, shuffleP: null }]);
});

test('the line says at its ends what a straight line through all doses says there', () => {
  fc.assert(
    fc.property(
      fc.uniqueArray(fc.integer({ min: 0, max: 100 }), { minLength: 3, maxLength: 8 }),
      fc.double({ min: -50, max: 50, noNaN: true }),
      fc.double({ min: -9, max: 9, noNaN: true }),
      (doses, level, slope) => {
        const line = doseLine(new Map(doses.map(dose => [String(dose), dose])));
        if (!line) return false;
        const at = (weights: typeof line.atMost): number =>
          weights.reduce((sum, [name, weight]) => sum + weight * (level + slope * Number(name)), 0);
        return (
          Math.abs(at(line.atMost) - level - slope * line.to) < 1e-6 &&
          Math.abs(at(line.atLeast) - level - slope * line.from) < 1e-6
        );
      },
    ),
  );
});
