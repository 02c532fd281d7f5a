'use server';

import { revalidatePath } from 'next/cache';
import { z } from 'zod';
import { addDays } from '@/core/time/garden-day';
import { weatherSentence } from '@/core/weather/weather-table';
import { today } from '@/service/garden/clock';
import { fetchStandIn, importWeather } from '@/service/garden/weather';

export async function importWeatherAction(csv: unknown): Promise<string | null> {
  const text = z.string().max(2_000_000).safeParse(csv);
  if (!text.success) return 'That is no table, or one too large.';
  const taken = await importWeather(text.data);
  if (!taken.ok) return weatherSentence(taken.trouble);
  revalidatePath('/', 'layout');
  return null;
}

export async function fetchStandInAction(): Promise<void> {
  await fetchStandIn(addDays(today(), -29), today());
  revalidatePath('/', 'layout');
}
