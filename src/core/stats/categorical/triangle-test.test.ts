import fc from 'fast-check';
import { fewestCorrect, shareWhoTaste, triangleCups, triangleP } from './triangle-test';

test('C124: the fewest right answers of 6, 8, 10 and 12 tasters (ISO 4120, table of the triangle test at 5%)', () => {
  expect([6, 8, 10, 12].map(tasters => fewestCorrect(tasters))).toEqual([5, 6, 7, 8]);
});

test('two tasters can never show it', () => {
  expect([fewestCorrect(1), fewestCorrect(2)]).toEqual([null, null]);
});

test('the chance agrees with the sum of the binomial, written out', () => {
  // 3 tasters: 1/27; 2 or more of 3: 3·(1/9)(2/3) + 1/27 = 7/27
  expect(triangleP(3, 3)).toBeCloseTo(1 / 27, 12);
  expect(triangleP(2, 3)).toBeCloseTo(7 / 27, 12);
  expect(triangleP(0, 7)).toBe(1);
});

test('a third right is guessing, all right is tasting', () => {
  expect([
    shareWhoTaste(4, 12),
    shareWhoTaste(12, 12),
    shareWhoTaste(8, 12),
    shareWhoTaste(1, 12),
  ]).toEqual([0, 1, 0.5, 0]);
});

test('every taster gets one odd cup, no number comes twice, and all six orders come as often as can be', () => {
  fc.assert(
    fc.property(fc.integer({ min: 1, max: 60 }), fc.nat(), (tasters, seed) => {
      const cups = triangleCups(tasters, seed);
      const codes = cups.flatMap(each => each.cups.map(cup => cup.code));
      expect(new Set(codes).size).toBe(3 * tasters);
      const orders = cups.map(each => each.cups.map(cup => cup.holds).join(''));
      const counts = ['AAB', 'ABA', 'BAA', 'BBA', 'BAB', 'ABB'].map(
        order => orders.filter(each => each === order).length,
      );
      expect(Math.max(...counts) - Math.min(...counts)).toBeLessThanOrEqual(1);
      expect(cups.every(each => each.cups.filter(cup => cup.code === each.odd).length === 1)).toBe(
        true,
      );
    }),
  );
});
