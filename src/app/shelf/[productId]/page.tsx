import type { Metadata } from 'next';
import { notFound } from 'next/navigation';
import { productDraft } from '@/core/materials/product-form';
import { ProductForm } from '@/features/shelf/ProductForm';
import { currentGarden } from '@/service/garden';
import { listProducts } from '@/service/shelf';
import { changeProductAction, takeOffAction } from '../actions';

export const dynamic = 'force-dynamic';
export const metadata: Metadata = { title: 'Product' };

export default async function ProductPage({ params }: { readonly params: Promise<{ readonly productId: string }> }) {
  const { productId } = await params;
  const product = (await listProducts()).find(each => each.id === productId);
  if (!product) notFound();
  return <ProductForm saved={productDraft(product)} system={(await currentGarden()).system} save={changeProductAction.bind(null, product.id)} takeOff={takeOffAction.bind(null, product.id)} />;
}
