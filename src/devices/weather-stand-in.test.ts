import fc from 'fast-check';
import { daysBetween } from '@/core/time/garden-day';
import { daylightHours, dayOfYear } from '@/core/weather/reference-et';
import { WeatherDay } from '@/core/weather/weather-day';
import { standInStation } from './weather-stand-in';

test('it says that it stands in, and every day it makes up is a day that could be', async () => {
  await fc.assert(
    fc.asyncProperty(
      fc.integer({ min: -65, max: 65 }),
      fc.integer({ min: 0, max: 2 ** 31 }),
      async (latitude, seed) => {
        const station = standInStation(latitude, seed);
        const days = await station.days('2026-02-20', '2026-03-20');
        expect(station.isStandIn).toBe(true);
        expect(days).toHaveLength(29);
        expect(
          days.filter(
            day =>
              !WeatherDay.safeParse(day).success ||
              (day.sunHours ?? 0) > daylightHours(latitude, dayOfYear(day.day)) + 0.1,
          ),
        ).toEqual([]);
        expect(
          days.slice(1).every((day, i) => daysBetween(days[i]?.day ?? '', day.day) === 1),
        ).toBe(true);
      },
    ),
    { numRuns: 30 },
  );
});

test('the same seed gives the same day, whatever stretch it is asked in', async () => {
  const station = standInStation(51, 7);
  const [whole, part] = [
    await station.days('2026-05-01', '2026-05-31'),
    await station.days('2026-05-12', '2026-05-14'),
  ];
  expect(part).toEqual(whole.slice(11, 14));
  expect(await standInStation(51, 8).days('2026-05-12', '2026-05-14')).not.toEqual(part);
});

test('summers are warmer than winters, in the south the other way round', async () => {
  const mean = async (latitude: number, from: string, to: string): Promise<number> => {
    const days = await standInStation(latitude, 3).days(from, to);
    return days.reduce((sum, day) => sum + (day.tmaxC + day.tminC) / 2, 0) / days.length;
  };
  expect(await mean(51, '2026-07-01', '2026-07-31')).toBeGreaterThan(
    (await mean(51, '2026-01-01', '2026-01-31')) + 8,
  );
  expect(await mean(-38, '2026-01-01', '2026-01-31')).toBeGreaterThan(
    (await mean(-38, '2026-07-01', '2026-07-31')) + 5,
  );
});
