import fc from 'fast-check';
import { v7 } from 'uuid';
import { benchPlaces } from '@/core/trial/bench-places';
import { trialFixture } from '@/core/trial/fixtures/trial-fixture';
import { BLANK_LAYOUT } from '@/core/trial/model/blank-facts';
import type { Place } from '@/core/trial/model/place';
import { cornersOn } from '@/core/trial/place-corner';
import { layOutBench } from './bench-plan';
import { liftGuards, plantGuards } from './guard-plants';

const { treatments } = trialFixture({ treatments: 3 });
const benchOf = (
  blockCount: number,
  benches: number,
  isTurned: boolean,
  unitShape: Place['shape'],
): readonly Place[] =>
  layOutBench(
    {
      ...BLANK_LAYOUT,
      kind: 'complete-blocks',
      treatments,
      each: 1,
      blockCount,
      benches,
      isTurned,
      blockWord: 'shelf',
      unitWord: 'pot',
      unitShape,
      unitWidthMm: 200,
      unitDepthMm: 200,
      seed: 5,
      deals: 1,
    },
    () => v7(),
  ).places;
const plans = fc.record({
  blocks: fc.integer({ min: 2, max: 7 }),
  benches: fc.integer({ min: 1, max: 3 }),
  isTurned: fc.boolean(),
  shape: fc.constantFrom('round' as const, 'square' as const),
});

function overlapping(places: readonly Place[]): readonly string[] {
  return places.flatMap(a =>
    places
      .filter(
        b =>
          b.parentId === a.parentId &&
          b.id < a.id &&
          a.xMm < b.xMm + b.widthMm - 1 &&
          b.xMm < a.xMm + a.widthMm - 1 &&
          a.yMm < b.yMm + b.depthMm - 1 &&
          b.yMm < a.yMm + a.depthMm - 1,
      )
      .map(b => `${a.name} on ${b.name}`),
  );
}

function sticksOut(places: readonly Place[]): readonly string[] {
  return places
    .filter(place => {
      const parent = places.find(other => other.id === place.parentId);
      return (
        parent &&
        (place.xMm < 0 ||
          place.yMm < 0 ||
          place.xMm + place.widthMm > parent.widthMm + 1 ||
          place.yMm + place.depthMm > parent.depthMm + 1)
      );
    })
    .map(place => place.name);
}

test('blocks are shared out to benches, none standing on another', () => {
  fc.assert(
    fc.property(plans, ({ blocks, benches, isTurned, shape }) => {
      const places = benchOf(blocks, Math.min(benches, blocks), isTurned, shape);
      const found = benchPlaces(places);
      expect(found.benches).toHaveLength(
        benches === 1 ? 0 : Math.ceil(blocks / Math.ceil(blocks / Math.min(benches, blocks))),
      );
      expect(found.shelves).toHaveLength(blocks);
      expect([...overlapping(places), ...sticksOut(places)]).toEqual([]);
    }),
    { numRuns: 40 },
  );
});

test('guards stand round every bench, on nothing and beyond everything, and leave no trace when lifted', () => {
  fc.assert(
    fc.property(plans, ({ blocks, benches, isTurned, shape }) => {
      const bare = benchOf(blocks, Math.min(benches, blocks), isTurned, shape);
      const guarded = plantGuards(bare, () => v7());
      expect([...overlapping(guarded), ...sticksOut(guarded)]).toEqual([]);
      const found = benchPlaces(guarded);
      const guardedBenches = found.benches.length > 0 ? found.benches : [found.ground];
      expect(
        guardedBenches.every(
          bench => found.guards.filter(guard => guard.parentId === bench?.id).length >= 4,
        ),
      ).toBe(true);
      const cornerOf = cornersOn(guarded);
      const [xs, guardXs] = [found.shelves, found.guards].map(places =>
        places.map(place => cornerOf(place).xMm),
      );
      expect(Math.min(...(guardXs ?? []))).toBeLessThan(Math.min(...(xs ?? [])));
      const rounded = (places: readonly Place[]) =>
        places.map(({ name, xMm, yMm, widthMm, depthMm }) => [
          name,
          ...[xMm, yMm, widthMm, depthMm].map(Math.round),
        ]);
      expect(rounded(liftGuards(guarded))).toEqual(rounded(bare));
      expect(plantGuards(guarded, () => v7())).toBe(guarded);
    }),
    { numRuns: 40 },
  );
});
