import fc from 'fast-check';
import { classTest } from './class-test';

const table = fc.array(
  fc.record({ of: fc.integer({ min: 0, max: 2 }), group: fc.integer({ min: 0, max: 2 }) }),
  { minLength: 2, maxLength: 12 },
);

test('two against two, all told apart: two of six deals are as large', () => {
  const found = classTest([{ classes: [0, 0, 1, 1], groups: [0, 0, 1, 1] }], 1);
  expect(found).toMatchObject({ statistic: 4, df: 1 });
  expect(found?.p).toBeCloseTo(1 / 3, 1);
});

test('deals stay within blocks: what only the blocks differ in is nobody’s doing', () => {
  const block = (of: number) => ({ classes: [of, of, of, of], groups: [0, 0, 1, 1] });
  expect(classTest([block(0), block(1)], 1)).toMatchObject({ statistic: 0, p: 1 });
});

test('nothing to compare is no p', () => {
  expect(classTest([], 1)).toBeUndefined();
  expect(classTest([{ classes: [1, 1, 1], groups: [0, 1, 2] }], 1)).toBeUndefined();
  expect(classTest([{ classes: [0, 1, 2], groups: [1, 1, 1] }], 1)).toBeUndefined();
});

test('the names of classes and of treatments don’t matter', () => {
  fc.assert(
    fc.property(table, units => {
      const turned = (order: readonly number[]) =>
        classTest(
          [
            {
              classes: units.map(unit => order[unit.of]!),
              groups: units.map(unit => order[unit.group]!),
            },
          ],
          3,
        )?.statistic ?? null;
      const [plain, other] = [turned([0, 1, 2]), turned([2, 0, 1])];
      if (plain === null || other === null) expect(other).toBe(plain);
      else expect(other).toBeCloseTo(plain, 9);
    }),
    { numRuns: 12 },
  );
});
