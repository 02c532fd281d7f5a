// npm run screenshots: makes docs/screenshots anew from the demo season, on the production build.
import { mkdirSync, mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { type Browser, chromium } from '@playwright/test';
import { chromiumPath } from './chromium.mjs';
import { demoGarden, open, pathInTrial, whileServing } from './serve-garden';

const OUT = 'docs/screenshots';
const BEANS = 'Do three feeds help dwarf beans?';
const STRAWBERRIES = 'Bark or loam in the troughs, and does either want feeding?';
const ONIONS = 'Do onions want a mulch of straw, in three gardens?';
const DESK = { width: 1280, height: 800 };
const PHONE = { width: 390, height: 844 };

interface Shot {
  readonly file: string;
  readonly trial?: string;
  readonly path: string;
  /** Followed from there. */
  readonly link?: string;
  readonly size?: typeof DESK;
}

const SHOTS: readonly Shot[] = [
  { file: 'today', path: '/' },
  { file: 'trials', path: '/trials' },
  { file: 'ask', trial: BEANS, path: '/ask' },
  { file: 'lay-out', trial: BEANS, path: '/lay-out' },
  { file: 'print', trial: BEANS, path: '/print' },
  { file: 'tend', trial: STRAWBERRIES, path: '/tend' },
  { file: 'weigh', trial: STRAWBERRIES, path: '/weigh' },
  { file: 'weigh-phone', trial: STRAWBERRIES, path: '/weigh', size: PHONE },
  { file: 'readings', trial: STRAWBERRIES, path: '/readings' },
  { file: 'walk', trial: STRAWBERRIES, path: '/walk', size: PHONE },
  { file: 'judge', trial: BEANS, path: '/judge' },
  { file: 'judge-firm', trial: BEANS, path: '/judge?page=firm' },
  { file: 'gardens', trial: ONIONS, path: '/gardens/together' },
  { file: 'report', trial: BEANS, path: '/report' },
  { file: 'inspect', trial: STRAWBERRIES, path: '/inspect' },
  { file: 'shelf', path: '/shelf' },
  { file: 'product', path: '/shelf', link: 'Heronsgill feed' },
  { file: 'sums', path: '/shelf/sums' },
];

async function takeShot(
  browser: Browser,
  { file, trial, path, link, size = DESK }: Shot,
): Promise<void> {
  const isPhone = size === PHONE;
  const page = await browser.newPage({
    viewport: size,
    locale: 'en-GB',
    colorScheme: 'light',
    isMobile: isPhone,
    hasTouch: isPhone,
  });
  await open(page, trial ? '/trials' : path);
  if (trial) await open(page, await pathInTrial(page, trial, path));
  if (link) await page.getByRole('link', { name: link }).click();
  await page.waitForTimeout(4000); // the planner’s curve has sharpened by then
  await page.screenshot({ path: join(OUT, `${file}.png`) });
  await page.close();
}

/** `npm run screenshots -- judge walk` takes these two only. */
const wanted = process.argv.slice(2);
const isWanted = ({ file }: Shot): boolean => wanted.length === 0 || wanted.includes(file);

mkdirSync(OUT, { recursive: true });
const folder = mkdtempSync(join(tmpdir(), 'turnspit-shots-'));
const demo = demoGarden(folder);
const browser = await chromium.launch({
  executablePath: chromiumPath(),
  args: ['--no-sandbox', '--disable-gpu'],
});
await whileServing(demo, async () => {
  for (const shot of SHOTS.filter(isWanted)) await takeShot(browser, shot);
});
const empty: Shot = { file: 'empty', path: '/' };
if (isWanted(empty))
  await whileServing(join(folder, 'empty.sqlite'), () => takeShot(browser, empty), '2026-07-18');
await browser.close();
rmSync(folder, { recursive: true, force: true });
