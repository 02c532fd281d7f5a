import { revalidatePath } from 'next/cache';
import { z } from 'zod';
import { currentRole } from '@/app/role';
import { failure, type Result } from '@/core/result';
import type { TrialTrouble } from '@/core/trial/trial-trouble';

const Id = z.uuid();
const Writer = z.string().trim().max(80).catch('');

/**
 * Makes a change to a trial through a public door: anyone who can reach the site can call it with anything, ids included.
 *
 * @param by helpers may walk, weigh and tick, and nothing else
 */
export async function changing<Value>(
  trialId: unknown,
  change: (id: string) => Promise<Result<Value, TrialTrouble>>,
  by: 'keepers' | 'all' = 'keepers',
): Promise<Result<Value, TrialTrouble>> {
  const role = await currentRole();
  if (role === undefined || (by === 'keepers' && role !== 'keeper'))
    return failure({ kind: 'keeper-only' });
  const id = Id.safeParse(trialId);
  if (!id.success) return failure({ kind: 'no-such-trial' });
  const changed = await change(id.data);
  if (changed.ok) revalidatePath('/', 'layout');
  return changed;
}

/** Who made a change, as a browser says it; empty where it says nothing fit to keep. */
export function writerOf(said: unknown): string {
  return Writer.parse(said);
}

/** The same for something of a trial. */
export function changingOne<Value>(
  trialId: unknown,
  otherId: unknown,
  change: (id: string, other: string) => Promise<Result<Value, TrialTrouble>>,
  by: 'keepers' | 'all' = 'keepers',
): Promise<Result<Value, TrialTrouble>> {
  const other = Id.safeParse(otherId);
  return changing(
    trialId,
    async id => (other.success ? change(id, other.data) : failure({ kind: 'changed-meanwhile' })),
    by,
  );
}
