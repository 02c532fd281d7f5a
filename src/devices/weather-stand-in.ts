import { seededRandom } from '@/core/stats/distributions/seeded-random';
import { addDays, type CalendarDay, daysBetween } from '@/core/time/garden-day';
import { daylightHours, dayOfYear } from '@/core/weather/reference-et';
import type { WeatherDay } from '@/core/weather/weather-day';
import type { WeatherStation } from './weather-station';

const WARMEST_DAY = 200; // of the year in the north, some weeks after the longest
const HALF_YEAR = 182.5;

/** A station that is not there: a mild climate for a latitude, the same for the same seed and day. */
export function standInStation(latitude: number, seed: number): WeatherStation {
  return {
    name: 'Stand-in station',
    isStandIn: true,
    days: async (from, to) =>
      Array.from({ length: Math.max(0, daysBetween(from, to) + 1) }, (_, i) =>
        madeUpDay(addDays(from, i), latitude, seed),
      ),
  };
}

function madeUpDay(day: CalendarDay, latitude: number, seed: number): WeatherDay {
  const number = daysBetween('2000-01-01', day);
  // Weather lasts some days: half of it is a spell of three days' length, half its own.
  const spell = seededRandom((seed + Math.floor(number / 3) * 2_654_435_761) >>> 0);
  const own = seededRandom((seed + 77 + number * 40_503) >>> 0);
  const season = Math.cos(
    (2 * Math.PI * (dayOfYear(day) - WARMEST_DAY - (latitude < 0 ? HALF_YEAR : 0))) / 365,
  );
  const lean = Math.min(1, Math.abs(latitude) / 60);
  const mean =
    26 - 16 * lean + 9 * lean * season + 5 * (spell.share() - 0.5) + 4 * (own.share() - 0.5);
  const isWet = spell.share() < 0.35;
  const range = isWet ? 5 + 2 * own.share() : 8 + 6 * own.share();
  const rainMm = isWet && own.share() < 0.8 ? -6 * Math.log(1 - own.share()) : 0;
  const sunHours =
    daylightHours(latitude, dayOfYear(day)) *
    (isWet ? 0.1 + 0.2 * own.share() : 0.4 + 0.5 * own.share());
  const tenth = (value: number): number => Math.round(value * 10) / 10;
  return {
    day,
    tmaxC: tenth(mean + range / 2),
    tminC: tenth(mean - range / 2),
    rainMm: tenth(rainMm),
    windMs: tenth(1 + 3 * own.share()),
    rhMax: Math.round(isWet ? 95 : 88),
    rhMin: Math.round(isWet ? 70 : 45 + 15 * own.share()),
    sunHours: tenth(sunHours),
    source: 'stand-in',
  };
}
