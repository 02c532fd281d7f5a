import papaparse from 'papaparse';
import { failure, type Result, success } from '@/core/result';
import { addDays } from '@/core/time/garden-day';
import type { WeatherDay } from '@/core/weather/weather-day';
import { readWeatherTable, type WeatherTrouble } from '@/core/weather/weather-table';
import { standInStation } from '@/devices/weather-stand-in';
import { database, inTransaction } from '@/store/connection/database';
import { putWeather, unreadWeather, weatherBetween } from '@/store/weather';
import { today } from './clock';
import { currentGarden } from './garden';

const LARGEST_FILE = 2_000_000;

/** The garden's weather of the days before today, and today. */
export async function recentWeather(days: number): Promise<readonly WeatherDay[]> {
  return weatherOf(addDays(today(), 1 - days), today());
}

/** How many of the same days are damaged in the data file. */
export async function unreadDays(days: number): Promise<number> {
  const { id } = await currentGarden();
  return unreadWeather(database(), id, addDays(today(), 1 - days), today());
}

export async function weatherOf(from: string, to: string): Promise<readonly WeatherDay[]> {
  return weatherBetween(database(), (await currentGarden()).id, from, to);
}

/** Takes a station's table, all of it or nothing. */
export async function importWeather(csv: string): Promise<Result<number, WeatherTrouble>> {
  const table = papaparse.parse<Record<string, string>>(csv.slice(0, LARGEST_FILE), {
    header: true,
    skipEmptyLines: 'greedy',
  });
  const read = readWeatherTable(table.meta.fields ?? [], table.data);
  if (!read.ok) return failure(read.trouble);
  const garden = await currentGarden();
  await inTransaction(db => putWeather(db, garden.id, read.value));
  return success(read.value.length);
}

/** Asks the stand-in station for a stretch of days; days of a file stay as they are. */
export async function fetchStandIn(from: string, to: string): Promise<number> {
  const garden = await currentGarden();
  const days = await standInStation(
    garden.latitude,
    Math.round((garden.latitude + 90) * 1000),
  ).days(from, to);
  return inTransaction(async db => {
    const known = new Set(
      (await weatherBetween(db, garden.id, from, to))
        .filter(day => day.source === 'file')
        .map(day => day.day),
    );
    const fresh = days.filter(day => !known.has(day.day));
    await putWeather(db, garden.id, fresh);
    return fresh.length;
  });
}
