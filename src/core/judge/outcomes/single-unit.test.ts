import { z } from 'zod';
import { type JudgeInput, STARTING_GUESS_CV } from '@/core/judge/question/judge-input';
import { judgeInputFixture } from '@/core/judge/question/judge-input-fixture';
import { judgementJson } from '@/core/judge/verdict/judgement-json';
import { judge } from './judge';

/** Values by treatment; each unit in a block of its own number where there are blocks. */
function inputOf(
  values: Readonly<Record<string, readonly number[]>>,
  hasBlocks = false,
): JudgeInput {
  const treatments = Object.keys(values);
  const units = treatments.flatMap(treatment =>
    (values[treatment] ?? []).map((value, i) => ({
      id: `${treatment} ${i}`,
      treatment,
      blocks: hasBlocks ? [String(i)] : [],
      value,
    })),
  );
  return {
    outcome: 'continuous',
    response: 'beans',
    responseUnit: 'g',
    unitWord: 'pot',
    treatmentName: 'feed',
    treatments,
    control: treatments[0] ?? '',
    blockNames: hasBlocks ? ['shelf'] : [],
    units,
    subsamples: units.length,
    better: 'higher',
    margin: { kind: 'percent', percent: 15 },
    confidence: 0.95,
    shuffles: 0,
    seed: 1,
    isDeclared: true,
    priorCv: STARTING_GUESS_CV,
  };
}

const WATER = [100, 103, 97, 101, 99, 100];

describe('a treatment in one unit only', () => {
  test.each([[false], [true]])(
    'has no test, though the control has six (blocks: %s)',
    hasBlocks => {
      const { verdict, contrasts, pairs, letters } = judge(
        inputOf({ water: WATER, seaweed: [160] }, hasBlocks),
      );
      expect(contrasts[0]?.call).toBe('no-test');
      expect(verdict.headline).not.toMatch(/gave|beat|better/);
      expect(pairs[0]).toMatchObject({ p: null, ciAdjusted: null });
      expect(letters).toBeNull();
    },
  );

  test('takes no test from the others, and is told with the gap that luck alone would give', () => {
    const { verdict, contrasts } = judge(
      inputOf({ water: WATER, comfrey: [131, 133, 129, 132, 130, 131], seaweed: [160] }),
    );
    expect(contrasts.map(contrast => contrast.call)).toEqual(['clearly-better', 'no-test']);
    expect(verdict.headline).toBe('Comfrey gave 31% more beans than water.');
    expect(verdict.detail).toMatch(
      /Seaweed \(\+60%\): one pot only, so no result\. Two pots treated alike differ by \d+% or more every second time\./,
    );
  });

  test('keeps “no difference that matters” from being said of all', () => {
    const { verdict } = judge(
      inputOf({ water: WATER, comfrey: [100, 102, 98, 101, 99, 101], seaweed: [101] }),
    );
    expect(verdict.call).toBe('cant-tell');
    expect(verdict.headline).toBe('Can’t tell yet whether seaweed beats water.');
  });

  test('has no test as the control, either', () => {
    const { contrasts, verdict } = judge(inputOf({ water: [100], a: WATER, b: WATER }));
    expect(contrasts.every(contrast => contrast.call === 'no-test')).toBe(true);
    expect(verdict.call).toBe('no-test');
  });

  test.each(['count', 'proportion', 'ordinal', 'time'] as const)('has none by %s', kind => {
    const units = [
      ...[1, 2, 1, 2, 1, 2].map((value, i) => ({ id: `w${i}`, treatment: 'water', value })),
      { id: 's', treatment: 'seaweed', value: 40 },
    ].map(unit => ({
      ...unit,
      blocks: [],
      ...(kind === 'proportion' ? { outOf: 40 } : {}),
      hasCome: true,
    }));
    const input = judgeInputFixture(units, { outcome: kind, better: 'lower' });
    const judged = judge(input);
    const { verdict, contrasts } = judged;
    expect([verdict.call, contrasts[0]?.call]).toEqual(['no-test', 'no-test']);
    const { contrasts: told } = z
      .object({ contrasts: z.array(z.record(z.string(), z.unknown())) })
      .parse(judgementJson(judged, input));
    expect(told[0]).toMatchObject({ p: null, pAdjusted: null, ci: null, effect: null });
  });
});

test('combinations with one unit each are judged by their levels, which stand in several', () => {
  const names = [
    'kale:none',
    'kale:char',
    'collards:none',
    'collards:char',
    'chard:none',
    'chard:char',
  ];
  const values = [10, 14, 11, 15.2, 9, 12.9];
  const input = inputOf(Object.fromEntries(names.map((name, i) => [name, [values[i] ?? 0]])));
  const judged = judge({
    ...input,
    factors: {
      names: ['crop', 'soil'],
      levelsOf: Object.fromEntries(names.map(name => [name, name.split(':')])),
    },
  });
  expect(judged.contrasts.some(contrast => contrast.call !== 'no-test')).toBe(true);
});
