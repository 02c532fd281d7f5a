'use server';

import { redirect } from 'next/navigation';
import { askTrial } from '@/service/trial/ask';

/** A public door. Goes on to Lay out; @returns the trouble where there is one */
export async function askAction(input: unknown) {
  const asked = await askTrial(input);
  if (!asked.ok) return asked.trouble;
  redirect(`/trials/${asked.value.id}/lay-out`);
}
