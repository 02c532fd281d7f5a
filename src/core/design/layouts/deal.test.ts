import fc from 'fast-check';
import { isLatinSquare } from '@/core/stats/permutation/latin-squares';
import { startImbalance } from '@/core/stats/permutation/re-randomisation';
import { blindCodes, isOneSlip } from './blind-codes';
import { type DealPlan, type DealtUnit, deal, dealBalanced } from './deal';
import { blockEfficiency, incompleteBlockSets } from './incomplete-block-sets';

const seeds = fc.integer({ min: 0, max: 2 ** 32 - 1 });

function counted(
  dealt: readonly DealtUnit[],
  block: number,
  treatments: number,
): readonly number[] {
  return Array.from(
    { length: treatments },
    (_, treatment) =>
      dealt.filter(unit => unit.block === block && unit.treatment === treatment).length,
  );
}

test('every block holds every treatment as often as planned, whatever the seed, and the seed repeats the deal', () => {
  fc.assert(
    fc.property(
      seeds,
      fc.integer({ min: 1, max: 6 }),
      fc.array(fc.integer({ min: 1, max: 3 }), { minLength: 2, maxLength: 5 }),
      (seed, blocks, copies) => {
        const plan: DealPlan = { kind: 'complete-blocks', copies, blocks };
        const dealt = deal(plan, seed);
        for (let block = 0; block < blocks; block++)
          expect(counted(dealt, block, copies.length)).toEqual(copies);
        expect(deal(plan, seed)).toEqual(dealt);
      },
    ),
  );
});

test('a square is one, whatever the order and seed', () => {
  fc.assert(
    fc.property(seeds, fc.integer({ min: 2, max: 7 }), (seed, order) => {
      expect(
        isLatinSquare(
          deal({ kind: 'latin-square', treatments: order }, seed).map(unit => unit.treatment),
          order,
        ),
      ).toBe(true);
    }),
    { numRuns: 30 },
  );
});

test('a split plot has every whole level once in each block, and every sub-level once on each whole plot', () => {
  fc.assert(
    fc.property(
      seeds,
      fc.integer({ min: 1, max: 4 }),
      fc.integer({ min: 2, max: 3 }),
      fc.integer({ min: 2, max: 4 }),
      (seed, blocks, wholes, subs) => {
        const treatmentOf = Array.from({ length: wholes }, (_, w) =>
          Array.from({ length: subs }, (_sub, s) => w * subs + s),
        );
        const dealt = deal({ kind: 'split-plot', blocks, treatmentOf }, seed);
        for (let plot = 0; plot < blocks * wholes; plot++) {
          const own = dealt.filter(unit => unit.wholePlot === plot);
          expect(new Set(own.map(unit => Math.floor(unit.treatment / subs))).size).toBe(1);
          expect(new Set(own.map(unit => unit.treatment)).size).toBe(subs);
        }
        for (let block = 0; block < blocks; block++)
          expect(counted(dealt, block, wholes * subs).every(count => count === 1)).toBe(true);
      },
    ),
  );
});

test('incomplete blocks hold no treatment twice, and all nearly equally often', () => {
  const plans = fc.integer({ min: 3, max: 9 }).chain(treatments =>
    fc.record({
      treatments: fc.constant(treatments),
      perBlock: fc.integer({ min: 2, max: treatments - 1 }),
      blocks: fc.integer({ min: treatments, max: 12 }),
    }),
  );
  fc.assert(
    fc.property(plans, seeds, ({ treatments, perBlock, blocks }, seed) => {
      const dealt = deal({ kind: 'incomplete-blocks', treatments, blocks, perBlock }, seed);
      const used = Array.from(
        { length: treatments },
        (_, t) => dealt.filter(unit => unit.treatment === t).length,
      );
      expect(Math.max(...used) - Math.min(...used)).toBeLessThanOrEqual(1);
      for (let block = 0; block < blocks; block++) {
        expect(counted(dealt, block, treatments).every(count => count <= 1)).toBe(true);
        expect(dealt.filter(unit => unit.block === block)).toHaveLength(perBlock);
      }
    }),
    { numRuns: 25 },
  );
});

