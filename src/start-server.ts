import { keepBackups } from '@/service/files/daily-backups';
import { dataFileName, dataFileSentence, startServing } from '@/service/garden/start';
import { sharingTrouble } from '@/service/sharing/shared';

/** Opens the data or ends the server: one that went on without its data would answer every page with an error. */
export async function startServer(): Promise<void> {
  const trouble = sharingTrouble();
  if (trouble !== undefined) end(trouble);
  try {
    const started = await startServing();
    if (started.ok) keepBackups();
    else end(dataFileSentence(started.trouble));
  } catch (error) {
    end(`The data file ${dataFileName()} could not be opened: ${String(error)}`);
  }
}

function end(sentence: string): never {
  process.stderr.write(`${sentence}\n`);
  process.exit(1);
}
