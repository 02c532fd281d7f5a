import fc from 'fast-check';
import { blindCodes, deal } from './deal';

test('every block holds every treatment equally often, whatever the seed, and the seed repeats the deal', () => {
  fc.assert(fc.property(fc.integer({ min: 0, max: 2 ** 32 - 1 }), fc.integer({ min: 1, max: 6 }), fc.integer({ min: 1, max: 3 }), (seed, blocks, perBlock) => {
    const plan = { kind: 'complete-blocks', treatments: ['a', 'b', 'c'], unitsEach: blocks * perBlock, blocks } as const;
    const dealt = deal(plan, seed);
    for (let block = 0; block < blocks; block++) {
      for (const treatment of plan.treatments) {
        expect(dealt.filter(unit => unit.block === block && unit.treatment === treatment)).toHaveLength(perBlock);
      }
    }
    expect(deal(plan, seed)).toEqual(dealt);
  }));
});

test('codes are all different', () => {
  expect(new Set(blindCodes(200, 5)).size).toBe(200);
});
