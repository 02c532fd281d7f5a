import { type Incident, Incident as IncidentSchema } from '@/core/trial/model/incident';
import { type Pick, Pick as PickSchema } from '@/core/trial/model/pick';
import type { Reading } from '@/core/trial/model/reading';
import type { Database } from '@/store/connection/database';
import { addEntry, currentRows, historyRows, trialHistoryRows } from './revisions';

// SQLite gives booleans back as 0 and 1.
const withBooleans = (row: unknown, ...names: readonly string[]): unknown =>
  typeof row === 'object' && row !== null
    ? { ...row, ...Object.fromEntries(names.map(name => [name, Boolean(Reflect.get(row, name))])) }
    : row;

const pickOf = (row: unknown): Pick => PickSchema.parse(withBooleans(row, 'isRemoval'));
const incidentOf = (row: unknown): Incident =>
  IncidentSchema.parse(withBooleans(row, 'isRemoval', 'afterKeyOpened'));

export async function currentPicks(db: Database, trialId: string): Promise<readonly Pick[]> {
  return (await currentRows(db, 'picks', trialId)).map(pickOf);
}

export async function currentIncidents(
  db: Database,
  trialId: string,
): Promise<readonly Incident[]> {
  return (await currentRows(db, 'incidents', trialId)).map(incidentOf);
}

/** Every revision of one unit's picks, newest first. */
export async function pickHistory(db: Database, unitId: string): Promise<readonly Pick[]> {
  return (await historyRows(db, 'picks', unitId)).map(pickOf);
}

/** Every revision of a trial's mishaps, those taken back too, newest first. */
export async function incidentHistory(db: Database, trialId: string): Promise<readonly Incident[]> {
  return (await trialHistoryRows(db, 'incidents', trialId)).map(incidentOf);
}

export async function findPick(
  db: Database,
  trialId: string,
  id: string,
): Promise<Pick | undefined> {
  const row: unknown = await db('picks').where({ id, trialId }).first();
  return row === undefined ? undefined : pickOf(row);
}

/** `false` where what it supersedes was revised meanwhile. */
export function addPick(db: Database, trialId: string, pick: Pick): Promise<boolean> {
  return addEntry(db, 'picks', trialId, pick);
}

/** `false` where what it supersedes was revised meanwhile. */
export function addIncident(db: Database, trialId: string, incident: Incident): Promise<boolean> {
  return addEntry(db, 'incidents', trialId, incident);
}

/** A whole trial's entries at once, as a demo or a file brings them. SQLite takes only so many values a statement. */
export async function addAllEntries(
  db: Database,
  trialId: string,
  entries: {
    readonly picks: readonly Pick[];
    readonly readings: readonly Reading[];
    readonly incidents: readonly Incident[];
  },
): Promise<void> {
  const rowsOf = (of: readonly object[]): Record<string, unknown>[] =>
    of.map(entry => ({ ...entry, trialId }));
  await db.batchInsert('picks', rowsOf(entries.picks), 50);
  await db.batchInsert('readings', rowsOf(entries.readings), 50);
  await db.batchInsert('incidents', rowsOf(entries.incidents), 50);
}
