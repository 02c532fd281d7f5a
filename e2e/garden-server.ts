import { type ChildProcess, spawn, spawnSync } from 'node:child_process';
import { cpSync, mkdtempSync, rmSync } from 'node:fs';
import { createServer } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { test as base, type Page } from '@playwright/test';
import { takeTrialIn } from '@/service/files/whole-trials';
import { listTrials } from '@/service/trial/trials';
import { DATA_FILE, DEMO_FOLDER } from './demo-file';
import { lockedRadishes, plannedRadishes, type Radishes } from './radishes';
import { setUpMyself } from './trial-steps';

/** A unit as it stands in walking order. */
export interface BenchUnit {
  readonly code: string;
  readonly treatment: string;
}

/** @param at the step or page of the trial that is opened; Lay out where none is named */
export type LockedTrial = (
  radishes: Radishes,
  at?: string,
) => Promise<{ readonly units: readonly BenchUnit[]; readonly url: string }>;

interface GardenServer {
  readonly url: string;
  /** Of the demo season, by its question. */
  readonly trialId: (question: string) => string;
  readonly dataFile: string;
}

/** A production server of its own for each worker, on a data file of its own that holds the demo season. */
export const test = base.extend<
  {
    readonly openPage: (path: string) => Promise<Page>;
    /** Opens a trial of the demo season at a step or page of it. */
    readonly openTrial: (question: string, at: string) => Promise<Page>;
    /** Puts a locked trial of two treatments into the garden, and opens it at a step. */
    readonly lockedTrial: LockedTrial;
    /** The same trial, asked and not dealt yet, open at Lay out. */
    readonly askedTrial: (question: string) => Promise<void>;
  },
  { readonly garden: GardenServer }
>({
  garden: [
    // biome-ignore lint/correctness/noEmptyPattern: Playwright reads from this pattern which fixtures are wanted: none
    async ({}, use) => {
      const folder = mkdtempSync(join(tmpdir(), 'turnspit-e2e-'));
      const dataFile = join(folder, DATA_FILE);
      cpSync(DEMO_FOLDER, folder, { recursive: true });
      process.env.TURNSPIT_DATA = dataFile; // the service in this process writes where the server reads
      const port = await freePort();
      const server = startServer(dataFile, port);
      const url = `http://127.0.0.1:${port}`;
      await answered(url);
      const demo = new Map((await listTrials()).map(({ trial }) => [trial.question, trial.id]));
      await use({ url, dataFile, trialId: question => known(demo.get(question), question) });
      server.kill('SIGTERM');
      rmSync(folder, { recursive: true, force: true });
    },
    { scope: 'worker' },
  ],
  baseURL: async ({ garden }, use) => {
    await use(garden.url);
  },
  page: async ({ page }, use, testInfo) => {
    const sent: string[] = [];
    page.on('request', request => {
      if (request.method() === 'POST') sent.push(`asked ${request.url()}`);
    });
    page.on('response', response => {
      if (response.request().method() === 'POST')
        sent.push(`${response.status()} ${response.url()}`);
    });
    page.on('pageerror', error => sent.push(error.message));
    await use(page);
    if (testInfo.status !== testInfo.expectedStatus)
      await testInfo.attach('what was sent', { body: sent.join('\n'), contentType: 'text/plain' });
  },
  openTrial: async ({ garden, openPage }, use) => {
    await use((question, at) => openPage(`/trials/${garden.trialId(question)}/${at}`));
  },
  lockedTrial: async ({ openPage }, use) => {
    await use(async (radishes, at = 'lay-out') => {
      const { data, units } = lockedRadishes(radishes);
      await takeIn(data);
      const url = `/trials/${data.trial.id}`;
      await openPage(`${url}/${at}`);
      return { units, url };
    });
  },
  askedTrial: async ({ openPage }, use) => {
    await use(async question => {
      const data = plannedRadishes(question);
      await takeIn(data);
      const page = await openPage(`/trials/${data.trial.id}/lay-out`);
      await setUpMyself(page);
    });
  },
  openPage: async ({ page }, use) => {
    await use(async path => {
      await page.goto(path);
      await page.waitForSelector('html[data-ready]');
      return page;
    });
  },
});

function known(id: string | undefined, question: string): string {
  if (id === undefined) throw new Error(`the demo season has no trial “${question}”`);
  return id;
}

async function takeIn(data: unknown): Promise<void> {
  const taken = await takeTrialIn(data);
  if (!taken.ok) throw new Error(JSON.stringify(taken.trouble));
}

/** Puts the demo season into a data file, as `npm run demo` does. */
export function keepDemo(dataFile: string): string {
  const ran = spawnSync(
    process.execPath,
    ['node_modules/tsx/dist/cli.mjs', 'src/demo/keep-demo.ts'],
    { encoding: 'utf8', env: { ...process.env, TURNSPIT_DATA: dataFile } },
  );
  return ran.stdout + ran.stderr;
}

/** A port that nobody listens on. */
export function freePort(): Promise<number> {
  return new Promise((resolve, reject) => {
    const server = createServer();
    server.on('error', reject);
    server.listen(0, '127.0.0.1', () => {
      const address = server.address();
      server.close(() =>
        typeof address === 'object' && address
          ? resolve(address.port)
          : reject(new Error('no port')),
      );
    });
  });
}

/** Starts the built application on a data file. */
export function startServer(dataFile: string, port: number, host = '127.0.0.1'): ChildProcess {
  return spawn(
    process.execPath,
    ['node_modules/next/dist/bin/next', 'start', '-H', host, '-p', String(port)],
    { stdio: 'pipe', env: { ...process.env, TURNSPIT_DATA: dataFile } },
  );
}

export async function answered(url: string): Promise<void> {
  for (let attempt = 0; attempt < 100; attempt++) {
    const answer = await fetch(url).catch(() => undefined);
    if (answer?.ok) return;
    await new Promise(resolve => setTimeout(resolve, 100));
  }
  throw new Error(`the server at ${url} did not answer`);
}

export { expect } from '@playwright/test';
