import { failure, type Result } from '@/core/result';
import { GardenId } from '@/core/trial/model/ids';
import {
  checkDataFile,
  checkWritable,
  type DataFileTrouble,
} from '@/store/connection/check-data-file';
import { holdDataFile } from '@/store/connection/data-lock';
import { closeDatabase, database, dataFile } from '@/store/connection/database';
import { migrate } from '@/store/connection/open-safely';
import { addGarden, firstGarden } from '@/store/gardens';
import { keepClock } from './clock';
import { newId } from './new-id';

/** Takes the data file for this server alone, then opens it. */
export async function startServing(): Promise<Result<'migrated', DataFileTrouble>> {
  const writable = checkWritable(dataFile());
  if (!writable.ok) return writable;
  return holdDataFile(dataFile())
    ? await startStore()
    : failure({ kind: 'in-use', file: dataFile() });
}

/** Checks the data file, brings it up to date, and sees that there is a garden. Nothing is written to a file that is not sound. */
export async function startStore(): Promise<Result<'migrated', DataFileTrouble>> {
  const writable = checkWritable(dataFile());
  if (!writable.ok) return writable;
  const checked = checkDataFile(dataFile());
  if (!checked.ok) return checked;
  const migrated = await migrate(database(), dataFile());
  if (migrated.ok && !(await firstGarden(database()))) {
    await addGarden(database(), {
      id: GardenId.parse(newId()),
      name: 'My garden',
      system: 'uk',
      latitude: 51,
      altitudeM: 50,
      lastFrost: null,
      firstFrost: null,
      timeZone: '',
    });
  }
  const garden = migrated.ok ? await firstGarden(database()) : undefined;
  if (garden) keepClock(garden);
  return migrated;
}

/** Ends the connection; a script that did its work ends with it. */
export async function closeStore(): Promise<void> {
  await closeDatabase();
}

/** Where the data lives. */
export function dataFileName(): string {
  return dataFile();
}

/** What stands in the way of opening the data, in plain words. */
export function dataFileSentence(trouble: DataFileTrouble): string {
  const { file } = trouble;
  switch (trouble.kind) {
    case 'damaged':
      return `The data file ${file} is damaged (${trouble.finding}). It was left as it is. Put a backup in its place, or move it aside to begin with an empty one.`;
    case 'newer':
      return `The data file ${file} was made by a newer Turnspit. It was left as it is. Start the newer version.`;
    case 'empty':
      return `The data file ${file} has nothing in it, not even an empty garden: a disk that ran full leaves such a file. Put a backup in its place, or take it away to begin with an empty garden.`;
    case 'foreign':
      return `The file ${file} belongs to another program. It was left as it is. Name another file in TURNSPIT_DATA.`;
    case 'half-restored':
      return `A restore of ${file} was cut off before its end. Run it again, from the same backup.`;
    case 'in-use':
      return `The data file ${file} is in use by a Turnspit that is running. Stop that one first.`;
    case 'unwritable':
      return `The data file ${file} can’t be written (${trouble.finding}). Name another place in TURNSPIT_DATA, or give this one the right to be written.`;
    case 'unreadable':
      return `The data file ${file} can’t be read (${trouble.finding}).`;
  }
}
