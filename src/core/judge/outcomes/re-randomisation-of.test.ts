import type { JudgedUnit } from '@/core/design/linear/design-input';
import { buildTrialModel } from '@/core/design/linear/trial-model';
import { type JudgeInput, STARTING_GUESS_CV } from '@/core/judge/question/judge-input';
import { normalDraw } from '@/core/stats/distributions/normal-draw';
import { seededRandom } from '@/core/stats/distributions/seeded-random';
import { countLatinSquares, everyLatinSquare } from '@/core/stats/permutation/latin-squares';
import { runPermutationTest } from '@/core/stats/permutation/permutation-test';
import { isBalanced, startImbalance } from '@/core/stats/permutation/re-randomisation';
import { judgeWithoutShuffle } from './judge';
import { shuffleProblemOf } from './shuffle-problem';
import { errorAnalysisOf } from './spread/error-strata';

// The shuffle test of each layout against a count made the long way: every deal the layout allows is written out, and the
// whole judge run on it.

function inputOf(units: readonly JudgedUnit[], extra: Partial<JudgeInput> = {}): JudgeInput {
  return {
    outcome: 'continuous',
    response: 'weight',
    unitWord: 'pot',
    treatmentName: 'feed',
    control: 'a',
    treatments: [...new Set(units.map(unit => unit.treatment))].sort(),
    blockNames: [],
    units,
    subsamples: units.length,
    better: 'higher',
    margin: null,
    confidence: 0.95,
    shuffles: 1000,
    seed: 1,
    isDeclared: true,
    priorCv: STARTING_GUESS_CV,
    ...extra,
  };
}

function gaps(input: JudgeInput): readonly number[] {
  const trial = buildTrialModel(input);
  const model = trial.fit(trial.units.map(unit => unit.value));
  const { spread } = errorAnalysisOf(trial, model);
  return input.treatments
    .filter(name => name !== input.control)
    .map(name => {
      const difference = trial.differenceOf(model, name, input.control);
      return difference && spread?.judges(difference)
        ? Math.abs(difference.estimate) / Math.sqrt(spread.covariance(difference, difference))
        : Number.NaN;
    });
}

function expectCounted(input: JudgeInput, deals: readonly (readonly string[])[]): void {
  const seen = gaps(input);
  const all = deals.map(treatments =>
    gaps({
      ...input,
      units: input.units.map((unit, i) => ({ ...unit, treatment: treatments[i] ?? '' })),
    }),
  );
  const share = (at: number, statistic: (each: readonly number[]) => number): number =>
    all.filter(each => statistic(each) >= at - 1e-7 * at).length / all.length;
  const problem = shuffleProblemOf(input);
  const found = problem && runPermutationTest(problem, 1000, 1);
  expect(found).toMatchObject({ exact: true, arrangements: deals.length });
  found?.comparisons.forEach((comparison, c) => {
    expect(comparison.observed).toBeCloseTo(seen[c]!, 8);
    expect(comparison.p).toBeCloseTo(
      share(seen[c]!, each => each[c]!),
      12,
    );
    expect(comparison.pAdjusted).toBeCloseTo(
      share(seen[c]!, each => Math.max(...each)),
      12,
    );
  });
}

const NAMES = ['a', 'b', 'c', 'd', 'e', 'f'];

function squares(order: number): readonly (readonly string[])[] {
  const square = new Int32Array(order * order);
  const next = everyLatinSquare(square, order);
  return Array.from({ length: countLatinSquares(order) }, () => {
    next();
    return [...square].map(symbol => NAMES[symbol] ?? '');
  });
}

function latin(order: number, values: readonly (number | null)[]): JudgeInput {
  const units = values.map(
    (value, i): JudgedUnit => ({
      id: String(i),
      treatment: NAMES[(Math.floor(i / order) + i) % order] ?? '',
      blocks: [`row ${Math.floor(i / order)}`, `column ${i % order}`],
      value,
    }),
  );
  return inputOf(units, { blockNames: ['row', 'column'] });
}

const TEMPERS = [5.1, 6.3, 4.2, 7.7, 5.9, 8.4, 6.6, 7.1, 4.9, 9.3, 5.5, 6.8, 7.4, 3.9, 6.1, 8.8];

test('a Latin square of three', () => expectCounted(latin(3, TEMPERS.slice(0, 9)), squares(3)));
test('a Latin square of four', () => expectCounted(latin(4, TEMPERS), squares(4)));
test('a Latin square that lost a pot', () =>
  expectCounted(
    latin(
      4,
      TEMPERS.map((value, i) => (i === 6 ? null : value)),
    ),
    squares(4),
  ));

const SUBS = ['n', 'h'];
const LEVELS_OF = Object.fromEntries(
  ['bare', 'mulch'].flatMap(whole =>
    SUBS.map((sub): [string, readonly string[]] => [`${whole}:${sub}`, [whole, sub]]),
  ),
);

/** Blocks of two whole plots, each of two units. */
function splitPlot(treatments: readonly string[]): JudgeInput {
  const units = treatments.map(
    (treatment, i): JudgedUnit => ({
      id: String(i),
      treatment,
      blocks: [`strip ${Math.floor(i / 4)}`],
      wholePlot: String(Math.floor(i / 2)),
      value: TEMPERS[i % TEMPERS.length] ?? 0,
    }),
  );
  return inputOf(units, {
    control: 'bare:n',
    blockNames: ['strip'],
    factors: { names: ['cover', 'feed'], levelsOf: LEVELS_OF },
  });
}

