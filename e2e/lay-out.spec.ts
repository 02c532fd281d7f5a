import { expectAccessible } from './accessible';
import { expect, test } from './garden-server';
import {
  askQuestion,
  benchUnits,
  confirmed,
  goToStep,
  setUpMyself,
  verdictPage,
} from './trial-steps';

test('blocks are dealt, dealt again with another seed, and locked; the form says what can’t be dealt', async ({
  page,
  askedTrial,
}) => {
  await askedTrial('Blocks of radishes?');
  await expect(page.getByText('Nothing stands here yet.')).toBeVisible();
  await page.getByLabel('Blocks', { exact: true }).fill('1');
  await page.getByLabel('A pot is across').fill('2 kg');
  await page.getByRole('button', { name: 'Deal', exact: true }).click();
  await expect(page.getByText('At least 2 blocks.')).toBeVisible();
  await page.getByLabel('Blocks', { exact: true }).fill('4');
  await page.getByRole('button', { name: 'Deal', exact: true }).click();
  await expect(page.getByText(/a length is wanted here/)).toBeVisible();
  await page.getByLabel('A pot is across').fill('12"');
  await page.getByText('everyone', { exact: true }).click();
  await page.getByRole('button', { name: 'Deal', exact: true }).click();
  await expect(page.getByText(/Dealt once, /)).toBeVisible();
  const seed = await page.getByText(/Seed \d+/).textContent();
  const units = await benchUnits(page);
  expect(units).toHaveLength(8);
  for (let block = 0; block < 4; block++)
    expect(new Set(units.slice(2 * block, 2 * block + 2).map(unit => unit.treatment)).size).toBe(2);
  await page.getByRole('button', { name: 'Deal again' }).click();
  await expect(page.getByText(/Dealt 2 times/)).toBeVisible();
  expect(await page.getByText(/Seed \d+/).textContent()).not.toBe(seed);
  await confirmed(page, 'Lock the plan', 'Lock it');
  await expect(
    page.getByText('4 pots of each treatment, dealt within 4 shelves, open to see.'),
  ).toBeVisible();
  await expect(page.getByRole('button', { name: 'Deal again' })).toHaveCount(0);
});

test('what so many pots can show follows the numbers, and one each is told to be none', async ({
  page,
  askedTrial,
}) => {
  await askedTrial('Enough radishes?');
  await page.getByText('anywhere on the bench', { exact: true }).click();
  await page.getByLabel('Of each treatment').fill('8');
  await page.getByLabel('Two pots treated alike usually differ by, %').fill('30');
  // CV 30%, eight each: 45% (recomputed arithmetic, closed-power.test.ts).
  await expect(
    page.getByText(/With 16 pots a true gain of 15% is seen 1\d times of 100/),
  ).toBeVisible();
  await expect(page.getByText(/Likely to be seen \(4 in 5\): 45% or more/)).toBeVisible();
  await expect(page.getByText(/Among the deals the largest gap can be/)).toBeVisible();
  await page.getByLabel('Of each treatment').fill('2');
  await expect(
    page.getByText(/Even the largest gap turns up in 33 of 100 deals of so few/),
  ).toBeVisible();
  await page.getByLabel('Of each treatment').fill('1');
  await expect(page.getByText('One pot each can’t decide anything.')).toBeVisible();
});

test('the key of a blind trial can be looked at by whoever feeds, and the look is in the log', async ({
  page,
}) => {
  await askQuestion(page, 'Who got what?');
  await setUpMyself(page);
  await page.getByRole('button', { name: 'Deal', exact: true }).click();
  await expect(page.getByText(/Dealt once/)).toBeVisible();
  expect(
    (await benchUnits(page)).every(
      unit => unit.treatment === 'what it gets is hidden' || !/feed|water/.test(unit.treatment),
    ),
  ).toBe(true);
  await page.getByRole('button', { name: 'Show the key' }).click();
  await expect(page.getByRole('button', { name: /Heronsgill feed/ }).first()).toBeVisible();
  await page.getByRole('button', { name: 'Hide the key' }).click();
  await expect(page.getByRole('button', { name: /Heronsgill feed/ })).toHaveCount(0);
  await confirmed(page, 'Lock the plan', 'Lock it');
  await goToStep(page, 'Judge');
  await confirmed(page, 'Open the key and judge', 'Open it');
  await verdictPage(page, 'How firm');
  await page.getByText('What was done, and when').click();
  await expect(
    page.getByText(/key opened, plan locked, key looked at, dealt, asked/),
  ).toBeVisible();
});

test('a question can be changed until the lock, and its deal goes with it', async ({
  page,
  askedTrial,
}) => {
  await askedTrial('To be changed?');
  await page.getByRole('button', { name: 'Deal', exact: true }).click();
  await expect(page.getByText(/Dealt once/)).toBeVisible();
  await goToStep(page, 'Ask');
  await expect(page.getByText('Saving a changed question takes the deal away')).toBeVisible();
  await page.getByRole('button', { name: 'Add a treatment' }).click();
  await page.getByRole('textbox', { name: 'Treatment C' }).fill('comfrey tea');
  await page.getByRole('button', { name: 'Save and lay it out' }).click();
  await page.waitForURL(/lay-out$/);
  await expect(page.getByRole('region', { name: 'Three plans' })).toBeVisible();
});

test('three plans stand side by side for the pots there are, and one press deals', async ({
  page,
}) => {
  await askQuestion(page, 'Which plan?');
  const plans = page.getByRole('region', { name: 'Three plans' });
  await page.getByLabel('Pots you have').fill('18');
  await page.getByLabel('Two pots treated alike differ by, %').fill('22');
  // R: power.t.test with 9 and with 18 of each, spread 22: 30.95 and 21.15.
  for (const seen of ['31%', '25%', '21%'])
    await expect(plans.getByRole('listitem').filter({ hasText: seen })).toHaveCount(1);
  await expect(
    plans.getByText('In one season a gain of 15% would take about 70 pots.'),
  ).toBeVisible();
  await expectAccessible(page);
  await page.getByLabel('Pots you have').fill('3');
  await expect(plans.getByText(/one each is a story, not a result\.$/)).toBeVisible();
  await page.getByLabel('Pots you have').fill('18');
  await page.getByRole('button', { name: 'Use this plan: all in one season' }).click();
  await expect(page.getByText(/Dealt once, .*9 pairs/)).toBeVisible();
  expect(await benchUnits(page)).toHaveLength(18);
});
