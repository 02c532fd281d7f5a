import fc from 'fast-check';
import { addDays, CalendarDay } from './garden-day';
import { clockIn, dayIn, endOfDay, isTimeZone } from './time-zone';

// Offsets and the days of change are those of the IANA time zone database.
test.each([
  ['2026-06-02T05:00:00.000Z', 'America/Los_Angeles', '2026-06-01'],
  ['2026-06-02T07:00:00.000Z', 'America/Los_Angeles', '2026-06-02'],
  ['2026-11-28T11:30:00.000Z', 'Pacific/Auckland', '2026-11-29'],
  ['2026-06-01T23:30:00.000Z', 'Europe/London', '2026-06-02'],
  ['2026-06-01T23:30:00.000Z', 'UTC', '2026-06-01'],
])('%s in %s is %s', (instant, zone, day) => {
  expect(dayIn(instant, zone)).toBe(day);
});

test.each([
  ['2026-06-01', 'America/Los_Angeles', '2026-06-02T07:00:00.000Z'],
  ['2026-03-29', 'Europe/London', '2026-03-29T23:00:00.000Z'], // the clocks went forward in the night
  ['2026-10-25', 'Europe/London', '2026-10-26T00:00:00.000Z'], // and back
  ['2026-11-28', 'Pacific/Auckland', '2026-11-28T11:00:00.000Z'],
])('%s in %s is over at %s', (day, zone, instant) => {
  expect(endOfDay(CalendarDay.parse(day), zone)).toBe(instant);
});

test('a day ends where the next begins, in every zone', () => {
  const zones = ['America/Los_Angeles', 'Europe/London', 'Asia/Kolkata', 'Pacific/Chatham', 'UTC'];
  fc.assert(
    fc.property(fc.constantFrom(...zones), fc.integer({ min: 0, max: 3000 }), (zone, after) => {
      const day = addDays(CalendarDay.parse('2024-01-01'), after);
      const end = endOfDay(day, zone);
      const before = new Date(Date.parse(end) - 1).toISOString();
      return dayIn(end, zone) === addDays(day, 1) && dayIn(before, zone) === day;
    }),
    { numRuns: 60 },
  );
});

test('names are those of the list, and a clock shows the garden’s hour', () => {
  expect(['Europe/London', 'UTC', 'Mars/Olympus', ''].map(isTimeZone)).toEqual([
    true,
    true,
    false,
    false,
  ]);
  expect(clockIn('2026-06-02T05:00:00.000Z', 'America/Los_Angeles')).toMatch(/1 June.*22:00/);
});
