import type { Metadata } from 'next';
import { notFound } from 'next/navigation';
import { productDraft } from '@/core/materials/label/product-form';
import { LooseMeasures } from '@/features/shelf/LooseMeasures';
import { Opened } from '@/features/shelf/Opened';
import { ProductForm } from '@/features/shelf/ProductForm';
import { StepUp } from '@/features/shelf/StepUp';
import { today } from '@/service/garden/clock';
import { currentGarden } from '@/service/garden/garden';
import { listProducts } from '@/service/garden/shelf';
import {
  changeProductAction,
  openBatchAction,
  stepUpAction,
  takeOffAction,
  weighLooseAction,
} from '../actions';

export const dynamic = 'force-dynamic';
export const metadata: Metadata = { title: 'Product' };

export default async function ProductPage({
  params,
}: {
  readonly params: Promise<{ readonly productId: string }>;
}) {
  const { productId } = await params;
  const product = (await listProducts()).find(each => each.id === productId);
  if (!product) notFound();
  const isSpray =
    product.form === 'spray-concentrate' ||
    product.form === 'ready-spray' ||
    product.form === 'home-made';
  const { system } = await currentGarden();
  return (
    <ProductForm
      draftKey={`turnspit-product-${product.id}`}
      saved={productDraft(product, system)}
      system={system}
      save={changeProductAction.bind(null, product.id)}
      takeOff={takeOffAction.bind(null, product.id)}
      looseMeasures={product.looseMeasures}
    >
      {isSpray && (
        <StepUp product={product} today={today()} look={stepUpAction.bind(null, product.id)} />
      )}
      <LooseMeasures
        measures={product.looseMeasures}
        isLiquid={
          product.form === 'liquid' ||
          product.form === 'spray-concentrate' ||
          product.form === 'ready-spray'
        }
        weigh={weighLooseAction.bind(null, product.id)}
      />
      <Opened product={product} today={today()} open={openBatchAction.bind(null, product.id)} />
    </ProductForm>
  );
}
