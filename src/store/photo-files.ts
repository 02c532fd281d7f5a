import { mkdir, readFile, rename, rm, writeFile } from 'node:fs/promises';
import { dirname, join } from 'node:path';
import { dataFile } from '@/store/connection/database';
import { driverCode } from '@/store/connection/driver-code';

/** The two sizes in which a picture is kept. */
export type PhotoSize = 'large' | 'small';

/** Beside the database, one folder a trial: a backup of the folder holds both. Ids are checked before they get here. */
function pathOf(trialId: string, photoId: string, size: PhotoSize): string {
  return join(dirname(dataFile()), 'photos', trialId, `${photoId}.${size}.jpg`);
}

/** Writes a picture, whole or not at all. */
export async function keepPhotoFile(
  trialId: string,
  photoId: string,
  size: PhotoSize,
  jpeg: Uint8Array,
): Promise<void> {
  const path = pathOf(trialId, photoId, size);
  await mkdir(dirname(path), { recursive: true });
  await writeFile(`${path}.part`, jpeg);
  await rename(`${path}.part`, path);
}

/** @returns undefined where the file is gone */
export async function readPhotoFile(
  trialId: string,
  photoId: string,
  size: PhotoSize,
): Promise<Uint8Array<ArrayBuffer> | undefined> {
  try {
    return new Uint8Array(await readFile(pathOf(trialId, photoId, size)));
  } catch (error) {
    if (driverCode(error) === 'ENOENT') return undefined;
    throw error;
  }
}

/** All pictures of a trial. */
export async function removePhotosOf(trialId: string): Promise<void> {
  await rm(join(dirname(dataFile()), 'photos', trialId), { recursive: true, force: true });
}

export async function removePhotoFiles(trialId: string, photoId: string): Promise<void> {
  for (const size of ['large', 'small'] as const)
    await rm(pathOf(trialId, photoId, size), { force: true });
}
