import { readFileSync } from 'node:fs';
import type { Page } from '@playwright/test';
import { expectAccessible } from './accessible';
import { expect, test } from './garden-server';
import { verdictPage } from './trial-steps';

const BEANS = 'Do three feeds help dwarf beans?';
const LETTUCES = 'What keeps slugs off lettuce?';
const BEETROOT = 'How deep must leaf-mould lie under beetroot?';

test('the margin can be changed on the page, the verdict follows, and what differs from the plan is said', async ({
  page,
  openTrial,
}) => {
  await openTrial(BEANS, 'judge');
  await expect(
    page.getByRole('heading', {
      name: 'Heronsgill feed gave 49% more beans than plain water, but comfrey tea did worse.',
    }),
  ).toBeVisible();
  await expect(page.getByRole('cell', { name: 'clearly better', exact: true })).toBeVisible();
  await verdictPage(page, 'How firm');
  await page.getByLabel('Smallest difference worth having, %').fill('40');
  await verdictPage(page, 'Answer');
  await expect(page.getByRole('cell', { name: 'better', exact: true })).toBeVisible();
  await expect(
    page.getByText('Not as planned: smallest difference worth having 40% instead of 15%').first(),
  ).toBeVisible();
  // What was looked at stands in the address: a reload and the way back show the same.
  await page.reload();
  await expect(page.getByRole('cell', { name: 'better', exact: true })).toBeVisible();
  // The way back asks the server anew: what is pressed before that answers stays.
  await page.route(/_rsc=/, async route => {
    await new Promise(done => setTimeout(done, 1500));
    await route.continue();
  });
  await page.goBack();
  await expect(page.getByLabel('Smallest difference worth having, %')).toHaveValue('40');
  await page.getByRole('button', { name: 'Back to the plan' }).click();
  await verdictPage(page, 'Answer');
  await expect(page.getByRole('cell', { name: 'clearly better', exact: true })).toBeVisible();
  await verdictPage(page, 'How firm');
  await page.getByLabel('Smallest difference worth having, %').fill('-3');
  await expect(
    page.getByText('A percentage above zero, or nothing for any difference.'),
  ).toBeVisible();
});

test('a pot can be left out for a look, and what is on record as left out shows the verdict with it back in', async ({
  page,
  openTrial,
}) => {
  await openTrial(BEANS, 'judge');
  await verdictPage(page, 'What may have spoiled it');
  await expect(page.getByText('Gnawed to the stem by a vole').first()).toBeVisible();
  await expect(page.getByText('With everything back in:')).toBeVisible();
  await page.getByRole('button', { name: /^TL3,/ }).press('Enter');
  await verdictPage(page, 'How firm');
  await page.getByRole('button', { name: 'Leave TL3 out, for a look' }).click();
  await expect(page.getByText('Not as planned: TL3 left out').first()).toBeVisible();
  await verdictPage(page, 'Answer');
  await expect(page.getByRole('row', { name: /Heronsgill feed clearly better 6 / })).toBeVisible();
});

test('another measure is marked as found along the way', async ({ page, openTrial }) => {
  await openTrial(BEANS, 'judge?page=firm');
  await page
    .getByRole('region', { name: 'Look at it otherwise' })
    .getByLabel('Measure')
    .selectOption({ label: 'Number of sound pieces' });
  await expect(page.getByText('Number of sound pieces, found along the way').first()).toBeVisible();
  await verdictPage(page, 'Answer');
  await page.getByRole('link', { name: /^\d things? may have spoiled it$/ }).click();
  await expect(
    page.getByText('This was not the main measure before the plan was locked'),
  ).toBeVisible();
});

test('the shuffles can be watched falling, and every figure opens to its working', async ({
  page,
  openTrial,
}) => {
  await openTrial(BEANS, 'judge');
  await page.getByRole('button', { name: 'Watch it happen' }).click();
  await expect(page.getByText(/^Deal \d+: the same harvests under these labels/)).toBeVisible();
  await page.getByRole('button', { name: 'Stop watching' }).click();
  await page.getByText('Show the working for Heronsgill feed').click();
  await expect(page.getByText('gap ± critical value × standard error').first()).toBeVisible();
  await verdictPage(page, 'How firm');
  await page.getByText('Analysis of variance', { exact: true }).click();
  await expect(page.getByRole('cell', { name: 'residual' })).toBeVisible();
});

