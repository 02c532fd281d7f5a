import { Reading } from '@/core/trial/model/reading';
import type { Database } from '@/store/connection/database';
import { addEntry, currentRows, historyRows } from './revisions';

const readingOf = (row: unknown): Reading => {
  const found = row && typeof row === 'object' ? { ...row } : {};
  return Reading.parse({
    ...found,
    isRemoval: Boolean(Reflect.get(found, 'isRemoval')),
    isRepeat: Boolean(Reflect.get(found, 'isRepeat')),
  });
};

/** A trial's standing readings, oldest first; of some of its measures only where these are named. */
export async function currentReadings(
  db: Database,
  trialId: string,
  measureIds?: readonly string[],
): Promise<readonly Reading[]> {
  return (await currentRows(db, 'readings', trialId, measureIds && { measureId: measureIds })).map(
    readingOf,
  );
}

const LAST_DAYS = 3; // a pot that was skipped on the last day may have been read on one of these

/** Of each measure what stands of its last days before a day, and all of that day: no more is looked at, however long the season was. */
export async function lastReadings(
  db: Database,
  trialId: string,
  day: string,
): Promise<readonly Reading[]> {
  const measureIds: readonly string[] = await db('measures').where({ trialId }).pluck('id');
  const found: Reading[] = [];
  for (const measureId of measureIds) {
    const days: readonly { readonly takenOn: string }[] = await db('readings')
      .where({ measureId })
      .where('takenOn', '<', day)
      .groupBy('takenOn')
      .orderBy('takenOn', 'desc')
      .limit(LAST_DAYS)
      .select('takenOn');
    const rows: readonly unknown[] = await db('readings')
      .leftJoin('readings as later', 'later.supersedes', 'readings.id')
      .where({ 'readings.measureId': measureId, 'readings.isRemoval': false })
      .whereIn('readings.takenOn', [...days.map(each => each.takenOn), day])
      .whereNull('later.id')
      .select('readings.*');
    found.push(...rows.map(readingOf));
  }
  return found;
}

/** What stands of one measure for one part of a unit on one day, second readings left out. */
export async function readingAt(
  db: Database,
  {
    measureId,
    unitId,
    takenOn,
    subsample,
  }: Pick<Reading, 'measureId' | 'unitId' | 'takenOn' | 'subsample'>,
): Promise<Reading | undefined> {
  const row: unknown = await db('readings')
    .leftJoin('readings as later', 'later.supersedes', 'readings.id')
    .where({
      'readings.measureId': measureId,
      'readings.unitId': unitId,
      'readings.takenOn': takenOn,
      'readings.subsample': subsample,
      'readings.isRemoval': false,
      'readings.isRepeat': false,
    })
    .whereNull('later.id')
    .first('readings.*');
  return row === undefined ? undefined : readingOf(row);
}

export async function findReading(
  db: Database,
  trialId: string,
  id: string,
): Promise<Reading | undefined> {
  const row: unknown = await db('readings').where({ id, trialId }).first();
  return row === undefined ? undefined : readingOf(row);
}

/** Every revision of one unit's readings, newest first. */
export async function readingHistory(db: Database, unitId: string): Promise<readonly Reading[]> {
  return (await historyRows(db, 'readings', unitId)).map(readingOf);
}

/** `false` where what it supersedes was revised meanwhile. The same id sent twice changes nothing. */
export function addReading(db: Database, trialId: string, reading: Reading): Promise<boolean> {
  return addEntry(db, 'readings', trialId, reading);
}

const COLUMNS = [
  'id',
  'trialId',
  'unitId',
  'measureId',
  'subsample',
  'takenOn',
  'takenAt',
  'value',
  'outOf',
  'outcome',
  'note',
  'isRepeat',
  'asWritten',
  'device',
  'by',
  'supersedes',
  'isRemoval',
] as const;
const ROWS_AT_ONCE = 100; // of 17 values; longer statements take longer a row

/** Many new readings at once. Knex would join rows by unions, which SQLite ends at 500 and which take twice as long. */
export async function addReadings(
  db: Database,
  trialId: string,
  readings: readonly Reading[],
): Promise<void> {
  for (let from = 0; from < readings.length; from += ROWS_AT_ONCE) {
    const rows = readings.slice(from, from + ROWS_AT_ONCE);
    const values = rows.map(() => `(${COLUMNS.map(() => '?').join(', ')})`).join(', ');
    await db.raw(`insert into ?? (${COLUMNS.map(() => '??').join(', ')}) values ${values}`, [
      'readings',
      ...COLUMNS,
      ...rows.flatMap(reading =>
        COLUMNS.map(column => (column === 'trialId' ? trialId : reading[column])),
      ),
    ]);
  }
}

/** Where something stands already: `measure unit day part`. @param unitId of one unit only: a long trial's whole takes a second */
export async function placesTaken(
  db: Database,
  trialId: string,
  unitId?: string,
): Promise<ReadonlySet<string>> {
  const rows: readonly Pick<Reading, 'measureId' | 'unitId' | 'takenOn' | 'subsample'>[] = await db(
    'readings',
  )
    .leftJoin('readings as later', 'later.supersedes', 'readings.id')
    .where({
      'readings.trialId': trialId,
      'readings.isRemoval': false,
      'readings.isRepeat': false,
      ...(unitId === undefined ? {} : { 'readings.unitId': unitId }),
    })
    .whereNull('later.id')
    .select('readings.measureId', 'readings.unitId', 'readings.takenOn', 'readings.subsample');
  return new Set(
    rows.map(
      ({ measureId, unitId, takenOn, subsample }) =>
        `${measureId} ${unitId} ${takenOn} ${subsample}`,
    ),
  );
}

/** What stands of one import or device. */
export async function readingsOfDevice(
  db: Database,
  trialId: string,
  device: string,
): Promise<readonly Reading[]> {
  const rows: readonly unknown[] = await db('readings')
    .leftJoin('readings as later', 'later.supersedes', 'readings.id')
    .where({ 'readings.trialId': trialId, 'readings.device': device, 'readings.isRemoval': false })
    .whereNull('later.id')
    .select('readings.*');
  return rows.map(readingOf);
}

/** Which of some units stand in a trial. */
export async function unitIdsOf(db: Database, trialId: string): Promise<ReadonlySet<string>> {
  const ids: readonly string[] = await db('units').where({ trialId }).pluck('id');
  return new Set(ids);
}
