import type { Product } from '@/core/materials/product';
import { readProduct } from '@/core/materials/product-form';
import { failure, type Result, success } from '@/core/result';
import type { FieldTroubles } from '@/core/trial/field-troubles';
import { database, inTransaction } from '@/store/database';
import { findProduct, productsOf, putProduct, removeProduct } from '@/store/products';
import { currentGarden } from './garden';
import { newId } from './new-id';

/** What stands on the shelf, by name. */
export async function listProducts(): Promise<readonly Product[]> {
  return productsOf(database(), (await currentGarden()).id);
}

/** Puts a product on the shelf, or changes it. Trials keep the rates they were planned with. */
export async function saveProduct(id: string | null, input: unknown): Promise<Result<Product, FieldTroubles>> {
  const garden = await currentGarden();
  return inTransaction(async db => {
    const standing = id === null ? undefined : await findProduct(db, garden.id, id);
    if (id !== null && !standing) return failure({ name: 'It is not on the shelf any more. Load the page again.' });
    const read = readProduct(input, garden.system, standing?.id ?? newId(), standing?.batches ?? []);
    if (!read.ok) return read;
    await putProduct(db, garden.id, read.value);
    return success(read.value);
  });
}

/** Takes a product off the shelf. Trials that used it still know it. */
export async function takeOffShelf(id: string): Promise<void> {
  const garden = await currentGarden();
  await inTransaction(db => removeProduct(db, garden.id, id));
}
