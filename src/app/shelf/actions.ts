'use server';

import { revalidatePath } from 'next/cache';
import { redirect } from 'next/navigation';
import { z } from 'zod';
import { isKeeper, KEEPER_ONLY } from '@/app/role';
import type { FieldTroubles } from '@/core/trial/forms/field-troubles';
import { openBatch, removeProduct, saveProduct, stepUp, weighLoose } from '@/service/garden/shelf';

// Public doors: anyone who can reach the site can call them with anything.
const Id = z.uuid();

export async function addProductAction(input: unknown): Promise<FieldTroubles | undefined> {
  if (!(await isKeeper())) return { form: KEEPER_ONLY };
  const saved = await saveProduct(null, input);
  if (!saved.ok) return saved.trouble;
  revalidatePath('/', 'layout');
  redirect('/shelf');
}

export async function changeProductAction(
  productId: unknown,
  input: unknown,
): Promise<FieldTroubles | undefined> {
  if (!(await isKeeper())) return { form: KEEPER_ONLY };
  const id = Id.safeParse(productId);
  if (!id.success) return { name: 'It is not on the shelf any more.' };
  const saved = await saveProduct(id.data, input);
  if (!saved.ok) return saved.trouble;
  revalidatePath('/', 'layout');
  return undefined;
}

export async function openBatchAction(
  productId: unknown,
  input: unknown,
): Promise<FieldTroubles | undefined> {
  if (!(await isKeeper())) return { form: KEEPER_ONLY };
  const id = Id.safeParse(productId);
  const opened = id.success ? await openBatch(id.data, input) : undefined;
  if (opened?.ok) revalidatePath('/', 'layout');
  return opened === undefined
    ? { name: 'It is not on the shelf any more.' }
    : opened.ok
      ? undefined
      : opened.trouble;
}

export async function weighLooseAction(
  productId: unknown,
  input: unknown,
): Promise<FieldTroubles | undefined> {
  if (!(await isKeeper())) return { form: KEEPER_ONLY };
  const id = Id.safeParse(productId);
  const weighed = id.success ? await weighLoose(id.data, input) : undefined;
  if (weighed?.ok) revalidatePath('/', 'layout');
  return weighed === undefined
    ? { name: 'It is not on the shelf any more.' }
    : weighed.ok
      ? undefined
      : weighed.trouble;
}

const Look = z.enum(['start', 'no-harm', 'harm', 'known']);

export async function stepUpAction(
  productId: unknown,
  look: unknown,
): Promise<FieldTroubles | undefined> {
  if (!(await isKeeper())) return { form: KEEPER_ONLY };
  const [id, what] = [Id.safeParse(productId), Look.safeParse(look)];
  const stepped = id.success && what.success ? await stepUp(id.data, what.data) : undefined;
  if (stepped?.ok) revalidatePath('/', 'layout');
  return stepped === undefined
    ? { stepUp: 'It is not on the shelf any more.' }
    : stepped.ok
      ? undefined
      : stepped.trouble;
}

export async function takeOffAction(productId: unknown): Promise<FieldTroubles | undefined> {
  if (!(await isKeeper())) return { form: KEEPER_ONLY };
  const id = Id.safeParse(productId);
  if (id.success) await removeProduct(id.data);
  revalidatePath('/', 'layout');
  redirect('/shelf');
}
