import fc from 'fast-check';
import { v7 } from 'uuid';
import { trialFixture } from '@/core/trial/fixtures/trial-fixture';
import { BLANK_LAYOUT } from '@/core/trial/model/blank-facts';
import type { Place } from '@/core/trial/model/place';
import { layOutBench } from './bench-plan';
import type { BenchPlan } from './bench-request';

const plans = fc
  .record({
    treatments: fc.integer({ min: 2, max: 8 }),
    perBlock: fc.integer({ min: 1, max: 3 }),
    blocks: fc.integer({ min: 0, max: 7 }),
    seed: fc.integer({ min: 0, max: 2 ** 32 - 1 }),
  })
  .map(
    ({ treatments, perBlock, blocks, seed }): BenchPlan => ({
      ...BLANK_LAYOUT,
      kind: blocks >= 2 ? 'complete-blocks' : 'complete-randomisation',
      treatments: trialFixture({ treatments }).treatments,
      each: perBlock,
      blockCount: blocks >= 2 ? blocks : 0,
      blockWord: 'shelf',
      unitWord: 'pot',
      unitShape: 'round',
      unitWidthMm: 200,
      unitDepthMm: 200,
      seed,
      deals: 1,
    }),
  );

function cornersOf(
  place: Place,
  places: readonly Place[],
): {
  readonly left: number;
  readonly top: number;
  readonly right: number;
  readonly bottom: number;
} {
  const parent = places.find(other => other.id === place.parentId);
  const base = parent ? cornersOf(parent, places) : { left: 0, top: 0 };
  const left = base.left + place.xMm;
  const top = base.top + place.yMm;
  return { left, top, right: left + place.widthMm, bottom: top + place.depthMm };
}

test('pots stand inside their shelf and none on another, whatever the plan', () => {
  fc.assert(
    fc.property(plans, plan => {
      const { places } = layOutBench(plan, () => v7());
      const pots = places
        .filter(place => place.kind === 'pot')
        .map(place => ({ place, at: cornersOf(place, places) }));
      for (const { place, at } of pots) {
        const shelf = places.find(other => other.id === place.parentId);
        if (!shelf) throw new Error('a pot must stand on something');
        const around = cornersOf(shelf, places);
        expect(
          at.left >= around.left &&
            at.right <= around.right &&
            at.top >= around.top &&
            at.bottom <= around.bottom,
        ).toBe(true);
      }
      pots.forEach(({ at: a }, i) => {
        pots.slice(i + 1).forEach(({ at: b }) => {
          expect(
            a.right <= b.left || b.right <= a.left || a.bottom <= b.top || b.bottom <= a.top,
          ).toBe(true);
        });
      });
    }),
    { numRuns: 40 },
  );
});

test('every treatment gets its number, in every block the same, and the seed repeats the bench', () => {
  fc.assert(
    fc.property(plans, plan => {
      const bench = layOutBench(plan, () => v7());
      for (const treatment of plan.treatments)
        expect(bench.units.filter(unit => unit.treatmentId === treatment.id)).toHaveLength(
          plan.each * Math.max(1, bench.blocks.length),
        );
      for (const block of bench.blocks) {
        for (const treatment of plan.treatments)
          expect(
            bench.units.filter(
              unit => unit.blockId === block.id && unit.treatmentId === treatment.id,
            ),
          ).toHaveLength(plan.each);
      }
      const again = layOutBench(plan, () => v7());
      expect(again.units.map(unit => [unit.code, unit.treatmentId])).toEqual(
        bench.units.map(unit => [unit.code, unit.treatmentId]),
      );
      expect(new Set(bench.units.map(unit => unit.code)).size).toBe(bench.units.length);
    }),
    { numRuns: 40 },
  );
});

test('other seeds deal otherwise', () => {
  const plan: BenchPlan = {
    ...BLANK_LAYOUT,
    kind: 'complete-randomisation',
    treatments: trialFixture().treatments,
    each: 8,
    blockCount: 0,
    blockWord: 'shelf',
    unitWord: 'pot',
    unitShape: 'round',
    unitWidthMm: 200,
    unitDepthMm: 200,
    seed: 1,
    deals: 1,
  };
  const deals = new Set(
    Array.from({ length: 20 }, (_, seed) =>
      layOutBench({ ...plan, seed }, () => v7())
        .units.map(unit => unit.treatmentId)
        .join(),
    ),
  );
  expect(deals.size).toBeGreaterThan(15);
});
