import type { GardenSource } from '@/core/judge/together/gardens-together';
import { sourcesOfResults } from '@/core/judge/together/take-in-results';
import { protocolOf } from '@/core/trial/shared/protocol';
import { readResults } from '@/core/trial/shared/results-file';
import { instantNow } from '@/service/garden/clock';
import { type Database, database } from '@/store/connection/database';
import { heldFileOf, heldSourcesOf, keepSources } from '@/store/other-gardens';
import { findTrialData } from '@/store/trials';

/** Raised whenever a garden's answer is worked out otherwise, or has more in it: what was kept before is worked out anew. */
const WORKED_OUT_BY = 2;

interface KeptSources {
  readonly workedOutBy: number;
  readonly sources: readonly GardenSource[];
}

/** A garden's answer as it is kept beside its file, so that a hundred of them need no judging anew at every look. */
export function asKept(sources: readonly GardenSource[]): KeptSources {
  return { workedOutBy: WORKED_OUT_BY, sources };
}

/** What gardens sent back, as it is judged together. What an earlier version worked out comes from the file again. */
export async function sentSources(trialId: string): Promise<readonly GardenSource[]> {
  const db = database();
  const held = await heldSourcesOf(db, trialId);
  const all: GardenSource[] = [];
  for (const { gardenId, kept } of held)
    all.push(...(isOfNow(kept) ? kept.sources : await workedOutAnew(db, trialId, gardenId)));
  return all;
}

/** Written by us, never by a hand outside: its version vouches for its shape. */
function isOfNow(kept: unknown): kept is KeptSources {
  return (
    typeof kept === 'object' &&
    kept !== null &&
    'workedOutBy' in kept &&
    kept.workedOutBy === WORKED_OUT_BY
  );
}

async function workedOutAnew(
  db: Database,
  trialId: string,
  gardenId: string,
): Promise<readonly GardenSource[]> {
  const data = await findTrialData(db, trialId);
  const plan = data && protocolOf(data, { garden: '', person: '', madeAt: instantNow() });
  const read = readResults(await heldFileOf(db, trialId, gardenId));
  if (!plan || !read.ok) return [];
  const sources = sourcesOfResults(plan, read.value);
  await keepSources(db, trialId, gardenId, asKept(sources));
  return sources;
}
