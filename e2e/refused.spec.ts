import type { Locator, Page } from '@playwright/test';
import { expect, test } from './garden-server';

/** The line has the focus, and nothing lies over it. */
async function expectInHand(line: Locator): Promise<void> {
  await expect(line).toBeFocused();
  await expect(line).toBeInViewport();
  const isOnTop = await line.evaluate(field => {
    const { x, y, width, height } = field.getBoundingClientRect();
    return document.elementFromPoint(x + width / 2, y + height / 2) === field;
  });
  expect(isOnTop).toBe(true);
}

const press = (page: Page, name: string | RegExp): Promise<void> =>
  page.getByRole('button', { name, exact: true }).first().click();

test('a refused product, garden and pack have their first wrong line in hand', async ({
  page,
  openPage,
}) => {
  await openPage('/shelf/new');
  await page.getByLabel('The three numbers').fill('60-30-20');
  await press(page, 'Save');
  await expectInHand(page.getByLabel('Name'));
  await openPage('/garden');
  await page.getByLabel('Last frost in spring, usually').fill('02-31');
  await press(page, 'Save');
  await expectInHand(page.getByLabel('Last frost in spring, usually'));
  await openPage('/shelf');
  await page.locator('main a[href^="/shelf/0"]').first().click();
  await press(page, 'Open it');
  await expectInHand(page.getByLabel('A new one'));
});

test('a refused deal, again and again, and a refused change of the locked plan', async ({
  page,
  askedTrial,
  lockedTrial,
}) => {
  await askedTrial('How many of none?');
  await page.getByText('anywhere on the bench', { exact: true }).click();
  const each = page.getByLabel('Of each treatment');
  await each.fill('0');
  await press(page, 'Deal');
  await expectInHand(each);
  await press(page, 'Deal');
  await expectInHand(each);
  await lockedTrial({ question: 'Changed without a reason?', each: 2 });
  await press(page, 'Change something, with a reason');
  await press(page, 'Put it on record');
  await expectInHand(page.getByLabel('What is done from now on'));
});

test('a refused weight has its wrong line in hand, be it the empty container', async ({
  page,
  lockedTrial,
}) => {
  await lockedTrial({ question: 'Weighed in what?', each: 2 }, 'weigh');
  await page.getByLabel('On the scale').fill('120');
  const container = page.getByLabel('Empty container');
  await container.fill('ten');
  await page.getByRole('button', { name: /^Save/ }).first().click();
  await expectInHand(container);
});

test('a wrong reading is told right under its row', async ({ page, openTrial }) => {
  await openTrial('Bark or loam in the troughs, and does either want feeding?', 'readings');
  const cell = page.locator('input[data-at="8 0"]');
  await cell.fill('many');
  await cell.press('Enter');
  const says = page.getByRole('alert').filter({ hasText: '“many” is not a whole count.' });
  await expect(says).toBeInViewport({ ratio: 1 });
  const [told, wrong] = [await says.boundingBox(), await cell.boundingBox()];
  if (!told || !wrong) throw new Error('both must be drawn');
  expect(told.y).toBeGreaterThanOrEqual(wrong.y + wrong.height);
  expect(told.y).toBeLessThan(wrong.y + 2 * wrong.height);
});

test('refused care has its wrong line in hand, and says what is wrong in plain words', async ({
  page,
  openTrial,
}) => {
  const strawberries = 'Bark or loam in the troughs, and does either want feeding?';
  await openTrial(strawberries, 'tend');
  await page.getByRole('button', { name: 'Done differently, or not at all' }).first().click();
  await page.getByLabel('Done on').fill('41 July');
  await page
    .getByRole('button', { name: /: done$/ })
    .first()
    .click();
  await expectInHand(page.getByLabel('Done on'));
  await expect(page.getByText('That is not a day of the calendar.')).toBeVisible();
  await openTrial(strawberries, 'tend?page=plan');
  await press(page, 'Agreed for all alike');
  const mix = page.getByLabel(/^Mix in a/);
  await mix.fill('9 ells');
  await press(page, 'Agree on it');
  await expectInHand(mix);
  await expect(page.getByText('Agreed.', { exact: true })).toHaveCount(0);
  await press(page, 'Plan something');
  await press(page, 'Put it in the plan');
  await expectInHand(page.getByLabel('Why the plan changes'));
});
