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
