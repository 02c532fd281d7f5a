import { QUESTION_PATTERNS } from '@/core/design/question/question-patterns';
import { expect, test } from './garden-server';
import { benchUnits, setUpMyself } from './trial-steps';

// Every kind of question, from its line on the page to a deal on the bench.
for (const pattern of QUESTION_PATTERNS) {
  test(`${pattern.asks} is asked, laid out and dealt`, async ({ page, openPage }) => {
    await openPage('/trials/new');
    await page.getByRole('link', { name: pattern.asks }).click();
    await page.waitForURL(new RegExp(`from=${pattern.id}$`));
    await expect(page.getByRole('heading', { level: 1, name: pattern.asks })).toBeVisible();
    await expect(page.getByLabel('The question')).toHaveValue(pattern.form.question ?? '');
    await page.getByLabel('What grows').fill('test crop');
    await page.getByLabel('What is picked').fill('pieces');
    await expect(page.locator('p', { hasText: /^Does .* test crop by/ })).toBeVisible();
    await page.getByRole('button', { name: 'Save and lay it out' }).click();
    await page.waitForURL(/lay-out$/);
    await setUpMyself(page);
    await page.getByText('everyone', { exact: true }).click();
    await page.getByRole('button', { name: 'Deal', exact: true }).click();
    await expect(page.getByText(/Dealt once, /)).toBeVisible();
    const units = await benchUnits(page);
    expect(units.length).toBeGreaterThanOrEqual(9);
    expect(new Set(units.map(unit => unit.code)).size).toBe(units.length);
    await expect(page.getByRole('heading', { name: 'Is it a fair test?' })).toBeVisible();
    // A coin that falls the same way for every pair is rare, fair, and rightly named by the audit; the plan itself must spoil nothing.
    const spoilt = await page.locator('div:has(> h3[data-grade="spoils"]) li').allTextContents();
    expect(spoilt.filter(line => !line.includes('can’t be told apart from'))).toEqual([]);
  });
}

test('made-up seasons show what the trial could say', async ({ page, openPage }) => {
  await openPage('/trials/new?from=which-feed');
  await page.getByRole('button', { name: 'Try it with made-up readings' }).click();
  await expect(page.getByText('Fill in the question first')).toBeVisible();
  await page.getByLabel('What grows').fill('beans');
  await page.getByLabel('What is picked').fill('beans');
  await page.getByRole('button', { name: 'Try it with made-up readings' }).click();
  await expect(page.getByText('If nothing works')).toBeVisible();
  await expect(page.getByText('If seaweed feed does harm')).toBeVisible();
});

test('the margin is worked out from money', async ({ page, openPage }) => {
  await openPage('/trials/new?from=which-feed');
  await page.getByText('Work it out from money').click();
  await page.getByLabel('It costs, a pot').fill('0.60');
  await page.getByLabel('The crop is worth, a kilogram').fill('5');
  await page.getByLabel('A pot gives now, kg').fill('0,8');
  await expect(page.getByText(/It pays from 15% more/)).toBeVisible();
  await page.getByLabel('The crop is worth, a kilogram').fill('4');
  await page.getByRole('button', { name: 'Take 19% as worth having' }).click();
  await expect(page.getByLabel('At least, %')).toHaveValue('19');
});

test('combinations left out say what can’t be told any more', async ({ page, openPage }) => {
  await openPage('/trials/new?from=soil-and-feed');
  await expect(page.getByText('Whether soil depends on feed will show.')).toBeVisible();
  await page.getByRole('checkbox', { name: 'bought mix, liquid feed' }).uncheck();
  await expect(page.getByText('Whether soil depends on feed won’t show.')).toBeVisible();
  await page.getByRole('checkbox', { name: 'bought mix, plain water' }).uncheck();
  await page.getByLabel('What grows').fill('beans');
  await page.getByLabel('What is picked').fill('beans');
  await page.getByRole('button', { name: 'Save and lay it out' }).click();
  await expect(page.getByText('Every level of soil must be grown somewhere.')).toBeVisible();
});
