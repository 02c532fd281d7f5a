import type { Metadata } from 'next';
import { Shelf } from '@/features/shelf/Shelf';
import { today } from '@/service/clock';
import { listProducts } from '@/service/shelf';
import { recentWeather } from '@/service/weather';

export const dynamic = 'force-dynamic';
export const metadata: Metadata = { title: 'Shelf' };

export default async function ShelfPage() {
  const weather = await recentWeather(3);
  return (
    <Shelf
      products={await listProducts()}
      today={today()}
      warmestC={weather.length === 0 ? undefined : Math.max(...weather.map(day => day.tmaxC))}
    />
  );
}
