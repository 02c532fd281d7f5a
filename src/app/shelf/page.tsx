import type { Metadata } from 'next';
import { Shelf } from '@/features/shelf/Shelf';
import { today } from '@/service/garden/clock';
import { seenShelf } from '@/service/garden/shelf';
import { recentWeather } from '@/service/garden/weather';

export const dynamic = 'force-dynamic';
export const metadata: Metadata = { title: 'Shelf' };

export default async function ShelfPage() {
  const weather = await recentWeather(3);
  return (
    <Shelf
      {...(await seenShelf())}
      today={today()}
      warmestC={weather.length === 0 ? undefined : Math.max(...weather.map(day => day.tmaxC))}
    />
  );
}
