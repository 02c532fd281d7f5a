import { netBenefitOf } from './net-benefit';

test('the gain’s interval goes by t on its own degrees of freedom', () => {
  // 100 g more with an error of 20 g on 10 degrees of freedom: t(0.975) = 2.228 (C109), so from 55.4 to 144.6 g.
  const found = netBenefitOf(
    { difference: 100, se: 20, df: 10 },
    { extraCost: 0.2, worthPerKg: 5 },
  );
  expect(found.gainKgCi?.map(kg => Number(kg.toFixed(4)))).toEqual([0.0554, 0.1446]);
  expect(found.netCi?.map(money => Number(money.toFixed(3)))).toEqual([0.077, 0.523]);
  expect(found).toMatchObject({
    net: expect.closeTo(0.3, 9),
    costPerExtraKg: expect.closeTo(2, 9),
  });
});

test('without a spread there is no interval, and without a gain no price of one', () => {
  expect(
    netBenefitOf({ difference: -50, se: null, df: 4 }, { extraCost: 0.2, worthPerKg: 5 }),
  ).toMatchObject({ gainKgCi: null, netCi: null, costPerExtraKg: null, chanceItPays: null });
});
