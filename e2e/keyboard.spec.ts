import type { Locator, Page } from '@playwright/test';
import { expectAccessible } from './accessible';
import { expect, test } from './garden-server';
import { benchUnits } from './trial-steps';

const FARTHEST = 80;

/** Presses Tab until the thing has the focus: what can't be reached by keys can't be used by them. */
async function tabTo(page: Page, target: Locator): Promise<void> {
  for (let presses = 0; presses < FARTHEST; presses++) {
    if (await target.evaluate(node => node === document.activeElement)) return;
    await page.keyboard.press('Tab');
  }
  await expect(target).toBeFocused();
}

/** Tabs to a field and writes over what stands in it. */
async function write(page: Page, label: string, words: string): Promise<void> {
  await tabTo(page, page.getByLabel(label, { exact: true }));
  await page.keyboard.press('Control+a');
  await page.keyboard.type(words);
}

/** Tabs to a group of choices and goes down to the wanted one by arrows. */
async function choose(page: Page, group: string, wanted: RegExp): Promise<void> {
  const options = page.getByRole('radiogroup', { name: group }).getByRole('radio');
  await tabTo(page, options.and(page.locator(':checked')));
  for (let presses = 0; presses < (await options.count()); presses++) {
    if (
      await options
        .and(page.locator(':checked'))
        .and(page.getByRole('radio', { name: wanted }))
        .count()
    )
      return;
    await page.keyboard.press('ArrowDown');
  }
  await expect(page.getByRole('radio', { name: wanted })).toBeChecked();
}

async function press(page: Page, button: string): Promise<void> {
  await tabTo(page, page.getByRole('button', { name: button, exact: true }));
  await page.keyboard.press('Enter');
}

test('from a question to a verdict by keys alone', async ({ page, openPage }) => {
  await openPage('/trials/new?from=scratch');
  await write(page, 'The question', 'Do radishes want feeding at all?');
  await write(page, 'What grows', 'radishes');
  await write(page, 'What is picked', 'radishes');
  await write(page, 'Treatment A', 'plain water');
  await write(page, 'Treatment B', 'Heronsgill feed');
  await press(page, 'Save and lay it out');
  await page.waitForURL(/lay-out$/);
  await press(page, 'Set it up myself');

  await choose(page, 'Dealt', /^anywhere on the bench/);
  await write(page, 'Of each treatment', '2');
  await choose(page, 'Who sees what each got', /^everyone/);
  await press(page, 'Deal');
  await expect(page.getByText(/Dealt once, /)).toBeVisible();
  await press(page, 'Lock the plan');
  await press(page, 'Lock it');
  await expect(page.getByRole('heading', { name: 'The plan is locked' })).toBeVisible();
  await expect(page.getByRole('heading', { name: 'The plan is locked' })).toBeFocused();
  const units = await benchUnits(page);

  const pot = (i: number): Locator =>
    page.getByRole('button', { name: new RegExp(`^${units[i]?.code},`) });
  await tabTo(page, pot(0));
  await page.keyboard.press('ArrowRight');
  await expect(pot(1)).toBeFocused();
  await page.keyboard.press('ArrowLeft');
  await expect(pot(0)).toBeFocused();

  await page.keyboard.press('4');
  await page.waitForURL(/weigh$/);
  await expect(page.getByLabel('Code in hand')).toHaveValue(units[0]?.code ?? '');
  await tabTo(page, page.getByLabel('On the scale'));
  for (const [i, { code }] of units.entries()) {
    await expect(page.getByLabel('Code in hand')).toHaveValue(code);
    await expect(page.getByLabel('On the scale')).toBeFocused();
    await page.keyboard.type(`${150 + 10 * i}`);
    await page.keyboard.press('Enter');
    await expect(page.getByRole('status')).toContainText(`${code}: ${150 + 10 * i} g saved`);
  }
  await press(page, 'Undo');
  await expect(page.getByRole('status')).toHaveText('Undone.');
  await tabTo(
    page,
    page.getByRole('navigation', { name: 'Steps' }).getByRole('link', { name: /^Judge/ }),
  );
  await page.keyboard.press('Enter');
  await page.waitForURL(/judge$/);
  // The last of four was taken back: one treatment stands in one pot, which has no test.
  await expect(page.getByRole('heading', { level: 2 }).first()).toHaveText(
    /^Only one pot of (Heronsgill feed|plain water): a story, not a result\.$/,
  );
});

