import { yieldBases } from './yield-bases';

// By hand: 629 g on 0.07 m² and 14 l, with 30 minutes of work.
test('one harvest by all bases', () => {
  expect(
    yieldBases(629, { areaM2: 0.07, mixMl: 14_000, minutes: 30 }).map(each => each.words),
  ).toEqual(['8.99 kg a square metre', '44.9 g a litre of mix', '1.26 kg an hour of work']);
});

test('bases that nobody knows are left out; nothing picked is nothing by any', () => {
  expect(yieldBases(629, { areaM2: undefined, mixMl: undefined, minutes: 0 })).toEqual([]);
  expect(yieldBases(0, { areaM2: 1, mixMl: 1000, minutes: 10 }).map(each => each.value)).toEqual([
    0, 0, 0,
  ]);
});

test('C098: 1.3 times the harvest at twice the hours a pound is 2.6 times the hours (calc)', () => {
  const hours = (netG: number, minutes: number): number =>
    netG /
    1000 /
    (yieldBases(netG, { areaM2: undefined, mixMl: undefined, minutes })[0]?.value ?? Number.NaN);
  expect(hours(1300, 2 * 1.3 * 60) / hours(1000, 60)).toBeCloseTo(2.6, 9);
});
