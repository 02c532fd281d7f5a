'use client';

import { bareTemperature, printTemperature } from '@/core/quantity/temperature';
import { alertOf, type WeatherDay } from '@/core/weather/weather-day';
import { useRainWords, useSystem } from '@/features/frame/use-garden-units';
import { Link } from '@/ui/Link';
import { Soft } from '@/ui/Page';

const ALERTS = {
  frost: ' Frost: cover what is tender, and note which were covered.',
  'frost-risk': ' Frost may come near the ground: cover all alike.',
  heat: ' Heat: water all alike, in the evening, and don’t spray in the sun.',
} as const;

/** The last known day's weather in a line. */
export function WeatherWords({ day }: { readonly day: WeatherDay | undefined }) {
  const inRain = useRainWords();
  const system = useSystem();
  if (!day)
    return (
      <Soft>
        <Link href="/weather">No weather is known yet.</Link>
      </Soft>
    );
  const alert = alertOf(day);
  return (
    <Soft>
      <Link href="/weather">
        {bareTemperature(day.tminC, system)} to {printTemperature(day.tmaxC, system)},{' '}
        {day.rainMm < 0.1 ? 'dry' : `${inRain(day.rainMm)} of rain`}
      </Link>
      {day.source === 'stand-in' ? ' (stand-in station, not measured).' : '.'}
      {alert && <b>{ALERTS[alert]}</b>}
    </Soft>
  );
}
