import type { Page } from '@playwright/test';
import { expectAccessible, expectAccessibleHoweverSeen } from './accessible';
import { expect, test } from './garden-server';
import { BEANS } from './views';

/** However the dialog is seen; then it goes by Escape, and the focus is where it came from. */
async function expectGoodDialog(page: Page, name: string, from: string): Promise<void> {
  await expect(page.getByRole('dialog').or(page.getByRole('alertdialog'))).toHaveAccessibleName(
    name,
  );
  await expectAccessibleHoweverSeen(page);
  await page.keyboard.press('Escape');
  await expect(page.getByRole('dialog').or(page.getByRole('alertdialog'))).toHaveCount(0);
  await expect(page.getByRole('button', { name: from }).first()).toBeFocused();
}

test('what finds things, and what asks before the demo’s day is left', async ({
  page,
  openPage,
}) => {
  await openPage('/');
  await page.getByRole('button', { name: 'Find' }).click();
  await expectGoodDialog(page, 'Find', 'Find');
  await openPage('/garden');
  await page.getByRole('button', { name: 'Go by the real date' }).click();
  await expectGoodDialog(page, 'Go by the real date?', 'Go by the real date');
});

test('what asks before a plan is locked, and before a key is opened and a trial is closed', async ({
  page,
  askedTrial,
  lockedTrial,
}) => {
  await askedTrial('Which dialogs ask?');
  await page.getByRole('button', { name: 'Deal', exact: true }).click();
  await expect(page.getByText(/Dealt once, /)).toBeVisible();
  await page.getByRole('button', { name: 'Lock the plan' }).click();
  await expectGoodDialog(page, 'Lock the plan?', 'Lock the plan');
  await lockedTrial({ question: 'Which keys ask?', each: 3, isBlind: true }, 'judge');
  await page.getByRole('button', { name: 'Open the key and judge' }).click();
  await expectGoodDialog(page, 'Open the key?', 'Open the key and judge');
  await lockedTrial({ question: 'Which ends ask?', each: 3 }, 'judge');
  await page.getByRole('button', { name: 'Close the trial' }).click();
  await expectGoodDialog(page, 'Close the trial?', 'Close the trial');
});

test('what asks twice before a trial is deleted', async ({ page, openPage, lockedTrial }) => {
  await lockedTrial({ question: 'Which trial goes?', each: 2 }, 'ask');
  await openPage('/trials');
  await page.getByRole('button', { name: 'Put away: Which trial goes?' }).click();
  await page.getByRole('button', { name: /^Put away, \d+$/ }).click();
  const deletes = page.getByRole('button', { name: 'Delete: Which trial goes?' });
  await deletes.click();
  await expectGoodDialog(page, 'Delete this trial?', 'Delete: Which trial goes?');
  await deletes.click();
  await page.getByRole('button', { name: 'Go on' }).click();
  await expectGoodDialog(page, 'Really delete it?', 'Delete: Which trial goes?');
  await expect(page.getByRole('link', { name: BEANS })).toBeVisible();
});

test('the calendar of a date, by keys', async ({ page, openTrial }) => {
  await openTrial('Bark or loam in the troughs, and does either want feeding?', 'readings');
  await page
    .getByRole('button', { name: /calendar/i })
    .first()
    .click();
  await expect(page.getByRole('dialog')).toBeVisible();
  await expectAccessibleHoweverSeen(page);
  await page.keyboard.press('Escape');
  await expect(page.getByRole('dialog')).toHaveCount(0);
});

test('a long list that is typed in: by keys, and gone by Escape', async ({ page, openPage }) => {
  await openPage('/trials/new?from=scratch');
  await page.getByLabel('Main measure').selectOption('Something read off the plants');
  const line = page.getByRole('combobox', { name: 'What is read' });
  await line.click();
  await line.pressSequentially('slug');
  await expect(page.getByRole('option')).toHaveText(['Slugs found']);
  await expectAccessible(page);
  await page.keyboard.press('Escape');
  await expect(page.getByRole('listbox')).toHaveCount(0);
  await expect(line).toBeFocused();
  await line.pressSequentially('slug');
  await page.keyboard.press('ArrowDown');
  await page.keyboard.press('Enter');
  await expect(line).toHaveValue('Slugs found');
});
