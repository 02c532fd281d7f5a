import type { Metadata } from 'next';
import { ProductForm } from '@/features/shelf/ProductForm';
import { currentGarden } from '@/service/garden/garden';
import { addProductAction } from '../actions';

export const dynamic = 'force-dynamic';
export const metadata: Metadata = { title: 'A new product' };

export default async function NewProductPage() {
  return (
    <ProductForm
      draftKey="turnspit-new-product"
      saved={null}
      system={(await currentGarden()).system}
      save={addProductAction}
      takeOff={null}
    />
  );
}
