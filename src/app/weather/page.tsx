import type { Metadata } from 'next';
import { Weather } from '@/features/weather/Weather';
import { currentGarden } from '@/service/garden/garden';
import { recentWeather, unreadDays } from '@/service/garden/weather';
import { fetchStandInAction, importWeatherAction } from './actions';

export const dynamic = 'force-dynamic';
export const metadata: Metadata = { title: 'Weather' };

const SHOWN_DAYS = 30;

export default async function WeatherPage() {
  const { latitude, altitudeM } = await currentGarden();
  return (
    <Weather
      days={await recentWeather(SHOWN_DAYS)}
      unread={await unreadDays(SHOWN_DAYS)}
      latitude={latitude}
      altitudeM={altitudeM}
      importCsv={importWeatherAction}
      fetchStandIn={fetchStandInAction}
    />
  );
}
