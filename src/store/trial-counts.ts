import { z } from 'zod';
import { needsPicks, Scale } from '@/core/trial/model/scale';
import type { Database } from '@/store/connection/database';

const UnitCount = z.object({ trialId: z.string(), units: z.number() });

/** How many units each trial has. */
export async function unitCounts(db: Database): Promise<ReadonlyMap<string, number>> {
  const rows: unknown[] = await db('units')
    .groupBy('trialId')
    .select('trialId')
    .count({ units: '*' });
  return new Map(rows.map(row => UnitCount.parse(row)).map(row => [row.trialId, row.units]));
}

const LastDay = z.object({ trialId: z.string(), day: z.string(), units: z.number() });
export type LastDay = z.infer<typeof LastDay>;

/** The last day on which each trial was picked or read, and how many of its units were. */
export async function lastDays(db: Database): Promise<ReadonlyMap<string, LastDay>> {
  const found = new Map<string, LastDay>();
  for (const [table, day] of [
    ['picks', 'pickedOn'],
    ['readings', 'takenOn'],
  ] as const) {
    const rows: unknown[] = await standing(db, table)
      .groupBy(`${table}.trialId`, `${table}.${day}`)
      .select(`${table}.trialId as trialId`, `${table}.${day} as day`)
      .countDistinct({ units: `${table}.unitId` });
    for (const row of rows.map(each => LastDay.parse(each))) {
      if (row.day > (found.get(row.trialId)?.day ?? '')) found.set(row.trialId, row);
    }
  }
  return found;
}

/** How many units of each trial have at least one standing pick or reading. */
export async function readCounts(db: Database): Promise<ReadonlyMap<string, number>> {
  const counts = new Map<string, number>();
  for (const table of ['picks', 'readings'] as const) {
    const rows: unknown[] = await standing(db, table)
      .groupBy(`${table}.trialId`)
      .select(`${table}.trialId as trialId`)
      .countDistinct({ units: `${table}.unitId` });
    for (const row of rows.map(found => UnitCount.parse(found)))
      counts.set(row.trialId, Math.max(counts.get(row.trialId) ?? 0, row.units));
  }
  return counts;
}

/** Trials whose main measure is read off the plants: it rests on no pick. */
export async function readTrials(db: Database): Promise<ReadonlySet<string>> {
  const rows: readonly { readonly trialId: string; readonly scale: string }[] = await db('measures')
    .where({ isMain: true })
    .whereNotNull('scale')
    .select('trialId', 'scale');
  return new Set(rows.filter(row => !restsOnPicks(row.scale)).map(row => row.trialId));
}

/** A scale that can't be read is one trial's trouble, and not that of the list of all. */
function restsOnPicks(written: string): boolean {
  try {
    const scale = Scale.safeParse(JSON.parse(written));
    return !scale.success || needsPicks(scale.data);
  } catch {
    return true;
  }
}

function standing(db: Database, table: 'picks' | 'readings') {
  return db(table)
    .leftJoin(`${table} as later`, 'later.supersedes', `${table}.id`)
    .where(`${table}.isRemoval`, false)
    .whereNull('later.id');
}
