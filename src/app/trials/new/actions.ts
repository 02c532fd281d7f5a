'use server';

import { redirect } from 'next/navigation';
import { isKeeper } from '@/app/role';
import type { TrialTrouble } from '@/core/trial/trial-trouble';
import { askTrial } from '@/service/trial/ask';

/** A public door. Goes on to Lay out; @returns the trouble where there is one */
export async function askAction(input: unknown): Promise<TrialTrouble | undefined> {
  if (!(await isKeeper())) return { kind: 'keeper-only' };
  const asked = await askTrial(input);
  if (!asked.ok) return asked.trouble;
  redirect(`/trials/${asked.value.id}/lay-out`);
}
