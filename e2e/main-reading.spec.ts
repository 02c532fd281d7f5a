import { expectAccessible } from './accessible';
import { expect, test } from './garden-server';
import { benchUnits, confirmed, dealAndLock, findIn, goToStep, verdictPage } from './trial-steps';

test('a question about slugs: counted, judged by counts, closed, and told on Today', async ({
  page,
}) => {
  test.slow();
  await page.goto('/trials/new?from=scratch');
  await page.waitForSelector('html[data-ready]');
  await page.getByLabel('The question').fill('Does grit keep slugs off?');
  await page.getByLabel('What grows').fill('lettuces');
  await page.getByLabel('What is picked').fill('heads');
  await page.getByLabel('Treatment A').fill('nothing');
  await page.getByLabel('Treatment B').fill('grit');
  await page.getByLabel('Main measure').selectOption('Something read off the plants');
  await page.getByRole('button', { name: 'Save and lay it out' }).click();
  await expect(page.getByText('Choose what is read.')).toBeVisible();
  await findIn(page, 'What is read', 'slugs', 'Slugs found');
  await expect(page.getByText(/make “slugs found” at least 15% lower in lettuces/)).toBeVisible();
  await page.getByRole('button', { name: 'Save and lay it out' }).click();
  await page.waitForURL(/lay-out$/);
  await expect(page.getByLabel('Counted on an untreated pot, about')).toHaveValue('10');
  await expect(page.getByText(/a true gain of 15% by grit is seen \d+ times of 100/)).toBeVisible();
  await dealAndLock(page, 4);
  const units = await benchUnits(page);

  await goToStep(page, 'Weigh');
  await expect(
    page.getByText('The question is about slugs found: it is read on the walk round.'),
  ).toBeVisible();
  await page.goto(page.url().replace(/weigh$/, 'readings'));
  await page.waitForSelector('html[data-ready]');
  for (const { code, treatment } of units) {
    const cell = page.getByRole('textbox', { name: new RegExp(`^${code}, `) });
    await cell.fill(treatment === 'grit' ? '1' : '14');
    await cell.press('Enter');
  }
  await page.waitForLoadState('networkidle');
  await goToStep(page, 'Judge');
  await expect(
    page.getByRole('heading', {
      level: 2,
      name: /^Grit gave \d+% fewer slugs found than “nothing”\.$/,
    }),
  ).toBeVisible();
  await expect(page.getByText(/^Counts spread more the more there are of them/)).toBeVisible();
  await expect(
    page.getByText('The trial is still open: this is how it stands today.'),
  ).toBeVisible();
  await verdictPage(page, 'All measures');
  await expect(page.getByRole('row', { name: /^Slugs found/ })).toContainText('the main one');
  await verdictPage(page, 'Answer');
  await expectAccessible(page);
  await confirmed(page, 'Close the trial', 'Close it');
  await expect(page.getByText(/^Closed and frozen on/)).toBeVisible();
  await page.goto('/');
  await expect(
    page.getByRole('link', { name: /^Grit gave \d+% fewer slugs found than “nothing”\.$/ }),
  ).toBeVisible();
});
