import fc from 'fast-check';
import { axisSpan, cutAt, roundSpan, roundStep, roundTicks } from './axis-span';

test('the mean of two seasons does not push the seasons off the picture', () => {
  // Seen in the application: 20% and 60% more, their mean anywhere from 95% less to 3765% more.
  const span = axisSpan([0, 20, 60], [-95, 3765], -100);
  expect(span).toEqual([-60, 120]);
  expect(roundSpan(span)).toEqual({ min: -100, max: 150 });
});

test('an axis of shares does not go below nothing at all, unless something was seen there', () => {
  expect(axisSpan([-60, 30], [-400, 400], -100)).toEqual([-100, 120]);
  expect(axisSpan([-120, 0], [-130], -100)).toEqual([-120, 0]);
});

test('ranges that are narrow enough are shown whole', () => {
  expect(axisSpan([0, 100], [-20, 130])).toEqual([-20, 130]);
});

test('of one value alone the range is all there is to show', () => {
  expect(axisSpan([5, 5], [-40, 60])).toEqual([-40, 60]);
});

test('what was seen lies within the axis, and has at least a third of it', () => {
  const figure = fc.double({ min: -1e6, max: 1e6, noNaN: true });
  fc.assert(
    fc.property(
      fc.array(figure, { minLength: 1, maxLength: 8 }),
      fc.array(figure, { maxLength: 8 }),
      (seen, ranges) => {
        const [low, high] = axisSpan(seen, ranges);
        const [least, most] = [Math.min(...seen), Math.max(...seen)];
        expect(low).toBeLessThanOrEqual(least);
        expect(high).toBeGreaterThanOrEqual(most);
        if (most > least)
          expect(3 * (most - least)).toBeGreaterThanOrEqual((high - low) * (1 - 1e-9));
      },
    ),
  );
});

test.each([
  [1, 1],
  [1.5, 2],
  [2.1, 5],
  [6, 10],
  [0.2, 0.2],
  [0.03, 0.05],
])('a step of at least %p is %p', (least, step) => {
  expect(roundStep(least)).toBeCloseTo(step, 12);
});

test('a range is cut where the picture ends, and says on which side it goes on', () => {
  const axis = { min: -100, max: 150 };
  expect(cutAt([-95, 3765], axis)).toEqual({ drawn: [-95, 150], beyond: [false, true] });
  expect(cutAt([-300, 20], axis)).toEqual({ drawn: [-100, 20], beyond: [true, false] });
  expect(cutAt([0, 10], axis)).toEqual({ drawn: [0, 10], beyond: [false, false] });
});

test('round figures lie within their span, at least two and at most seven of them', () => {
  const figure = fc.double({ min: -1e4, max: 1e4, noNaN: true });
  fc.assert(
    fc.property(
      figure,
      fc.double({ min: 0.1, max: 1e4, noNaN: true }),
      fc.constantFrom(1, 28.35, 453.6),
      (low, reach, unit) => {
        const ticks = roundTicks([low, low + reach], unit);
        expect(ticks.length).toBeGreaterThanOrEqual(2);
        expect(ticks.length).toBeLessThanOrEqual(7);
        for (const tick of ticks) {
          expect(tick).toBeGreaterThanOrEqual(low - 1e-6);
          expect(tick).toBeLessThanOrEqual(low + reach + 1e-6);
        }
      },
    ),
  );
});
