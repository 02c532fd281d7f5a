import { axisOfDots, type DotRows } from './dot-rows';

const tag = { index: 0, name: 'feed', letter: 'B' };
const rowsOf = (
  axis: DotRows['axis'],
  xs: readonly number[],
  interval: [number, number],
): DotRows => ({
  axis,
  control: 100,
  band: null,
  rows: [
    {
      tag,
      gap: null,
      points: xs.map((x, i) => ({ code: `P${i}`, x, value: x })),
      estimate: 117,
      interval,
    },
  ],
});

test('a wide range leaves what was seen a third of the width, and no share lies below nothing', () => {
  expect(axisOfDots(rowsOf('percent', [11, 222], [-420, 654]))).toEqual({ min: 0, max: 500 });
});

test('a pot that bore nothing stands on the axis, not off it', () => {
  expect(axisOfDots(rowsOf('percent', [0, 180], [-40, 274])).min).toBe(0);
});

test('what was seen below nothing is drawn, and a measure with a sign has room on both sides', () => {
  expect(axisOfDots(rowsOf('percent', [-30, 180], [-40, 274])).min).toBeLessThanOrEqual(-30);
  const { min, max } = axisOfDots(rowsOf('value', [-5, 120], [-9, 130]));
  expect(min).toBeLessThan(-9);
  expect(max).toBeGreaterThan(130);
});
