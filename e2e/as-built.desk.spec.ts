import { DEMO_DAY } from '@/demo/demo-season';
import { expectAccessible } from './accessible';
import { expect, test } from './garden-server';

test('a rate that can mean two things is asked back with both, and “weekly” goes into the plan', async ({
  page,
  openPage,
  lockedTrial,
}) => {
  await openPage('/shelf/new');
  await page.getByLabel('Name', { exact: true }).fill('Cinderpot feed');
  const rates = page.getByLabel('Rates on its label, a line each');
  await rates.fill('1 to 10, weekly');
  const read = page.getByRole('list', { name: 'Rates as they were read' });
  await expect(read).toContainText('can mean');
  await read.getByRole('button', { name: '1 part added to 10 parts of water, weekly' }).click();
  await expect(rates).toHaveValue('1 part added to 10 parts of water, weekly');
  await expect(read).toContainText('1 ml in 11 ml of water, every 7 days');
  await rates.fill('1 part added to 10 parts of water, every 10 days');
  await expectAccessible(page);
  await page.getByRole('button', { name: 'Save', exact: true }).click();
  await expect(page).toHaveURL(/\/shelf/);
  const { url } = await lockedTrial({ question: 'Weekly by the label?', each: 2 }, 'tend');
  await page.goto(`${url}/tend`);
  await page.waitForSelector('html[data-ready]');
  await page.getByRole('button', { name: 'Plan something' }).click();
  await page.getByLabel('With', { exact: true }).selectOption({ label: 'Cinderpot feed' });
  await expect(page.getByLabel('Days', { exact: true })).toHaveValue('10');
});

test('what each pot is, a pasted harvest and timed work come together in the yields', async ({
  page,
  lockedTrial,
}) => {
  test.slow();
  const { url, units } = await lockedTrial({ question: 'Per square metre?', each: 2 }, 'lay-out');
  await page.getByText('As built: size, mix, plants, seed').click();
  await page.getByLabel('Across, sides or area').fill('50 x 40 cm');
  await page.getByLabel('Plants', { exact: true }).fill('4');
  await page.getByRole('button', { name: 'Save as built' }).click();
  await expect(page.getByRole('list', { name: 'As built' })).toHaveText(
    /All 4 pots:.*0\.2 m², 4 plants/,
  );
  await page.getByLabel('Across, sides or area').fill('large');
  await page.getByRole('button', { name: 'Save as built' }).click();
  await expect(page.getByText(/“large” does not begin with a number/)).toBeVisible();
  await expectAccessible(page);

  await page.goto(`${url}/readings`);
  await page.waitForSelector('html[data-ready]');
  await page.getByText('From a file, or pasted', { exact: true }).click();
  const rows = units.map(({ code }, i) => `${code}\t${DEMO_DAY}\t${400 + 100 * i}\t${4 + i}`);
  await page
    .getByLabel('Or paste a block from a spreadsheet')
    .fill(['pot\tdate\tweight (g)\tpieces', ...rows].join('\n'));
  await page.getByRole('button', { name: 'Look at it' }).click();
  await page.getByRole('button', { name: 'Take it in' }).click();
  await expect(page.getByText('4 values taken in.')).toBeVisible();

  await page.getByText('Worked out of two others', { exact: true }).click();
  await page.getByLabel('What it is called').fill('Pods per plant');
  await page.getByLabel('The first', { exact: true }).selectOption({ label: 'Sound pieces' });
  await page.getByLabel('The second', { exact: true }).selectOption({ label: 'Plants, as built' });
  await page.getByRole('button', { name: 'Work it out' }).click();
  await expect(
    page.getByText('Sound pieces over Plants, as built, worked out for each.'),
  ).toBeVisible();

  await page.goto(`${url}/weigh`);
  await page.waitForSelector('html[data-ready]');
  await page.getByLabel('Code in hand').fill(units[0]?.code ?? '');
  await expect(page.getByText('That is 2.00 kg per square metre, 100 g per plant.')).toBeVisible();
  await page.getByText('Time the work').click();
  await page.getByRole('button', { name: 'Start', exact: true }).click();
  await page.reload();
  await page.waitForSelector('html[data-ready]');
  // It goes on through a reload.
  await page.getByRole('button', { name: 'Stop', exact: true }).click();
  await expect(page.getByLabel('How long it took')).toHaveValue('0.5 min');
  await page.getByLabel('How long it took').fill('1 h 20 min');
  await page.getByRole('button', { name: 'Put the work down' }).click();
  await expect(page.getByText('1 h 20 min put down.')).toBeVisible();
  await page.getByLabel('Code in hand').fill(units[0]?.code ?? '');
  await expect(page.getByText(/1\.20 kg per hour of work/)).toBeVisible();
  await page.getByRole('button', { name: 'Undo', exact: true }).last().click();
  await expect(page.getByText(/per hour of work/)).toHaveCount(0);
});
