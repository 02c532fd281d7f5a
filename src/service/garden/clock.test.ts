import fc from 'fast-check';
import { dayIn } from '@/core/time/time-zone';
import { gardenTimeZone, instantNow, keepClock, realToday, sameHourOn, today } from './clock';

const ZONES = ['UTC', 'Europe/London', 'America/New_York', 'Pacific/Auckland', 'Asia/Kolkata'];

afterEach(() => keepClock({ timeZone: '', demoDay: '' }));

test('a demo garden stands at its day, whatever day it is; what lies on the disk goes by the real one', () => {
  keepClock({ timeZone: 'Europe/London', demoDay: '2026-07-18' });
  expect(today()).toBe('2026-07-18');
  expect(dayIn(instantNow(), gardenTimeZone())).toBe('2026-07-18');
  keepClock({ timeZone: 'Europe/London', demoDay: '' });
  expect(today()).toBe(realToday());
});

test('the hour is that of the clock on the wall', () => {
  expect(sameHourOn('2026-07-18', '2026-07-03T09:30:00.000Z', 'Europe/London')).toBe(
    '2026-07-18T09:30:00.000Z',
  );
  // Half past eleven on a winter's night: an hour later the summer's day would be over.
  expect(
    dayIn(sameHourOn('2026-07-18', '2026-11-30T23:30:00.000Z', 'Europe/London'), 'Europe/London'),
  ).toBe('2026-07-18');
});

test('at any instant, in any zone, it is the demo’s day', () => {
  fc.assert(
    fc.property(
      fc.date({
        min: new Date('2024-01-01T00:00:00Z'),
        max: new Date('2030-12-31T00:00:00Z'),
        noInvalidDate: true,
      }),
      fc.constantFrom(...ZONES),
      (instant, zone) => {
        expect(dayIn(sameHourOn('2026-07-18', instant.toISOString(), zone), zone)).toBe(
          '2026-07-18',
        );
      },
    ),
  );
});
