import { z } from 'zod';
import { CalendarDay, daysBetween } from '@/core/time/garden-day';

/** One day's weather at the garden. Rain in mm, wind in m/s at 2 m, sun in hours. */
export const WeatherDay = z
  .object({
    day: CalendarDay,
    tmaxC: z.number().min(-60).max(60),
    tminC: z.number().min(-60).max(60),
    rainMm: z.number().min(0).max(1000),
    windMs: z.number().min(0).max(80).nullable(),
    rhMax: z.number().min(0).max(100).nullable(),
    rhMin: z.number().min(0).max(100).nullable(),
    sunHours: z.number().min(0).max(24).nullable(),
    /** The stand-in station, or a file of a real one. */
    source: z.enum(['stand-in', 'file']),
  })
  .readonly()
  .refine(day => day.tminC <= day.tmaxC);
export type WeatherDay = z.infer<typeof WeatherDay>;

const FROST_C = 0;
const FROST_RISK_C = 3; // at 2 m; leaves may freeze while the thermometer shows a few degrees. Common practice, no source
const HEAT_C = 30;

/** What a day's weather asks the gardener to mind. */
export type WeatherAlert = 'frost' | 'frost-risk' | 'heat';

export function alertOf({
  tmaxC,
  tminC,
}: Pick<WeatherDay, 'tmaxC' | 'tminC'>): WeatherAlert | undefined {
  if (tminC <= FROST_C) return 'frost';
  if (tminC <= FROST_RISK_C) return 'frost-risk';
  return tmaxC >= HEAT_C ? 'heat' : undefined;
}

/** Whether rain has washed off what was sprayed: on the day of spraying or the day after. */
export function isWashedOff(
  sprayedOn: CalendarDay,
  byMm: number,
  days: readonly Pick<WeatherDay, 'day' | 'rainMm'>[],
): boolean {
  return days.some(
    ({ day, rainMm }) => [0, 1].includes(daysBetween(sprayedOn, day)) && rainMm >= byMm,
  );
}

/** Water that runs out below a pot: what comes in above what it can hold. @param areaM2 its open top */
export function leachedMl(rainMm: number, areaM2: number, roomMl: number): number {
  return Math.max(0, rainMm * areaM2 * 1000 - roomMl);
}
