import { expect, type Page } from '@playwright/test';

/** Asks a question of two treatments and lands on Lay out. */
export async function askQuestion(page: Page, question: string): Promise<void> {
  await page.goto('/trials/new?from=scratch');
  await page.waitForSelector('html[data-ready]');
  await page.getByLabel('The question').fill(question);
  await page.getByLabel('What grows').fill('radishes');
  await page.getByLabel('What is picked').fill('radishes');
  await page.getByLabel('Treatment A').fill('plain water');
  await page.getByLabel('Treatment B').fill('Heronsgill feed');
  await page.getByRole('button', { name: 'Save and lay it out' }).click();
  await page.waitForURL(/lay-out$/);
}

/** On Lay out before a deal: past the three plans, where the question has any, to all that can be chosen. */
export async function setUpMyself(page: Page): Promise<void> {
  const myself = page.getByRole('button', { name: 'Set it up myself' });
  await expect(
    myself.or(page.getByRole('button', { name: 'Deal', exact: true })).first(),
  ).toBeVisible();
  if (await myself.isVisible()) await myself.click();
}

/** Deals so many of each over the whole bench and locks; open, so that the test knows which got what. */
export async function dealAndLock(
  page: Page,
  each: number,
  who: 'everyone' | 'nobody, until the key is opened' = 'everyone',
): Promise<void> {
  await setUpMyself(page);
  await page.getByText('anywhere on the bench', { exact: true }).click();
  await page.getByLabel('Of each treatment').fill(String(each));
  await page.getByText(who, { exact: true }).click();
  await page.getByRole('button', { name: 'Deal', exact: true }).click();
  await expect(page.getByText(/Dealt once, /)).toBeVisible();
  await confirmed(page, 'Lock the plan', 'Lock it');
  await expect(page.getByRole('heading', { name: 'The plan is locked' })).toBeVisible();
}

/** Presses what can't be taken back, and says yes where it asks. */
export async function confirmed(page: Page, button: string, does: string): Promise<void> {
  await page.getByRole('button', { name: button }).click();
  await page.getByRole('alertdialog').getByRole('button', { name: does }).click();
}

/** Turns to a page of the verdict. */
export async function verdictPage(
  page: Page,
  name:
    | 'Answer'
    | 'All measures'
    | 'How firm'
    | 'What may have spoiled it'
    | 'Money and time'
    | 'What next',
): Promise<void> {
  await page
    .getByRole('navigation', { name: 'The verdict’s pages' })
    .getByRole('link', { name })
    .click();
}

/** Turns to a page of Tend. */
export async function carePage(
  page: Page,
  name: 'Due' | 'Care plan' | 'What each is given',
): Promise<void> {
  await page
    .getByRole('navigation', { name: 'Pages of the care' })
    .getByRole('link', { name })
    .click();
}

/** Codes and treatments in walking order, read off the bench. */
export async function benchUnits(
  page: Page,
): Promise<readonly { readonly code: string; readonly treatment: string }[]> {
  const labels = await page
    .locator('svg g[role=button]')
    .evaluateAll(nodes => nodes.map(node => node.getAttribute('aria-label') ?? ''));
  return labels.map(label => ({
    code: label.slice(0, 3),
    treatment: label.split(', ').at(-1)?.split('.')[0] ?? '',
  }));
}

/** Goes to a step by its link. */
export async function goToStep(
  page: Page,
  step: 'Ask' | 'Lay out' | 'Tend' | 'Weigh' | 'Judge',
): Promise<void> {
  await page.getByRole('navigation', { name: 'Steps' }).getByRole('link', { name: step }).click();
  await page.waitForURL(new RegExp(`${step.toLowerCase().replace(' ', '-')}$`));
}

/** Finds one of a long list by a part of its name; where the page still moved under the open list, which closes it, once more. */
export async function findIn(page: Page, list: string, part: string, name: string): Promise<void> {
  const line = page.getByRole('combobox', { name: list });
  await expect(async () => {
    await line.click();
    await line.press('Control+a');
    await line.pressSequentially(part);
    await page.getByRole('option', { name }).click({ timeout: 2000 });
  }).toPass();
}
