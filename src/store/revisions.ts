import type { Database } from '@/store/connection/database';

type EntryTable = 'picks' | 'readings' | 'incidents' | 'careActs';

/**
 * The standing entries of a trial, or of several: those no later revision supersedes, removals left out, oldest first.
 *
 * @param only what else a row must hold, by column
 */
export function currentRows(
  db: Database,
  table: EntryTable,
  trialId: string | readonly string[],
  only: Readonly<Record<string, readonly string[]>> = {},
): Promise<readonly unknown[]> {
  const named = db(table)
    .leftJoin(`${table} as later`, 'later.supersedes', `${table}.id`)
    .whereIn(`${table}.trialId`, [trialId].flat())
    .where({ [`${table}.isRemoval`]: false })
    .whereNull('later.id');
  for (const [column, values] of Object.entries(only)) named.whereIn(`${table}.${column}`, values);
  return Promise.resolve(named.orderBy(`${table}.id`).select(`${table}.*`));
}

/** Every revision of one unit's entries, removed and superseded ones too, newest first. */
export function historyRows(
  db: Database,
  table: EntryTable,
  unitId: string,
): Promise<readonly unknown[]> {
  return Promise.resolve(db(table).where({ unitId }).orderBy('id', 'desc'));
}

const MOST_LINES = 500; // more than anybody reads at once

/** The revisions of a whole trial's entries, removed and superseded ones too, newest first. */
export function trialHistoryRows(
  db: Database,
  table: EntryTable,
  trialId: string,
): Promise<readonly unknown[]> {
  return Promise.resolve(db(table).where({ trialId }).orderBy('id', 'desc').limit(MOST_LINES));
}

/** Adds an entry or a revision. The same id sent twice changes nothing. `false`: what it supersedes was revised meanwhile. */
export async function addEntry(
  db: Database,
  table: EntryTable,
  trialId: string,
  entry: { readonly id: string; readonly supersedes: string | null },
): Promise<boolean> {
  if (entry.supersedes !== null) {
    const later: { id: string } | undefined = await db(table)
      .where({ supersedes: entry.supersedes })
      .first('id');
    if (later) return later.id === entry.id;
  }
  await db(table)
    .insert({ ...entry, trialId })
    .onConflict('id')
    .ignore();
  return true;
}
