import { yieldBases } from './yield-bases';

const words = (netG: number, measures: Parameters<typeof yieldBases>[1], isUs = false) =>
  yieldBases(netG, measures, isUs ? 'pounds-and-ounces' : 'metric').map(each => each.words);

// By hand: 629 g on 0.07 m² and 14 l, of 2 plants from 90 g of seed, with 30 minutes of work.
const measures = { areaM2: 0.07, mixMl: 14_000, plants: 2, seedG: 90, minutes: 30 };

test('one harvest by all bases', () => {
  expect(words(629, measures)).toEqual([
    '8.986 kg per square metre',
    '45 g per litre of mix',
    '315 g per plant',
    '6.99 times the weight of the seed',
    '1.258 kg per hour of work',
  ]);
});

test('an American garden reads pounds, square feet and gallons, and no gram', () => {
  // 8986 g/m² × 0.0929 = 834.8 g; 44.93 g/l × 3.785 = 170.1 g: 1 lb 13.4 oz, 6 oz.
  expect(words(629, measures, true)).toEqual([
    '1 lb 13.4 oz per square foot',
    '6 oz per gallon of mix',
    '11.1 oz per plant',
    '6.99 times the weight of the seed',
    '2 lb 12.4 oz per hour of work',
  ]);
});

test('bases that nobody put down are left out; nothing picked is nothing by any', () => {
  expect(words(629, { areaM2: undefined, mixMl: undefined, minutes: 0 })).toEqual([]);
  expect(
    yieldBases(0, { areaM2: 1, mixMl: 1000, minutes: 10 }, 'metric').map(each => each.value),
  ).toEqual([0, 0, 0]);
});

test('C098: 1.3 times the harvest at twice the hours a pound is 2.6 times the hours (calc)', () => {
  const hours = (netG: number, minutes: number): number => {
    const [base] = yieldBases(netG, { areaM2: undefined, mixMl: undefined, minutes }, 'metric');
    return netG / 60 / (base?.value ?? Number.NaN);
  };
  expect(hours(1300, 2 * 1.3 * 60) / hours(1000, 60)).toBeCloseTo(2.6, 9);
});
