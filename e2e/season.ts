import { expect, type Page } from '@playwright/test';
import { addDays } from '@/core/time/garden-day';
import { DEMO_DAY } from '@/demo/demo-season';
import { findTrial } from '@/service/trial/trials';
import { benchUnits, confirmed, goToStep, setUpMyself } from './trial-steps';

/** A unit as the bench shows it: its code, the number of its block, and what it gets. */
export interface Standing {
  readonly code: string;
  readonly block: number;
  readonly treatment: string;
  /** The how manieth of its treatment it is in walking order, from 0. */
  readonly nth: number;
}

/** A day so many days ago, as the demo has it. */
export function daysAgo(days: number): string {
  return addDays(DEMO_DAY, -days);
}

interface Asked {
  /** The pattern, as a gardener asks. */
  readonly asks: string;
  readonly crop: string;
  readonly picked: string;
  readonly isBlind?: boolean;
  /** What else is changed on the sheet. */
  readonly also?: (page: Page) => Promise<void>;
}

/** From the page of questions to a bench that is dealt, open, begun ten weeks ago; not locked yet. */
export async function dealtSeason(
  page: Page,
  { asks, crop, picked, isBlind = false, also }: Asked,
): Promise<void> {
  await page.goto('/trials/new');
  await page.waitForSelector('html[data-ready]');
  await page.getByRole('link', { name: asks }).click();
  await page.waitForURL(/from=/);
  await page.getByLabel('What grows').fill(crop);
  await page.getByLabel('What is picked').fill(picked);
  await page.getByLabel('From', { exact: true }).fill(daysAgo(70));
  await page.getByLabel('To', { exact: true }).fill(daysAgo(-20));
  await also?.(page);
  await page.getByRole('button', { name: 'Save and lay it out' }).click();
  await page.waitForURL(/lay-out$/);
  await setUpMyself(page);
  await page
    .getByText(isBlind ? 'nobody, until the key is opened' : 'everyone', { exact: true })
    .click();
  await page.getByRole('button', { name: 'Deal', exact: true }).click();
  await expect(page.getByText(/Dealt once, /)).toBeVisible();
}

export async function lock(page: Page): Promise<void> {
  await confirmed(page, 'Lock the plan', 'Lock it');
  await expect(page.getByRole('heading', { name: 'The plan is locked' })).toBeVisible();
}

/** All units of the bench in walking order. @param treatments as the trial names them */
export async function standings(
  page: Page,
  treatments: readonly string[],
): Promise<readonly Standing[]> {
  const labels = await page
    .locator('svg g[role=button]')
    .evaluateAll(nodes => nodes.map(node => node.getAttribute('aria-label') ?? ''));
  const codes = (await benchUnits(page)).map(unit => unit.code);
  const longestFirst = [...treatments].sort((a, b) => b.length - a.length);
  const seen = new Map<string, number>();
  return labels.map((label, i) => {
    const treatment = longestFirst.find(name => label.includes(`, ${name}`)) ?? '';
    const nth = seen.get(treatment) ?? 0;
    seen.set(treatment, nth + 1);
    return {
      code: codes[i] ?? '',
      block: Number(/ (\d+),/.exec(label)?.[1] ?? 0),
      treatment,
      nth,
    };
  });
}

/** The same of a blind trial, whose page does not say it: as it stands in the garden's file. */
export async function hiddenStandings(page: Page): Promise<readonly Standing[]> {
  const id = /trials\/([0-9a-f-]+)/.exec(page.url())?.[1] ?? '';
  const data = await findTrial(id);
  if (!data) throw new Error('the trial must be in the garden');
  const seen = new Map<string, number>();
  return [...data.units]
    .sort((a, b) => a.position - b.position)
    .map(unit => {
      const treatment = data.treatments.find(each => each.id === unit.treatmentId)?.name ?? '';
      const nth = seen.get(treatment) ?? 0;
      seen.set(treatment, nth + 1);
      return { code: unit.code, block: 0, treatment, nth };
    });
}

/** What is found at a unit on the scale: a weight in g, or one of the looks. */
export type Found = number | 'dead' | 'nothing to pick' | 'not looked at';

/** Weighs round, pot after pot. */
export async function weighRound(
  page: Page,
  units: readonly Standing[],
  foundAt: (unit: Standing) => Found,
  piecesAt?: (unit: Standing) => number,
): Promise<void> {
  await goToStep(page, 'Weigh');
  for (const unit of units) {
    const inHand = page.getByLabel('Code in hand');
    if ((await inHand.inputValue()) !== unit.code) await inHand.fill(unit.code);
    await expect(inHand).toHaveValue(unit.code);
    const found = foundAt(unit);
    if (typeof found === 'number') {
      await page.getByLabel('On the scale').fill(`${found} g`);
      if (piecesAt) await page.getByLabel('Pieces').fill(String(piecesAt(unit)));
    } else await page.getByRole('radio', { name: found, exact: true }).check({ force: true });
    await page.getByRole('button', { name: /^Save/ }).click();
    await expect(page.getByRole('status')).toContainText(`${unit.code}: `);
  }
}

/** Puts down a day's readings at the desk, cell by cell. */
export async function readRound(
  page: Page,
  units: readonly Standing[],
  readAt: (unit: Standing) => string,
): Promise<void> {
  await page.goto(page.url().replace(/\/[a-z-]+$/, '/readings'));
  await page.waitForSelector('html[data-ready]');
  for (const unit of units) {
    const cell = page.getByRole('textbox', { name: new RegExp(`^${unit.code}, `) });
    await cell.fill(readAt(unit));
    await cell.press('Enter');
  }
  await page.waitForLoadState('networkidle');
}

/** The verdict's headline, and of the table each row as it reads. */
export async function verdict(
  page: Page,
): Promise<{ readonly headline: string; readonly rows: readonly string[] }> {
  await goToStep(page, 'Judge');
  await expect(
    page.getByText('The trial is still open: this is how it stands today.'),
  ).toBeVisible();
  const headline = (await page.locator('h2').first().textContent()) ?? '';
  const rows = await page
    .getByRole('region', { name: 'Every treatment against the control' })
    .getByRole('row')
    .evaluateAll(found =>
      found.map(row =>
        [...row.querySelectorAll('th, td')].map(cell => cell.textContent?.trim()).join(' | '),
      ),
    );
  return { headline, rows };
}

/** Puts a mishap of one unit on record, as it stands in hand under Weigh. */
export async function mishap(
  page: Page,
  code: string,
  { was, decided, why }: { readonly was: string; readonly decided: string; readonly why: string },
): Promise<void> {
  await goToStep(page, 'Weigh');
  await page.getByLabel('Code in hand').fill(code);
  await page.getByText('Something happened', { exact: true }).click();
  await page.getByRole('button', { name: `${code}, in hand` }).click();
  await page.getByRole('button', { name: 'Today', exact: true }).click();
  await page.getByLabel('It was', { exact: true }).selectOption({ label: was });
  await page.getByLabel('Decided', { exact: true }).selectOption({ label: decided });
  await page.getByLabel('What happened, and why so').fill(why);
  await page.getByRole('button', { name: 'Put it on record' }).click();
  // In the list, and on the season's line as soon as that is drawn anew.
  await expect(page.getByText(why).first()).toBeVisible();
}
