import { DEMO_DAY } from '@/demo/demo-season';
import { expectAccessible } from './accessible';
import { expect, test } from './garden-server';
import { carePage, goToStep } from './trial-steps';

test('from a new product to a ticked-off feed and the ledger', async ({
  page,
  openPage,
  askedTrial,
}) => {
  await openPage('/shelf');
  await page.getByRole('link', { name: 'Put a product on it' }).click();
  await page.waitForURL(/shelf\/new$/);
  await page.getByLabel('Name', { exact: true }).fill('Osmund feed');
  await page.getByLabel('The three numbers').fill('60-30-20');
  await page.getByLabel('Rates on its label').fill('3 to 1');
  await page.getByRole('button', { name: 'Save' }).click();
  await expect(page.getByText('60-30-20 makes 110%')).toBeVisible();
  await expect(page.getByText(/“3 to 1” can mean/)).toBeVisible();
  await page.getByLabel('The three numbers').fill('12-4-8');
  await page.getByLabel('Density, g per ml').fill('1.1');
  await page.getByLabel('Rates on its label').fill('20 ml in 4.5 l');
  await expect(page.getByText('× 0.4364 =')).toBeVisible();
  await page.getByLabel('Water to each').fill('0.5 l');
  await expect(page.getByText('2.22 ml each, 17.8 ml for 8')).toBeVisible();
  await expect(page.getByText('Or make a stock:')).toBeVisible();
  await page.getByRole('checkbox', { name: 'a concentrate' }).check();
  await expect(
    page.getByText('The product’s label, local rules and licensed advice decide.'),
  ).toBeVisible();
  await page.getByRole('button', { name: 'Save' }).click();
  await page.waitForURL(/shelf$/);

  await askedTrial('Fed or not?');
  await page.getByText('anywhere on the bench', { exact: true }).click();
  await page.getByLabel('Of each treatment').fill('4');
  await page.getByText('everyone', { exact: true }).click();
  await page.getByRole('button', { name: 'Deal', exact: true }).click();
  await expect(page.getByText(/Dealt once/)).toBeVisible();
  await goToStep(page, 'Tend');
  await carePage(page, 'What each is given');
  await expect(page.getByText(/^Nothing is planned yet\. What each pot is given/)).toBeVisible();
  await page.getByRole('link', { name: 'Plan the care' }).click();
  await page.getByRole('button', { name: 'Plan something' }).click();
  await page.getByLabel('What is done').fill('weekly feed');
  await page.getByRole('checkbox', { name: 'Heronsgill feed' }).check();
  await page.getByLabel('With', { exact: true }).selectOption('Osmund feed');
  await page.getByRole('button', { name: 'Put it in the plan' }).click();
  await expect(page.getByText('This rate counts by water: how much does each get?')).toBeVisible();
  await page.getByLabel('Water to each').fill('1 l');
  await page.getByRole('button', { name: 'Put it in the plan' }).click();
  await expect(page.getByRole('button', { name: 'Change weekly feed' })).toBeVisible();
  await carePage(page, 'Due');
  await expect(page.getByText('4 pots: 4.44 ml Osmund feed in 1 l each')).toBeVisible();
  await expect(
    page.getByText('Osmund feed, full strength: 19.6 ml in it, a tenth to spare'),
  ).toBeVisible();
  await page.getByRole('button', { name: 'weekly feed: done' }).click();
  await expect(page.getByText('Nothing is due today.')).toBeVisible();
  // A wrong press is undone where it is told, and the task is due again.
  const told = page.getByRole('alertdialog').filter({ hasText: 'Weekly feed: done.' });
  await expect(told).toBeVisible();
  await expectAccessible(page);
  await told.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByText('Undone.')).toBeVisible();
  await page.getByRole('button', { name: 'weekly feed: done' }).click();
  await expect(page.getByText('Nothing is due today.')).toBeVisible();
  await carePage(page, 'What each is given');
  await page.getByText('as done so far', { exact: true }).click();
  await expect(page.getByRole('cell', { name: '1 × Osmund feed, 4.44 ml' })).toBeVisible();
  await expect(page.getByRole('cell', { name: '0.587 g' })).toBeVisible();
  await page.getByRole('button', { name: /^Undo weekly feed/ }).click();
  await expect(page.getByRole('button', { name: /^Undo weekly feed/ })).toHaveCount(0);
  await carePage(page, 'Due');
  await expect(page.getByRole('button', { name: 'weekly feed: done' })).toBeVisible();
});