// Balanced designs that exist; the efficiency factor λk / (r s) of each (Cochran & Cox 1957, Experimental Designs, table 11.3).
test.each([
  [4, 4, 3, 8 / 9],
  [4, 6, 2, 2 / 3],
  [5, 5, 4, 15 / 16],
  [6, 10, 3, 4 / 5],
  [7, 7, 3, 7 / 9],
  [7, 7, 4, 7 / 8],
  [9, 12, 3, 3 / 4],
])('%d treatments in %d blocks of %d are balanced', (treatments, blocks, perBlock, efficiency) => {
  expect(
    blockEfficiency(incompleteBlockSets(treatments, blocks, perBlock), treatments),
  ).toBeCloseTo(efficiency, 10);
});

test('sets that leave two treatments apart have no efficiency', () => {
  expect(
    blockEfficiency(
      [
        [0, 1],
        [2, 3],
      ],
      4,
    ),
  ).toBeNull();
});

// Chi-square over every arrangement there is; the bound is the mean and five standard deviations.
const SMALL: readonly {
  readonly name: string;
  readonly plan: DealPlan;
  readonly arrangements: number;
}[] = [
  {
    name: 'two arms of three',
    plan: { kind: 'complete-randomisation', copies: [3, 3] },
    arrangements: 20,
  },
  {
    name: 'more pots for the control',
    plan: { kind: 'complete-randomisation', copies: [3, 1, 1] },
    arrangements: 20,
  },
  {
    name: 'three pairs',
    plan: { kind: 'complete-blocks', copies: [1, 1], blocks: 3 },
    arrangements: 8,
  },
  {
    name: 'two blocks of three',
    plan: { kind: 'complete-blocks', copies: [1, 1, 1], blocks: 2 },
    arrangements: 36,
  },
  { name: 'a square of three', plan: { kind: 'latin-square', treatments: 3 }, arrangements: 12 },
  {
    name: 'a split plot',
    plan: {
      kind: 'split-plot',
      blocks: 2,
      treatmentOf: [
        [0, 1],
        [2, 3],
      ],
    },
    arrangements: 64,
  },
  {
    name: 'three blocks of two out of three',
    plan: { kind: 'incomplete-blocks', treatments: 3, blocks: 3, perBlock: 2 },
    arrangements: 48,
  },
];
test.each(SMALL)(
  '$name: all $arrangements arrangements are equally likely',
  ({ plan, arrangements }) => {
    const deals = arrangements * 200;
    const seen = new Map<string, number>();
    for (let seed = 0; seed < deals; seed++) {
      const key = deal(plan, seed)
        .map(unit => unit.treatment)
        .join();
      seen.set(key, (seen.get(key) ?? 0) + 1);
    }
    expect(seen.size).toBe(arrangements);
    const chiSquare = [...seen.values()].reduce((sum, count) => sum + (count - 200) ** 2 / 200, 0);
    expect(chiSquare).toBeLessThan(arrangements - 1 + 5 * Math.sqrt(2 * (arrangements - 1)));
  },
);

test('a balanced deal keeps its own rule, and starts more alike than most', () => {
  const sizes = Array.from({ length: 12 }, (_, i) => (i * 7) % 13);
  const plan: DealPlan = { kind: 'complete-randomisation', copies: [4, 4, 4] };
  const { dealt, mostImbalance } = dealBalanced(plan, 5, sizes, 0.05);
  const imbalance = (deals: readonly DealtUnit[]): number =>
    startImbalance(
      sizes,
      deals.map(unit => unit.treatment),
      3,
    );
  expect(imbalance(dealt)).toBeLessThanOrEqual(mostImbalance);
  const others = Array.from({ length: 200 }, (_, seed) => imbalance(deal(plan, seed)));
  expect(others.filter(other => other <= mostImbalance).length).toBeLessThan(25);
  expect(dealBalanced(plan, 5, sizes, 0.05)).toEqual({ dealt, mostImbalance });
});

test('no blind code is one slip from another', () => {
  fc.assert(
    fc.property(seeds, fc.integer({ min: 2, max: 100 }), (seed, count) => {
      const codes = blindCodes(count, seed);
      codes.forEach((code, i) => {
        for (const other of codes.slice(i + 1)) expect(isOneSlip(code, other)).toBe(false);
      });
    }),
    { numRuns: 20 },
  );
  expect(new Set(blindCodes(240, 5)).size).toBe(240);
});
