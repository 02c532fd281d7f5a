import type { Page } from '@playwright/test';
import { expect, test } from './garden-server';

/**
 * Opens a page over a line so slow that one is done with it before its scripts come: they come when `scriptsCome` is called, and the
 * page takes input then.
 */
async function openSlowly(page: Page, path: string): Promise<() => Promise<void>> {
  let letThrough = (): void => {};
  const isHere = new Promise<void>(resolve => {
    letThrough = resolve;
  });
  await page.route(/\.js(?:\?|$)/, async route => {
    await isHere;
    await route.continue();
  });
  await page.goto(path, { waitUntil: 'commit' });
  return async () => {
    letThrough();
    await page.waitForSelector('html[data-ready]');
  };
}

test('Enter before the page’s scripts are there sends nothing; weight and pieces stay, and are saved', async ({
  page,
  lockedTrial,
}) => {
  const { url, units } = await lockedTrial({ question: 'How slow is the line?', each: 2 }, 'weigh');
  const scriptsCome = await openSlowly(page, `${url}/weigh`);
  await page.getByLabel('Pieces').fill('7');
  await page.getByLabel('On the scale').fill('120');
  await page.getByLabel('On the scale').press('Enter');
  await scriptsCome();
  expect(new URL(page.url()).search).not.toContain('gross');
  await page.getByRole('button', { name: /^Save/ }).click();
  await expect(page.getByRole('status')).toContainText(`${units[0]?.code}: 120 g, 7 `);
});

test('what was asked and chosen before the page’s scripts were there is what is saved', async ({
  page,
}) => {
  const scriptsCome = await openSlowly(page, '/trials/new?from=scratch');
  await page.getByLabel('The question').fill('Does a slow line lose a word?');
  await page.getByLabel('What grows').fill('radishes');
  await page.getByLabel('What is picked').fill('radishes');
  await page.getByLabel('Treatment A').fill('plain water');
  await page.getByLabel('Treatment B').fill('Heronsgill feed');
  await page.getByLabel('Main measure').selectOption('sound-count');
  await scriptsCome();
  await page.getByRole('button', { name: 'Save and lay it out' }).click();
  await page.waitForURL(/lay-out$/);
  await page.goto(page.url().replace(/lay-out$/, 'ask'));
  await page.waitForSelector('html[data-ready]');
  await expect(page.getByLabel('Treatment A')).toHaveValue('plain water');
  await expect(page.getByLabel('Treatment B')).toHaveValue('Heronsgill feed');
  await expect(page.getByLabel('Main measure')).toHaveValue('sound-count');
});

test('a reading that was written in a cell before the page’s scripts were there is sent when one goes on', async ({
  page,
  garden,
}) => {
  const trial = garden.trialId('Bark or loam in the troughs, and does either want feeding?');
  const scriptsCome = await openSlowly(page, `/trials/${trial}/readings`);
  const cell = page.getByRole('textbox', { name: /^JL8,/ }).first();
  const before = await cell.inputValue();
  await cell.fill('104');
  await scriptsCome();
  await expect(cell).toHaveValue('104');
  await cell.press('Enter');
  await expect(cell).toHaveAttribute('data-state', 'saved');
  await page.reload();
  await page.waitForSelector('html[data-ready]');
  await expect(cell).toHaveValue('104');
  // The demo is as it was for whoever comes after.
  await cell.fill(before);
  await cell.press('Enter');
  await expect(cell).toHaveAttribute('data-state', 'saved');
});