test('a step is left out only with a reason, and a stage brings what waits for it', async ({
  page,
  askedTrial,
}) => {
  await askedTrial('By stage?');
  await goToStep(page, 'Tend');
  await page.getByRole('button', { name: 'Plan something' }).click();
  await page.getByLabel('What is done').fill('look for aphids');
  await page.getByLabel('It is a', { exact: true }).selectOption('look and measure');
  await page.getByLabel('Begins').selectOption('at a stage');
  await page.getByLabel('The stage').fill('first flower');
  await page.getByRole('button', { name: 'Put it in the plan' }).click();
  await expect(page.getByRole('button', { name: 'Change look for aphids' })).toBeVisible();
  await page.getByLabel('first flower').fill(DEMO_DAY);
  await page.getByRole('button', { name: 'It came' }).click();
  await expect(page.getByRole('button', { name: 'It came' })).toHaveCount(0);
  await carePage(page, 'Due');
  await expect(page.getByRole('button', { name: 'look for aphids: done' })).toBeVisible();
  await page.getByText('Done differently, or not at all').click();
  await page.getByRole('button', { name: 'Leave it out' }).click();
  await expect(page.getByText('Say why it was left out: it is part of the trial.')).toBeVisible();
  await page.getByLabel('A note, or why it is left out').fill('Rain all day.');
  await page.getByRole('button', { name: 'Leave it out' }).click();
  await expect(page.getByText('Nothing is due today.')).toBeVisible();
  await carePage(page, 'What each is given');
  await expect(page.getByText(/left out\. Rain all day\./)).toBeVisible();
});

test('what is typed of a product and not saved is there again after a reload, and can be given up', async ({
  page,
  openPage,
}) => {
  await openPage('/shelf/new');
  await page.getByLabel('Name', { exact: true }).fill('Half a label');
  await page.getByLabel('Rates on its label').fill('20 ml in');
  await expect(page.getByText('Not saved yet.')).toBeVisible();
  await page.reload();
  await expect(page.getByLabel('Name', { exact: true })).toHaveValue('Half a label');
  await expect(page.getByLabel('Rates on its label')).toHaveValue('20 ml in');
  await page.getByRole('button', { name: 'Empty it' }).click();
  await page.reload();
  await expect(page.getByLabel('Name', { exact: true })).toHaveValue('');
});

test('from a depth series to bags, and back to the depth really laid', async ({
  page,
  openPage,
}) => {
  await openPage('/shelf/sums?sum=layer');
  await page.getByLabel('The bed is long').fill('36 in');
  await page.getByLabel('and wide').fill('36 in');
  await page.getByLabel('Depths, cm').fill('2.54, 7.62, 15.24');
  await page.getByLabel('A bag holds').fill('1.5 cu ft');
  await expect(page.getByRole('cell', { name: '2 (1.5)' })).toBeVisible();
  await expect(page.getByRole('cell', { name: '10.2 cm' })).toBeVisible();
  await page.getByRole('link', { name: 'All the sums' }).click();
  await page.getByRole('link', { name: /^A spray/ }).click();
  await page.getByLabel('What does it mean?').fill('1 in 10');
  await expect(page.getByText('1 of product to 9 of water, 10% of the whole')).toBeVisible();
});

