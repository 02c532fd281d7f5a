// A production server under torture: started, watched, ended.
import { type ChildProcess, spawn } from 'node:child_process';
import { readFileSync } from 'node:fs';

export interface Served {
  readonly url: string;
  readonly server: ChildProcess;
  /** Resident memory, MB. */
  readonly memory: () => number;
  readonly end: () => Promise<void>;
}

export async function served(file: string, port: number): Promise<Served> {
  const url = `http://127.0.0.1:${port}`;
  if (await isAnswered(url)) throw new Error(`nothing may listen on port ${port} yet`);
  const server = spawn(
    process.execPath,
    ['node_modules/next/dist/bin/next', 'start', '-H', '127.0.0.1', '-p', String(port)],
    { stdio: 'ignore', env: { ...process.env, NODE_ENV: 'production', TURNSPIT_DATA: file } },
  );
  while (!(await isAnswered(url))) await pauseFor(100);
  return {
    url,
    server,
    memory: () =>
      Number(/VmRSS:\s+(\d+)/.exec(readFileSync(`/proc/${server.pid}/status`, 'utf8'))?.[1] ?? 0) /
      1024,
    end: () =>
      new Promise(resolve => {
        server.on('exit', () => resolve());
        server.kill('SIGTERM');
      }),
  };
}

function isAnswered(url: string): Promise<boolean> {
  return fetch(url).then(
    answer => answer.ok,
    () => false,
  );
}

/** Waits until the server has nothing left to do. */
export function pauseFor(ms: number): Promise<void> {
  return new Promise(resolve => setTimeout(resolve, ms));
}
