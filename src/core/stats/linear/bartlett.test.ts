import { bartlettP } from './bartlett';

const of = (groups: readonly (readonly number[])[]): number =>
  bartlettP(
    groups.map(values => {
      const mean = values.reduce((sum, value) => sum + value, 0) / values.length;
      const square = values.reduce((sum, value) => sum + (value - mean) ** 2, 0);
      return { variance: square / (values.length - 1), df: values.length - 1 };
    }),
  );

// R 4.2: bartlett.test(count ~ spray, InsectSprays)$p.value, and of PlantGrowth's weights by group.
test('sprays spread unlike each other, plants alike: as by R', () => {
  const sprays = [
    [10, 7, 20, 14, 14, 12, 10, 23, 17, 20, 14, 13],
    [11, 17, 21, 11, 16, 14, 17, 17, 19, 21, 7, 13],
    [0, 1, 7, 2, 3, 1, 2, 1, 3, 0, 1, 4],
    [3, 5, 12, 6, 4, 3, 5, 5, 5, 5, 2, 4],
    [3, 5, 3, 5, 3, 6, 1, 1, 3, 2, 6, 4],
    [11, 9, 15, 22, 15, 16, 13, 10, 26, 26, 24, 13],
  ];
  expect(of(sprays)).toBeCloseTo(9.08512233282e-5, 9);
  const plants = [
    [4.17, 5.58, 5.18, 6.11, 4.5, 4.61, 5.17, 4.53, 5.33, 5.14],
    [4.81, 4.17, 4.41, 3.59, 5.87, 3.83, 6.03, 4.89, 4.32, 4.69],
    [6.31, 5.12, 5.54, 5.5, 5.37, 5.29, 4.92, 6.15, 5.8, 5.26],
  ];
  expect(of(plants)).toBeCloseTo(0.237096776, 6);
});

test('all alike in nothing is alike, and one that does not spread at all is not', () => {
  expect(
    of([
      [2, 2, 2],
      [3, 3, 3],
    ]),
  ).toBe(1);
  expect(
    of([
      [2, 2, 2],
      [3, 4, 5],
    ]),
  ).toBe(0);
});