/** Two blocks: 2² ways for the whole plots, 2⁴ within them. */
function splitPlotDeals(): readonly (readonly string[])[] {
  const orders = [
    ['n', 'h'],
    ['h', 'n'],
  ];
  const wholes = [
    ['bare', 'mulch'],
    ['mulch', 'bare'],
  ];
  const within = [0, 1, 2, 3].reduce<readonly (readonly (readonly string[])[])[]>(
    soFar => soFar.flatMap(dealt => orders.map(order => [...dealt, order])),
    [[]],
  );
  return wholes.flatMap(first =>
    wholes.flatMap(second =>
      within.map(subs =>
        [...first, ...second].flatMap((whole, w) => (subs[w] ?? []).map(sub => `${whole}:${sub}`)),
      ),
    ),
  );
}

test('a split plot: whole plots at their level, units at theirs', () => {
  const deals = splitPlotDeals();
  expectCounted(splitPlot(deals[37] ?? []), deals);
});

test('a deal that had to be balanced is re-dealt under the same rule', () => {
  const sizes = [10, 12, 9, 14, 11, 13, 8, 15];
  const treatments = ['a', 'b', 'b', 'a', 'a', 'b', 'a', 'b'];
  const most = startImbalance(
    sizes,
    treatments.map(name => Number(name === 'b')),
    2,
  );
  const input = inputOf(
    treatments.map((treatment, i) => ({
      id: String(i),
      treatment,
      blocks: [],
      value: TEMPERS[i] ?? 0,
      startSize: sizes[i],
    })),
    { mostImbalance: most },
  );
  const splits = Array.from({ length: 256 }, (_, mask) =>
    Array.from({ length: 8 }, (_unit, i) => (mask >> i) & 1),
  ).filter(split => split.reduce((sum, each) => sum + each, 0) === 4);
  const allowed = splits
    .filter(split => isBalanced({ startSize: sizes, most }, split, 2))
    .map(split => split.map(each => NAMES[each] ?? ''));
  expect(allowed.length).toBeGreaterThan(2);
  expect(allowed.length).toBeLessThan(70);
  expectCounted(input, allowed);
});

// Nothing works and blocks differ: 5% of trials may find something, by Dunnett's value and by the shuffles alike, within three
// standard errors.
describe('when nothing works, one trial in twenty finds something', () => {
  const noise = seededRandom(24);
  const units = (
    count: number,
    of: (i: number) => Pick<JudgedUnit, 'treatment' | 'blocks'> & Partial<JudgedUnit>,
  ): readonly JudgedUnit[] =>
    Array.from({ length: count }, (_, i) => ({
      id: String(i),
      value: normalDraw(noise),
      ...of(i),
    }));
  const layouts: Readonly<Record<string, JudgeInput>> = {
    'complete randomisation': inputOf(
      units(15, i => ({ treatment: NAMES[i % 3] ?? '', blocks: [] })),
    ),
    'complete blocks': inputOf(
      units(16, i => ({ treatment: NAMES[i % 4] ?? '', blocks: [String(Math.floor(i / 4))] })),
      { blockNames: ['shelf'] },
    ),
    pairs: inputOf(
      units(14, i => ({ treatment: NAMES[i % 2] ?? '', blocks: [String(Math.floor(i / 2))] })),
      { blockNames: ['pair'], isPaired: true },
    ),
    'Latin square': latin(
      6,
      Array.from({ length: 36 }, () => normalDraw(noise)),
    ),
    'incomplete blocks': inputOf(
      units(24, i => ({
        treatment: ['abc', 'abd', 'acd', 'bcd'][Math.floor(i / 3) % 4]?.[i % 3] ?? '',
        blocks: [String(Math.floor(i / 3))],
      })),
      { blockNames: ['shelf'] },
    ),
    'split plot': splitPlot(
      Array.from({ length: 9 }).flatMap(() =>
        ['mulch', 'bare'].flatMap(whole => SUBS.map(sub => `${whole}:${sub}`)),
      ),
    ),
  };
  test.each(Object.entries(layouts))('%s', (_, input) => {
    const problem = shuffleProblemOf(input);
    if (!problem) throw new Error('the layout must have units');
    const critical = judgeWithoutShuffle(input).criticalT ?? Number.NaN;
    const trials = problem.wholePlot ? 300 : 600;
    let byDunnett = 0;
    let byShuffle = 0;
    for (let trial = 0; trial < trials; trial++) {
      const wholes = Array.from({ length: 18 }, () => normalDraw(noise));
      const y = problem.y.map(
        (_, unit) =>
          normalDraw(noise) +
          (problem.wholePlot ? wholes[problem.wholePlot[unit]!]! : 0) +
          3 * (problem.blocks[0]?.columns[0]?.[unit] ?? 0),
      );
      const found = runPermutationTest({ ...problem, y }, 199, trial);
      if (!found) throw new Error('there must be a spread');
      if (found.comparisons.some(comparison => comparison.observed > critical)) byDunnett += 1;
      if (found.comparisons.some(comparison => comparison.pAdjusted <= 0.05)) byShuffle += 1;
    }
    const bound = 3 * Math.sqrt((0.05 * 0.95) / trials);
    // In a split plot each comparison has its own degrees of freedom and Satterthwaite's are approximate: no exact size.
    if (!problem.wholePlot) expect(Math.abs(byDunnett / trials - 0.05)).toBeLessThan(bound);
    expect(byShuffle / trials).toBeLessThan(0.05 + bound);
    if (!problem.wholePlot) expect(byShuffle / trials).toBeGreaterThan(0.02);
  });
});
