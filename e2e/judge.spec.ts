import type { Page } from '@playwright/test';
import { expect, test } from './garden-server';

async function openBeans(page: Page): Promise<void> {
  await page.goto('/trials');
  await page.getByRole('link', { name: 'Do three feeds help dwarf beans?' }).click();
  await page.waitForURL(/judge$/);
  await page.waitForSelector('html[data-ready]');
}

test('the margin can be changed on the page, the verdict follows, and what differs from the plan is said', async ({ page }) => {
  await openBeans(page);
  await expect(page.getByRole('heading', { name: 'Heronsgill feed gave 49% more beans than plain water.' })).toBeVisible();
  await expect(page.getByRole('cell', { name: 'clearly better' })).toBeVisible();
  await page.getByLabel('Worth having, %').fill('40');
  await expect(page.getByRole('cell', { name: 'better', exact: true })).toBeVisible();
  await expect(page.getByText('Not as planned: 40% worth having instead of 15%').first()).toBeVisible();
  await page.getByRole('button', { name: 'Back to the plan' }).click();
  await expect(page.getByRole('cell', { name: 'clearly better' })).toBeVisible();
  await page.getByLabel('Worth having, %').fill('-3');
  await expect(page.getByText('A percentage above zero, or nothing for any difference.')).toBeVisible();
});

test('a pot can be left out for a look, and what is on record as left out shows the verdict with it back in', async ({ page }) => {
  await openBeans(page);
  await expect(page.getByText('Gnawed to the stem by a vole').first()).toBeVisible();
  await expect(page.getByText('With everything back in:')).toBeVisible();
  await page.getByRole('button', { name: /^TL3,/ }).press('Enter');
  await page.getByRole('button', { name: 'Leave TL3 out, for a look' }).click();
  await expect(page.getByText('Not as planned: TL3 left out').first()).toBeVisible();
  await expect(page.getByRole('row', { name: /Heronsgill feed clearly better 6 / })).toBeVisible();
});

test('another measure is marked as found along the way', async ({ page }) => {
  await openBeans(page);
  await page.getByLabel('Measure').selectOption({ label: 'Number of sound pieces' });
  await expect(page.getByText('Number of sound pieces, found along the way').first()).toBeVisible();
  await expect(page.getByText('This was not the main measure before the plan was locked')).toBeVisible();
});

test('the shuffles can be watched falling, and every figure opens to its working', async ({ page }) => {
  await openBeans(page);
  await page.getByRole('button', { name: 'Watch it happen' }).click();
  await expect(page.getByText(/^Deal \d+: the same harvests under these labels/)).toBeVisible();
  await page.getByRole('button', { name: 'Stop watching' }).click();
  await page.getByText('Show the working for Heronsgill feed').click();
  await expect(page.getByText('gap ± critical value × standard error').first()).toBeVisible();
  await page.getByText('Analysis of variance', { exact: true }).click();
  await expect(page.getByRole('cell', { name: 'residual' })).toBeVisible();
});

test('a million shuffles run beside the page, with progress, and can be stopped', async ({ page }) => {
  await openBeans(page);
  await page.getByRole('button', { name: 'A million shuffles' }).click();
  await expect(page.getByText('of 1,000,000 shuffles')).toBeVisible();
  await page.getByRole('button', { name: 'Stop', exact: true }).click();
  await expect(page.getByText('Stopped.')).toBeVisible();
  await page.getByRole('button', { name: 'Run the shuffles' }).click();
  await expect(page.getByText('20,000 random deals of the same labels within the same shelves, seed 4118.')).toBeVisible();
  await page.getByRole('button', { name: 'A million shuffles' }).click();
  await expect(page.getByText('1,000,000 random deals of the same labels within the same shelves, seed 4118.')).toBeVisible({ timeout: 40_000 });
});

test('the frozen sentence stands on Today, and the picks of a closed trial can’t be changed', async ({ page, openPage }) => {
  await openPage('/');
  await expect(page.getByRole('link', { name: 'Heronsgill feed gave 49% more beans than plain water.' })).toBeVisible();
  await openBeans(page);
  await page.getByRole('navigation', { name: 'Steps' }).getByRole('link', { name: 'Weigh' }).click();
  await expect(page.getByText('The trial is closed. Its picks can be looked at, not changed.')).toBeVisible();
});
