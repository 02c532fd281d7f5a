import AxeBuilder from '@axe-core/playwright';
import { expect, type Page } from '@playwright/test';

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
    .analyze();
  const told = violations.map(
    ({ id, nodes }) => `${id}: ${nodes.map(node => node.target.join(' ')).join(', ')}`,
  );
  expect(told).toEqual([]);
  const tooWide = await page.evaluate(
    () => document.documentElement.scrollWidth - document.documentElement.clientWidth,
  );
  expect(tooWide).toBeLessThanOrEqual(0);
}
