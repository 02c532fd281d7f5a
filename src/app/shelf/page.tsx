import type { Metadata } from 'next';
import { Shelf } from '@/features/shelf/Shelf';
import { listProducts } from '@/service/shelf';

export const dynamic = 'force-dynamic';
export const metadata: Metadata = { title: 'Shelf' };

export default async function ShelfPage() {
  return <Shelf products={await listProducts()} />;
}
