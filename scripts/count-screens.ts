// npm run count: words, fields, tab stops and script (kB, gzip) of every view, as it opens, on the production build and the demo's day.
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { type Browser, chromium } from '@playwright/test';
import { scriptBytes } from '../e2e/script-bytes';
import { VIEWS } from '../e2e/views';
import { chromiumPath } from './chromium.mjs';
import { demoGarden, open, pathInTrial, whileServing } from './serve-garden';

const MOST_WORDS = 400;
const MOST_FIELDS = 12;

interface Count {
  readonly words: number;
  /** Before anything is scrolled. */
  readonly wordsInSight: number;
  /** A choice among several is one. */
  readonly fields: number;
  readonly fieldsInSight: number;
  readonly tabStops: number;
}

/** What is counted on the page, and what its scripts weigh. */
interface Measured extends Count {
  readonly scriptBytes: number;
}

async function countOf(
  browser: Browser,
  { path, trial }: (typeof VIEWS)[number],
): Promise<Measured> {
  const page = await browser.newPage({ viewport: { width: 1280, height: 800 }, locale: 'en-GB' });
  await page.addInitScript('globalThis.__name = named => named'); // what the compiler wraps functions in
  if (trial === undefined) await open(page, path);
  else {
    await open(page, '/trials');
    await open(page, await pathInTrial(page, trial, `/${path}`));
  }
  await page.waitForTimeout(2500); // what comes later has come
  const count = await page.evaluate(counted);
  const bytes = await scriptBytes(page.url());
  await page.close();
  return { ...count, scriptBytes: bytes };
}

/** Runs in the page. Of `main` alone: the rail and the head are the same everywhere. */
function counted(): Count {
  const main = document.querySelector('main') ?? document.body;
  const seen = (selector: string): readonly Element[] =>
    [...main.querySelectorAll(selector)].filter(each => each.checkVisibility());
  const lines = document.createTreeWalker(main, NodeFilter.SHOW_TEXT);
  const [all, inSight] = [[] as string[], [] as string[]];
  for (let node = lines.nextNode(); node; node = lines.nextNode()) {
    const holder = node.parentElement;
    if (!holder?.checkVisibility() || holder.closest('select, svg, [aria-hidden="true"]')) continue;
    const { top, height, width } = holder.getBoundingClientRect();
    if (height <= 1 || width <= 1) continue; // only read out
    const words = node.textContent?.match(/\S+/g) ?? [];
    all.push(...words);
    if (top < innerHeight) inSight.push(...words);
  }
  const fields = seen('input:not([type=hidden]):not([type=file]), select, textarea');
  const isRadio = (field: Element): field is HTMLInputElement =>
    field instanceof HTMLInputElement && field.type === 'radio';
  const choices = (fields: readonly Element[]): number =>
    new Set(fields.map((field, i) => (isRadio(field) ? field.name : i))).size;
  const stops = seen('a[href], button, input:not([type=hidden]), select, textarea, [tabindex]');
  return {
    words: all.length,
    wordsInSight: inSight.length,
    fields: choices(fields),
    fieldsInSight: choices(fields.filter(each => each.getBoundingClientRect().top < innerHeight)),
    tabStops: stops.filter(each => (each as HTMLElement).tabIndex >= 0).length,
  };
}

const folder = mkdtempSync(join(tmpdir(), 'turnspit-count-'));
const demo = demoGarden(folder);
const browser = await chromium.launch({
  executablePath: chromiumPath(),
  args: ['--no-sandbox', '--disable-gpu'],
});
console.log(
  '| View | words | in sight | fields | in sight | tab stops | script, kB |\n|---|---|---|---|---|---|---|',
);
await whileServing(demo, async () => {
  for (const view of VIEWS) {
    const { words, wordsInSight, fields, fieldsInSight, tabStops, ...own } = await countOf(
      browser,
      view,
    );
    const isOver = words > MOST_WORDS || fields > MOST_FIELDS;
    const name = isOver ? `**${view.name}**` : view.name;
    console.log(
      `| ${name} | ${words} | ${wordsInSight} | ${fields} | ${fieldsInSight} | ${tabStops} | ${Math.round(own.scriptBytes / 1000)} |`,
    );
  }
});
await browser.close();
rmSync(folder, { recursive: true, force: true });
