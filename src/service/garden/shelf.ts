import { z } from 'zod';
import { calibrate } from '@/core/materials/dose/measuring-tool';
import { stepUpLadder } from '@/core/materials/dose/strength-ladder';
import { readProduct } from '@/core/materials/label/product-form';
import { failure, type Result, success } from '@/core/result';
import { CalendarDay } from '@/core/time/garden-day';
import { type FieldTroubles, fieldTroublesOf } from '@/core/trial/forms/field-troubles';
import type { Product } from '@/core/trial/model/product';
import { database, inTransaction } from '@/store/connection/database';
import {
  deleteProduct,
  findProduct,
  productsOf,
  putProduct,
  type ReadShelf,
  readShelf,
} from '@/store/products';
import { today } from './clock';
import { currentGarden } from './garden';
import { pressId } from './press-id';

/** What stands on the shelf, by name. */
export async function listProducts(): Promise<readonly Product[]> {
  return productsOf(database(), (await currentGarden()).id);
}

/** What of it can be read, and what can't. */
export async function seenShelf(): Promise<ReadShelf> {
  return readShelf(database(), (await currentGarden()).id);
}

/** Puts a product on the shelf (once, however often the press is sent), or changes it. Trials keep the rates they were planned with. */
export async function saveProduct(
  id: string | null,
  input: unknown,
): Promise<Result<Product, FieldTroubles>> {
  const garden = await currentGarden();
  return inTransaction(async db => {
    const own = id ?? pressId(input);
    const current = await findProduct(db, garden.id, own);
    if (id !== null && !current)
      return failure({ name: 'It is not on the shelf any more. Load the page again.' });
    const read = readProduct(input, garden.system, own, current);
    if (!read.ok) return read;
    await putProduct(db, garden.id, read.value);
    return success(read.value);
  });
}

/** Takes a product off the shelf. Trials that used it still know it. */
export async function removeProduct(id: string): Promise<void> {
  const garden = await currentGarden();
  await inTransaction(db => deleteProduct(db, garden.id, id));
}

const BatchForm = z.object({
  name: z
    .string()
    .trim()
    .min(1, 'Give it a name: bottle 2, the June brew.')
    .max(60, 'At most 60 characters.'),
  openedOn: CalendarDay.refine(day => day <= today(), 'That day is still to come.'),
});

/** Puts a freshly opened bottle, bag or brew of a product on record. What is given from then on comes from it. */
export function openBatch(id: string, input: unknown): Promise<Result<Product, FieldTroubles>> {
  const batchId = pressId(input);
  return changeProduct(id, product => {
    const parsed = BatchForm.safeParse(input);
    if (product.batches.some(batch => batch.id === batchId)) return success(product);
    return parsed.success
      ? success({
          ...product,
          batches: [...product.batches, { id: batchId, madeOn: null, ...parsed.data }],
        })
      : failure(fieldTroublesOf(parsed.error));
  });
}

const LooseForm = z.object({
  name: z
    .string()
    .trim()
    .toLowerCase()
    .min(1, 'Name it: cap, handful, squirt.')
    .max(30, 'At most 30 characters.'),
  of: z.enum(['mass', 'volume']),
  tries: z
    .array(z.number().positive().max(100_000))
    .min(2, 'Weigh at least two, better five.')
    .max(50),
});

/** Puts down what a cap, handful or squirt of a product holds, from some weighings; rates may then count by it. */
export function weighLoose(id: string, input: unknown): Promise<Result<Product, FieldTroubles>> {
  return changeProduct(id, product => {
    const parsed = LooseForm.safeParse(input);
    if (!parsed.success) return failure(fieldTroublesOf(parsed.error));
    const { name, of, tries } = parsed.data;
    const { mean, sd } = calibrate(tries);
    return success({
      ...product,
      looseMeasures: [
        ...product.looseMeasures.filter(each => each.name !== name),
        { name, of, mean, sd, tries: tries.length },
      ].slice(-12),
    });
  });
}

/** Begins to step a new spray up on a few leaves, or puts down what a look at them saw. */
export function stepUp(
  id: string,
  look: 'start' | 'no-harm' | 'harm' | 'known',
): Promise<Result<Product, FieldTroubles>> {
  return changeProduct(id, product => {
    if (look === 'known') return success({ ...product, isKnownHere: !product.isKnownHere });
    if (look === 'start') return success({ ...product, stepUp: { startedOn: today(), looks: [] } });
    const { startedOn, looks } = product.stepUp ?? { startedOn: '', looks: [] };
    const rung = startedOn === '' ? undefined : stepUpLadder(startedOn, looks)[looks.length];
    if (!rung) return failure({ stepUp: 'There is no look to come.' });
    if (rung.lookOn > today()) return failure({ stepUp: `Too early: look on ${rung.lookOn}.` });
    return success({ ...product, stepUp: { startedOn, looks: [...looks, look === 'harm'] } });
  });
}

async function changeProduct(
  id: string,
  change: (product: Product) => Result<Product, FieldTroubles>,
): Promise<Result<Product, FieldTroubles>> {
  const garden = await currentGarden();
  return inTransaction(async db => {
    const current = await findProduct(db, garden.id, id);
    if (!current) return failure({ name: 'It is not on the shelf any more. Load the page again.' });
    const changed = change(current);
    if (changed.ok) await putProduct(db, garden.id, changed.value);
    return changed;
  });
}
