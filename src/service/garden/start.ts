import type { Result } from '@/core/result';
import { GardenId } from '@/core/trial/model/ids';
import { closeDatabase, database, dataFile } from '@/store/connection/database';
import { checkDataFile, type DataFileTrouble, migrate } from '@/store/connection/open-safely';
import { addGarden, firstGarden } from '@/store/gardens';
import { keepTimeZone } from './clock';
import { newId } from './new-id';

/** Checks the data file, brings it up to date, and sees that there is a garden. Nothing is written to a file that is not sound. */
export async function startStore(): Promise<Result<'migrated', DataFileTrouble>> {
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
  if (migrated.ok) keepTimeZone((await firstGarden(database()))?.timeZone ?? '');
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
  switch (trouble.kind) {
    case 'damaged':
      return `The data file ${trouble.file} is damaged (${trouble.finding}). It was left as it is. Put a backup in its place, or move it aside to begin with an empty one.`;
    case 'newer':
      return `The data file ${trouble.file} was made by a newer Turnspit. It was left as it is. Start the newer version.`;
    case 'unreadable':
      return `The data file ${trouble.file} can't be read (${trouble.finding}).`;
  }
}
