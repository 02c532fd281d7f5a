'use server';

import { z } from 'zod';
import { isKeeper } from '@/app/role';
import { openTrial } from '@/core/blinding/seen-trial';
import { failure, type Result, success } from '@/core/result';
import type { TrialTrouble } from '@/core/trial/trial-trouble';
import { type BenchView, benchViewOf } from '@/features/bench/bench-view';
import { lookAtKey } from '@/service/layout/lay-out';

/** A public door: shows which unit got what, and puts the look in the log. */
export async function showKeyAction(
  trialId: unknown,
): Promise<Result<BenchView | null, TrialTrouble>> {
  if (!(await isKeeper())) return failure({ kind: 'keeper-only' });
  const id = z.uuid().safeParse(trialId);
  const looked = id.success ? await lookAtKey(id.data) : undefined;
  if (!looked) return failure({ kind: 'no-such-trial' });
  return looked.ok ? success(benchViewOf(openTrial(looked.value), true)) : looked;
}
