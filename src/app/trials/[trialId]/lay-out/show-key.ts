'use server';

import { z } from 'zod';
import { type BenchView, benchViewOf } from '@/features/bench/bench-view';
import { lookAtKey } from '@/service/layout/lay-out';

/** A public door: shows which unit got what, and puts the look in the log. */
export async function showKeyAction(trialId: unknown): Promise<BenchView | null> {
  const id = z.uuid().safeParse(trialId);
  const looked = id.success ? await lookAtKey(id.data) : undefined;
  return looked?.ok ? benchViewOf(looked.value, true) : null;
}
