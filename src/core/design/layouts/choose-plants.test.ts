import fc from 'fast-check';
import { choosePlants } from './choose-plants';

test('the runt and the giant are set aside', () => {
  const { chosen, aside } = choosePlants([12, 3, 13, 14, 40, 12.5], 4, false);
  expect(aside.map(plant => plant.number)).toEqual([2, 5]);
  expect(chosen.map(plant => plant.number)).toEqual([1, 3, 4, 6]);
  expect(choosePlants([12, 3, 13, 14, 40, 12.5], 4, true).chosen.map(plant => plant.size)).toEqual([
    14, 13, 12.5, 12,
  ]);
});

test('no other choice of as many has a smaller range, and every plant is in one of the lists', () => {
  const lists = fc
    .array(fc.integer({ min: 1, max: 60 }), { minLength: 2, maxLength: 9 })
    .chain(sizes =>
      fc.record({
        sizes: fc.constant(sizes),
        wanted: fc.integer({ min: 1, max: sizes.length }),
        bySize: fc.boolean(),
      }),
    );
  fc.assert(
    fc.property(lists, ({ sizes, wanted, bySize }) => {
      const { chosen, aside } = choosePlants(sizes, wanted, bySize);
      const range = (of: readonly number[]): number => Math.max(...of) - Math.min(...of);
      const best = Math.min(...subsets(sizes, wanted).map(range));
      expect(range(chosen.map(plant => plant.size))).toBe(best);
      expect([...chosen, ...aside].map(plant => plant.number).sort((a, b) => a - b)).toEqual(
        sizes.map((_, i) => i + 1),
      );
    }),
  );
});

function subsets(sizes: readonly number[], wanted: number): readonly (readonly number[])[] {
  return Array.from({ length: 2 ** sizes.length }, (_, mask) =>
    sizes.filter((_size, i) => (mask >> i) & 1),
  ).filter(subset => subset.length === wanted);
}
