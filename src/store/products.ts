import { Product } from '@/core/trial/model/product';
import type { Database } from '@/store/connection/database';

type Row = Readonly<Record<string, unknown>>;

const productOf = (row: Row): Product => Product.parse(JSON.parse(String(row.facts)));

/** The shelf of a garden, by name. What was taken off stays known to trials that used it. */
export async function productsOf(
  db: Database,
  gardenId: string,
  withRemoved = false,
): Promise<readonly Product[]> {
  const rows: readonly Row[] = await db('products')
    .where({ gardenId, ...(withRemoved ? {} : { isRemoved: false }) })
    .orderBy(['name', 'id']);
  return rows.map(productOf);
}

export async function findProduct(
  db: Database,
  gardenId: string,
  id: string,
): Promise<Product | undefined> {
  const row: Row | undefined = await db('products').where({ gardenId, id }).first();
  return row && productOf(row);
}

/** Adds a product, or puts it in place of itself. */
export async function putProduct(db: Database, gardenId: string, product: Product): Promise<void> {
  const facts = JSON.stringify(product);
  await db('products')
    .insert({ id: product.id, gardenId, name: product.name, facts, isRemoved: false })
    .onConflict('id')
    .merge(['name', 'facts', 'isRemoved']);
}

export async function deleteProduct(db: Database, gardenId: string, id: string): Promise<void> {
  await db('products').where({ gardenId, id }).update({ isRemoved: true });
}
