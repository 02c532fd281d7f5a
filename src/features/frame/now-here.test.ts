import fc from 'fast-check';
import { dayIn } from '@/core/time/time-zone';
import { sameHourOf } from './now-here';

const DEMO_DAY = '2026-07-18';
const at = (instant: string, zone: string): string =>
  sameHourOf(DEMO_DAY, new Date(instant), zone).toISOString();

test('half past midnight of a winter’s day in London is on the demo’s day in a garden that counts in UTC, too', () => {
  // Seen: 23:30 of the 17th in UTC, so that the garden put the reading down for the day before.
  expect(at('2026-12-01T00:30:00.000Z', 'Europe/London')).toBe('2026-07-18T00:30:00.000Z');
});

test('half an hour before midnight it is not the next day yet', () => {
  expect(at('2026-12-01T23:30:00.000Z', 'Europe/London')).toBe('2026-07-18T22:30:00.000Z');
});

test('at any hour, anywhere, it is the demo’s day', () => {
  const instants = fc.date({
    min: new Date('2026-01-01T00:00:00Z'),
    max: new Date('2027-12-31T00:00:00Z'),
    noInvalidDate: true,
  });
  const zones = fc.constantFrom(
    'Europe/London',
    'UTC',
    'America/Los_Angeles',
    'Pacific/Auckland',
    'Australia/Lord_Howe',
  );
  fc.assert(
    fc.property(instants, zones, (instant, zone) => {
      expect(dayIn(at(instant.toISOString(), zone), zone)).toBe(DEMO_DAY);
    }),
  );
});
