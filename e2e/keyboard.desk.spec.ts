import { expect, test } from './garden-server';
import { askQuestion, benchUnits, dealAndLock } from './trial-steps';

test('the keyboard alone weighs a round, and walks the bench', async ({ page }) => {
  await askQuestion(page, 'Do radishes want feeding at all?');
  await dealAndLock(page, 2);
  const units = await benchUnits(page);
  await page.locator('body').press('4');
  await page.waitForURL(/weigh$/);
  await expect(page.getByLabel('On the scale')).toBeFocused();
  for (const [i, { code }] of units.entries()) {
    await expect(page.getByLabel('Code in hand')).toHaveValue(code);
    await page.keyboard.type(`${150 + 10 * i}`);
    await page.keyboard.press('Enter');
    await expect(page.getByRole('status')).toContainText(`${code}: ${150 + 10 * i} g saved`);
  }
  const first = page.getByRole('button', { name: new RegExp(`^${units[0]?.code},`) });
  await first.focus();
  await page.keyboard.press('ArrowRight');
  await expect(page.getByRole('button', { name: new RegExp(`^${units[1]?.code},`) })).toBeFocused();
  await expect(page.getByLabel('Code in hand')).toHaveValue(units[1]?.code ?? '');
  await page.keyboard.press('5');
  await page.waitForURL(/judge$/);
  await expect(page.getByRole('heading', { level: 2 }).first()).toContainText(/Can’t tell yet|gave/);
});

test('Ctrl+Z takes back the last pick, and leaves a half-written number alone', async ({ page }) => {
  await askQuestion(page, 'Can a slip be undone?');
  await dealAndLock(page, 2);
  const [first] = await benchUnits(page);
  await page.locator('body').press('4');
  await page.waitForURL(/weigh$/);
  await expect(page.getByLabel('On the scale')).toBeFocused();
  await page.keyboard.type('150');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('status')).toContainText(`${first?.code}: 150 g saved`);
  await page.keyboard.type('99');
  await page.keyboard.press('Control+z');
  await expect(page.getByRole('status')).toContainText('150 g saved');
  await page.getByLabel('On the scale').fill('');
  await page.keyboard.press('Control+z');
  await expect(page.getByRole('status')).toHaveText('Undone.');
  await expect(page.locator('dd', { hasText: /^0 of 4/ })).toBeVisible();
});
