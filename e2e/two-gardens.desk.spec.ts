import { mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { Page } from '@playwright/test';
import { expectAccessible } from './accessible';
import {
  answered,
  type BenchUnit,
  test as base,
  expect,
  freePort,
  startServer,
} from './garden-server';
import { benchUnits, confirmed } from './trial-steps';

/** Another installation, with nothing between the two but files. */
const test = base.extend<{ readonly other: string; readonly folder: string }>({
  // biome-ignore lint/correctness/noEmptyPattern: Playwright reads from this pattern which fixtures are wanted: none
  folder: async ({}, use) => {
    const folder = mkdtempSync(join(tmpdir(), 'turnspit-two-'));
    await use(folder);
    rmSync(folder, { recursive: true, force: true });
  },
  other: async ({ folder }, use) => {
    const port = await freePort();
    const server = startServer(join(folder, 'garden.sqlite'), port);
    const url = `http://127.0.0.1:${port}`;
    await answered(url);
    await use(url);
    server.kill('SIGTERM');
  },
});

async function open(page: Page, url: string): Promise<void> {
  await page.goto(url);
  await page.waitForSelector('html[data-ready]');
}

/** Weighs every pot once and closes the trial. @param lost the code of a pot that is skipped */
async function weighAndClose(
  page: Page,
  trial: string,
  units: readonly BenchUnit[],
  grams: (unit: BenchUnit, nth: number) => number,
): Promise<void> {
  await open(page, `${trial}/weigh`);
  await page.getByLabel('On the scale').focus();
  for (const [nth, unit] of units.entries()) {
    await expect(page.getByLabel('Code in hand')).toHaveValue(unit.code);
    await page.keyboard.type(`${grams(unit, nth)}`);
    await page.keyboard.press('Enter');
    await expect(page.getByRole('status')).toContainText(`${unit.code}: `);
  }
  await open(page, `${trial}/judge`);
  const key = page.getByRole('button', { name: 'Open the key and judge' });
  if (await key.isVisible()) await confirmed(page, 'Open the key and judge', 'Open it');
  await confirmed(page, 'Close the trial', 'Close it');
  await expect(page.getByText(/^Closed and frozen on/)).toBeVisible();
}

async function saved(page: Page, press: () => Promise<void>, as: string): Promise<string> {
  const [download] = await Promise.all([page.waitForEvent('download'), press()]);
  await download.saveAs(as);
  return download.suggestedFilename();
}

const dayOf = (moment: Date): string => moment.toISOString().slice(0, 10);

const level = ({ treatment }: BenchUnit, control: number, feed: number): number =>
  treatment === 'plain water' ? control : feed;

test('one garden makes the plan, another runs it by its own lot, and both are judged together', async ({
  page,
  lockedTrial,
  garden,
  other,
  folder,
}) => {
  test.setTimeout(180_000);
  const { url, units } = await lockedTrial(
    {
      question: 'Does Heronsgill feed help radishes, here and there?',
      each: 3,
    },
    'gardens',
  );
  const [plan, results] = [join(folder, 'plan.json'), join(folder, 'results.json')];
  await page.getByText(/^Say that it is from/).click();
  const name = await saved(
    page,
    () => page.getByRole('link', { name: 'Save the plan' }).click(),
    plan,
  );
  expect(name).toBe('does-heronsgill-feed-help-radishes-here-and-ther-plan.json');
  await page.getByRole('button', { name: 'Note who was given the plan' }).click();
  await page.getByLabel('Garden', { exact: true }).fill('Quarry Lane');
  await page.getByRole('button', { name: 'Put on the list' }).click();
  await expect(page.getByRole('row', { name: /Quarry Lane/ })).toContainText('nothing yet');
  expect(readFileSync(plan, 'utf8')).not.toContain(units[0]?.code ?? 'no unit');

  // The other garden: its own deal, codes and weights.
  await open(page, `${other}/trials`);
  await page.locator('input[type=file]').first().setInputFiles(plan);
  await page.waitForURL(/\/ask$/);
  const there = page.url().replace(/\/ask$/, '');
  await page.waitForSelector('html[data-ready]');
  await expect(page.getByText(/^This trial runs by another garden’s plan/)).toBeVisible();
  // Its own days: it begins at once.
  const now = new Date();
  await page.getByLabel('From', { exact: true }).fill(dayOf(now));
  await page
    .getByLabel('To', { exact: true })
    .fill(dayOf(new Date(now.getTime() + 60 * 86_400_000)));
  await page.getByRole('button', { name: 'Save and lay it out' }).click();
  await page.waitForURL(/lay-out$/);
  await expect(page.getByLabel('Of each treatment')).toHaveValue('3');
  await page.getByText('everyone', { exact: true }).click();
  await page.getByRole('button', { name: 'Deal', exact: true }).click();
  await expect(page.getByText(/Dealt once, /)).toBeVisible();
  await confirmed(page, 'Lock the plan', 'Lock it');
  await expect(page.getByRole('heading', { name: 'The plan is locked' })).toBeVisible();
  const own = await benchUnits(page);
  expect(own).toHaveLength(6);
  await open(page, `${there}/gardens`);
  await expect(page.getByText(/runs by a plan from Cinder Row/)).toBeVisible();
  await expect(page.getByText(/once the trial is closed/)).toBeVisible();
  await weighAndClose(page, there, own, (unit, nth) => level(unit, 200, 240) + (nth % 3));
  await open(page, `${there}/gardens`);
  await expectAccessible(page);
  await page.getByLabel('What the others call this garden').fill('Quarry Lane');
  await page.getByLabel('Its soil').fill('clay');
  await saved(page, () => page.getByRole('link', { name: 'Save the results' }).click(), results);

  // The same plan again is no second trial, and results are no plan.
  await open(page, `${other}/trials`);
  await page.locator('input[type=file]').first().setInputFiles(plan);
  await expect(page.getByText('runs here by that plan already')).toBeVisible();
  await page.locator('input[type=file]').first().setInputFiles(results);
  await expect(page.getByText('Those are a garden’s results.')).toBeVisible();

  // Back: half a file first, then the whole one, then the same again.
  await open(page, `${garden.url}${url}/gardens`);
  const half = join(folder, 'half.json');
  writeFileSync(half, readFileSync(results, 'utf8').slice(0, 900));
  const take = page.locator('input[type=file]');
  await take.setInputFiles(half);
  await expect(page.getByText(/half\.json: The file is cut short/)).toBeVisible();
  await take.setInputFiles(results);
  await expect(page.getByText('Taken in: Quarry Lane.')).toBeVisible();
  await expect(page.getByRole('row', { name: /Quarry Lane/ })).toContainText('6 pots');
  await take.setInputFiles(results);
  await expect(page.getByText('Quarry Lane was in already; nothing changed.')).toBeVisible();

  // Not before its own trial is closed.
  await open(page, `${garden.url}${url}/gardens/together`);
  await expect(page.getByText(/once this trial is closed/)).toBeVisible();
  await weighAndClose(
    page,
    `${garden.url}${url}`,
    units,
    (unit, nth) => level(unit, 100, 120) + (nth % 3),
  );
  await open(page, `${garden.url}${url}/gardens/together`);
  await expect(page.getByText(/Over 2 gardens: \d+% more radishes than plain water/)).toBeVisible();
  await expect(page.getByText('It did better in both.')).toBeVisible();
  await expectAccessible(page);

  // A look without the other garden says that it is one; a reload shows the same.
  await page.getByText('Quarry Lane', { exact: true }).last().click();
  await expect(page.getByText(/^For a look, without Quarry Lane/)).toBeVisible();
  await page.reload();
  await expect(page.getByText(/^For a look, without Quarry Lane/)).toBeVisible();
});

test('a plan goes by square codes alone: read off the page, pasted in any order', async ({
  page,
  lockedTrial,
  other,
}) => {
  const question = 'Does Heronsgill feed help radishes, by codes?';
  await lockedTrial({ question, each: 3 }, 'gardens/codes');
  const codes = page.getByRole('img', { name: /^Square code/ });
  await expect(codes.first()).toBeVisible();
  const pictures: Buffer[] = [];
  for (const code of await codes.all()) pictures.push(await code.screenshot());
  expect(pictures.length).toBeGreaterThan(1);
  await open(page, `${other}/trials`);
  await page.getByRole('button', { name: 'Take a plan in from square codes' }).click();
  const camera = page.locator('input[capture]');
  for (const [i, buffer] of [...pictures].reverse().entries()) {
    await camera.setInputFiles({ name: `code-${i}.png`, mimeType: 'image/png', buffer });
    if (i === 0) await expect(page.getByText(/^Still to be read: /)).toBeVisible();
  }
  await expect(page.getByText('All codes are read.')).toBeVisible();
  await page.getByRole('button', { name: 'Begin the trial' }).click();
  await page.waitForURL(/\/ask$/);
  await expect(page.getByLabel('The question')).toHaveValue(question);
});