test('bottles stand for treatments in a blind trial until whoever mixes looks', async ({
  page,
  openPage,
}) => {
  await openPage('/');
  await expect(page.getByText(/^Give bottle [A-Z]$/).first()).toBeVisible();
  await expect(page.getByText(/^Heronsgill feed, full strength/)).toHaveCount(0);
  await page.getByRole('button', { name: 'Show what is in the bottles' }).click();
  await expect(page.getByText(/^Heronsgill feed, full strength/)).toBeVisible();
});

test('a station’s table is taken whole or not at all', async ({ page, openPage }) => {
  await openPage('/weather');
  const csv = (text: string) => ({
    name: 'station.csv',
    mimeType: 'text/csv',
    buffer: Buffer.from(text),
  });
  await page
    .getByLabel('Choose a file')
    .setInputFiles(csv('date,tmax,tmin,rain\n2026-06-01,hot,9,0'));
  await expect(page.getByText(/Row 2, tmax: “hot” can’t be used/)).toBeVisible();
  await page.getByRole('button', { name: 'Ask the stand-in station' }).click();
  await expect(
    page.getByText('Days of the stand-in station are made up, not measured.'),
  ).toBeVisible();
});

test('a handful is weighed and stands in a rate; some pots only, a reminder, and what bears on the question', async ({
  page,
  openPage,
  askedTrial,
}) => {
  await openPage('/shelf/new');
  await page.getByLabel('Name', { exact: true }).fill('Kilnfield meal');
  await page.getByRole('button', { name: 'Save' }).click();
  await page.waitForURL(/shelf$/);
  await page.getByRole('link', { name: 'Kilnfield meal' }).click();
  await page.waitForURL(/shelf\/[0-9a-f-]+$/);
  const loose = page.getByRole('region', { name: 'Your own measures' });
  await loose.getByLabel('A', { exact: true }).fill('handful');
  await loose.getByLabel('in', { exact: true }).selectOption('grams');
  await loose.getByLabel('Five tries').fill('28 35 40 31 36');
  await loose.getByRole('button', { name: 'Keep it' }).click();
  await expect(page.getByText(/^a handful: 34 g, give or take/)).toBeVisible();
  await page.getByLabel('Rates on its label').fill('a handful per plant');
  await expect(page.getByText('34 g each, 272 g for 8')).toBeVisible();
  await page.getByRole('button', { name: 'Save' }).click();
  await expect(page.getByText('Saved.')).toBeVisible();

  await askedTrial('Does meal feed tomato plants?');
  await page.getByText('anywhere on the bench', { exact: true }).click();
  await page.getByLabel('Of each treatment').fill('4');
  await page.getByText('everyone', { exact: true }).click();
  await page.getByRole('button', { name: 'Deal', exact: true }).click();
  await expect(page.getByText(/Dealt once/)).toBeVisible();
  await goToStep(page, 'Tend');
  await page.getByText(/^Worth knowing/).click();
  await expect(page.getByText(/Blossom-end rot comes from calcium/)).toBeVisible();
  await page.getByText(/^Often forgotten/).click();
  await page.getByRole('button', { name: 'Plan it: look and measure' }).click();
  await expect(page.getByRole('button', { name: 'Change look and measure' })).toBeVisible();
  await carePage(page, 'Due');
  await expect(page.getByRole('button', { name: 'look and measure: done' })).toBeVisible();
  await page.getByText('Done differently, or not at all').click();
  await page.getByText('only some', { exact: true }).click();
  await page.getByRole('group', { name: 'Which' }).getByRole('checkbox').first().check();
  await page.getByRole('button', { name: 'look and measure: done' }).click();
  await expect(
    page.getByText('Not all got it: say why. It will stand on the verdict.'),
  ).toBeVisible();
  await page.getByLabel('A note, or why it is left out').fill('The rest was under the net.');
  await page.getByRole('button', { name: 'look and measure: done' }).click();
  await expect(page.getByText('Not all got it: say why.')).toHaveCount(0);
  await carePage(page, 'What each is given');
  await page.getByText(/^What not all got/).click();
  await expect(
    page.getByText(/look and measure, [A-Z]{2}\d of 8\. The rest was under the net/),
  ).toBeVisible();
});
