import { Product } from '@/core/trial/model/product';
import type { Database } from '@/store/connection/database';
import { type Row, readable } from './rows';

const productOf = (row: Row): Product => Product.parse(JSON.parse(String(row.facts)));

/** The shelf of a garden, by name. What was taken off stays known to trials that used it. */
export async function productsOf(
  db: Database,
  gardenId: string,
  withRemoved = false,
): Promise<readonly Product[]> {
  return (await shelfRows(db, gardenId, withRemoved)).map(productOf);
}

export interface ReadShelf {
  readonly products: readonly Product[];
  /** Those whose data in the file are damaged: they stay as they are. */
  readonly broken: readonly Pick<Product, 'id' | 'name'>[];
}

/** What of a garden's shelf can be read, for lists that must stand though a product can't. */
export async function readShelf(
  db: Database,
  gardenId: string,
  withRemoved = false,
): Promise<ReadShelf> {
  const rows = await shelfRows(db, gardenId, withRemoved);
  const products = readable(rows, productOf);
  const sound = new Set(products.map(product => product.id as string));
  const broken = rows.filter(row => !sound.has(String(row.id)));
  return {
    products,
    broken: broken.map(row => ({ id: String(row.id) as Product['id'], name: String(row.name) })),
  };
}

function shelfRows(db: Database, gardenId: string, withRemoved: boolean): Promise<readonly Row[]> {
  return db('products')
    .where({ gardenId, ...(withRemoved ? {} : { isRemoved: false }) })
    .orderBy(['name', 'id']);
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
