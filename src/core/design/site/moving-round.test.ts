import fc from 'fast-check';
import { trialFixture } from '@/core/trial/fixtures/trial-fixture';
import { movingRound } from './moving-round';

const trials = fc
  .record({
    treatments: fc.integer({ min: 2, max: 5 }),
    each: fc.integer({ min: 1, max: 3 }),
    blocks: fc.integer({ min: 0, max: 4 }),
    seed: fc.integer({ min: 0, max: 2 ** 32 - 1 }),
  })
  .map(({ treatments, each, blocks, seed }) => ({
    seed,
    data: trialFixture({ treatments, unitsEach: each * Math.max(1, blocks), blockCount: blocks }),
  }));

test('every unit gets one place of its own shelf, and the seed repeats the round', () => {
  fc.assert(
    fc.property(trials, ({ data, seed }) => {
      const round = movingRound(data, seed);
      const parentOf = new Map(data.places.map(place => [place.id, place.parentId]));
      expect([...round.placeIds].sort()).toEqual(data.units.map(unit => unit.placeId).sort());
      round.placeIds.forEach((placeId, i) => {
        expect(
          parentOf.get(data.places.find(place => place.id === placeId)?.id ?? data.places[0]!.id),
        ).toBe(parentOf.get(data.units[i]!.placeId));
      });
      expect(movingRound(data, seed)).toEqual(round);
    }),
  );
});

test('followed step by step, the walk leads to the round, and no place is ever taken twice', () => {
  fc.assert(
    fc.property(trials, ({ data, seed }) => {
      const round = movingRound(data, seed);
      const placeOf = new Map<string, string | null>(
        data.units.map(unit => [unit.code, unit.placeId]),
      );
      const first = new Map(data.units.map(unit => [unit.code, unit.placeId]));
      for (const { steps } of round.walk) {
        for (const { code, to } of steps) {
          if (to.kind === 'aside') {
            placeOf.set(code, null);
            continue;
          }
          const target = first.get(to.of) ?? '';
          expect([...placeOf.values()]).not.toContain(target);
          placeOf.set(code, target);
        }
      }
      expect(data.units.map(unit => placeOf.get(unit.code))).toEqual([...round.placeIds]);
    }),
  );
});
