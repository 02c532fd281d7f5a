import AxeBuilder from '@axe-core/playwright';
import { expect, type Page } from '@playwright/test';

// Under an open dialog or list the page is hidden, as it must be, and its landmarks with it.
const UNDER_A_DIALOG = ['landmark-one-main', 'page-has-heading-one'];
// A list hangs at its line, outside of every landmark; Tab closes it before it leaves the line for what was hidden.
const UNDER_A_LIST = [...UNDER_A_DIALOG, 'aria-hidden-focus', 'region'];
const TAGS = ['wcag2a', 'wcag2aa', 'wcag21aa', 'wcag22aa', 'best-practice'];

/** Axe finds nothing on the page as it stands, and nothing of it sticks out sideways. */
export async function expectAccessible(page: Page): Promise<void> {
  const { violations } = await new AxeBuilder({ page })
    .exclude('iframe')
    // What react-aria reads out while a button is at work; it is gone within seconds.
    .exclude('[data-live-announcer]')
    // What passes is not listed, and no second page is opened to put the findings together: a third of the time.
    .setLegacyMode(true)
    .options({ resultTypes: ['violations'], runOnly: { type: 'tag', values: TAGS } })
    .disableRules(await hiddenBehind(page))
    .analyze();
  const told = violations.map(
    ({ id, nodes }) => `${id}: ${nodes.map(node => node.target.join(' ')).join(', ')}`,
  );
  expect(told).toEqual([]);
  await expectNothingSticksOut(page, 'as it stands');
}

async function hiddenBehind(page: Page): Promise<string[]> {
  if ((await page.locator('[role=listbox]').count()) > 0) return UNDER_A_LIST;
  const dialogs = page.locator('[role=dialog], [role=alertdialog]');
  return (await dialogs.count()) > 0 ? UNDER_A_DIALOG : [];
}

async function expectNothingSticksOut(page: Page, when: string): Promise<void> {
  // A chart follows its place a moment later.
  await expect
    .poll(
      () =>
        page.evaluate(
          () => document.documentElement.scrollWidth - document.documentElement.clientWidth,
        ),
      { message: `too wide ${when}`, timeout: 3000 },
    )
    .toBeLessThanOrEqual(0);
}

const NARROW = { width: 320, height: 640 };

/**
 * The same in the dark and, where there is room to lose, at 320 pixels in both lights; nothing sticks out after turning the
 * device, or with text twice as large.
 */
export async function expectAccessibleHoweverSeen(page: Page): Promise<void> {
  await expectAccessible(page);
  const size = page.viewportSize();
  if (!size) throw new Error('the page must have a size');
  await page.emulateMedia({ colorScheme: 'dark' });
  await expectAccessible(page);
  if (size.width > NARROW.width * 2) {
    await page.setViewportSize(NARROW);
    await expectAccessible(page);
    await page.emulateMedia({ colorScheme: 'light' });
    await expectAccessible(page);
  }
  await page.setViewportSize({ width: size.height, height: size.width });
  await expectNothingSticksOut(page, 'turned');
  await page.setViewportSize(size);
  await expectNothingSticksOut(page, 'turned back');
  await page.evaluate(() => {
    document.documentElement.style.fontSize = '200%';
  });
  await expectNothingSticksOut(page, 'with text twice as large');
  await page.setViewportSize({ width: size.height, height: size.width });
  await expectNothingSticksOut(page, 'turned, with text twice as large');
  await page.setViewportSize(size);
  await page.evaluate(() => document.documentElement.style.removeProperty('font-size'));
}