test('a button that goes away with what it did leaves the hand where it was', async ({
  page,
  lockedTrial,
}) => {
  await lockedTrial({ question: 'Who weighs today?', each: 2 }, 'weigh');
  await write(page, 'Who writes this down?', 'Ada');
  await page.keyboard.press('Enter');
  const asks = page.getByRole('button', { name: 'Somebody else writes' });
  await expect(asks).toBeVisible();
  await page.keyboard.press('Tab');
  await expect(asks).toBeFocused();
  await page.keyboard.press('Enter');
  await expect(page.getByLabel('Who writes this down?')).toBeVisible();
  await expect(page.locator('body')).not.toBeFocused();
  await page.keyboard.press('Tab');
  await expect(page.getByLabel('Who writes this down?')).toBeFocused();
});

test('Ctrl+Z takes back the last pick, and leaves a half-written number alone', async ({
  page,
  lockedTrial,
}) => {
  const { units } = await lockedTrial({ question: 'Can a slip be undone?', each: 2 });
  const [first] = units;
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

test('the first Tab offers to go past the rail, and Enter goes to the page', async ({
  page,
  openPage,
}) => {
  await openPage('/shelf');
  await page.keyboard.press('Tab');
  await expect(page.getByRole('link', { name: 'Skip to the page' })).toBeFocused();
  await page.keyboard.press('Enter');
  await expect(page.getByRole('main')).toBeFocused();
  await page.keyboard.press('Tab');
  await expect(page.getByRole('link', { name: 'Put a product on it' })).toBeFocused();
});

test('a slash finds a trial, a product or a page by its words; nothing found is said', async ({
  page,
  openPage,
}) => {
  await openPage('/shelf');
  await page.locator('body').press('/');
  const find = page.getByRole('dialog', { name: 'Find' });
  await expect(find.getByRole('searchbox')).toBeFocused();
  await page.keyboard.type('tractor');
  await expect(find.getByText('Nothing here has that name.')).toBeVisible();
  await find.getByRole('searchbox').fill('beetroot deep');
  await expect(find.getByRole('menuitem')).toHaveCount(1);
  await expectAccessible(page);
  await page.keyboard.press('ArrowDown');
  await page.keyboard.press('Enter');
  await page.waitForURL(/judge$/);
  await expect(page.getByRole('heading', { level: 1 })).toHaveText(/leaf-mould/);
});

test('brackets go along the season from one event to the next, and the day is told', async ({
  page,
  openTrial,
}) => {
  await openTrial('Bark or loam in the troughs, and does either want feeding?', 'tend');
  const season = page.getByRole('region', { name: 'Season' });
  await page.locator('body').press('[');
  await expect(season.getByRole('status')).toHaveText(
    'Wed 15 July, day 61: count runners, cut none.',
  );
  const told = await season.getByRole('status').textContent();
  await page.keyboard.press('[');
  await expect(season.getByRole('status')).not.toHaveText(told ?? '');
  await page.keyboard.press(']');
  await expect(season.getByRole('status')).toHaveText(told ?? '');
  await season.getByRole('slider').focus();
  await page.keyboard.press('Home');
  await expect(season.getByRole('status')).toContainText('15 May, day 0');
  await season.getByRole('button', { name: 'Back to today' }).click();
  await expect(season.getByRole('status')).toHaveCount(0);
});
