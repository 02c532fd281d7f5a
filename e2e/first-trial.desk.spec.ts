import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { Locator, Page } from '@playwright/test';
import { answered, test as base, expect, freePort, startServer } from './garden-server';
import { benchUnits } from './trial-steps';

// What a first trial may cost, the weights themselves apart.
const MOST_PRESSES = 12;
const MOST_FIELDS = 8;
const MOST_TABS = 60;

/** A garden in which nothing stands yet. */
const test = base.extend<{ readonly emptyGarden: string }>({
  // biome-ignore lint/correctness/noEmptyPattern: Playwright reads from this pattern which fixtures are wanted: none
  emptyGarden: async ({}, use) => {
    const folder = mkdtempSync(join(tmpdir(), 'turnspit-first-'));
    const port = await freePort();
    const server = startServer(join(folder, 'garden.sqlite'), port);
    const url = `http://127.0.0.1:${port}`;
    await answered(url);
    await use(url);
    server.kill('SIGTERM');
    rmSync(folder, { recursive: true, force: true });
  },
});

/** How a hand goes through the application: what it did is counted. */
interface Hand {
  readonly press: (target: Locator) => Promise<void>;
  readonly write: (label: string, words: string) => Promise<void>;
  /** Saves what was written, by the button or by Enter in its line. */
  readonly save: (button: Locator) => Promise<void>;
  /** Turns to a step of the trial, by its link or by its key. */
  readonly step: (name: string, key: string) => Promise<void>;
}

/** From an empty garden to a closed verdict, by the first plan: every pot weighed. */
async function firstTrial(page: Page, hand: Hand): Promise<void> {
  const { press, write, save, step } = hand;
  await press(page.getByRole('link', { name: 'Try one thing beside nothing' }));
  await page.waitForURL(/trials\/new/);
  await write('What grows', 'dwarf beans');
  await write('What is picked', 'beans');
  await save(page.getByRole('button', { name: 'Save and lay it out' }));
  await page.waitForURL(/lay-out$/);
  await press(page.getByRole('button', { name: /^Use this plan/ }).first());
  await press(page.getByRole('button', { name: 'Lock the plan' }));
  await press(page.getByRole('alertdialog').getByRole('button', { name: 'Lock it' }));
  await expect(page.getByRole('heading', { name: 'The plan is locked' })).toBeFocused();
  const units = await benchUnits(page);
  await step('Weigh', '4');
  await page.waitForURL(/weigh$/);
  await weighAll(page, units);
  await press(page.getByRole('link', { name: 'What it says so far' }));
  await page.waitForURL(/judge$/);
  await press(page.getByRole('button', { name: 'Open the key and judge' }));
  await press(page.getByRole('alertdialog').getByRole('button', { name: 'Open it' }));
  await press(page.getByRole('button', { name: 'Close the trial' }));
  await press(page.getByRole('alertdialog').getByRole('button', { name: 'Close it' }));
  await expect(page.getByText(/^Closed and frozen on/)).toBeVisible();
}

async function weighAll(page: Page, units: readonly { readonly code: string }[]): Promise<void> {
  for (const [i, { code }] of units.entries()) {
    await expect(page.getByLabel('Code in hand')).toHaveValue(code);
    await expect(page.getByLabel('On the scale')).toBeFocused();
    await page.keyboard.type(`${100 + 10 * (i % 5)}`);
    await page.keyboard.press('Enter');
    await expect(page.getByRole('status')).toContainText(`${code}: `);
  }
}

async function openGarden(page: Page, url: string): Promise<void> {
  await page.goto(url);
  await page.waitForSelector('html[data-ready]');
}

test('a first trial, by mouse', async ({ page, emptyGarden }) => {
  const done = { presses: 0, fields: 0 };
  const press = async (target: Locator): Promise<void> => {
    done.presses++;
    await target.click();
  };
  await openGarden(page, emptyGarden);
  await firstTrial(page, {
    press,
    write: async (label, words) => {
      done.fields++;
      await page.getByLabel(label, { exact: true }).fill(words);
    },
    save: press,
    step: async name => {
      await press(
        page
          .getByRole('navigation', { name: 'Steps' })
          .getByRole('link', { name: new RegExp(`^${name}`) }),
      );
      await page.getByLabel('On the scale').focus();
    },
  });
  expect(done.presses).toBeLessThanOrEqual(MOST_PRESSES);
  expect(done.fields).toBeLessThanOrEqual(MOST_FIELDS);
});

test('a first trial, by keys alone', async ({ page, emptyGarden }) => {
  let tabs = 0;
  const tabTo = async (target: Locator): Promise<void> => {
    await expect(target).toBeVisible();
    while (!(await target.evaluate(node => node === document.activeElement))) {
      tabs++;
      expect(tabs).toBeLessThanOrEqual(MOST_TABS);
      await page.keyboard.press('Tab');
    }
  };
  const press = async (target: Locator): Promise<void> => {
    await tabTo(target);
    await page.keyboard.press('Enter');
  };
  await openGarden(page, emptyGarden);
  await press(page.getByRole('link', { name: 'Skip to the page' }));
  await firstTrial(page, {
    press,
    write: async (label, words) => {
      await tabTo(page.getByLabel(label, { exact: true }));
      await page.keyboard.type(words);
    },
    save: () => page.keyboard.press('Enter'),
    step: (_name, key) => page.keyboard.press(key),
  });
  expect(tabs).toBeGreaterThan(0);
});
