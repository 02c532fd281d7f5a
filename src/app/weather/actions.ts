'use server';

import { revalidatePath } from 'next/cache';
import { z } from 'zod';
import { isKeeper, KEEPER_ONLY } from '@/app/role';
import { addDays } from '@/core/time/garden-day';
import type { FieldTroubles } from '@/core/trial/forms/field-troubles';
import { weatherSentence } from '@/core/weather/weather-table';
import { today } from '@/service/garden/clock';
import { fetchStandIn, importWeather } from '@/service/garden/weather';

export async function importWeatherAction(csv: unknown): Promise<FieldTroubles | undefined> {
  if (!(await isKeeper())) return { form: KEEPER_ONLY };
  const text = z.string().max(2_000_000).safeParse(csv);
  if (!text.success) return { file: 'That is no table, or one too large.' };
  const taken = await importWeather(text.data);
  if (!taken.ok) return { file: weatherSentence(taken.trouble) };
  revalidatePath('/', 'layout');
  return undefined;
}

export async function fetchStandInAction(): Promise<FieldTroubles | undefined> {
  if (!(await isKeeper())) return { form: KEEPER_ONLY };
  await fetchStandIn(addDays(today(), -29), today());
  revalidatePath('/', 'layout');
  return undefined;
}
