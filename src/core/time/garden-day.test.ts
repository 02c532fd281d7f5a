import fc from 'fast-check';
import { addDays, daysBetween, GardenDay } from './garden-day';

const days = fc
  .date({ min: new Date('1990-01-01'), max: new Date('2100-12-31'), noInvalidDate: true })
  .map(date => date.toISOString().slice(0, 10));

test('days there and back, over leap years and clock changes', () => {
  fc.assert(
    fc.property(days, fc.integer({ min: -3000, max: 3000 }), (day, more) => {
      expect(daysBetween(day, addDays(day, more))).toBe(more);
      expect(addDays(addDays(day, more), -more)).toBe(day);
    }),
  );
  expect([addDays('2028-02-28', 1), addDays('2026-10-24', 2), addDays('2026-12-31', 1)]).toEqual([
    '2028-02-29',
    '2026-10-26',
    '2027-01-01',
  ]);
});

test('what is long past is a slip of the hand', () => {
  expect([
    GardenDay.safeParse('1989-12-31').success,
    GardenDay.safeParse('1990-01-01').success,
    GardenDay.safeParse('2026-02-30').success,
  ]).toEqual([false, true, false]);
});

test('what is no day is a defect, not a date', () => {
  expect(() => addDays('soon', 1)).toThrow(RangeError);
});
