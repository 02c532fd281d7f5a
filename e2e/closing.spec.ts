import { expect, test } from './garden-server';
import { confirmed, goToStep, verdictPage } from './trial-steps';

test('a pot is left out on record, put back, left out again, and the trial closed with its verdict frozen', async ({
  page,
  lockedTrial,
}) => {
  const { units } = await lockedTrial(
    { question: 'Which pot was knocked over?', each: 3 },
    'weigh',
  );
  for (const [i, { code, treatment }] of units.entries()) {
    await expect(page.getByLabel('Code in hand')).toHaveValue(code);
    await page
      .getByLabel('On the scale')
      .fill(String((treatment.startsWith('Heronsgill') ? 180 : 100) + 3 * i));
    await page.getByRole('button', { name: /^Save/ }).click();
    await expect(page.getByRole('status')).toContainText(`${code}: `);
  }
  await goToStep(page, 'Judge');
  await verdictPage(page, 'What may have spoiled it');
  const code = units[0]?.code ?? '';
  await page.getByRole('button', { name: new RegExp(`^${code},`) }).press('Enter');
  await page.getByText(`Put on record that ${code} is left out`).click();
  await page.getByRole('button', { name: `Leave ${code} out`, exact: true }).click();
  await expect(page.getByText('Say why, so that a reader can judge it.')).toBeVisible();
  await page.getByLabel('Why').fill('Knocked over by the cat.');
  await page.getByLabel('Who says so').fill('Ines');
  await page.getByRole('button', { name: `Leave ${code} out`, exact: true }).click();
  await expect(
    page.getByText(/by Ines, after the first reading: it counts all the same\. Knocked over/),
  ).toBeVisible();
  await expect(page.getByText('With only those that had no mishap:')).toBeVisible();
  await page.getByRole('button', { name: 'Count it again' }).click();
  await expect(page.getByText('Nothing: every pot counts.')).toBeVisible();
  await verdictPage(page, 'Answer');
  await confirmed(page, 'Close the trial', 'Close it');
  await expect(page.getByText(/^Closed and frozen on/)).toBeVisible();
  await expect(page.getByRole('button', { name: 'Close the trial' })).toHaveCount(0);
});

test('in an American garden a bare weight is in ounces, and pounds come back', async ({
  page,
  openPage,
  lockedTrial,
}) => {
  await lockedTrial({ question: 'How many pounds?', each: 2 });
  const weighPage = page.url().replace('lay-out', 'weigh');
  await openPage('/garden');
  await page.getByText('American', { exact: true }).click();
  await page.getByRole('button', { name: 'Save', exact: true }).click();
  await expect(page.getByText('Saved.')).toBeVisible();
  await openPage(weighPage);
  await page.getByLabel('On the scale').fill('21.5');
  await page.getByRole('button', { name: /^Save/ }).click();
  await expect(page.getByRole('status')).toContainText('1 lb 5.5 oz saved');
  await openPage('/garden');
  await page.getByText('British', { exact: true }).click();
  await page.getByRole('button', { name: 'Save', exact: true }).click();
  await expect(page.getByText('Saved.')).toBeVisible();
});
