import { expect, test } from './garden-server';

test('the bench is arranged by keys alone, and says what would stand on what', async ({
  page,
  askedTrial,
}) => {
  await askedTrial('Stood as it stands?');
  await page.getByRole('button', { name: 'Deal', exact: true }).click();
  await expect(page.getByText(/Dealt once/)).toBeVisible();
  const arrange = page.getByRole('button', { name: 'Arrange it as it stands' });
  await arrange.focus();
  await page.keyboard.press('Enter');
  const shelf = page.getByRole('button', { name: /^shelf 6,/ });
  await shelf.focus();
  const before = await shelf.getAttribute('aria-label');
  await page.keyboard.press('Shift+ArrowDown');
  await expect(shelf).not.toHaveAttribute('aria-label', before ?? '');
  await shelf.focus();
  await page.keyboard.press('ArrowRight');
  await expect(page.getByText(/^shelf 6: \d+ cm from the left/)).toBeVisible();
  const refused = page.getByText('There it would stand on shelf 1.');
  await page.getByRole('button', { name: /^shelf 3,/ }).focus();
  await expect(async () => {
    await page.keyboard.press('Shift+ArrowUp');
    await expect(refused).toBeVisible({ timeout: 1000 });
  }).toPass();
});

test('a shelf is dragged to where it stands', async ({ page, isMobile, askedTrial }) => {
  await askedTrial('Dragged?');
  await page.getByRole('button', { name: 'Deal', exact: true }).click();
  await expect(page.getByText(/Dealt once/)).toBeVisible();
  await page.getByRole('button', { name: 'Arrange it as it stands' }).click();
  const shelf = page.getByRole('button', { name: /^shelf 6,/ });
  const at = await shelf.boundingBox();
  if (!at) throw new Error('the shelf must be seen');
  const [x, y] = [at.x + at.width - 3, at.y + at.height - 3];
  if (isMobile) {
    const pointer = { pointerId: 7, pointerType: 'touch', isPrimary: true, bubbles: true };
    await shelf.evaluate(node => {
      node.setPointerCapture = () => undefined;
    });
    await shelf.dispatchEvent('pointerdown', { ...pointer, clientX: x, clientY: y });
    await shelf.dispatchEvent('pointermove', { ...pointer, clientX: x, clientY: y + 40 });
    await shelf.dispatchEvent('pointerup', { ...pointer, clientX: x, clientY: y + 40 });
  } else {
    await page.mouse.move(x, y);
    await page.mouse.down();
    await page.mouse.move(x, y + 40, { steps: 4 });
    await page.mouse.up();
  }
  await expect(page.getByText(/^shelf 6: \d+ cm from the left/)).toBeVisible();
});

test('a slope is drawn, and the right cut suggested', async ({ page, askedTrial }) => {
  await askedTrial('On a slope?');
  await page.getByText('everyone', { exact: true }).click();
  await page.getByLabel('Of each treatment per block').fill('4');
  await page.getByRole('button', { name: 'Deal', exact: true }).click();
  await expect(page.getByText(/Dealt once/)).toBeVisible();
  await page.getByRole('button', { name: 'Draw it' }).click();
  await expect(page.getByText(/It leans this deal by/)).toBeVisible();
  await expect(page.getByText(/Let the shelves stand as columns/)).toBeVisible();
  await page.getByText('Change how it is laid out').click();
  await page.getByLabel('Blocks stand').selectOption('columns');
  await page.getByRole('button', { name: 'Deal again' }).click();
  await expect(page.getByText(/The shelves take (9\d|100)% of it out/)).toBeVisible();
  await page.getByRole('button', { name: /Take out slope/ }).click();
  await expect(page.getByText(/It leans this deal by/)).toHaveCount(0);
});
