import type { Page } from '@playwright/test';
import { expect, type LockedTrial, test } from './garden-server';

async function startWeighing(page: Page, lockedTrial: LockedTrial): Promise<readonly string[]> {
  const { units } = await lockedTrial({ question: 'How heavy are radishes?', each: 2 }, 'weigh');
  const codes = units.map(unit => unit.code);
  await expect(page.getByLabel('Code in hand')).toHaveValue(codes[0] ?? '');
  return codes;
}

/** After two frames what comes into the page has moved whatever it moves. */
const drawn = (page: Page) =>
  page.evaluate(
    () =>
      new Promise<void>(done => requestAnimationFrame(() => requestAnimationFrame(() => done()))),
  );

const save = (page: Page) => page.getByRole('button', { name: /^Save/ }).click();

test('bad input gets a sentence beside its field, and what was typed stays', async ({
  page,
  lockedTrial,
}) => {
  await startWeighing(page, lockedTrial);
  const gross = page.getByLabel('On the scale');
  for (const [typed, sentence] of [
    ['', 'What does the scale show?'],
    ['-5', 'is below zero'],
    ['1000000 kg', 'more than any pot or bed gives'],
    ['heavy', 'does not begin with a number'],
    ['<script>alert(1)</script>', 'does not begin with a number'],
    ['9'.repeat(10_000), 'characters long'],
    ['1 pint', 'a mass is wanted here'],
  ] as const) {
    await gross.fill(typed);
    await save(page);
    await expect(page.getByText(sentence).first()).toBeVisible();
    await expect(gross).toHaveValue(typed);
  }
  await gross.fill('120');
  await page.getByLabel('Picked on').fill('1900-06-01');
  await save(page);
  await expect(page.getByText('1900-06-01 is long past. Write a date from 1990 on.')).toBeVisible();
  await page.getByLabel('Picked on').fill('2099-06-01');
  await save(page);
  await expect(page.getByText(/2099-06-01 is still to come/)).toBeVisible();
  await expect(page.locator('dd', { hasText: /^0 of 4/ })).toBeVisible();
});

test('tare and date are remembered, a change is a revision, undo brings back, the history shows it all', async ({
  page,
  lockedTrial,
}) => {
  const [first = '', second = ''] = await startWeighing(page, lockedTrial);
  await page.getByLabel('Empty container').fill('184 g');
  await page.getByLabel('On the scale').fill('397');
  await page.getByLabel('Pieces').fill('31');
  await save(page);
  await expect(page.getByRole('status')).toContainText(`${first}: 213 g, 31 pieces saved.`);
  await page.getByLabel('Code in hand').fill(first.toLowerCase());
  await expect(
    page.getByRole('heading', { name: `${first} so far: 213 g, 31 sound pieces` }),
  ).toBeVisible();
  await page.getByRole('button', { name: new RegExp(`Change ${first}`) }).click();
  await expect(page.getByLabel('On the scale')).toHaveValue('397');
  await page.getByLabel('On the scale').fill('384');
  await save(page);
  await page.getByLabel('Code in hand').fill(first);
  await expect(
    page.getByRole('heading', { name: `${first} so far: 200 g, 31 sound pieces` }),
  ).toBeVisible();
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(
    page.getByRole('heading', { name: `${first} so far: 213 g, 31 sound pieces` }),
  ).toBeVisible();
  await page.getByText('History of every pick').click();
  await expect(page.getByText('in place of an earlier pick')).toHaveCount(2);
  await page.getByRole('button', { name: new RegExp(`Take out ${first}`) }).click();
  await expect(page.getByRole('heading', { name: `${first} so far: 0 g` })).toBeVisible();
  await page.reload();
  await expect(page.getByLabel('Empty container')).toHaveValue('184 g');
  await page.getByLabel('Code in hand').fill(second);
  await expect(page.getByLabel('Code in hand')).toHaveValue(second);
});

test('a reload in mid-entry loses nothing that was saved', async ({ page, lockedTrial }) => {
  const [first = '', second = ''] = await startWeighing(page, lockedTrial);
  await page.getByLabel('On the scale').fill('150');
  await save(page);
  await expect(page.getByRole('status')).toContainText(`${first}: 150 g`);
  await page.getByLabel('On the scale').fill('16');
  await page.reload();
  await expect(page.locator('dd', { hasText: /^1 of 4/ })).toBeVisible();
  await expect(page.getByLabel('Code in hand')).toHaveValue(second);
});

test('zero, not looked at and dead are three things, and a cull says why', async ({
  page,
  lockedTrial,
}) => {
  const codes = await startWeighing(page, lockedTrial);
  for (const [found, said] of [
    ['nothing to pick', 'nothing to pick'],
    ['not looked at', 'not looked at'],
    ['dead', 'dead'],
  ] as const) {
    await page.getByRole('radio', { name: found }).check({ force: true });
    await save(page);
    await expect(page.getByRole('status')).toContainText(`: ${said} saved`);
  }
  await expect(page.getByLabel('Code in hand')).toHaveValue(codes[3] ?? '');
  await page.getByLabel('On the scale').fill('90');
  await page.getByRole('radio', { name: 'cull' }).check({ force: true });
  await save(page);
  await expect(page.getByText('Say why it was culled.')).toBeVisible();
  await page.getByRole('radio', { name: 'rot' }).check({ force: true });
  await save(page);
  await expect(page.getByRole('status')).toContainText('90 g, cull (rot) saved');
});

test('piece by piece, one pot stays in hand while its count grows', async ({
  page,
  lockedTrial,
}) => {
  const [first = ''] = await startWeighing(page, lockedTrial);
  await page.getByRole('radio', { name: 'piece by piece' }).check({ force: true });
  for (const [weight, total] of [
    [21, '21 g, 1 sound pieces'],
    [19, '40 g, 2 sound pieces'],
  ] as const) {
    await page.getByLabel('One piece, on the scale').fill(String(weight));
    await save(page);
    await expect(page.getByRole('heading', { name: `${first} so far: ${total}` })).toBeVisible();
  }
});

test('what opens under the entry does not move what is being pressed', async ({
  page,
  lockedTrial,
}) => {
  await startWeighing(page, lockedTrial);
  await page.getByLabel('Who writes this down?').fill('Ada');
  await page.getByRole('button', { name: 'Keep the name' }).click();
  const entering = page.getByRole('radiogroup', { name: 'Entering' });
  await entering.scrollIntoViewIfNeeded();
  // Off the very end of the page, which a browser keeps to.
  await page.evaluate(() => scrollBy(0, -120));
  const before = await entering.boundingBox();
  // Pressed without going there, as the form itself opens once its code has come.
  await page
    .getByRole('button', { name: 'Somebody else writes' })
    .evaluate((button: HTMLElement) => button.click());
  await expect(page.getByLabel('Who writes this down?')).toHaveValue('Ada');
  await drawn(page);
  expect(await entering.boundingBox()).toEqual(before);
});
