// npm run browsers: a first trial, a walk with the server gone, and a verdict, in the other engines of Debian's packages.
import type { ChildProcess } from 'node:child_process';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { answered, freePort, startServer } from '../e2e/garden-server';
import { gecko } from './browsers/gecko';
import { type Hand, handOf } from './browsers/hand';
import { webkit } from './browsers/webkit';
import { demoGarden } from './serve-garden';

const ENGINES = { gecko, webkit };
const WALKED = 'What keeps weeds down on the gravel path?';
const JUDGED = 'Do three feeds help dwarf beans?';

/** From an empty garden to a closed verdict, every pot weighed. */
async function firstTrial({ open, press, write, enter, reads, until, text }: Hand, url: string) {
  await open(url);
  await press(/^Try one thing beside nothing/);
  await write('What grows', 'dwarf beans');
  await write('What is picked', 'beans');
  await press('Save and lay it out');
  await press(/^Use this plan/);
  await press('Lock the plan');
  await press('Lock it');
  await reads('The plan is locked');
  await press(/^Weigh/);
  await until(
    'the scale has the focus',
    `document.activeElement?.labels?.[0]?.innerText.trim() === 'On the scale' || document.querySelector('input[name="gross"]')?.focus()`,
  );
  for (let i = 0; !/pots are done/.test(await text()); i++) {
    await enter(String(100 + 10 * (i % 5)));
    await reads(new RegExp(`${100 + 10 * (i % 5)} g saved`));
    await new Promise(resolve => setTimeout(resolve, 150));
  }
  await press('What it says so far');
  await press('Open the key and judge');
  await press('Open it');
  await press('Close the trial');
  await press('Close it');
  await reads(/Closed and frozen on/);
}

/** Three stretches are read while the server is gone, and are there when it is back. */
async function walkWithoutServer(hand: Hand, url: string, turn: (isOn: boolean) => Promise<void>) {
  const { open, press, reads, until } = hand;
  await open(`${url}/trials`);
  await press(WALKED);
  await reads('Walk round');
  await press('Walk round');
  await reads(/Next/);
  await until(
    'the page is kept for offline',
    `navigator.serviceWorker.ready.then(() => true).catch(() => false) && navigator.serviceWorker.controller !== null`,
  );
  await turn(false);
  for (const figure of ['1', '2', '3']) {
    await press(figure);
    await press(/^Next/);
  }
  await reads(/3 .*(wait|not sent|kept)/i);
  await turn(true);
  await until('all is sent', `!/(wait|not sent)/i.test(document.querySelector('main').innerText)`);
}

async function verdict({ open, press, reads }: Hand, url: string) {
  await open(`${url}/trials`);
  await press(JUDGED);
  await press(/^Judge/);
  await reads('Heronsgill feed gave 49% more beans');
  await press('How firm');
  await reads('Analysis of variance');
}

async function inGarden(
  dataFile: string,
  work: (url: string, turn: (isOn: boolean) => Promise<void>) => Promise<void>,
) {
  const port = await freePort();
  const url = `http://127.0.0.1:${port}`;
  let server: ChildProcess = startServer(dataFile, port);
  await answered(url);
  const turn = async (isOn: boolean): Promise<void> => {
    if (isOn) {
      server = startServer(dataFile, port);
      await answered(url);
      return;
    }
    server.kill('SIGTERM');
    await new Promise(resolve => server.on('exit', resolve));
  };
  try {
    await work(url, turn);
  } finally {
    await turn(false);
  }
}

const wanted = process.argv.slice(2);
let failed = 0;
for (const [key, start] of Object.entries(ENGINES)) {
  if (wanted.length > 0 && !wanted.includes(key)) continue;
  const folder = mkdtempSync(join(tmpdir(), 'turnspit-browsers-'));
  const demo = demoGarden(folder);
  const engine = await start();
  const hand = handOf(engine);
  const step = async (name: string, work: () => Promise<void>): Promise<void> => {
    try {
      await work();
      console.log(`${engine.name}: ${name}: done`);
    } catch (error) {
      failed++;
      const seen = await hand.text().catch(() => '');
      console.log(`${engine.name}: ${name}: ${String(error)}\n${seen.slice(0, 1500)}`);
    }
  };
  await step('a first trial', () =>
    inGarden(join(folder, 'empty.sqlite'), url => firstTrial(hand, url)),
  );
  await step('a verdict', () => inGarden(demo, url => verdict(hand, url)));
  await step('a walk with the server gone', () =>
    inGarden(demo, (url, turn) => walkWithoutServer(hand, url, turn)),
  );
  await engine.quit();
  rmSync(folder, { recursive: true, force: true });
}
process.exit(failed > 0 ? 1 : 0);
