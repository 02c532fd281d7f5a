import { dataFileSentence, startStore } from '@/service/garden/start';

/** Opens the data or ends the server: one that went on without its data would answer every page with an error. */
export async function startServer(): Promise<void> {
  const started = await startStore();
  if (started.ok) return;
  process.stderr.write(`${dataFileSentence(started.trouble)}\n`);
  process.exit(1);
}
