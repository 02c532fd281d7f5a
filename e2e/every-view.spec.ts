import { expectAccessible, expectAccessibleHoweverSeen } from './accessible';
import { expect, test } from './garden-server';
import { BEANS, VIEWS } from './views';

for (const { name, path, trial } of VIEWS) {
  test(`axe finds nothing on ${name} in either light and at any width, and nothing sticks out sideways`, async ({
    page,
    openPage,
    openTrial,
  }) => {
    const faults: string[] = [];
    page.on('pageerror', error => faults.push(error.message));
    page.on('console', message => {
      if (message.type() === 'error') faults.push(message.text());
    });
    if (trial === undefined) await openPage(path);
    else await openTrial(trial, path);
    if (path === 'judge?page=firm')
      await expect(page.getByText('Analysis of variance', { exact: true })).toBeVisible(); // its last part
    await expectAccessibleHoweverSeen(page);
    expect(faults).toEqual([]);
  });
}

test('the keys are listed under ?', async ({ page, openPage }) => {
  await openPage('/');
  await page.getByRole('button', { name: 'Keys' }).click();
  await expect(page.getByRole('dialog', { name: 'Keys' })).toBeVisible();
  await expectAccessible(page);
  // Whoever wants none of them shuts them off, and they stay off.
  await page.getByRole('checkbox', { name: 'lead where the list says' }).click();
  await page.getByRole('button', { name: 'Close' }).click();
  await page.reload();
  await page.waitForSelector('html[data-ready]');
  await page.keyboard.press('l');
  await page.keyboard.press('?');
  await expect(page.getByRole('dialog')).toHaveCount(0);
  await page.getByRole('button', { name: 'Keys' }).click();
  await page.getByRole('checkbox', { name: 'lead where the list says' }).click();
  await page.getByRole('button', { name: 'Close' }).click();
  await page.keyboard.press('l');
  await page.waitForURL(/\/trials$/);
});

test('a trial that does not exist says so', async ({ page, openPage }) => {
  await openPage('/trials/019ed9be-0000-7000-8000-000000000000/judge');
  await expect(page.getByRole('heading', { name: 'There is no such page' })).toBeVisible();
});

test('the report as a file has its own fonts, reads well at any width and on paper, and saves its data', async ({
  page,
  garden,
}) => {
  await page.goto(`${garden.url}/api/report/${garden.trialId(BEANS)}`);
  await expect
    .poll(() =>
      page.evaluate(() => [...document.fonts].filter(font => font.status === 'loaded').length),
    )
    .toBe(2);
  await expectAccessible(page);
  await page.setViewportSize({ width: 320, height: 640 });
  await expectAccessible(page);
  const saved = page.waitForEvent('download');
  await page.getByRole('link', { name: 'Save the data this page rests on' }).click();
  expect((await saved).suggestedFilename()).toMatch(/\.json$/);
  await page.emulateMedia({ media: 'print' });
  await expect(page.getByRole('link', { name: 'Save the data' })).toBeHidden();
});

test('while a page is on its way a line says so, and only then', async ({ page, openPage }) => {
  await openPage('/');
  const line = page.locator('[data-on-its-way]');
  await page.route(/\/shelf\?_rsc/, async route => {
    await new Promise(resolve => setTimeout(resolve, 1500));
    await route.continue();
  });
  await page.getByRole('link', { name: 'Shelf', exact: true }).click();
  await expect(line).toBeVisible();
  await page.waitForURL(/\/shelf$/);
  await expect(line).toHaveCount(0);
});
