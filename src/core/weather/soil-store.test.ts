import { daysUntilDry } from './soil-store';

const store = { readyMm: 12, totalMm: 30 };

test('a store lasts as long as its water, and one that is overdrawn is dry now', () => {
  expect([daysUntilDry(store, 3), daysUntilDry(store, 3, 6), daysUntilDry(store, 3, 20)]).toEqual([
    4, 2, 0,
  ]);
});