test('a million shuffles run beside the page, with progress, and can be stopped', async ({
  page,
  openTrial,
}) => {
  await openTrial(BEANS, 'judge');
  await page.getByRole('button', { name: 'A million shuffles' }).click();
  await expect(page.getByText('of 1,000,000 shuffles')).toBeVisible();
  const panel = page.getByRole('region', { name: 'Shuffle test' });
  await panel.getByRole('button', { name: 'Stop', exact: true }).click();
  await expect(panel.getByText('Stopped.')).toBeVisible();
  await page.getByRole('button', { name: 'Run the shuffles' }).click();
  await expect(
    page.getByText('20,000 random deals of the same labels within the same shelves, seed 4118.'),
  ).toBeVisible();
  await page.getByRole('button', { name: 'A million shuffles' }).click();
  await expect(
    page.getByText('1,000,000 random deals of the same labels within the same shelves, seed 4118.'),
  ).toBeVisible({ timeout: 40_000 });
});

test('the verdict stands before the rest of its page; what is asked of it meanwhile is done, and a broken connection is said', async ({
  page,
  openTrial,
}) => {
  let isBroken = true;
  await page.route('**/api/verdict/**', route => (isBroken ? route.abort() : route.continue()));
  await openTrial(BEANS, 'judge');
  await expect(
    page.getByRole('heading', {
      name: 'Heronsgill feed gave 49% more beans than plain water, but comfrey tea did worse.',
    }),
  ).toBeVisible();
  await expect(
    page.getByText('What stands beside the answer didn’t come: the connection broke off.'),
  ).toBeVisible();
  await expect(page.getByRole('heading', { name: 'Was the question answered?' })).toHaveCount(0);
  await page.getByRole('button', { name: 'A million shuffles' }).click();
  isBroken = false;
  await page.getByRole('button', { name: 'Fetch it again' }).click();
  await expect(page.getByText('of 1,000,000 shuffles')).toBeVisible();
  await verdictPage(page, 'All measures');
  await expect(page.getByRole('heading', { name: 'All that was measured' })).toBeVisible();
  await expect(page.getByText('the connection broke off')).toHaveCount(0);
});

test('the frozen sentence stands on Today, and the picks of a closed trial can’t be changed', async ({
  page,
  openPage,
  openTrial,
}) => {
  await openPage('/');
  // Trials of other tests may have been closed in this garden since.
  const more = page.getByRole('button', { name: /^Show \d+ more$/ }).last();
  if (await more.isVisible()) await more.click();
  await expect(
    page.getByRole('link', {
      name: 'Heronsgill feed gave 49% more beans than plain water, but comfrey tea did worse.',
    }),
  ).toBeVisible();
  await openTrial(BEANS, 'judge');
  await page
    .getByRole('navigation', { name: 'Steps' })
    .getByRole('link', { name: 'Weigh' })
    .click();
  await expect(
    page.getByText('The trial is closed. Its picks can be looked at, not changed.'),
  ).toBeVisible();
});

test('beside the verdict: all measures weighed, each pot left out in turn, seasons with nothing in them, and what pays', async ({
  page,
  openTrial,
}) => {
  test.slow();
  await openTrial(BEANS, 'judge?page=measures');
  const card = page.getByRole('region', { name: 'Every measure and every treatment' });
  await expect(card.getByRole('row', { name: /^Sound harvest by weight/ })).toContainText(
    'clearly better',
  );
  await expect(page.getByText(/^\d+ other measures were looked at/)).toBeVisible();
  await expect(card.getByRole('row')).toHaveCount(13);
  await page.getByRole('button', { name: 'Show what chance alone would do' }).click();
  await expect(page.getByText(/^Chance alone: in how many shuffles/)).toBeVisible({
    timeout: 60_000,
  });
  await expect(card.getByRole('row', { name: /^Root weight/ })).toContainText(
    /chance alone: \d+ of 100/,
  );
  await page.getByRole('button', { name: 'Say which measures matter to you' }).click();
  await card.getByLabel('Weight of Weight of one sound piece').selectOption('3');
  await expect(page.getByText('A rank by weights is a taste, no result.')).toBeVisible();
  await verdictPage(page, 'How firm');
  await page.getByText('Try it with no effect').click();
  await page.getByRole('button', { name: 'Grow 20' }).click();
  await expect(page.getByText(/^\d+ of 20$/)).toBeVisible();
  await verdictPage(page, 'Money and time');
  await page
    .getByRole('region', { name: 'Is it worth it?' })
    .getByLabel('A kilogram is worth')
    .fill('6');
  await expect(
    page
      .getByRole('region', { name: 'Costs and gains of every treatment' })
      .getByRole('row', { name: /^Heronsgill feed/ }),
  ).toContainText(/9\d of 100|100 of 100/);
  await verdictPage(page, 'How firm');
  await page.getByRole('button', { name: 'Leave each pot out in turn' }).click();
  await expect(
    page.getByText(/every call stays what it is|would change a call if left out/),
  ).toBeVisible({ timeout: 60_000 });
  await verdictPage(page, 'Answer');
  await page.getByRole('button', { name: 'Hold any two against each other' }).click();
  await page.getByLabel('against', { exact: true }).selectOption({ label: 'comfrey tea' });
  await expect(page.getByText(/^Yes: Heronsgill feed gave .* than comfrey tea/)).toBeVisible();
});

