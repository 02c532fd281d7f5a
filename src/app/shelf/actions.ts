'use server';

import { revalidatePath } from 'next/cache';
import { redirect } from 'next/navigation';
import { z } from 'zod';
import type { FieldTroubles } from '@/core/trial/field-troubles';
import { saveProduct, takeOffShelf } from '@/service/shelf';

// Public doors: anyone who can reach the site can call them with anything.
const Id = z.uuid();

export async function addProductAction(input: unknown): Promise<FieldTroubles | undefined> {
  const saved = await saveProduct(null, input);
  if (!saved.ok) return saved.trouble;
  revalidatePath('/', 'layout');
  redirect('/shelf');
}

export async function changeProductAction(productId: unknown, input: unknown): Promise<FieldTroubles | undefined> {
  const id = Id.safeParse(productId);
  if (!id.success) return { name: 'It is not on the shelf any more.' };
  const saved = await saveProduct(id.data, input);
  if (!saved.ok) return saved.trouble;
  revalidatePath('/', 'layout');
  return undefined;
}

export async function takeOffAction(productId: unknown): Promise<void> {
  const id = Id.safeParse(productId);
  if (id.success) await takeOffShelf(id.data);
  revalidatePath('/', 'layout');
  redirect('/shelf');
}
