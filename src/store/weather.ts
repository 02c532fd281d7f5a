import { WeatherDay } from '@/core/weather/weather-day';
import type { Database } from '@/store/connection/database';
import { readable } from './rows';

/** A garden's weather from one day to another, both included, oldest first; a day that can't be read is as one that is not known. */
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
  return readable(rows, row => WeatherDay.parse(row));
}

/** How many days of a stretch stand in the file and can't be read: they count as not known. */
export async function unreadWeather(
  db: Database,
  gardenId: string,
  from: string,
  to: string,
): Promise<number> {
  const rows: unknown[] = await db('weatherDays')
    .where({ gardenId })
    .whereBetween('day', [from, to]);
  return rows.length - readable(rows, row => WeatherDay.parse(row)).length;
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