test('a measure of days is judged by how long they waited', async ({ page, openTrial }) => {
  await openTrial(LETTUCES, 'judge');
  await expect(
    page.getByRole('heading', {
      name: 'Copper band did best: pest first seen 31 days later than with plain pots.',
    }),
  ).toBeVisible();
  await expect(page.getByRole('img', { name: /^Share still waiting, day by day/ })).toBeVisible();
  await expectAccessible(page);
  await verdictPage(page, 'How firm');
  await page.getByRole('link', { name: 'Judge it by means instead' }).click();
  await expect(
    page.getByText('By its mean, because you chose so: the method of its kind is another.'),
  ).toBeVisible();
});

for (const [measure, headline, found] of [
  ['Slugs found', 'Copper band did best: 83% fewer slugs found than plain pots.', /−82\.5%/],
  [
    'Leaves with holes',
    'Copper band did best: 58 points fewer than plain pots.',
    /9 of 96 \(9\.4%\)/,
  ],
  ['Vigour', 'Copper band beat plain pots: higher in 100 of 100 pairs.', /\+2 steps/],
] as const) {
  test(`${measure}: counts, shares and steps are judged by a method of their own`, async ({
    page,
    openTrial,
  }) => {
    await openTrial(LETTUCES, 'judge?page=measures');
    await page.getByRole('link', { name: measure, exact: true }).click();
    await expect(page.getByRole('heading', { level: 2, name: headline })).toBeVisible();
    await expect(page.getByRole('row', { name: /^copper band/ }).first()).toContainText(found);
    await expect(page.getByRole('img', { name: /^Dots of 24 pots in 4 rows/ })).toBeVisible();
    await expect(page.getByText(/^A gap as large as copper band’s turns up in/)).toBeVisible();
  });
}

test('classes: all are told, one is counted, and it is said who has more of it, not who is better', async ({
  page,
  openTrial,
}) => {
  await openTrial(BEETROOT, 'judge?page=measures');
  await page.getByRole('link', { name: 'Smell', exact: true }).click();
  await expect(
    page.getByRole('heading', {
      level: 2,
      name: /^“Earthy” came more often under|^Can’t tell yet whether anything differs/,
    }),
  ).toBeVisible();
  const classes = page.getByRole('region', { name: 'Classes by treatment' });
  await classes.getByRole('link', { name: 'none' }).click();
  await expect(
    page.getByRole('heading', {
      level: 2,
      name: '“None” came less often under 2 cm, 4 cm and 8 cm than under 0 cm.',
    }),
  ).toBeVisible();
  await expect(classes.getByText('none, counted below')).toBeVisible();
  await expect(
    page.getByText(/^Whether they differ at all: chi-square, by shuffles/),
  ).toBeVisible();
});

test('the place on the bench can be allowed for, for a look; what one would do otherwise goes with the next trial', async ({
  page,
  openTrial,
}) => {
  await openTrial(BEANS, 'judge?page=firm');
  await page
    .getByLabel('Allow for where each pot stands: a slope across and along the bench')
    .check();
  await expect(
    page.getByText('Not as planned: the place on the bench allowed for').first(),
  ).toBeVisible();
  await page.getByRole('button', { name: 'Back to the plan' }).click();
  await expect(page.getByText('Not as planned: the place on the bench allowed for')).toHaveCount(0);
  await verdictPage(page, 'What next');
  await page.getByLabel('What would you do otherwise?').fill('Turn the pots each week.');
  await page.getByRole('button', { name: 'Keep it for the next one' }).click();
  await expect(page.getByText('“Turn the pots each week.”').first()).toBeVisible();
});

