import { judgeOutcome } from '@/core/judge/outcomes/outcome-judge';
import type { TestedOutcomeContrast } from '@/core/judge/outcomes/outcome-judgement';
import type { OutcomeInput, OutcomeUnit } from '@/core/judge/question/outcome-input';
import { outcomeInputFromTable } from '@/core/judge/table/outcome-table';
import { normalDraw } from '@/core/stats/distributions/normal-draw';
import { type SeededRandom, seededRandom } from '@/core/stats/distributions/seeded-random';

type Values = Readonly<Record<string, readonly number[]>>;

function contrastOf(
  kind: OutcomeInput['kind'],
  values: Values,
  changes: Partial<OutcomeInput> & { readonly lastLook?: number } = {},
): TestedOutcomeContrast {
  const { lastLook = Number.POSITIVE_INFINITY, ...others } = changes;
  const units = Object.entries(values).flatMap(([treatment, own]) =>
    own.map(
      (value, i): OutcomeUnit => ({
        id: `${treatment}${i}`,
        treatment,
        blocks: [],
        value: Math.min(value, lastLook),
        outOf: null,
        hasCome: value <= lastLook,
      }),
    ),
  );
  const judged = judgeOutcome({
    kind,
    response: 'slugs',
    unitWord: 'pot',
    treatmentName: 'remedy',
    treatments: Object.keys(values),
    control: 'none',
    blockNames: [],
    isPaired: false,
    units,
    better: 'higher',
    margin: null,
    confidence: 0.95,
    seed: 1,
    isDeclared: true,
    ...others,
  });
  const [contrast] = judged.contrasts;
  if (!contrast?.estimable) throw new RangeError('the contrast must be estimable');
  return contrast;
}

const holds = (interval: readonly [number, number] | null, truth: number): boolean =>
  interval !== null && interval[0] <= truth && truth <= interval[1];

describe('days waited', () => {
  const none = [8, 10, 11, 12, 14, 15];

  test('every treated unit exactly 20 days later is 20 days later', () => {
    const contrast = contrastOf('time', { none, copper: none.map(day => day + 20) });
    expect(contrast.difference).toBeCloseTo(20, 9);
    expect(holds(contrast.ci, 20)).toBe(true);
    expect(contrast.call).toBe('better');
  });

  test('what still waits is known up to the last look, and the mean is taken up to then', () => {
    const contrast = contrastOf(
      'time',
      { none, copper: none.map(day => day + 20) },
      { lastLook: 30 },
    );
    // Means up to day 30 by hand: 70/6 and (28 + 5 × 30)/6.
    expect(contrast.difference).toBeCloseTo((28 + 150) / 6 - 70 / 6, 9);
  });

  test('its interval holds the truth', () => {
    const random = seededRandom(5);
    const wait = (mean: number): readonly number[] =>
      Array.from({ length: 6 }, () => Math.max(1, Math.round(mean + 4 * normalDraw(random))));
    const found = Array.from({ length: 300 }, () =>
      holds(contrastOf('time', { none: wait(15), copper: wait(28) }).ci, 13),
    );
    // Two standard errors of 95% over 300 trials are 2.5 points.
    expect(found.filter(Boolean).length / found.length).toBeGreaterThan(0.915);
  });
});

describe('a count’s difference', () => {
  const poisson = (mean: number, random: SeededRandom): number => {
    let [product, count] = [random.share(), 0];
    while (product > Math.exp(-mean)) {
      product *= random.share();
      count += 1;
    }
    return count;
  };

  test('has an interval that allows for the control’s own error', () => {
    const random = seededRandom(9);
    const draw = (mean: number): readonly number[] =>
      Array.from({ length: 6 }, () => poisson(mean, random));
    const found = Array.from({ length: 400 }, () =>
      holds(contrastOf('count', { none: draw(30), soap: draw(5) }).ci, -25),
    );
    expect(found.filter(Boolean).length / found.length).toBeGreaterThan(0.925);
  });
});

test('a unit of which fewer parts were read is held to its rate, not to its sum', () => {
  // Four leaves of each pot against three, all with 4.5 a leaf.
  const rows = ['none', 'soap'].flatMap(treatment =>
    [0, 1, 2, 3, 4, 5].flatMap(pot =>
      [4, 5, 4, 5].slice(0, treatment === 'none' ? 4 : 2).map(count => ({
        pot: `${treatment}${pot}`,
        treatment,
        spots: String(count + (pot % 2)),
      })),
    ),
  );
  const read = outcomeInputFromTable(
    { columns: ['pot', 'treatment', 'spots'], rows },
    {
      kind: 'count',
      response: 'spots',
      treatment: 'treatment',
      control: 'none',
      unit: 'pot',
      blocks: [],
      factors: [],
      better: 'lower',
      margin: null,
      confidence: 0.95,
      shuffles: 0,
      seed: 1,
    },
  );
  if (!read.ok) throw new RangeError(JSON.stringify(read.trouble));
  const { contrasts } = judgeOutcome(read.value);
  expect(contrasts[0]).toMatchObject({ estimable: true, call: 'cant-tell' });
  const [contrast] = contrasts;
  expect(contrast?.estimable && contrast.effect?.value).toBeCloseTo(1, 9);
});

describe('what so few can show at most', () => {
  const codesOf = (pots: number, blocks: boolean): readonly string[] => {
    const units = ['none', 'soap'].flatMap(treatment =>
      Array.from(
        { length: pots },
        (_, i): OutcomeUnit => ({
          id: `${treatment}${i}`,
          treatment,
          blocks: blocks ? [String(i)] : [],
          value: treatment === 'none' ? 9 + i : i,
          outOf: null,
          hasCome: false,
        }),
      ),
    );
    return judgeOutcome({
      kind: 'count',
      response: 'slugs',
      unitWord: 'pot',
      treatmentName: 'remedy',
      treatments: ['none', 'soap'],
      control: 'none',
      blockNames: blocks ? ['shelf'] : [],
      isPaired: false,
      units,
      better: 'lower',
      margin: null,
      confidence: 0.95,
      seed: 1,
      isDeclared: true,
    }).warnings.map(warning => warning.code);
  };

  // 2 + 2 pots: two of six deals. 4 + 4: two of 70. Five blocks of two: two of 32; six: two of 64.
  test.each([
    [2, false, true],
    [4, false, false],
    [5, true, true],
    [6, true, false],
  ])('%s pots of each (in blocks: %s)', (pots, blocks, isTiny) => {
    expect(codesOf(pots, blocks).includes('tiny-sample')).toBe(isTiny);
  });
});
