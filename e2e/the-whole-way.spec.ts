import { expect, test } from './garden-server';
import { askQuestion, benchUnits, confirmed, dealAndLock, goToStep } from './trial-steps';

test('from a question to a verdict, by mouse or by touch', async ({ page, garden: _garden }) => {
  await askQuestion(page, 'Does a feed bring heavier radishes?');
  await dealAndLock(page, 4);
  const units = await benchUnits(page);
  expect(units).toHaveLength(8);
  await goToStep(page, 'Weigh');
  for (const { code, treatment } of units) {
    await expect(page.getByLabel('Code in hand')).toHaveValue(code);
    const base = treatment.startsWith('Heronsgill') ? 200 : 100;
    await page
      .getByLabel('On the scale')
      .fill(`${base + units.findIndex(unit => unit.code === code)} g`);
    await page.getByRole('button', { name: /Save, next pot/ }).click();
    await expect(page.getByRole('status')).toContainText(`${code}: `);
  }
  await expect(page.locator('dd', { hasText: /^8 of 8/ })).toBeVisible();
  await goToStep(page, 'Judge');
  await expect(
    page.getByRole('heading', { name: /Heronsgill feed gave \d+% more radishes than plain water/ }),
  ).toBeVisible();
  await expect(
    page.getByText('All 70 ways to deal the same labels anywhere on the bench.'),
  ).toBeVisible();
  await expect(page.getByRole('cell', { name: 'clearly better', exact: true })).toBeVisible();
});

test('one pot each is a story, not a result', async ({ page }) => {
  await askQuestion(page, 'Two radishes?');
  await dealAndLock(page, 1);
  const units = await benchUnits(page);
  await goToStep(page, 'Weigh');
  for (const { code } of units) {
    await expect(page.getByLabel('Code in hand')).toHaveValue(code);
    await page.getByLabel('On the scale').fill('140');
    await page.getByRole('button', { name: /Save, next pot/ }).click();
    await expect(page.getByRole('status')).toContainText(code);
  }
  await goToStep(page, 'Judge');
  await expect(
    page.getByRole('heading', { name: 'One pot each: a story, not a result.' }),
  ).toBeVisible();
});

test('a blind trial shows no treatment until its key is opened', async ({ page }) => {
  await askQuestion(page, 'Blind radishes?');
  await dealAndLock(page, 3, 'nobody, until the key is opened');
  await goToStep(page, 'Weigh');
  expect(await page.content()).not.toContain('Heronsgill');
  await goToStep(page, 'Judge');
  await expect(page.getByRole('heading', { name: 'The key is shut' })).toBeVisible();
  await confirmed(page, 'Open the key and judge', 'Open it');
  await expect(page.getByRole('heading', { name: 'Nothing to judge yet.' })).toBeVisible();
});

test('a question with gaps says what is missing beside each line, and keeps what was written through a reload', async ({
  page,
  openPage,
}) => {
  await openPage('/trials/new?from=scratch');
  await page.getByLabel('The question').fill('Half a question');
  await page.getByRole('textbox', { name: 'From', exact: true }).fill('1900-05-01');
  await page.getByRole('button', { name: 'Save and lay it out' }).click();
  await expect(page.getByText('Say what grows in it.')).toBeVisible();
  await expect(page.getByText('1900-05-01 is long past. Write a date from 1990 on.')).toBeVisible();
  await page.reload();
  await expect(page.getByLabel('The question')).toHaveValue('Half a question');
});