test('how much of it: a curve, where it levels off, and the dose that leaves the most', async ({
  page,
  openTrial,
}) => {
  await openTrial(BEETROOT, 'judge');
  const doses = page.getByRole('region', { name: 'How much of it?' });
  await expect(
    doses.getByText(
      /It levels off (at about|somewhere between) .* cm: from there on more brings next/,
    ),
  ).toBeVisible();
  await doses.getByLabel('A kilogram is worth').fill('2');
  await doses.getByLabel('Each extra cm of leaf-mould costs, a box').fill('0.1');
  await expect(doses.getByText(/^The most is left at/)).toBeVisible();
});

test('the report is read, saved with its data, put right in sight, and the next trial begins from it', async ({
  page,
  openTrial,
}) => {
  await openTrial(BEANS, 'judge?page=next');
  await page.getByRole('link', { name: 'The report' }).click();
  await page.waitForURL(/report$/);
  await expect(
    page.frameLocator('iframe[title="The report"]').getByRole('heading', {
      name: 'Heronsgill feed gave 49% more beans than plain water, but comfrey tea did worse.',
    }),
  ).toBeVisible();
  const download = page.waitForEvent('download');
  await page.getByRole('link', { name: 'What was judged, one line each (CSV)' }).click();
  expect((await download).suggestedFilename()).toMatch(/^[a-z0-9-]+-units-2026-07-18\.csv$/);
  await expectFitsOnPaper(
    page,
    await page.locator('iframe[title="The report"]').getAttribute('src'),
  );
  await page.getByText('Something in it was wrong').click();
  await page.getByLabel('What is right').fill('The comfrey tea stood three weeks, not two.');
  await page.getByLabel('How it came').fill('The jar was mislabelled.');
  await page.getByRole('button', { name: 'Put it right in sight' }).click();
  await expect(
    page.frameLocator('iframe[title="The report"]').getByText('The comfrey tea stood three weeks'),
  ).toBeVisible();
  await openTrial(BEANS, 'judge?page=next'); // going back would wait for the report’s own frame
  await page.getByRole('link', { name: 'Make the next trial from this one' }).click();
  await page.waitForURL(/after=/);
  await expect(page.getByText(/^Pots treated alike differed by \d+%/)).toBeVisible();
  await expect(page.getByLabel('The question')).toHaveValue('Do three feeds help dwarf beans?');
});

test('a chart is taken along as a picture that is named for what it shows', async ({
  page,
  openTrial,
}) => {
  await openTrial(BEANS, 'judge');
  const download = page.waitForEvent('download');
  await page
    .getByRole('button', { name: /^Save as a picture: Sound harvest by weight: every pot/ })
    .click();
  const picture = await download;
  expect(picture.suggestedFilename()).toBe(
    'sound-harvest-by-weight-every-pot-against-plain-water.png',
  );
  const bytes = readFileSync(await picture.path());
  expect(bytes.subarray(1, 4).toString()).toBe('PNG');
  expect(bytes.readUInt32BE(16)).toBeGreaterThan(300); // its width
});

test('a chart is taken along as lines and words, too: an SVG that any drawing program opens', async ({
  page,
  openTrial,
}) => {
  await openTrial(BEANS, 'judge');
  const download = page.waitForEvent('download');
  await page
    .getByRole('button', { name: /^Save as a drawing, SVG: Sound harvest by weight/ })
    .click();
  const file = await download;
  expect(file.suggestedFilename()).toMatch(/^sound-harvest-by-weight.*\.svg$/);
  const written = readFileSync(await file.path(), 'utf8');
  const seen = await page.evaluate(svg => {
    const drawing = new DOMParser().parseFromString(svg, 'image/svg+xml');
    const words = [...drawing.querySelectorAll('text')].map(each => each.textContent);
    const lines = [...drawing.querySelectorAll('path')].map(
      each => each.getAttribute('stroke-width') ?? '',
    );
    const foreign = drawing.querySelectorAll('script, foreignObject, image').length;
    return { broken: drawing.querySelectorAll('parsererror').length, words, lines, foreign };
  }, written);
  expect(seen.broken + seen.foreign).toBe(0);
  expect(seen.words).toEqual(expect.arrayContaining(['Heronsgill feed', '+48.5%', '100%']));
  // Each of three intervals is a line and its three marks, in the strength that the page shows.
  expect(seen.lines.filter(width => width === '3').length).toBeGreaterThanOrEqual(3);
});

/** On a sheet of A4 between its margins, 190 mm, nothing of a report is cut off. */
async function expectFitsOnPaper(page: Page, report: string | null): Promise<void> {
  const paper = await page.context().newPage();
  await paper.setViewportSize({ width: 718, height: 1047 });
  await paper.goto(report ?? '');
  await paper.emulateMedia({ media: 'print' });
  expect(await paper.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(718);
  await paper.close();
}
