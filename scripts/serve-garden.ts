import { spawn, spawnSync } from 'node:child_process';
import { join } from 'node:path';
import type { Page } from '@playwright/test';

const ORIGIN = 'http://127.0.0.1:4397';

/** @returns the data file of a demo season, made in a folder */
export function demoGarden(folder: string): string {
  const file = join(folder, 'demo.sqlite');
  spawnSync(process.execPath, ['node_modules/tsx/dist/cli.mjs', 'src/demo/keep-demo.ts'], {
    stdio: 'inherit',
    env: { ...process.env, TURNSPIT_DATA: file },
  });
  return file;
}

const SERVE = ['node_modules/next/dist/bin/next', 'start', '-H', '127.0.0.1', '-p', '4397'];

/**
 * Serves a data file while the work is done.
 *
 * @param day `2026-07-18`: the server takes that for today; a demo garden has a day of its own
 */
export async function whileServing(
  dataFile: string,
  work: () => Promise<void>,
  day?: string,
): Promise<void> {
  const server = spawn(
    process.execPath,
    day === undefined ? SERVE : ['--import', './scripts/another-day.mjs', ...SERVE],
    { stdio: 'ignore', env: { ...process.env, TURNSPIT_DATA: dataFile, DAY: day } },
  );
  while (
    !(await fetch(ORIGIN).then(
      answer => answer.ok,
      () => false,
    ))
  )
    await new Promise(resolve => setTimeout(resolve, 100));
  await work();
  server.kill();
  await new Promise(resolve => server.on('exit', resolve));
}

/** Opens a page of the served garden and waits until it takes input. */
export async function open(page: Page, path: string): Promise<void> {
  await page.goto(ORIGIN + path);
  await page.waitForSelector('html[data-ready]');
}

/** @returns where a trial's page lies, from the list of trials that stands open: `/judge?page=firm` of the beans */
export async function pathInTrial(page: Page, trial: string, path: string): Promise<string> {
  const href = (await page.getByRole('link', { name: trial }).getAttribute('href')) ?? '';
  return href.replace(/\/[^/]+$/, path);
}
