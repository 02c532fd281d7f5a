'use server';

import { revalidatePath } from 'next/cache';
import { saveGarden } from '@/service/garden/garden';

/** A public door. @returns the troubles by field; undefined when it was saved */
export async function saveGardenAction(input: unknown) {
  const saved = await saveGarden(input);
  if (!saved.ok) return saved.trouble;
  revalidatePath('/', 'layout');
  return undefined;
}
