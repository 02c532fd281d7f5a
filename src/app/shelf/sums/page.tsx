import type { Metadata } from 'next';
import { Sums } from '@/features/shelf/sums/Sums';
import { currentGarden } from '@/service/garden/garden';

export const dynamic = 'force-dynamic';
export const metadata: Metadata = { title: 'Mixes and layers' };

export default async function SumsPage() {
  return <Sums system={(await currentGarden()).system} />;
}
