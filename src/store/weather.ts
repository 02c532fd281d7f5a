import { WeatherDay } from '@/core/weather/weather-day';
import type { Database } from '@/store/connection/database';

/** A garden's weather from one day to another, both included, oldest first. */
export async function weatherBetween(
  db: Database,
  gardenId: string,
  from: string,
  to: string,
): Promise<readonly WeatherDay[]> {
  const rows: unknown[] = await db('weatherDays')
    .where({ gardenId })
    .whereBetween('day', [from, to])
    .orderBy('day');
  return rows.map(row => WeatherDay.parse(row));
}

/** Puts days in place of what stood there. */
export async function putWeather(
  db: Database,
  gardenId: string,
  days: readonly WeatherDay[],
): Promise<void> {
  for (let from = 0; from < days.length; from += 50) {
    await db('weatherDays')
      .insert(days.slice(from, from + 50).map(day => ({ ...day, gardenId })))
      .onConflict(['gardenId', 'day'])
      .merge();
  }
}
