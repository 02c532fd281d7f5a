import { Zip, ZipDeflate, ZipPassThrough } from 'fflate';
import { backupFiles, readBackupFile } from '@/store/connection/kept-backups';

/** A backup as a zip file, read and sent piece by piece, pictures as they are. @returns undefined where there is no such backup */
export async function backupZip(name: string): Promise<ReadableStream<Uint8Array> | undefined> {
  const files = await backupFiles(name);
  if (files.length === 0) return undefined;
  return new ReadableStream<Uint8Array>({
    start(controller) {
      const zip = new Zip((error, piece, isLast) => {
        if (error) controller.error(error);
        else controller.enqueue(piece);
        if (isLast) controller.close();
      });
      void addAll(zip, name, files).catch(error => controller.error(error));
    },
  });
}

async function addAll(zip: Zip, name: string, files: readonly string[]): Promise<void> {
  for (const file of files) {
    const entry = file.endsWith('.jpg')
      ? new ZipPassThrough(`${name}/${file}`)
      : new ZipDeflate(`${name}/${file}`);
    zip.add(entry);
    for await (const piece of readBackupFile(name, file)) entry.push(piece, false);
    entry.push(new Uint8Array(0), true);
  }
  zip.end();
}
